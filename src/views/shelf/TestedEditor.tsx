/** A tested setting: what was pressed on what, what was set and read, and how it came out. */
import { PEELS, pressStage, TESTED_RESULTS, type Tested } from '../../core/sheet';
import { Check } from '../../ui/Check';
import { ChoiceField, TextField } from '../../ui/Field';
import { useUnits } from '../../ui/house';
import { QuantityField } from '../../ui/QuantityField';
import { useRoute } from '../../ui/query';
import { PickField } from '../orders/PickField';
import type { EditorProps } from './AidEditor';
import { Cell, Part } from './Frame';
import { testedName } from './testedName';

const plain = <const T extends string>(values: readonly T[]) => values.map((value) => ({ value, text: value }));
const ON = [
  { value: 'blank', text: 'one blank' },
  { value: 'fabric', text: 'a fabric, for every blank of it' },
] as const;

export function TestedEditor({ doc, shelf, fields, onChange }: EditorProps<Tested>) {
  const house = useUnits();
  const presses = (useRoute('presses', {}).data?.presses ?? []).map((press) => press.press);
  const unit = presses.find(({ id }) => id === doc.pressId)?.set.unit ?? house.temperature;
  const all = { shelf, presses };
  /** The name follows what is tested until somebody gives it one of its own. */
  const change = (part: Partial<Tested>) => {
    const own = doc.name !== '' && doc.name !== testedName(doc, all);
    onChange({ ...part, ...(!own && { name: testedName({ ...doc, ...part }, all) }) });
  };
  const inUse = <T extends { id: string; name: string; retiredOn?: string | undefined }>(things: readonly T[], now: string) =>
    things.filter((thing) => !thing.retiredOn || thing.id === now);
  const product = shelf.products.find(({ id }) => id === doc.productId);
  /** What its sheet has, until something else is typed. */
  const asOnSheet = (id: string): Partial<Tested> => {
    const chosen = shelf.products.find((product) => product.id === id);
    if (!chosen || id === doc.productId) return {};
    const { timeS, peel } = pressStage(chosen);
    return { timeS: timeS.nominal, peel };
  };
  return (
    <>
      <Part name="What was pressed">
        <Cell span={3}>
          <PickField
            key={`transfer ${doc.productId}`}
            label="Transfer"
            autoFocus={doc.productId === ''}
            items={inUse(shelf.products, doc.productId).map((product) => ({ id: product.id, name: product.name, detail: product.maker }))}
            value={doc.productId || null}
            onChange={(productId) => change({ productId, ...asOnSheet(productId) })}
            problem={fields.productId}
          />
        </Cell>
        <Cell span={3}>
          <ChoiceField label="On" value={doc.on.kind} options={ON} onChange={(kind) => change({ on: { kind, id: '' } })} />
        </Cell>
        <Cell span={3}>
          <PickField
            key={`${doc.on.kind} ${doc.on.id}`}
            label={doc.on.kind === 'blank' ? 'Blank' : 'Fabric'}
            items={
              doc.on.kind === 'blank'
                ? inUse(shelf.blanks, doc.on.id).map((blank) => ({ id: blank.id, name: blank.name, detail: blank.colour }))
                : inUse(shelf.fabrics, doc.on.id).map((fabric) => ({ id: fabric.id, name: fabric.name, detail: fabric.substrate }))
            }
            value={doc.on.id || null}
            onChange={(id) => change({ on: { ...doc.on, id } })}
            problem={fields['on.id']}
          />
        </Cell>
        <Cell span={3}>
          <ChoiceField
            label="Press"
            value={doc.pressId}
            problem={fields.pressId}
            options={[
              ...(doc.pressId === '' ? [{ value: '', text: 'choose …' }] : []),
              ...inUse(presses, doc.pressId).map(({ id, name }) => ({ value: id, text: name })),
            ]}
            onChange={(pressId) => change({ pressId })}
          />
        </Cell>
      </Part>
      <Part name="Set and read">
        <Cell span={2}>
          <QuantityField
            label="Set to"
            kind="temperature"
            unit={unit}
            house={house}
            value={doc.setC}
            onChange={(setC) => setC !== null && change({ setC })}
            min={20}
            max={260}
            problem={fields.setC}
          />
        </Cell>
        <Cell span={2}>
          <QuantityField
            label="Read, if it was"
            kind="temperature"
            unit={unit}
            house={house}
            value={doc.readC}
            onChange={(readC) => change({ readC })}
            min={20}
            max={300}
            problem={fields.readC}
          />
        </Cell>
        <Cell span={2}>
          <QuantityField
            label="Time"
            kind="duration"
            unit="s"
            house={house}
            value={doc.timeS}
            onChange={(timeS) => timeS !== null && change({ timeS })}
            min={1}
            max={3600}
            problem={fields.timeS}
          />
        </Cell>
        <Cell span={2}>
          <ChoiceField label="Peeled" value={doc.peel} options={plain(PEELS)} onChange={(peel) => change({ peel })} problem={fields.peel} />
        </Cell>
        <Cell span={4}>
          <Check on={doc.offSheet} onChange={(offSheet) => change({ offSheet })}>
            {`It lies outside the sheet${product ? ` of ${product.name}` : ''}, and was pressed so`}
          </Check>
        </Cell>
      </Part>
      <Part name="How it came out">
        <Cell span={2}>
          <ChoiceField label="Result" value={doc.result} options={plain(TESTED_RESULTS)} onChange={(result) => change({ result })} />
        </Cell>
        <Cell span={2}>
          <TextField label="By, initials" value={doc.by} onChange={(by) => change({ by: by.toUpperCase() })} problem={fields.by} />
        </Cell>
        <Cell span={2}>
          <TextField label="Day" type="date" value={doc.testedOn} onChange={(testedOn) => change({ testedOn })} problem={fields.testedOn} />
        </Cell>
        <Cell span={6}>
          <TextField
            label="Note: what was looked at, washed or pulled"
            value={doc.note}
            onChange={(note) => change({ note })}
            problem={fields.note}
          />
        </Cell>
        <Cell span={6}>
          <TextField label="Called" value={doc.name} onChange={(name) => onChange({ name })} problem={fields.name} />
        </Cell>
      </Part>
    </>
  );
}
