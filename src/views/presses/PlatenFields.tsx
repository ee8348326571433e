/** What else a press has: a lower platen that heats, and platens that may be put in. */

import type { Press } from '../../core/press';
import { type HouseUnits, houseUnit, WIDTH_AND_HEIGHT } from '../../core/units';
import { Check } from '../../ui/Check';
import { TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { QuantityField } from '../../ui/QuantityField';

interface PlatenFieldsProps {
  press: Press;
  house: HouseUnits;
  fields: Record<string, string>;
  onChange: (change: Partial<Press>) => void;
}

export function PlatenFields({ press, house, fields, onChange }: PlatenFieldsProps) {
  const { lower, swapPlatens } = press;
  const difference = house.temperature === 'F' ? 'dF' : 'dC';
  const length = houseUnit('length', house).first;
  const change = (id: string, part: Partial<Press['swapPlatens'][number]>) =>
    onChange({ swapPlatens: swapPlatens.map((platen) => (platen.id === id ? { ...platen, ...part } : platen)) });
  return (
    <fieldset className="rule-top col-span-6 mt-2 grid grid-cols-6 gap-x-5 pt-2">
      <legend className="sr-only">Other platens</legend>
      <div className="col-span-6">
        <Check
          on={lower !== null}
          onChange={(heated) => onChange({ lower: heated ? { minC: press.set.minC, maxC: press.set.maxC, offsetK: 0, spreadK: 8 } : null })}
        >
          The lower platen is heated <span className="label">(for split heat; not measured it counts ± 8 K)</span>
        </Check>
      </div>
      {lower &&
        (
          [
            ['minC', 'Lower platen, lowest', 'temperature', 20, 260],
            ['maxC', 'Lower platen, highest', 'temperature', 20, 260],
            ['offsetK', 'Its surface minus readout', 'temperatureDifference', -60, 60],
            ['spreadK', 'Its spread, ±', 'temperatureDifference', 0, 60],
          ] as const
        ).map(([field, label, kind, min, max]) => (
          <div key={field} className="col-span-3">
            <QuantityField
              label={label}
              kind={kind}
              unit={kind === 'temperature' ? press.set.unit : difference}
              house={house}
              {...(kind === 'temperatureDifference' && { decimals: 1 })}
              value={lower[field]}
              onChange={(value) => value !== null && onChange({ lower: { ...lower, [field]: value } })}
              min={min}
              max={max}
              problem={fields[`lower.${field}`] ?? (field === 'minC' ? fields.lower : undefined)}
            />
          </div>
        ))}
      {swapPlatens.map((platen, i) => (
        <div
          key={platen.id}
          className="col-span-6 grid grid-cols-[1fr_9rem_9rem_3rem] items-start gap-x-5 narrow:grid-cols-[1fr_1fr_3rem] narrow:*:first:col-span-3"
        >
          <TextField
            label={i === 0 ? 'A platen to put in' : 'Another'}
            value={platen.name}
            onChange={(name) => change(platen.id, { name })}
            problem={fields[`swapPlatens.${i}.name`]}
          />
          {WIDTH_AND_HEIGHT.map((side) => (
            <QuantityField
              key={side}
              label={side === 'widthMm' ? 'Width' : 'Depth'}
              kind="length"
              unit={length}
              house={house}
              value={platen[side]}
              onChange={(value) => value !== null && change(platen.id, { [side]: value })}
              min={30}
              max={2000}
              problem={fields[`swapPlatens.${i}.${side}`]}
            />
          ))}
          <button
            type="button"
            className="act act-quiet mt-6"
            aria-label={`Take out ${platen.name}`}
            onClick={() => onChange({ swapPlatens: swapPlatens.filter((candidate) => candidate.id !== platen.id) })}
          >
            ✕
          </button>
        </div>
      ))}
      <div className="col-span-6">
        <button
          type="button"
          className="act act-quiet"
          onClick={() => onChange({ swapPlatens: [...swapPlatens, { id: newId(), name: 'small platen', widthMm: 150, heightMm: 150 }] })}
        >
          + a platen to put in
        </button>
      </div>
    </fieldset>
  );
}
