/** Station Place of an order: where the art goes on this blank in this size, how the piece is laid, and what to lay it by. */

import { type ReactNode, useMemo, useRef, useState } from 'react';
import { API } from '../../contract';
import { type Card, type Lettering, letteringOf } from '../../core/card';
import { layOf, laysTogether, nudged, type Pose, type PoseInput, platenOf, poseOf } from '../../core/draft';
import { stationHref } from '../../core/log';
import { isHard, sidedWords } from '../../core/materials';
import { closingOf, type Print } from '../../core/order';
import { type Fit, type Placement, TAPE_STEP_MM } from '../../core/placement';
import type { HouseUnits } from '../../core/units';
import { Fault } from '../../ui/Fault';
import { Lamp } from '../../ui/Lamp';
import { Island, Pending, useRoute } from '../../ui/query';
import { useCalm } from '../../ui/useCalm';
import { LineList } from '../orders/LineList';
import { OrderHead } from '../orders/OrderHead';
import { PrintTabs } from '../orders/PrintTabs';
import type { PrintPageProps } from '../orders/printPage';
import { useOrder } from '../orders/useOrder';
import { Guides, HandLines, Measures } from './Beside';
import { ClosingPlan } from './ClosingPlan';
import { LayActs } from './LayActs';
import { type Beside, PlacementSheet } from './PlacementSheet';
import { SizeRun } from './SizeRun';

export function PlaceView(props: PrintPageProps) {
  return (
    <Island>
      <PlaceOfOrder {...props} />
    </Island>
  );
}

function PlaceOfOrder({ orderId, lineId, printKey }: PrintPageProps) {
  const order = useOrder(orderId);
  const cards = useRoute('orderCards', { params: { id: orderId } });
  const shelf = useRoute('shelf', {});
  const presses = useRoute('presses', {});
  const house = useRoute('house', {});
  const { data } = order;
  if (!data || !cards.data || !shelf.data || !presses.data || !house.data)
    return <Pending error={order.error ?? cards.error ?? shelf.error ?? presses.error ?? house.error} what="the placement" />;
  const line = data.order.lines.find((line) => line.id === lineId) ?? data.order.lines[0];
  const print = line?.prints.find((print) => print.key === printKey) ?? line?.prints[0];
  const blank = shelf.data.blanks.find((blank) => blank.id === line?.blankId);
  const fabric = shelf.data.fabrics.find((fabric) => fabric.id === blank?.fabricId);
  const press = presses.data.presses.find((press) => press.press.id === print?.pressId)?.press;
  if (!line || !print || !blank || !fabric || !press)
    return (
      <>
        <OrderHead state={data} station="place" lineId={null} />
        <p className="m-6">
          This order has no line yet. <a href={stationHref(orderId, 'lines')}>Add a line</a>, and where its print goes stands here.
        </p>
      </>
    );
  const hrefOf = (id: string, key?: string) => stationHref(orderId, 'place', { lineId: id, printKey: key });
  const card = cards.data.cards.find((card) => card.lineId === line.id && card.printKey === print.key)?.card;
  const savePrint = (changed: Print, what: string) =>
    order.saveLine({ ...line, prints: line.prints.map((otherPrint) => (otherPrint.key === print.key ? changed : otherPrint)) }, what);
  return (
    <>
      <OrderHead state={data} station="place" lineId={line.id} printKey={print.key}>
        <a className="act act-main whitespace-nowrap" href={stationHref(orderId, 'card', { lineId: line.id, printKey: print.key })}>
          To its card
        </a>
      </OrderHead>
      <Fault of={order.fault} className="mx-5 mt-3 border-l-4 border-brick pl-3 text-brick" />
      <div className="grid min-h-[calc(100vh-11.5rem)] grid-cols-[17rem_minmax(0,1fr)] max-[68.75rem]:grid-cols-[13rem_minmax(0,1fr)] narrow:block">
        <LineList
          state={data}
          current={line.id}
          blankName={(id) => shelf.data.blanks.find((blank) => blank.id === id)?.name ?? id}
          hrefOf={(id) => hrefOf(id)}
        />
        <article className="min-w-0 px-5 pt-3 narrow:px-4" aria-label="Placement">
          <nav aria-label="Prints" className="flex gap-2">
            <PrintTabs line={line} current={print.key} hrefOf={(key) => hrefOf(line.id, key)} />
          </nav>
          <Sheet
            key={`${line.id} ${print.key}`}
            input={{ print, item: { size: line.size }, blank, fabric, press, house: house.data.house }}
            designs={closingOf(line.prints, print.key)}
            units={house.data.house.units}
            lettering={card && letteringOf(card)}
            lamp={card?.lamp.state}
            base={card?.set.base}
            guideHref={`${API}/orders/${orderId}/guide`}
            query={`line=${line.id}&print=${print.key}`}
            onSave={savePrint}
          />
          {isHard(fabric) ? (
            <ClosingPlan
              blank={blank}
              line={line}
              platen={platenOf({ print, press })}
              units={house.data.house.units}
              onUse={(perClosing) => void order.saveLine({ ...line, perClosing }, 'pieces a closing')}
            />
          ) : (
            <SizeRun
              order={data.order}
              line={line}
              print={print}
              blank={blank}
              press={press}
              units={house.data.house.units}
              onUse={(changed, what) => void order.save(changed, what)}
            />
          )}
        </article>
      </div>
    </>
  );
}

