/** A parcel of bought transfers: what was ordered, what came of it and was held against the order, and the trial on scrap. */
import { PARCEL_LOOKS, type Parcel, type ParcelLook, TESTED_RESULTS } from '../../core/sheet';
import { Check } from '../../ui/Check';
import { serverNow } from '../../ui/clock';
import { instantText, isoDay } from '../../ui/days';
import { ChoiceField, TextField } from '../../ui/Field';
import { useUnits } from '../../ui/house';
import { NumberField } from '../../ui/NumberField';
import { QuantityField } from '../../ui/QuantityField';
import { useRoute } from '../../ui/query';
import { PickField } from '../orders/PickField';
import type { EditorProps } from './AidEditor';
import { Cell, Part } from './Frame';
import { parcelName } from './parcelWords';

const LOOK_WORDS: Record<ParcelLook, string> = {
  art: 'the art is as ordered',
  size: 'the size is as ordered',
  colour: 'the colour is as ordered',
  count: 'the count is as ordered',
};

const NOT_TRIED = 'not tried yet';
const RESULTS = [NOT_TRIED, ...TESTED_RESULTS].map((value) => ({ value, text: value }));

/** An empty day is none. */
const dayOrNone = (typed: string): string | null => (typed === '' ? null : typed);

export function ParcelEditor({ doc, shelf, fields, onChange }: EditorProps<Parcel>) {
  /** The name follows what is in it until somebody gives it one of its own. */
  const change = (part: Partial<Parcel>) => {
    const own = doc.name !== '' && doc.name !== parcelName(doc, shelf.products);
    onChange({ ...part, ...(!own && { name: parcelName({ ...doc, ...part }, shelf.products) }) });
  };
  return (
    <>
      <Ordered doc={doc} shelf={shelf} fields={fields} onChange={change} />
      <Came doc={doc} fields={fields} onChange={change} />
      <Tried doc={doc} fields={fields} onChange={change} />
      <Part name="Kept as">
        <Cell span={4}>
          <TextField label="Called" value={doc.name} onChange={(name) => onChange({ name })} problem={fields.name} />
        </Cell>
        <Cell span={6}>
          <TextField label="Note" value={doc.note} onChange={(note) => onChange({ note })} problem={fields.note} />
        </Cell>
      </Part>
    </>
  );
}

type Fields = Omit<EditorProps<Parcel>, 'onReplace' | 'shelf'>;

function Ordered({ doc, shelf, fields, onChange }: Fields & Pick<EditorProps<Parcel>, 'shelf'>) {
  const house = useUnits();
  const arts = (useRoute('parcels', {}).data?.arts ?? []).filter(
    ({ productId, art }) => productId === doc.productId && art.toLowerCase() !== doc.art.trim().toLowerCase(),
  );
  const side = (label: string, key: 'widthMm' | 'heightMm') => (
    <QuantityField
      label={label}
      kind="length"
      unit={house.length}
      house={house}
      value={doc[key]}
      onChange={(mm) => onChange({ [key]: mm })}
      min={1}
      max={2000}
      problem={fields[key]}
    />
  );
  return (
    <Part name="What was ordered" hint="Prints of this art and transfer are pressed from it.">
      <Cell span={3}>
        <PickField
          key={`transfer ${doc.productId}`}
          label="Transfer"
          autoFocus={doc.productId === ''}
          items={shelf.products
            .filter((product) => !product.retiredOn || product.id === doc.productId)
            .map((product) => ({ id: product.id, name: product.name, detail: product.maker }))}
          value={doc.productId || null}
          onChange={(productId) => onChange({ productId })}
          problem={fields.productId}
        />
      </Cell>
      <Cell span={3}>
        <TextField label="Art, as the orders call it" value={doc.art} onChange={(art) => onChange({ art })} problem={fields.art} />
        {arts.length > 0 && (
          <p className="flex flex-wrap items-center gap-x-2 pb-2">
            <span className="label">Open orders want</span>
            {arts.map(({ art, wanted }) => (
              <button key={art} type="button" className="act act-quiet" onClick={() => onChange({ art })}>
                {art} <span className="figure text-soft">{wanted}</span>
              </button>
            ))}
          </p>
        )}
      </Cell>
      <Cell span={3}>
        <TextField label="Supplier" value={doc.supplier} onChange={(supplier) => onChange({ supplier })} problem={fields.supplier} />
      </Cell>
      <Cell span={1}>
        <NumberField label="Ordered" whole value={doc.ordered} onChange={(ordered) => onChange({ ordered })} problem={fields.ordered} />
      </Cell>
      <Cell span={1}>
        <NumberField label="Spares" whole value={doc.spares} onChange={(spares) => onChange({ spares })} problem={fields.spares} />
      </Cell>
      <Cell span={1}>
        <NumberField
          label="On a sheet"
          whole
          value={doc.perSheet}
          onChange={(perSheet) => onChange({ perSheet })}
          problem={fields.perSheet}
        />
      </Cell>
      <Cell span={1}>{side('Width', 'widthMm')}</Cell>
      <Cell span={1}>{side('Height', 'heightMm')}</Cell>
      <Cell span={2}>
        <TextField label="Colour" value={doc.colour} onChange={(colour) => onChange({ colour })} problem={fields.colour} />
      </Cell>
      <Cell span={2}>
        <TextField
          label="Promised for"
          type="date"
          value={doc.expectedOn ?? ''}
          onChange={(day) => onChange({ expectedOn: dayOrNone(day) })}
          problem={fields.expectedOn}
        />
      </Cell>
    </Part>
  );
}

