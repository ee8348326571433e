/** The Heat bench: a stack and a setting tried before a piece is spoiled, with the curves at the glue and what they come to. */
import { lazy, Suspense, useState } from 'react';
import type { Reply } from '../../contract';
import type { BenchStack, Print } from '../../core/card';
import type { StackLayer } from '../../core/heat';
import { bandOf, type Press, usualPress } from '../../core/press';
import { formatDuration, formatQuantity, type HouseUnits, houseUnit } from '../../core/units';
import { didUndoably } from '../../ui/acts';
import { useUnits } from '../../ui/house';
import { QuantityField } from '../../ui/QuantityField';
import { errorWords, Island, Pending, useRoute } from '../../ui/query';
import { useOrder } from '../orders/useOrder';
import { goTo } from '../shell/goTo';
import { HeatChart, type Limit } from './HeatChart';
import { Indices } from './Indices';
import { Loss } from './Loss';
import { StackEditor } from './StackEditor';
import { useReckoned } from './useReckoned';
import {
  atSet,
  isCovered,
  laidIn,
  MOST_VARIANTS,
  takenOut,
  VARIANT_NAMES,
  type Variant,
  variantOf,
  withPassage,
  withPiece,
} from './variant';

// each is fetched when it is first shown
const FirstPieces = lazy(() => import('./FirstPieces').then((m) => ({ default: m.FirstPieces })));
const PickStack = lazy(() => import('./PickStack').then((m) => ({ default: m.PickStack })));
const Practice = lazy(() => import('./Practice').then((m) => ({ default: m.Practice })));
const SweepPanel = lazy(() => import('./SweepPanel').then((m) => ({ default: m.SweepPanel })));

/** @param search where the stack is from: order, line, print; or blank, product, press; practice=1 */
export function HeatBench({ search }: { search: string }) {
  const asked = new URLSearchParams(search);
  return (
    <Island>
      <Suspense fallback={<p className="m-6 label">Fetching the bench …</p>}>
        {asked.get('practice') ? (
          <Practice />
        ) : asked.get('order') ? (
          <FromOrder order={asked.get('order') ?? ''} line={asked.get('line') ?? ''} print={asked.get('print') ?? ''} />
        ) : (
          <FromShelf asked={asked} />
        )}
      </Suspense>
    </Island>
  );
}

function FromOrder({ order: id, line: lineId, print: printKey }: { order: string; line: string; print: string }) {
  const order = useOrder(id);
  const heat = useRoute('orderHeat', { params: { id }, query: { line: lineId, print: printKey } });
  const line = order.data?.order.lines.find((one) => one.id === lineId);
  const print = line?.prints.find((one) => one.key === printKey);
  if (!heat.data || !line || !print) return <Pending error={order.error ?? heat.error} what="the stack" />;
  const send = async (choices: Print['choices']) => {
    const kept = await order.saveLine(
      { ...line, prints: line.prints.map((one) => (one.key === printKey ? { ...one, choices: { ...one.choices, ...choices } } : one)) },
      'setting from the Heat bench taken',
    );
    if (kept) goTo(`/orders/${id}/card?line=${lineId}&print=${printKey}`);
  };
  return (
    <Bench
      key={`${id} ${lineId} ${printKey}`}
      stack={heat.data.stack}
      title={`${order.data?.order.name ?? ''}, ${print.position}`}
      back={{ href: `/orders/${id}/card?line=${lineId}&print=${printKey}`, send, fault: order.fault }}
    />
  );
}

function FromShelf({ asked }: { asked: URLSearchParams }) {
  const shelf = useRoute('shelf', {});
  const presses = useRoute('presses', {});
  const own = { blank: asked.get('blank'), product: asked.get('product'), press: asked.get('press') };
  const first = usual(shelf.data, presses.data?.presses.map(({ press }) => press) ?? [], own);
  const ready = first.blank !== '' && first.product !== '' && first.press !== '';
  const heat = useRoute('shelfHeat', { query: first }, ready);
  if (!shelf.data || !presses.data) return <Pending error={shelf.error ?? presses.error} what="the shelf" />;
  const pick = <PickStack shelf={shelf.data} presses={presses.data.presses.map(({ press }) => press)} picked={first} />;
  if (!ready)
    return (
      <div className="p-5">
        <h1>Heat bench</h1>
        <p className="max-w-prose py-3">
          Here a pressing is tried before a piece is spoiled. It needs a press, a blank and a transfer: <a href="/presses">add a press</a>{' '}
          and <a href="/shelf">fill the shelf</a> first.
        </p>
      </div>
    );
  if (!heat.data)
    return (
      <div className="p-5">
        {pick}
        <Pending error={heat.error} what="the stack" />
      </div>
    );
  return <Bench key={JSON.stringify(first)} stack={heat.data.stack} title="From the shelf" pick={pick} />;
}

