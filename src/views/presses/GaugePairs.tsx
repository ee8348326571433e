/** What a gauge's readings mean: pairs of reading and contact pressure, entered as they are found out. */
import { CRUSH_KPA, type Press } from '../../core/press';
import { type HouseUnits, houseUnit } from '../../core/units';
import { ChoiceField, TextField } from '../../ui/Field';
import { QuantityField } from '../../ui/QuantityField';

type Gauge = Press['gauge'];
type Pair = Exclude<Gauge, { kind: 'none' }>['pairs'][number];

interface GaugePairsProps {
  gauge: Gauge;
  house: HouseUnits;
  onChange: (gauge: Gauge) => void;
  problem: string | undefined;
}

const KINDS = [
  { value: 'dial', text: 'dial, 0 to 10' },
  { value: 'air', text: 'air line' },
  { value: 'none', text: 'none' },
] as const;

export function GaugePairs({ gauge, house, onChange, problem }: GaugePairsProps) {
  const contact = houseUnit('contactPressure', house).first;
  const pairs = gauge.kind === 'none' ? [] : gauge.pairs;
  const setPairs = (next: Pair[]) => gauge.kind !== 'none' && onChange({ kind: gauge.kind, pairs: next });
  const change = (i: number, patch: Partial<Pair>) => setPairs(pairs.map((pair, k) => (k === i ? { ...pair, ...patch } : pair)));
  return (
    <fieldset className="col-span-6 rule-top mt-2 grid grid-cols-6 narrow:grid-cols-2 narrow:*:col-span-1 narrow:*:[.col-span-4]:col-span-2 narrow:*:[.col-span-6]:col-span-2 gap-x-5 pt-3">
      <legend className="sr-only">Pressure gauge</legend>
      <div className="col-span-2">
        <ChoiceField
          label="Pressure gauge"
          value={gauge.kind}
          options={KINDS}
          onChange={(kind) => onChange(kind === 'none' ? { kind } : { kind, pairs: [] })}
          hint={gauge.kind !== 'none' && pairs.length < 2 ? 'Two pairs tie it to real pressure; until then it is a guess.' : ''}
        />
      </div>
      <div className="col-span-4">
        {pairs.map((pair, i) => (
          <div key={i} className="grid grid-cols-[1fr_1fr_auto] items-start gap-4 narrow:grid-cols-2">
            {gauge.kind === 'air' ? (
              <QuantityField
                label="Line pressure"
                kind="linePressure"
                unit={house.linePressure}
                house={house}
                value={pair.reading}
                onChange={(v) => v !== null && change(i, { reading: v })}
                max={1500}
              />
            ) : (
              <TextField
                label="Dial reads"
                inputMode="decimal"
                value={String(pair.reading)}
                onChange={(text) => Number.isFinite(Number(text)) && change(i, { reading: Number(text) })}
              />
            )}
            <QuantityField
              label="Contact pressure"
              kind="contactPressure"
              unit={contact}
              house={house}
              value={pair.contactKPa}
              onChange={(v) => v !== null && change(i, { contactKPa: v })}
              max={CRUSH_KPA}
            />
            <button type="button" className="act act-quiet mt-5" onClick={() => setPairs(pairs.filter((_, k) => k !== i))}>
              Remove <span className="sr-only">pair {i + 1}</span>
            </button>
          </div>
        ))}
        {problem && (
          <p role="alert" className="text-sm text-brick">
            {problem}
          </p>
        )}
        {gauge.kind !== 'none' && (
          <button
            type="button"
            className="act act-quiet underline"
            onClick={() =>
              setPairs([
                ...pairs,
                {
                  reading: (pairs.at(-1)?.reading ?? 0) + (gauge.kind === 'air' ? 100 : 2),
                  contactKPa: (pairs.at(-1)?.contactKPa ?? 0) + 10,
                },
              ])
            }
          >
            + pair
          </button>
        )}
      </div>
    </fieldset>
  );
}
