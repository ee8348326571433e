/** The face of a hard piece where it is smaller than the platen: the same force presses it the harder. */

import type { Blank } from '../../core/materials';
import { houseUnit, WIDTH_AND_HEIGHT } from '../../core/units';
import { Check } from '../../ui/Check';
import { useUnits } from '../../ui/house';
import { QuantityField } from '../../ui/QuantityField';
import type { EditorProps } from './AidEditor';
import { Cell } from './Frame';

type Some = Pick<EditorProps<Blank>, 'doc' | 'onChange' | 'onReplace'>;

export function FaceFields({ doc, onChange, onReplace }: Some) {
  const house = useUnits();
  const { first: length } = houseUnit('length', house);
  const { face, ...faceless } = doc;
  return (
    <>
      <Cell span={6}>
        <Check
          on={face !== undefined}
          onChange={(small) => (small ? onChange({ face: { widthMm: 100, heightMm: 100, round: false } }) : onReplace(faceless))}
        >
          Its face is smaller than the platen <span className="label">(the press then pushes on so much less)</span>
        </Check>
      </Cell>
      {face &&
        WIDTH_AND_HEIGHT.map((side) => (
          <Cell key={side} span={2}>
            <QuantityField
              label={side === 'widthMm' ? 'Face, width' : 'Face, height'}
              kind="length"
              unit={length}
              house={house}
              value={face[side]}
              min={5}
              max={2000}
              onChange={(value) => value !== null && onChange({ face: { ...face, [side]: value } })}
            />
          </Cell>
        ))}
      {face && (
        <Cell span={2}>
          <div className="pt-6">
            <Check on={face.round} onChange={(round) => onChange({ face: { ...face, round } })}>
              Round
            </Check>
          </div>
        </Cell>
      )}
    </>
  );
}
