/** A blank: what it is, of what, in which sizes, what stands up on it, which side is printed and which is looked at. */
import { BLANK_KINDS, type Blank, DUTIES, isHard, OBSTRUCTION_KINDS, type Obstruction, POSITIONS } from '../../core/materials';
import { houseUnit } from '../../core/units';
import { Check } from '../../ui/Check';
import { isoDay } from '../../ui/days';
import { ChoiceField, TextField } from '../../ui/Field';
import { useUnits } from '../../ui/house';
import { QuantityField } from '../../ui/QuantityField';
import type { EditorProps } from './AidEditor';
import { CutFields } from './CutFields';
import { FaceFields } from './FaceFields';
import { Cell, Part } from './Frame';

const plain = <const T extends string>(values: readonly T[]) => values.map((value) => ({ value, text: value }));
const NOTICES = ['for children', 'food or drink'] as const;

export function BlankEditor({ doc, shelf, fields, onChange, onReplace }: EditorProps<Blank>) {
  const house = useUnits();
  const { first: length } = houseUnit('length', house);
  const fabric = shelf.fabrics.find((fabric) => fabric.id === doc.fabricId);
  const withoutThickness = () => {
    const { thicknessMm: _, ...rest } = doc;
    onReplace(rest);
  };
  return (
    <>
      <Part name="Blank">
        <Cell span={4}>
          <TextField label="Name" value={doc.name} onChange={(name) => onChange({ name })} problem={fields.name} autoFocus />
        </Cell>
        <Cell span={2}>
          <ChoiceField label="Kind" value={doc.kind} options={plain(BLANK_KINDS)} onChange={(kind) => onChange({ kind })} />
        </Cell>
        <Cell span={4}>
          <ChoiceField
            label="Of which fabric or material"
            value={doc.fabricId}
            options={shelf.fabrics
              .filter((fabric) => !fabric.retiredOn || fabric.id === doc.fabricId)
              .map(({ id, name }) => ({ value: id, text: name }))}
            onChange={(fabricId) => onChange({ fabricId })}
            problem={fields.fabricId}
          />
        </Cell>
        <Cell span={2}>
          <ChoiceField
            label="Used for"
            value={doc.duty}
            options={DUTIES.map((value) => ({ value, text: `it is ${value}` }))}
            onChange={(duty) => onChange({ duty })}
          />
        </Cell>
        <Cell span={3}>
          <TextField label="Colour" value={doc.colour} onChange={(colour) => onChange({ colour })} problem={fields.colour} />
        </Cell>
        <Cell span={3}>
          <ChoiceField label="Which is" value={doc.shade} options={plain(['light', 'dark'])} onChange={(shade) => onChange({ shade })} />
        </Cell>
        <Cell span={6}>
          <TextField
            label="Sizes, with commas between"
            value={doc.sizes.join(', ')}
            onChange={(text) => onChange({ sizes: text.split(',').map((size) => size.trimStart()) })}
            problem={fields.sizes ?? Object.entries(fields).find(([field]) => field.startsWith('sizes.'))?.[1]}
            hint="S, 2XL, YM, LT, 3-6 months, 4T, 7-8, 116 cm, 38"
          />
        </Cell>
      </Part>
      <CutFields doc={doc} fields={fields} onChange={onChange} onReplace={onReplace} />
      <Part name="Print side">
        <Cell span={3}>
          <ChoiceField
            label="The print goes on"
            value={doc.printable}
            options={plain(['outside', 'inside', 'either face', 'the coated face'])}
            onChange={(printable) => onChange({ printable })}
          />
        </Cell>
        <Cell span={3}>
          <ChoiceField
            label="It is looked at"
            value={doc.lookedAt}
            options={[
              { value: 'the printed side', text: 'from the printed side' },
              { value: 'through the blank', text: 'through the blank: seen through' },
            ]}
            onChange={(lookedAt) => onChange({ lookedAt })}
          />
        </Cell>
        <Cell span={3}>
          <QuantityField
            label="Thickness of the whole piece"
            kind="length"
            unit={length}
            house={house}
            decimals={length === 'in' ? 3 : 1}
            value={doc.thicknessMm ?? null}
            onChange={(thicknessMm) => (thicknessMm === null ? withoutThickness() : onChange({ thicknessMm }))}
            min={0.05}
            max={60}
            problem={fields.thicknessMm}
          />
        </Cell>
        <Cell span={3}>
          <QuantityField
            label="Pieces of one lot differ by up to"
            kind="length"
            unit={length}
            house={house}
            decimals={length === 'in' ? 3 : 1}
            value={doc.thicknessSpreadMm}
            onChange={(thicknessSpreadMm) => thicknessSpreadMm !== null && onChange({ thicknessSpreadMm })}
            min={0}
            max={10}
            problem={fields.thicknessSpreadMm}
          />
        </Cell>
        {fabric && isHard(fabric) && <FaceFields doc={doc} onChange={onChange} onReplace={onReplace} />}
        <Cell span={2}>
          <Check on={doc.lined} onChange={(lined) => onChange({ lined })}>
            Lined
          </Check>
        </Cell>
        {NOTICES.map((notice) => (
          <Cell key={notice} span={2}>
            <Check
              on={doc.notices.includes(notice)}
              onChange={(on) => onChange({ notices: on ? [...doc.notices, notice] : doc.notices.filter((word) => word !== notice) })}
            >
              {notice === 'for children' ? 'Made for children' : 'Food or drink touch it'}
            </Check>
          </Cell>
        ))}
      </Part>
      <Obstructions doc={doc} fields={fields} onChange={onChange} />
      <Tested doc={doc} fields={fields} onChange={onChange} onReplace={onReplace} />
    </>
  );
}

