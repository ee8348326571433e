/** The shelf: every transfer's window and every fabric's limits on the app's one temperature axis; found, copied, changed, retired. */

import { useState } from 'react';
import type { ShelfReply } from '../../contract';
import type { ShelfKind } from '../../core/sheet';
import { FAMILIES, FAMILY_IDS } from '../../core/sheet';
import { formatDuration, formatForHouse, type HouseUnits } from '../../core/units';
import { Check } from '../../ui/Check';
import type { DrawingName } from '../../ui/Drawing';
import { isoDay, isoDayText } from '../../ui/days';
import { Fault } from '../../ui/Fault';
import { TextField } from '../../ui/Field';
import { useUnits } from '../../ui/house';
import { LeftOut } from '../../ui/LeftOut';
import { Island, Pending, useRoute } from '../../ui/query';
import { Teach } from '../../ui/Teach';
import { useNarrow } from '../../ui/useNarrow';
import { goTo } from '../shell/goTo';
import { AxisHead, AxisRow } from './AxisRow';
import { AidDetail, BlankDetail, FabricDetail, ParcelDetail, ProductDetail, TestedDetail } from './Details';
import { InAndOut } from './InAndOut';
import { found, isKind, KINDS, kindOf, type Things } from './kinds';
import { byMark, byWindow, fabricMark, type Mark, productMark } from './marks';
import { type ParcelState, parcelState } from './parcelWords';
import { useThing } from './useThing';

interface ShelfProps {
  initialKind: string | null;
  initialOn: string | null;
  initialWords: string;
}

export function Shelf(props: ShelfProps) {
  return (
    <Island>
      <ShelfPage {...props} />
    </Island>
  );
}

interface Row {
  id: string;
  name: string;
  detail: string;
  mark: Mark;
  /** Said in the place of a mark. */
  says?: { says: string; isWrong: boolean };
}

/** Rows of a kind, in the order that tells most. */
function rowsOf(
  shelf: ShelfReply,
  kind: ShelfKind,
  { words, retired }: { words: string; retired: boolean },
  units: HouseUnits,
  parcels: readonly ParcelState[],
): Row[] {
  const gone = (thing: { retiredOn?: string | undefined }) => (thing.retiredOn ? `not used since ${isoDayText(thing.retiredOn)} · ` : '');
  switch (kind) {
    case 'products':
      return byWindow(found(shelf, 'products', words, retired)).map((product) => ({
        id: product.id,
        name: product.name,
        detail: `${gone(product)}${FAMILIES[product.familyId].name}`,
        mark: productMark(product),
      }));
    case 'fabrics':
      return byMark(found(shelf, 'fabrics', words, retired)).map((fabric) => ({
        id: fabric.id,
        name: fabric.name,
        detail: `${gone(fabric)}${fabric.substrate === 'cloth' ? `${formatForHouse('arealMass', fabric.massGsm, units)}, ${fabric.texture}` : fabric.substrate}`,
        mark: fabricMark(fabric),
      }));
    case 'blanks':
      return found(shelf, 'blanks', words, retired).map((blank) => ({
        id: blank.id,
        name: blank.name,
        detail: `${gone(blank)}${blank.kind}, ${blank.colour}`,
        mark: fabricMark(
          shelf.fabrics.find((fabric) => fabric.id === blank.fabricId),
          blank,
        ),
      }));
    case 'aids':
      return found(shelf, 'aids', words, retired).map((aid) => ({
        id: aid.id,
        name: aid.name,
        detail: `${gone(aid)}${aid.serves}, ${aid.wear}`,
        mark: null,
      }));
    case 'parcels':
      return (
        found(shelf, 'parcels', words, retired)
          .map((parcel) => ({
            id: parcel.id,
            name: parcel.name,
            detail: `${gone(parcel)}${[parcel.supplier, parcel.lies].filter(Boolean).join(' · ')}`,
            mark: null,
            says: parcelState(
              parcel,
              parcels.find(({ id }) => id === parcel.id),
            ),
          }))
          // what is wrong comes first
          .sort((a, b) => Number(b.says.isWrong) - Number(a.says.isWrong))
      );
    case 'tested':
      return found(shelf, 'tested', words, retired).map((tested) => ({
        id: tested.id,
        name: shelf.products.find(({ id }) => id === tested.productId)?.name ?? tested.name,
        detail: `${gone(tested)}${tested.result} on ${shelf[tested.on.kind === 'blank' ? 'blanks' : 'fabrics'].find(({ id }) => id === tested.on.id)?.name ?? '?'}`,
        mark: { kind: 'point', tempC: tested.setC, says: formatDuration(tested.timeS) },
      }));
  }
}