const VIEWS = [
  { view: 'curves', name: 'Over time' },
  { view: 'map', name: 'Map of two inputs' },
  { view: 'first', name: 'First pieces of a day' },
] as const;
type View = (typeof VIEWS)[number]['view'];

type Picked = { blank: string; product: string; press: string };

/** What was asked for; where nothing was, a soft blank with a transfer made for it on its usual press. */
function usual(shelf: Reply<'shelf'> | undefined, presses: readonly Press[], asked: { [K in keyof Picked]: string | null }): Picked {
  const there = <T extends { retiredOn?: string | undefined }>(all: readonly T[] = []) => all.filter((one) => !one.retiredOn);
  const fabricOf = (id: string | undefined) => shelf?.fabrics.find((one) => one.id === id);
  const blanks = there(shelf?.blanks);
  const blank =
    blanks.find((one) => one.id === asked.blank) ?? blanks.find((one) => fabricOf(one.fabricId)?.substrate === 'cloth') ?? blanks[0];
  const substrate = fabricOf(blank?.fabricId)?.substrate;
  const products = there(shelf?.products);
  const fitting = products.find((one) => substrate !== undefined && one.substrates.includes(substrate)) ?? products[0];
  return {
    blank: blank?.id ?? '',
    product: asked.product ?? fitting?.id ?? '',
    press: asked.press ?? usualPress(there(presses), blank?.kind === 'cap')?.id ?? '',
  };
}

interface Back {
  href: string;
  send: (choices: Print['choices']) => Promise<void>;
  fault: unknown;
}