type Some = Pick<EditorProps<Blank>, 'doc' | 'fields' | 'onChange'>;

function Obstructions({ doc, fields, onChange }: Some) {
  const house = useUnits();
  const { first: length } = houseUnit('length', house);
  const set = (i: number, part: Partial<Obstruction>) =>
    onChange({ obstructions: doc.obstructions.map((obstruction, j) => (i === j ? { ...obstruction, ...part } : obstruction)) });
  return (
    <Part name="What stands up" hint="Zips, seams, rivets: how high, and under which prints.">
      {doc.obstructions.map((obstruction, i) => (
        <div key={i} className="col-span-6 grid grid-cols-[9rem_9rem_1fr_3rem] items-start gap-x-5 narrow:flex narrow:flex-wrap">
          <ChoiceField label="What" value={obstruction.kind} options={plain(OBSTRUCTION_KINDS)} onChange={(kind) => set(i, { kind })} />
          <QuantityField
            label="Stands up by"
            kind="length"
            unit={length}
            house={house}
            value={obstruction.heightMm}
            onChange={(heightMm) => heightMm !== null && set(i, { heightMm })}
            min={0}
            max={60}
            problem={fields[`obstructions.${i}.heightMm`]}
          />
          <fieldset className="min-w-0">
            <legend className="label mb-1">Gets under the print at; none: kept clear</legend>
            <div className="flex flex-wrap gap-x-4">
              {POSITIONS.map((position) => (
                <Check
                  key={position}
                  on={obstruction.at.includes(position)}
                  onChange={(on) =>
                    set(i, { at: on ? [...obstruction.at, position] : obstruction.at.filter((other) => other !== position) })
                  }
                >
                  {position}
                </Check>
              ))}
            </div>
          </fieldset>
          <button
            type="button"
            className="act act-quiet mt-6"
            aria-label={`Take the ${obstruction.kind} out`}
            onClick={() => onChange({ obstructions: doc.obstructions.filter((_, j) => j !== i) })}
          >
            ✕
          </button>
        </div>
      ))}
      <div className="col-span-6">
        <button
          type="button"
          className="act act-quiet"
          onClick={() => onChange({ obstructions: [...doc.obstructions, { kind: 'zip', heightMm: 4, at: [] }] })}
        >
          + something that stands up
        </button>
      </div>
    </Part>
  );
}

function Tested({ doc, fields, onChange, onReplace }: Some & Pick<EditorProps<Blank>, 'onReplace'>) {
  const house = useUnits();
  const { tested } = doc;
  const drop = () => {
    const { tested: _, ...rest } = doc;
    onReplace(rest);
  };
  const start = { markC: 160, damageC: 180, on: isoDay(new Date()), how: '' };
  return (
    <Part name="Tested limits" hint="Your own test on this blank; it replaces the fibre table.">
      <Cell span={6}>
        <Check on={tested !== undefined} onChange={(on) => (on ? onChange({ tested: start }) : drop())}>
          This blank was tested
        </Check>
      </Cell>
      {tested && (
        <>
          {(['markC', 'damageC'] as const).map((field) => (
            <Cell key={field} span={2}>
              <QuantityField
                label={field === 'markC' ? 'Face unmarked up to, 15 s' : 'Whole up to, 15 s'}
                kind="temperature"
                unit={house.temperature}
                house={house}
                value={tested[field]}
                onChange={(value) => value !== null && onChange({ tested: { ...tested, [field]: value } })}
                min={60}
                max={300}
                problem={fields[`tested.${field}`]}
              />
            </Cell>
          ))}
          <Cell span={2}>
            <TextField
              label="On"
              type="date"
              value={tested.on}
              onChange={(on) => onChange({ tested: { ...tested, on } })}
              problem={fields['tested.on']}
            />
          </Cell>
          <Cell span={6}>
            <TextField
              label="How"
              value={tested.how}
              onChange={(how) => onChange({ tested: { ...tested, how } })}
              problem={fields['tested.how']}
            />
          </Cell>
        </>
      )}
      {doc.testPieces.map((piece) => (
        <p key={piece.productId} className="col-span-6 py-1">
          A test piece held on {piece.on}: {piece.how}{' '}
          <button
            type="button"
            className="act act-quiet"
            onClick={() => onChange({ testPieces: doc.testPieces.filter((candidate) => candidate !== piece) })}
          >
            Delete
          </button>
        </p>
      ))}
    </Part>
  );
}