const HEADINGS: Record<ShelfKind, string> = {
  products: 'by the window of their press stage, at the platen’s surface',
  fabrics: 'by what their weakest fibre bears for 15 s',
  blanks: 'by what their material bears for 15 s, or their own test',
  aids: 'what lies over and under',
  tested: 'what was set, and how it came out',
  parcels: 'what is left in each, and what is wanted of it',
};

function ShelfPage({ initialKind, initialOn, initialWords }: ShelfProps) {
  const { data, error } = useRoute('shelf', {});
  const [kind, setKind] = useState<ShelfKind>(isKind(initialKind) ? initialKind : 'products');
  const [chosen, setChosen] = useState<string | null>(initialOn);
  const [words, setWords] = useState(initialWords);
  const [retired, setRetired] = useState(false);
  const [moving, setMoving] = useState(() => location.hash === '#lists');
  const parcels = useRoute('parcels', {}, kind === 'parcels').data?.parcels ?? [];
  const narrow = useNarrow();
  const units = useUnits();
  const unit = units.temperature;
  if (!data) return <Pending error={error} what="the shelf" />;
  const rows = rowsOf(data, kind, { words, retired }, units, parcels);
  const on = rows.find((row) => row.id === chosen)?.id ?? rows[0]?.id ?? null;
  const test = kind === 'tested' ? data.tested.find(({ id }) => id === on) : undefined;
  const atPress = test ? `?press=${test.pressId}` : '';
  return (
    <div className="mx-auto max-w-[77.5rem] px-5 pt-4 narrow:px-4">
      <div className="flex flex-wrap items-center gap-x-1 narrow:flex-nowrap narrow:overflow-x-auto narrow:whitespace-nowrap">
        <h1 className="pr-4">Shelf</h1>
        {KINDS.map((listed) => (
          <button
            key={listed.kind}
            type="button"
            aria-pressed={listed.kind === kind}
            onClick={() => setKind(listed.kind)}
            className={`min-h-12 border-b-4 px-3 ${listed.kind === kind ? 'border-teal font-bold' : 'border-transparent'}`}
          >
            {listed.many} <span className="figure text-soft">{found(data, listed.kind, '', false).length}</span>
          </button>
        ))}
        <span className="flex-1" />
        <a className="act act-quiet" href="/shelf/which">
          Which transfer for this?
        </a>
        <button type="button" className="act act-quiet" aria-expanded={moving} onClick={() => setMoving(!moving)}>
          Export, import
        </button>
      </div>
      {moving && <InAndOut kind={kind} />}
      <LeftOut of={data.unreadable} />
      <div className="grid grid-cols-[minmax(0,1fr)_19rem] gap-8 pt-2 min-[75rem]:grid-cols-[minmax(0,1fr)_23rem] narrow:flex narrow:flex-col-reverse narrow:gap-4">
        <div>
          <div className="flex flex-wrap items-start gap-x-5">
            <div className="w-52 min-[75rem]:w-72 narrow:w-full">
              <TextField label={`Find among ${kindOf(kind).many.toLowerCase()}`} type="search" value={words} onChange={setWords} />
            </div>
            <div className="pt-6 narrow:pt-0">
              <Check on={retired} onChange={setRetired}>
                also what is no longer used
              </Check>
            </div>
            <span className="flex-1" />
            <NewThing kind={kind} />
          </div>
          <div className="rule-bottom flex flex-col narrow:flex-col-reverse narrow:pt-4">
            {kind !== 'aids' && kind !== 'parcels' && rows.length > 0 && <AxisHead unit={unit} />}
            <div className="flex items-baseline gap-4 pb-1 narrow:flex-wrap">
              <h2>
                {kindOf(kind).many} <span className="font-normal text-soft">{HEADINGS[kind]}</span>
              </h2>
              <span className="flex-1" />
              {(kind === 'tested' || kind === 'products') && (
                <a className="inline-flex min-h-11 items-center" href={`/shelf/matrix${atPress}`}>
                  Transfers on fabrics
                </a>
              )}
            </div>
          </div>
          {rows.length === 0 &&
            (words ? (
              <p className="max-w-prose py-6">Nothing among the {kindOf(kind).many.toLowerCase()} has all of these words.</p>
            ) : (
              <Teach drawing={EMPTY[kind]?.drawing ?? 'sheet'}>
                {EMPTY[kind]?.says ?? `No ${kindOf(kind).one} yet. Add one from its supplier’s sheet, or import a list.`}
              </Teach>
            ))}
          {rows.map((row) => (
            <AxisRow
              key={row.id}
              name={row.name}
              detail={row.detail}
              mark={row.mark}
              unmarked={row.says ?? (kind === 'aids' ? '' : 'no fibres: the transfer’s sheet alone decides')}
              on={row.id === on}
              onChoose={() => {
                setChosen(row.id);
                if (narrow) window.scrollTo({ top: 0 });
              }}
              unit={unit}
            />
          ))}
        </div>
        {/* on a phone the list comes first; what is chosen in it takes its place over it */}
        {on && (!narrow || chosen !== null) && (
          <Detail key={on} shelf={data} kind={kind} id={on} parcels={parcels} onGone={() => setRetired(true)} />
        )}
      </div>
    </div>
  );
}