function Bench({ stack, title, back, pick }: { stack: BenchStack; title: string; back?: Back; pick?: React.ReactNode }) {
  const house = useUnits();
  const shelf = useRoute('shelf', {});
  const [variants, setVariants] = useState<Variant[]>([variantOf(stack)]);
  const [current, setCurrent] = useState(0);
  const [view, setView] = useState<View>('curves');
  const { answers, fault, busy } = useReckoned(variants, current, stack);
  const variant = variants[current] ?? variants[0];
  if (!variant) return null;
  /** Puts a change on the bench, and its undo on the rail. */
  const change = (next: Variant, what: string) => {
    const before = variants;
    setVariants(variants.map((one, i) => (i === current ? next : one)));
    didUndoably({ what, undo: async () => setVariants(before) });
  };
  const fabrics: StackLayer[] = (shelf.data?.fabrics ?? [])
    .filter((one) => !one.retiredOn)
    .map((one) => ({ role: 'fabric', name: one.name, ...one.thermal, thicknessMm: one.thicknessMm }));
  const shown = answers?.columns[current] ?? answers?.columns[0];
  return (
    <div className="px-5 pt-3">
      <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <div className="min-w-0">
          <h1>Heat bench</h1>
          <p className="text-soft">
            <span className="font-semibold text-ink">{stack.blankName}</span> · {stack.productName} · {stack.press.name} ·{' '}
            {back ? (
              <a className="underline" href={back.href}>
                {title}
              </a>
            ) : (
              title
            )}
          </p>
        </div>
        <div className="flex items-center gap-2">
          <a className="act act-quiet underline" href="/heat-bench?practice=1">
            Practice
          </a>
          {back && <SendBack back={back} stack={stack} variant={variant} />}
        </div>
      </div>
      {pick}
      {back?.fault ? (
        <p role="alert" className="text-brick">
          {errorWords(back.fault)}
        </p>
      ) : null}
      <div className="grid grid-cols-[17.5rem_1fr] gap-7 pt-3 min-[1200px]:grid-cols-[19rem_1fr]">
        <div>
          <Variants {...{ variants, current, setVariants, setCurrent }} />
          <StackEditor variant={variant} fabrics={fabrics} onChange={change} />
          <Settings variant={variant} stack={stack} house={house} onChange={change} />
        </div>
        <div className="min-w-0">
          {fault && (
            <p role="alert" className="mb-2 border-l-4 border-brick pl-3 text-brick">
              {fault}
            </p>
          )}
          {answers && shown && (
            <Loss
              answers={answers}
              variant={variant}
              stack={stack}
              house={house}
              current={current}
              onTake={(timeS) => change(withPassage(variant, { timeS }), `${formatDuration(timeS)} taken`)}
            />
          )}
          <div className="flex gap-1" role="tablist" aria-label="What is shown">
            {VIEWS.map(({ view: one, name }) => (
              <button
                key={one}
                type="button"
                role="tab"
                aria-selected={view === one}
                className={`min-h-12 border-b-4 px-3 ${view === one ? 'border-teal font-bold' : 'border-transparent'}`}
                onClick={() => setView(one)}
              >
                {name}
              </button>
            ))}
            <span className="label ml-auto self-center">{busy ? 'reckoning …' : 'estimates: a test piece knows better'}</span>
          </div>
          <Suspense fallback={<p className="label p-4">Fetching …</p>}>
            {view === 'map' ? (
              <SweepPanel variant={variant} stack={stack} house={house} />
            ) : view === 'first' ? (
              <FirstPieces variant={variant} house={house} />
            ) : answers && shown ? (
              <>
                <HeatChart
                  seen={shown.seen}
                  others={answers.columns.filter((one) => one !== shown)}
                  limits={limitsOf(variant)}
                  house={house}
                />
                <Indices columns={answers.columns} house={house} />
              </>
            ) : (
              !fault && <p className="label p-4">Reckoning …</p>
            )}
          </Suspense>
        </div>
      </div>
    </div>
  );
}

const limitsOf = ({ ask: { limits, adhesive } }: Variant): Limit[] => [
  { name: 'glue softens', tempC: adhesive.softenC },
  ...(limits.markC === null ? [] : [{ name: 'may mark, 15 s', tempC: limits.markC }]),
  ...(limits.damageC === null ? [] : [{ name: 'harm, 15 s', tempC: limits.damageC }]),
  ...(limits.dyeC === null ? [] : [{ name: 'dye moves, 15 s', tempC: limits.dyeC }]),
];

/** Up to three things tried beside each other. */
function Variants({
  variants,
  current,
  setVariants,
  setCurrent,
}: {
  variants: Variant[];
  current: number;
  setVariants: (next: Variant[]) => void;
  setCurrent: (i: number) => void;
}) {
  return (
    <section className="flex items-center gap-1 pb-2" aria-label="Variants">
      {variants.length > 1 &&
        variants.map((_, i) => (
          <button
            key={VARIANT_NAMES[i]}
            type="button"
            aria-pressed={i === current}
            className={`min-h-12 min-w-12 border-b-4 px-2 ${i === current ? 'border-teal font-bold' : 'border-transparent'}`}
            onClick={() => setCurrent(i)}
          >
            {VARIANT_NAMES[i]}
          </button>
        ))}
      {variants.length < MOST_VARIANTS && (
        <button
          type="button"
          className="act act-quiet whitespace-nowrap underline"
          onClick={() => {
            const copy = variants[current];
            if (!copy) return;
            setVariants([...variants, copy]);
            setCurrent(variants.length);
          }}
        >
          Try another
        </button>
      )}
      {variants.length > 1 && (
        <button
          type="button"
          className="act act-quiet whitespace-nowrap underline"
          onClick={() => {
            const before = variants;
            setVariants(variants.filter((_, i) => i !== current));
            setCurrent(0);
            didUndoably({ what: `variant ${VARIANT_NAMES[current]} dropped`, undo: async () => setVariants(before) });
          }}
        >
          Drop {VARIANT_NAMES[current]}
        </button>
      )}
    </section>
  );
}

