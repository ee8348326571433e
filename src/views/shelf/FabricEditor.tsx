/** A fabric or other material: what it is made of, how it is finished, how it takes heat. */
import { blendLimits, COATINGS, type Fabric, FIBRE_IDS, FIBRES, isFibrous, SUBSTRATES, TEXTURES } from '../../core/materials';
import { formatForHouse, houseUnit } from '../../core/units';
import { Check } from '../../ui/Check';
import { ChoiceField, TextField } from '../../ui/Field';
import { useUnits } from '../../ui/house';
import { NumberField } from '../../ui/NumberField';
import { QuantityField } from '../../ui/QuantityField';
import type { EditorProps } from './AidEditor';
import { Cell, Part } from './Frame';

const plain = <const T extends string>(values: readonly T[]) => values.map((value) => ({ value, text: value }));
const ACRYLICS = plain(['cast', 'extruded', 'unknown']);
const TANNINGS = plain(['vegetable', 'chrome', 'unknown']);

/** What cloth usually weighs, g/m²: a bare 12 of canvas was meant in ounces. */
const USUAL_CLOTH_GSM = { low: 30, high: 1600 };

/** A substance with what is asked about it, and without what is asked about another. */
function withSubstrate({ acrylic: _, leather: __, ...doc }: Fabric, substrate: Fabric['substrate']): Fabric {
  const fibrous = isFibrous(substrate);
  const fibre = substrate === 'leather' ? 'leather' : substrate === 'leather-look' ? 'pu-leather' : 'cotton';
  return {
    ...doc,
    substrate,
    composition: fibrous ? (doc.composition.length > 0 && substrate === 'cloth' ? doc.composition : [{ fibre, percent: 100 }]) : [],
    ...(substrate === 'acrylic' && { acrylic: 'unknown' as const }),
    ...(substrate === 'leather' && { leather: { undyed: false, tanning: 'unknown' as const } }),
  };
}

export function FabricEditor({ doc, fields, onChange, onReplace }: EditorProps<Fabric>) {
  const { thermal } = doc;
  const units = useUnits();
  return (
    <>
      <Part name="Material">
        <Cell span={4}>
          <TextField label="Name" value={doc.name} onChange={(name) => onChange({ name })} problem={fields.name} autoFocus />
        </Cell>
        <Cell span={2}>
          <ChoiceField
            label="Made of"
            value={doc.substrate}
            options={plain(SUBSTRATES)}
            onChange={(substrate) => onReplace(withSubstrate(doc, substrate))}
          />
        </Cell>
        {doc.acrylic && (
          <Cell span={3}>
            <ChoiceField
              label="Cast, extruded or unknown"
              value={doc.acrylic}
              options={ACRYLICS}
              onChange={(acrylic) => onChange({ acrylic })}
              hint="Cast stands the press; extruded warps"
            />
          </Cell>
        )}
        {doc.leather && (
          <>
            <Cell span={3}>
              <ChoiceField
                label="Tanned"
                value={doc.leather.tanning}
                options={TANNINGS}
                onChange={(tanning) => doc.leather && onChange({ leather: { ...doc.leather, tanning } })}
              />
            </Cell>
            <Cell span={3}>
              <Check on={doc.leather.undyed} onChange={(undyed) => doc.leather && onChange({ leather: { ...doc.leather, undyed } })}>
                Undyed
              </Check>
            </Cell>
          </>
        )}
        <Cell span={3}>
          <Check on={doc.clear} onChange={(clear) => onChange({ clear })}>
            One can look through it
          </Check>
        </Cell>
      </Part>
      {doc.composition.length > 0 && <CompositionPart doc={doc} problem={fields.composition} onChange={onChange} />}
      <Part name="Build and finish">
        <Cell span={2}>
          <ChoiceField
            label="Build"
            value={doc.construction}
            options={plain(['knit', 'woven', 'non-woven', 'solid'])}
            onChange={(construction) => onChange({ construction })}
          />
        </Cell>
        <Cell span={2}>
          <ChoiceField label="Texture" value={doc.texture} options={plain(TEXTURES)} onChange={(texture) => onChange({ texture })} />
        </Cell>
        <Cell span={2}>
          <ChoiceField
            label="Finish"
            value={doc.coating}
            options={plain(COATINGS)}
            onChange={(coating) => onChange({ coating })}
            hint="Unknown on nylon means a test piece"
          />
        </Cell>
        <Cell span={2}>
          <QuantityField
            label="Weight"
            kind="arealMass"
            value={doc.massGsm}
            unit={houseUnit('arealMass', units).first}
            house={units}
            onChange={(massGsm) => onChange({ massGsm: massGsm ?? Number.NaN })}
            min={10}
            max={40_000}
            {...(isFibrous(doc.substrate) && { usual: USUAL_CLOTH_GSM })}
            problem={fields.massGsm}
          />
        </Cell>
        <Cell span={2}>
          <NumberField
            label="Thickness pressed, mm"
            value={doc.thicknessMm}
            onChange={(thicknessMm) => onChange({ thicknessMm })}
            problem={fields.thicknessMm}
          />
        </Cell>
        <Cell span={2}>
          <NumberField
            label="Stretches in use, %"
            value={doc.stretchPercent}
            onChange={(stretchPercent) => onChange({ stretchPercent })}
            problem={fields.stretchPercent}
          />
        </Cell>
        <Cell span={3}>
          <ChoiceField
            label="Dye that may move"
            value={doc.dyeRisk}
            options={[
              { value: 'none', text: 'none' },
              { value: 'dyed-polyester', text: 'dyed polyester' },
              { value: 'sublimation-dyed', text: 'sublimation-dyed: moves earlier' },
            ]}
            onChange={(dyeRisk) => onChange({ dyeRisk })}
          />
        </Cell>
      </Part>
      <Part name="Heat" hint="General figures serve until you know better.">
        {(
          [
            ['k', 'Conductivity, W/mK'],
            ['rho', 'Density, kg/m³'],
            ['c', 'Heat capacity, J/kgK'],
          ] as const
        ).map(([field, label]) => (
          <Cell key={field} span={2}>
            <NumberField
              label={label}
              value={thermal[field]}
              onChange={(value) => onChange({ thermal: { ...thermal, [field]: value } })}
              problem={fields[`thermal.${field}`]}
            />
          </Cell>
        ))}
      </Part>
    </>
  );
}