interface SheetProps {
  input: Omit<PoseInput, 'maps'>;
  /** The designs of its closing, itself among them. */
  designs: readonly Print[];
  units: HouseUnits;
  lettering: readonly Lettering[] | undefined;
  lamp: Parameters<typeof Lamp>[0]['state'] | undefined;
  /** What the card lays under the print. */
  base: Card['set']['base'] | undefined;
  guideHref: string;
  query: string;
  onSave: (print: Print, what: string) => Promise<boolean>;
}

/** Arrow keys come in bursts: they are kept when the hand rests this long, ms. */
const REST_MS = 600;
/** Figures under a moving hand change no oftener than this: sooner nobody reads them, ms. */
const TOLD_MS = 350;
const NONE = { xMm: 0, yMm: 0 };

function Sheet({ input, designs, units, lettering, base, guideHref, query, onSave, ...rest }: SheetProps) {
  const report = useRoute('pressReport', { params: { id: input.press.id } });
  const { print, blank } = input;
  const whole: PoseInput = useMemo(() => ({ ...input, maps: report.data?.maps ?? [] }), [input, report.data]);
  // a piece with several designs is laid once for all of them
  const pose = useMemo(() => {
    const lay = laysTogether(designs.map((design) => ({ ...whole, print: design })))?.[designs.findIndex(({ key }) => key === print.key)];
    return poseOf(designs.length > 1 && lay ? { ...whole, print: { ...print, lay } } : whole);
  }, [whole, print, designs]);
  const beside = useMemo(
    () =>
      designs.flatMap((design) => {
        const box = design.key === print.key ? undefined : poseOf({ ...whole, print: design }).placement?.box;
        return box ? [{ box, name: design.artName }] : [];
      }),
    [designs, print.key, whole],
  );
  if (!pose.placement)
    return (
      <p role="alert" className="my-4 max-w-[70ch] border-l-4 border-brick pl-3">
        {pose.fault?.says}{' '}
        <a className="underline" href={`/shelf/blanks/${blank.id}`}>
          Measure this blank
        </a>
      </p>
    );
  return (
    <Live {...rest} input={whole} beside={beside} pose={pose} resting={pose.placement} units={units} base={base} onSave={onSave}>
      <HandLines pose={pose} house={input.house} fabric={input.fabric} blank={blank} />
      {print.moved && (
        <button
          type="button"
          className="act act-quiet -ml-2 underline"
          onClick={() => void onSave(withoutMoved(print), 'art put back by its rule')}
        >
          Back to the usual place
        </button>
      )}
      <LayActs input={whole} pose={pose} units={units} onSave={(changed, what) => void onSave(changed, what)} />
      <Guides lettering={lettering} href={guideHref} query={query} />
    </Live>
  );
}