function Came({ doc, fields, onChange }: Fields) {
  const left = useRoute('parcels', {}).data?.parcels.find(({ id }) => id === doc.id)?.left ?? null;
  const { counted } = doc;
  const hasCome = doc.arrivedOn !== null;
  return (
    <Part name="What came" hint={hasCome ? '' : 'Still on its way: give the day it came, and check it against the order.'}>
      <Cell span={2}>
        <TextField
          label="Came on"
          type="date"
          value={doc.arrivedOn ?? ''}
          onChange={(day) => onChange({ arrivedOn: dayOrNone(day) })}
          problem={fields.arrivedOn}
        />
        {!hasCome && (
          <button type="button" className="act act-quiet" onClick={() => onChange({ arrivedOn: isoDay(new Date(serverNow())) })}>
            It came today
          </button>
        )}
      </Cell>
      {hasCome && (
        <>
          <Cell span={2}>
            <NumberField
              label="Counted: in it now"
              whole
              value={counted?.n ?? doc.ordered + doc.spares}
              onChange={(n) => onChange({ counted: { n, at: Math.round(serverNow()) } })}
              hint={
                counted
                  ? `counted ${instantText(counted.at)}${left !== null && left !== counted.n ? `; ${left} by what was pressed since` : ''}`
                  : 'not counted yet; this is what was ordered'
              }
              problem={fields.counted ?? fields['counted.n']}
            />
            {!counted && (
              <button
                type="button"
                className="act act-quiet"
                onClick={() => onChange({ counted: { n: doc.ordered + doc.spares, at: Math.round(serverNow()) } })}
              >
                {doc.ordered + doc.spares} are there
              </button>
            )}
          </Cell>
          <Cell span={2}>
            <TextField
              label="Day on its sheet of instructions"
              type="date"
              value={doc.sheetOn ?? ''}
              onChange={(day) => onChange({ sheetOn: dayOrNone(day) })}
              problem={fields.sheetOn}
            />
          </Cell>
          <Cell span={3}>
            <fieldset>
              <legend className="label">Checked against the order</legend>
              {PARCEL_LOOKS.map((look) => (
                <Check
                  key={look}
                  on={doc.agrees.includes(look)}
                  onChange={(on) => onChange({ agrees: PARCEL_LOOKS.filter((each) => (each === look ? on : doc.agrees.includes(each))) })}
                >
                  {LOOK_WORDS[look]}
                </Check>
              ))}
            </fieldset>
          </Cell>
          <Cell span={3}>
            <TextField label="Where it lies" value={doc.lies} onChange={(lies) => onChange({ lies })} problem={fields.lies} />
          </Cell>
        </>
      )}
    </Part>
  );
}

function Tried({ doc, fields, onChange }: Fields) {
  const { trial } = doc;
  if (doc.arrivedOn === null) return null;
  const today = isoDay(new Date(serverNow()));
  return (
    <Part name="Trial on scrap" hint="One of it, pressed as its sheet says, before any good piece.">
      <Cell span={2}>
        <ChoiceField
          label="Result"
          value={trial?.result ?? NOT_TRIED}
          options={RESULTS}
          onChange={(result) =>
            onChange({
              trial:
                result === NOT_TRIED ? null : { on: today, by: '', note: '', ...trial, result: result as (typeof TESTED_RESULTS)[number] },
            })
          }
          problem={fields.trial}
        />
      </Cell>
      {trial && (
        <>
          <Cell span={2}>
            <TextField
              label="By, initials"
              value={trial.by}
              onChange={(by) => onChange({ trial: { ...trial, by: by.toUpperCase() } })}
              problem={fields['trial.by']}
            />
          </Cell>
          <Cell span={2}>
            <TextField
              label="Day"
              type="date"
              value={trial.on}
              onChange={(on) => onChange({ trial: { ...trial, on } })}
              problem={fields['trial.on']}
            />
          </Cell>
          <Cell span={6}>
            <TextField
              label="What was seen"
              value={trial.note}
              onChange={(note) => onChange({ trial: { ...trial, note } })}
              problem={fields['trial.note']}
            />
          </Cell>
        </>
      )}
    </Part>
  );
}