function CompositionPart({
  doc,
  problem,
  onChange,
}: {
  doc: Fabric;
  problem: string | undefined;
  onChange: (part: Partial<Fabric>) => void;
}) {
  const house = useUnits();
  const { composition } = doc;
  const { mark, damage } = blendLimits(composition);
  const temp = (c: number) => formatForHouse('temperature', c, house);
  const set = (i: number, part: Partial<(typeof composition)[number]>) =>
    onChange({ composition: composition.map((share, j) => (i === j ? { ...share, ...part } : share)) });
  return (
    <Part name="Fibres" hint="The weakest of 5 % or more sets the limits.">
      {composition.map((part, i) => (
        <div key={i} className="col-span-6 grid grid-cols-[1fr_6rem_3rem] items-start gap-x-5">
          <ChoiceField
            label={i === 0 ? 'Fibre' : 'and'}
            value={part.fibre}
            options={FIBRE_IDS.map((value) => ({ value, text: FIBRES[value].name }))}
            onChange={(fibre) => set(i, { fibre })}
          />
          <NumberField label="Share, %" value={part.percent} onChange={(percent) => set(i, { percent })} />
          {composition.length > 1 ? (
            <button
              type="button"
              className="act act-quiet mt-6"
              aria-label={`Take ${FIBRES[part.fibre].name} out`}
              onClick={() => onChange({ composition: composition.filter((_, j) => j !== i) })}
            >
              ✕
            </button>
          ) : (
            <span />
          )}
        </div>
      ))}
      <div className="col-span-6 flex items-center gap-4">
        <button
          type="button"
          className="act act-quiet"
          onClick={() =>
            onChange({
              composition: [
                ...composition,
                { fibre: FIBRE_IDS.find((id) => !composition.some((share) => share.fibre === id)) ?? 'cotton', percent: 5 },
              ],
            })
          }
        >
          + fibre
        </button>
        {problem ? (
          <span role="alert" className="text-brick">
            {problem}
          </span>
        ) : (
          mark &&
          damage && (
            <span className="label">
              may mark from {temp(mark.limitC)} ({FIBRES[mark.fibre].name}), harm from {temp(damage.limitC)} ({FIBRES[damage.fibre].name}),
              held 15 s
            </span>
          )
        )}
      </div>
    </Part>
  );
}