interface LiveProps extends Pick<SheetProps, 'units' | 'lamp' | 'base' | 'onSave'> {
  input: PoseInput;
  pose: Pose;
  /** Other designs of its closing. */
  beside: readonly Beside[];
  /** Where the art stands while no hand moves it. */
  resting: Placement;
  /** What does not change while the art is moved. */
  children: ReactNode;
}

/** The sheet, its measures and lamp, following the hand; kept when it rests. */
function Live({ input, beside, pose, resting, units, lamp, base, onSave, children }: LiveProps) {
  const { print, item, house } = input;
  const [dragged, setDragged] = useState<{ xMm: number; yMm: number } | null>(null);
  const platen = useMemo(() => platenOf(input), [input]);
  const lay = useMemo(() => layOf(pose, print.lay), [pose, print.lay]);
  const live = useMemo(() => dragged && nudged(input, pose, dragged, base), [dragged, input, pose, base]);
  const placement = live?.placement ?? resting;
  const shown = useCalm(placement, TOLD_MS);
  const fit = live?.fit ?? fitInUse(pose, base);
  const shift = ({ xMm, yMm }: { xMm: number; yMm: number }) =>
    setDragged((now) => {
      const from = now ?? print.moved ?? NONE;
      return { xMm: from.xMm + xMm, yMm: from.yMm + yMm };
    });
  const rest = useRef<ReturnType<typeof setTimeout>>(undefined);
  const keep = async (dragged: { xMm: number; yMm: number }) => {
    const { lay: _, ...free } = withoutMoved(print);
    const moved = { xMm: Math.round(dragged.xMm * 10) / 10, yMm: Math.round(dragged.yMm * 10) / 10 };
    await onSave(moved.xMm === 0 && moved.yMm === 0 ? free : { ...free, moved }, 'art moved');
    // a hand that has moved on meanwhile keeps what it holds
    setDragged((now) => (now === dragged ? null : now));
  };
  const done = (restMs: number) => {
    clearTimeout(rest.current);
    if (dragged) rest.current = setTimeout(() => void keep(dragged), restMs);
  };
  const works = fit.feasible && !placement.findings.some((finding) => finding.level === 'hold');
  return (
    <section
      aria-label="Placement sheet"
      className="grid grid-cols-[minmax(0,1fr)_19rem] gap-6 max-[60rem]:block"
      data-held={dragged !== null}
    >
      <PlacementSheet
        still={resting}
        beside={beside}
        placement={placement}
        shown={dragged ? shown : resting}
        lay={lay}
        platen={platen}
        works={works}
        house={units}
        artName={print.artName}
        stepMm={TAPE_STEP_MM[units.length] / 5}
        onShift={shift}
        onDone={(by) => done(by === 'key' ? REST_MS : 0)}
        most={560}
      />
      <div className="min-w-0">
        <h2 className="flex items-center justify-between gap-3 text-lg">
          {sidedWords(print)}, {item.size}
          {lamp && !dragged ? <Lamp state={lamp} /> : <Lamp state={works ? 'clear' : 'hold'} />}
        </h2>
        <Measures placement={dragged ? shown : resting} units={units} house={house} />
        {children}
      </div>
    </section>
  );
}

const withoutMoved = ({ moved: _, ...print }: Print): Print => print;

/** The fit as the card has it: on what it lays under the print. */
const fitInUse = ({ plain, pillow, pad }: Pose, base: Card['set']['base'] | undefined): Fit =>
  plain.feasible ? plain : ((base === 'pillow' ? pillow : base === 'firm pad' ? pad : null) ?? plain);