/** What a list without a row teaches, where it is more than how to add one. */
const EMPTY: Partial<Record<ShelfKind, { drawing: DrawingName; says: string }>> = {
  tested: {
    drawing: 'piece',
    says: 'No tested setting yet. Keep one from a good piece in the Log, or write down what was pressed: the next card of that transfer on that material starts from it.',
  },
  parcels: {
    drawing: 'parcel',
    says: 'No parcel yet. Write one down as you order it, or as it comes: the set-up of a run then says where it lies, what is left in it, and what nobody has looked at.',
  },
};

/** A new thing; a transfer starts from its family's general figures. */
function NewThing({ kind }: { kind: ShelfKind }) {
  if (kind !== 'products')
    return (
      <a className="act mt-6 narrow:mt-0" href={`/shelf/${kind}/new`}>
        New {kindOf(kind).one}
      </a>
    );
  return (
    <label className="block w-60">
      <span className="label mb-1 block">New transfer, starting from</span>
      <select className="entry" value="" onChange={(event) => event.target.value && goTo(`/shelf/products/new?from=${event.target.value}`)}>
        <option value="">its family …</option>
        {FAMILY_IDS.map((id) => (
          <option key={id} value={id}>
            {FAMILIES[id].name}
          </option>
        ))}
      </select>
    </label>
  );
}

interface DetailProps {
  shelf: ShelfReply;
  kind: ShelfKind;
  id: string;
  parcels: readonly ParcelState[];
  onGone: () => void;
}

function Detail({ shelf, kind, id, parcels, onGone }: DetailProps) {
  const thing = (shelf[kind] as unknown as Things[ShelfKind][]).find((candidate) => candidate.id === id) ?? null;
  const { save, fault } = useThing(kind, thing, shelf.versions[id]);
  if (!thing) return null;
  const retire = async () => {
    const { retiredOn, ...rest } = thing;
    if (await save((retiredOn ? rest : { ...rest, retiredOn: isoDay(new Date()) }) as Things[ShelfKind])) if (!retiredOn) onGone();
  };
  return (
    <aside
      className="sticky top-4 max-h-[calc(100vh-8rem)] self-start overflow-auto narrow:static narrow:max-h-none narrow:self-stretch"
      aria-label="Detail"
    >
      <div className="flex gap-1 pb-2">
        <a className="act" href={`/shelf/${kind}/${id}`}>
          Change
        </a>
        <a className="act act-quiet" href={`/shelf/${kind}/new?from=${id}`}>
          Copy
        </a>
        <button type="button" className="act act-quiet" onClick={() => void retire()}>
          {thing.retiredOn ? 'Use again' : 'Stop using'}
        </button>
      </div>
      <Fault of={fault} className="border-l-4 border-brick pl-3 text-brick" />
      {kind === 'products' && <ProductDetail product={thing as Things['products']} />}
      {kind === 'fabrics' && <FabricDetail fabric={thing as Things['fabrics']} />}
      {kind === 'blanks' && (
        <BlankDetail
          blank={thing as Things['blanks']}
          fabric={shelf.fabrics.find((fabric) => fabric.id === (thing as Things['blanks']).fabricId)}
        />
      )}
      {kind === 'aids' && <AidDetail aid={thing as Things['aids']} all={shelf.aids} />}
      {kind === 'parcels' && (
        <ParcelDetail
          parcel={thing as Things['parcels']}
          product={shelf.products.find(({ id: product }) => product === (thing as Things['parcels']).productId)?.name ?? '?'}
          state={parcels.find((parcel) => parcel.id === id)}
        />
      )}
      {kind === 'tested' && <TestedDetail tested={thing as Things['tested']} />}
    </aside>
  );
}
