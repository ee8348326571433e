/** Settings a sheet gives for a group of fabrics or colours, and the second ways it offers. */
import { FABRIC_GROUPS, PRESSURE_BANDS } from '../../core/materials';
import { PEELS, type Product, STAGE_KINDS, type StageChange } from '../../core/sheet';
import type { HouseUnits } from '../../core/units';
import { ChoiceField, TextField } from '../../ui/Field';
import { Cell, Part } from './Frame';
import { SheetFigure } from './SheetFigure';

type Change = Product['overrides'][number];

interface ChangeFieldsProps {
  change: StageChange;
  house: HouseUnits;
  path: string;
  fields: Record<string, string>;
  onChange: (part: ChangePart) => void;
}

/** What is typed anew of a change; undefined takes it out. */
type ChangePart = { [K in keyof Omit<StageChange, 'stage'>]?: StageChange[K] | undefined };
const merged = <T extends StageChange>(old: T, part: ChangePart): T =>
  Object.fromEntries(Object.entries({ ...old, ...part }).filter(([, value]) => value !== undefined)) as T;

const AS_THE_STAGE = { value: '', text: 'as the stage' } as const;
const orAsTheStage = <const T extends string>(values: readonly T[]) => [AS_THE_STAGE, ...values.map((value) => ({ value, text: value }))];

/** The figures an override puts in the place of the stage's own, each only when given. */
function ChangeFields({ change, onChange, ...where }: ChangeFieldsProps) {
  const { pressure, cover, peel } = change;
  return (
    <>
      {(['tempC', 'timeS'] as const).map((of) => (
        <div key={of} className="col-span-2">
          <SheetFigure
            of={of}
            label={of === 'tempC' ? 'Temperature' : 'Time'}
            value={change[of]}
            whenEmpty="as the stage"
            onChange={(figure) => onChange({ [of]: figure })}
            {...where}
          />
        </div>
      ))}
      <ChoiceField
        label="Pressure"
        value={pressure?.band ?? ''}
        options={orAsTheStage(PRESSURE_BANDS)}
        onChange={(band) => onChange({ pressure: band ? { asStated: band, band } : undefined })}
      />
      <ChoiceField
        label="Cover"
        value={cover ?? ''}
        options={orAsTheStage(['required', 'allowed', 'avoid'])}
        onChange={(value) => onChange({ cover: value || undefined })}
      />
      <ChoiceField
        label="Peel"
        value={peel ?? ''}
        options={orAsTheStage(PEELS)}
        onChange={(value) => onChange({ peel: value || undefined })}
      />
    </>
  );
}

interface OverridesProps {
  doc: Product;
  house: HouseUnits;
  fields: Record<string, string>;
  onChange: (part: Partial<Product>) => void;
}

const without = <T,>(all: readonly T[], i: number): T[] => all.filter((_, j) => j !== i);
/** A group may have a pre-press of its own where the sheet has none in general. */
const kindsOf = (doc: Product) =>
  STAGE_KINDS.filter((kind) => kind === 'pre-press' || doc.stages.some((stage) => stage.kind === kind)).map((value) => ({
    value,
    text: value,
  }));