function Settings({
  variant,
  stack,
  house,
  onChange,
}: {
  variant: Variant;
  stack: BenchStack;
  house: HouseUnits;
  onChange: (next: Variant, what: string) => void;
}) {
  const { passage, piece } = variant.ask;
  const unit = stack.press.unit;
  const first = houseUnit('temperature', house).first;
  const field = { house, kind: 'temperature' as const };
  const keep = (value: number | null, take: (value: number) => void) => value !== null && take(value);
  const { cover } = stack;
  const covered = isCovered(variant);
  return (
    <section aria-label="Setting" className="pt-3">
      <h2 className="pb-1">Setting</h2>
      {cover.asked === 'allowed' && (
        <label className="flex min-h-12 items-center gap-3">
          <input
            type="checkbox"
            className="size-6"
            checked={covered}
            onChange={() => {
              const at = piece.stack.findIndex(({ role }) => role === 'cover');
              onChange(covered ? takenOut(variant, at) : laidIn(variant, cover.layer), covered ? 'cover taken off' : 'cover laid over it');
            }}
          />
          {cover.layer.name} over it
        </label>
      )}
      <div className="grid grid-cols-2 gap-x-3">
        <QuantityField
          {...field}
          label="Set to"
          unit={unit}
          value={variant.setC}
          min={stack.press.minC}
          max={stack.press.maxC}
          onChange={(value) => keep(value, (c) => onChange(atSet(variant, stack, c), 'set value tried'))}
        />
        <QuantityField
          label="Time"
          kind="duration"
          house={house}
          unit="s"
          value={passage.timeS}
          min={0.5}
          max={3600}
          onChange={(value) => keep(value, (timeS) => onChange(withPassage(variant, { timeS }), 'time tried'))}
        />
        <QuantityField
          label="Pressure"
          kind="contactPressure"
          house={house}
          unit={houseUnit('contactPressure', house).first}
          value={piece.contactKPa}
          min={1}
          max={200}
          onChange={(value) => keep(value, (contactKPa) => onChange(withPiece(variant, { contactKPa }), 'pressure tried'))}
        />
        <QuantityField
          label="Pre-press"
          kind="duration"
          house={house}
          unit="s"
          value={passage.prePressS}
          min={0}
          max={600}
          onChange={(value) => keep(value, (prePressS) => onChange(withPassage(variant, { prePressS }), 'pre-press tried'))}
        />
        <QuantityField
          {...field}
          label="Base"
          unit={first}
          value={piece.baseC}
          min={-10}
          max={250}
          onChange={(value) => keep(value, (baseC) => onChange(withPiece(variant, { baseC }), 'base tried'))}
        />
        <QuantityField
          {...field}
          label="Room"
          unit={first}
          value={piece.roomC}
          min={-10}
          max={50}
          onChange={(value) => keep(value, (roomC) => onChange(withPiece(variant, { roomC }), 'room tried'))}
        />
      </div>
      <p className="label">Surface at this setting: {formatQuantity(bandOf(stack.press, variant.setC).midC, unit)}</p>
    </section>
  );
}

/** The setting goes back to the card it came from: only what a card can be told. */
function SendBack({ back, stack, variant }: { back: Back; stack: BenchStack; variant: Variant }) {
  const { passage } = variant.ask;
  const choices: Print['choices'] = {
    ...(Math.abs(passage.timeS - stack.set.timeS) > 0.05 && { timeS: Math.round(passage.timeS * 10) / 10 }),
    ...(Math.abs(variant.setC - stack.set.tempC) > 0.05 && { setC: variant.setC }),
    ...(stack.cover.asked === 'allowed' && isCovered(variant) !== stack.cover.on && { cover: isCovered(variant) }),
  };
  const words = [
    choices.cover === undefined ? null : choices.cover ? 'the cover' : 'no cover',
    choices.timeS === undefined ? null : formatDuration(choices.timeS),
    choices.setC === undefined ? null : formatQuantity(choices.setC, stack.press.unit),
  ].filter((one) => one !== null);
  return (
    <button type="button" className="act act-main" disabled={words.length === 0} onClick={() => void back.send(choices)}>
      {words.length === 0 ? 'As on the card' : `Take ${words.join(' and ')} to the card`}
    </button>
  );
}
