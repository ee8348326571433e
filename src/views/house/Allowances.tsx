/** The house's own allowance round a single figure of a sheet, family by family. */
import type { House } from '../../core/house';
import { type Allowances as ByFamily, FAMILIES, FAMILY_IDS, type FamilyId } from '../../core/sheet';
import { AllowanceFields } from '../../ui/AllowanceFields';
import { ChoiceField } from '../../ui/Field';

interface AllowancesProps {
  house: House;
  fields: Record<string, string>;
  onChange: (allowances: ByFamily | undefined) => void;
}

export function Allowances({ house, fields, onChange }: AllowancesProps) {
  const own = house.figures.allowances ?? {};
  const put = (id: FamilyId, allowance: ByFamily[FamilyId]) => {
    const { [id]: _, ...rest } = own;
    const next = allowance ? { ...rest, [id]: allowance } : rest;
    onChange(Object.keys(next).length === 0 ? undefined : next);
  };
  const free = FAMILY_IDS.filter((id) => !own[id]);
  return (
    <section id="allowances" aria-label="Allowances" className="rule-top mt-2 scroll-mt-20 pt-3">
      <h2>Round a single figure of a sheet</h2>
      <p className="max-w-prose pt-1 pb-2">
        Most sheets give one figure. How far from it a card may go is ours, not the supplier’s: families start with general ones, and a
        transfer on the shelf may have its own.
      </p>
      {FAMILY_IDS.flatMap((id) => {
        const allowance = own[id];
        return allowance
          ? [
              <div key={id} className="rule-top grid grid-cols-1 gap-x-4 pt-1 min-[47.5rem]:grid-cols-[14rem_1fr]">
                <span className="pt-2 font-semibold min-[47.5rem]:pt-9">{FAMILIES[id].name}</span>
                <AllowanceFields
                  value={allowance}
                  usual={FAMILIES[id].allowance}
                  asUsual="as is general"
                  house={house.units}
                  problems={{
                    tempK: fields[`figures.allowances.${id}.tempK`],
                    timePercent: fields[`figures.allowances.${id}.timePercent`],
                  }}
                  onChange={(next) => put(id, next)}
                />
              </div>,
            ]
          : [];
      })}
      {free.length > 0 && (
        <div className="max-w-80">
          <ChoiceField
            label="An allowance of our own for"
            value=""
            options={[{ value: '', text: 'pick a family' }, ...free.map((value) => ({ value, text: FAMILIES[value].name }))]}
            onChange={(id) => id && put(id, FAMILIES[id].allowance)}
          />
        </div>
      )}
    </section>
  );
}