export function Overrides({ doc, house, fields, onChange }: OverridesProps) {
  const groups = [...new Set(doc.colours.map((colour) => colour.group))];
  const set = (i: number, next: Change) => onChange({ overrides: doc.overrides.map((override, j) => (i === j ? next : override)) });
  return (
    <Part name="By fabric or colour" hint="Where the sheet gives settings of their own.">
      {doc.overrides.map((override, i) => {
        const { fabricGroup, colourGroup, ...rest } = override;
        return (
          <div key={i} className={`col-span-6 grid grid-cols-2 gap-x-4 min-[47.5rem]:grid-cols-4 ${i > 0 ? 'rule-top pt-3' : ''}`}>
            <ChoiceField
              label="On"
              value={fabricGroup ?? ''}
              options={[{ value: '', text: 'any fabric' }, ...FABRIC_GROUPS.map((value) => ({ value, text: value }))]}
              onChange={(group) => set(i, { ...rest, ...(colourGroup && { colourGroup }), ...(group && { fabricGroup: group }) })}
              problem={fields[`overrides.${i}`]}
            />
            <ChoiceField
              label="in"
              value={colourGroup ?? ''}
              options={[{ value: '', text: 'any colour' }, ...groups.map((value) => ({ value, text: `${value} colours` }))]}
              onChange={(group) => set(i, { ...rest, ...(fabricGroup && { fabricGroup }), ...(group && { colourGroup: group }) })}
              problem={fields[`overrides.${i}.colourGroup`]}
            />
            <ChoiceField
              label="Stage"
              value={override.stage}
              options={kindsOf(doc)}
              onChange={(stage) => set(i, { ...override, stage })}
              problem={fields[`overrides.${i}.stage`]}
            />
            <button
              type="button"
              className="act act-quiet mt-6 justify-self-start"
              onClick={() => onChange({ overrides: without(doc.overrides, i) })}
            >
              Take out
            </button>
            <ChangeFields
              change={override}
              house={house}
              path={`overrides.${i}`}
              fields={fields}
              onChange={(part) => set(i, merged(override, part))}
            />
          </div>
        );
      })}
      <div className="col-span-6">
        <button
          type="button"
          className="act act-quiet"
          onClick={() => {
            const press = doc.stages.find((stage) => stage.kind === 'press');
            onChange({
              overrides: [...doc.overrides, { fabricGroup: 'polyester', stage: 'press', ...(press?.tempC && { tempC: press.tempC }) }],
            });
          }}
        >
          + settings for a group
        </button>
      </div>
      <Cell span={6}>
        <TextField
          label="Colours, each with its group: signal orange = bright, ink blue = plain"
          value={doc.colours.map(({ name, group }) => (group === name ? name : `${name} = ${group}`)).join(', ')}
          onChange={(text) =>
            onChange({
              colours: text.split(',').flatMap((part) => {
                const [name = '', group = name] = part.split('=').map((half) => half.trimStart());
                return part.trim() === '' ? [] : [{ name, group: group || name }];
              }),
            })
          }
          hint="Settings for a colour go by its group"
        />
      </Cell>
    </Part>
  );
}

export function Alternatives({ doc, house, fields, onChange }: OverridesProps) {
  return (
    <Part name="Alternatives" hint="A second way the sheet itself offers.">
      {doc.alternatives.map((alternative, i) => (
        <div key={i} className="col-span-6 grid grid-cols-2 gap-x-4 min-[47.5rem]:grid-cols-4">
          <div className="col-span-3">
            <TextField
              label="Called"
              value={alternative.name}
              onChange={(name) => onChange({ alternatives: doc.alternatives.map((other, j) => (i === j ? { ...other, name } : other)) })}
              problem={fields[`alternatives.${i}.name`]}
            />
          </div>
          <button
            type="button"
            className="act act-quiet mt-6 justify-self-start"
            onClick={() => onChange({ alternatives: without(doc.alternatives, i) })}
          >
            Take out
          </button>
          {alternative.changes.map((change, c) => (
            <ChangeFields
              key={c}
              change={change}
              house={house}
              path={`alternatives.${i}.changes.${c}`}
              fields={fields}
              onChange={(part) =>
                onChange({
                  alternatives: doc.alternatives.map((other, j) =>
                    i === j ? { ...other, changes: other.changes.map((old, k) => (c === k ? merged(old, part) : old)) } : other,
                  ),
                })
              }
            />
          ))}
        </div>
      ))}
      <div className="col-span-6">
        <button
          type="button"
          className="act act-quiet"
          onClick={() => {
            const press = doc.stages.find((stage) => stage.kind === 'press');
            if (press)
              onChange({
                alternatives: [
                  ...doc.alternatives,
                  { name: 'low heat', changes: [{ stage: 'press', ...(press.tempC && { tempC: press.tempC }), timeS: press.timeS }] },
                ],
              });
          }}
        >
          + an alternative
        </button>
      </div>
    </Part>
  );
}
