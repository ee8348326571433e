/** Station Card of an order: the worked-out pressing of one print, its lamp, its reasons, and the ways out of a Hold. */

import { type ReactNode, useState } from 'react';
import { API, type LineCard } from '../../contract';
import { lineAfter } from '../../core/advice';
import { type HouseSetting, PAPER_SIZES, withSetting } from '../../core/house';
import { lampAt } from '../../core/judgement';
import { printLeft, stationHref } from '../../core/log';
import { heated, type Line, type Print, topLayer } from '../../core/order';
import { CLOSING_NAMES } from '../../core/sheet';
import type { HouseUnits } from '../../core/units';
import { isoDay } from '../../ui/days';
import { Fault } from '../../ui/Fault';
import { useUnits } from '../../ui/house';
import { useOperator } from '../../ui/operator';
import { Island, Pending, useRoute } from '../../ui/query';
import { useHouse } from '../house/useHouse';
import { LineList } from '../orders/LineList';
import { OrderHead } from '../orders/OrderHead';
import { PrintTabs } from '../orders/PrintTabs';
import type { PrintPageProps } from '../orders/printPage';
import { type OrderState, useOrder } from '../orders/useOrder';
import { useStartRun } from '../run/useStartRun';
import { ArtOnPlaten } from './ArtOnPlaten';
import { BondActs } from './BondActs';
import { CardFace } from './CardFace';
import { ChoicesPanel } from './ChoicesPanel';
import { ClosingDesigns } from './ClosingDesigns';
import { FromParcels } from './FromParcels';
import { HeatWays } from './HeatWays';
import { PressWith, usePressWith } from './PressWith';
import type { StageFigure } from './StageFigures';
import { WaysOut } from './WaysOut';

export function CardView(props: PrintPageProps) {
  return (
    <Island>
      <CardOfOrder {...props} />
    </Island>
  );
}

function CardOfOrder({ orderId, lineId, printKey }: PrintPageProps) {
  const order = useOrder(orderId);
  const cards = useRoute('orderCards', { params: { id: orderId } });
  const house = useUnits();
  const [operator, setOperator] = useOperator();
  const operators = useRoute('house', {}).data?.house.operators ?? [];
  const run = useStartRun(orderId);
  const { data } = order;
  const at = printAt(data, lineId, printKey);
  const isFree = at !== null && at.openRunId === null && at.left > 0;
  const batch = useRoute(
    'pressTogether',
    { params: { id: orderId }, query: { line: at?.line.id ?? '', print: at?.print.key ?? '' } },
    isFree,
  );
  const pressWith = usePressWith((isFree && batch.data?.prints) || NO_PRINTS);
  if (!data || !cards.data) return <Pending error={order.error ?? cards.error} what="the card" />;
  const worked = cards.data.cards.find((card) => card.lineId === at?.line.id && card.printKey === at.print.key);
  if (!at || !worked) {
    return (
      <>
        <OrderHead state={data} station="card" lineId={null} />
        <p className="m-6">
          This order has no line yet. <a href={stationHref(orderId, 'lines')}>Add a line</a> and its card stands here.
        </p>
      </>
    );
  }
  const { line, print, openRunId } = at;
  const start = () =>
    run.start({
      lineId: line.id,
      printKey: print.key,
      openRunId,
      operator: operators.includes(operator) ? operator : '',
      also: pressWith.also,
    });
  const done = at.left === 0;
  const hrefOf = (id: string, key?: string) => stationHref(orderId, 'card', { lineId: id, printKey: key });
  return (
    <>
      <OrderHead state={data} station="card" lineId={line.id} printKey={print.key}>
        {worked.card.lamp.state !== 'hold' && (
          <span className="flex items-center gap-3">
            {operators.length > 0 && !openRunId && (
              <select
                aria-label="Pressed by"
                className="entry w-24"
                value={operators.includes(operator) ? operator : ''}
                onChange={(event) => setOperator(event.target.value)}
              >
                <option value="">by …</option>
                {operators.map((initials) => (
                  <option key={initials} value={initials}>
                    {initials}
                  </option>
                ))}
              </select>
            )}
            <button type="button" className="act act-main whitespace-nowrap" disabled={done} onClick={() => void start()}>
              {done ? 'All pressed' : openRunId ? 'Back to the press' : 'Start pressing'}
            </button>
          </span>
        )}
      </OrderHead>
      <div className="narrow:flex narrow:flex-col">
        <ClosingDesigns line={line} current={print.key} cards={cards.data.cards} hrefOf={(key) => hrefOf(line.id, key)} />
        {worked.card.lamp.state !== 'hold' && <PressWith {...pressWith.panel} orderId={orderId} unit={worked.card.window.settable.unit} />}
        <Fault of={run.fault ?? order.fault} className="mx-5 mt-3 border-l-4 border-brick pl-3 text-brick" />
        <div className="grid min-h-[calc(100vh-11.5rem)] grid-cols-[17rem_minmax(0,1fr)] narrow:block">
          <LineList
            state={data}
            current={line.id}
            blankName={(id) => cards.data.cards.find((card) => card.card.of.blankId === id)?.card.of.blankName ?? id}
            hrefOf={(id) => hrefOf(id)}
          />
          <article className="min-w-0 px-6 pt-4 narrow:px-4" aria-label="Card">
            <CardSheet
              key={`${line.id} ${print.key} ${worked.card.set.tempC} ${worked.card.set.lowerC}`}
              worked={worked}
              line={line}
              print={print}
              left={at.left}
              house={house}
              save={order.saveLine}
              heatHref={`/heat-bench?${new URLSearchParams({ order: orderId, line: line.id, print: print.key })}`}
              aside={
                <CardTabs
                  line={line}
                  current={print.key}
                  hrefOf={(key) => hrefOf(line.id, key)}
                  paperHref={`${API}/orders/${orderId}/card.pdf?line=${line.id}&print=${print.key}`}
                />
              }
            />
          </article>
        </div>
      </div>
    </>
  );
}

const NO_PRINTS: [] = [];

/** The print that is looked at, the first where none is named: how many of it are left, and its run. */
function printAt(data: OrderState | undefined, lineId: string | null, printKey: string | null) {
  const line = data?.order.lines.find((line) => line.id === lineId) ?? data?.order.lines[0];
  const print = line?.prints.find((print) => print.key === printKey) ?? line?.prints[0];
  if (!line || !print) return null;
  const progress = data?.lines.find((progress) => progress.lineId === line.id);
  const openRunId = progress?.prints.find((printed) => printed.printKey === print.key)?.openRunId ?? null;
  return { line, print, openRunId, left: progress ? printLeft(progress, print.key) : line.count };
}

/** The prints of the piece, and the card on paper. */
function CardTabs({ paperHref, ...tabs }: { line: Line; current: string; hrefOf: (key: string) => string; paperHref: string }) {
  return (
    <div className="flex shrink-0 items-center gap-1 narrow:flex-wrap">
      <PrintTabs {...tabs} />
      <span className="label pl-2">Print:</span>
      {PAPER_SIZES.map((paper) => (
        <a key={paper} className="act act-quiet font-normal underline" href={`${paperHref}&paper=${paper}`} download>
          {paper}
        </a>
      ))}
    </div>
  );
}

interface CardSheetProps {
  worked: LineCard;
  line: Line;
  print: Print;
  /** Pieces of it left to press. */
  left: number;
  house: HouseUnits;
  save: (line: Line, what: string) => Promise<boolean>;
  heatHref: string;
  aside: ReactNode;
}

function CardSheet({ worked, line, print, left, house, save, heatHref, aside }: CardSheetProps) {
  const { card, waysOut, heatWays } = worked;
  const shelf = useRoute('shelf', {});
  const presses = useRoute('presses', {});
  const [setC, setSetC] = useState(card.set.tempC);
  const moved = Math.abs(setC - card.set.tempC) > 1e-6;
  const choose = (choices: Print['choices'], what: string) =>
    save(
      { ...line, prints: line.prints.map((otherPrint) => (otherPrint.key === print.key ? { ...otherPrint, choices } : otherPrint)) },
      what,
    );
  const shop = useHouse();
  const keepFigure = ({ stage, ...figure }: StageFigure, use: Pick<HouseSetting, 'pressId' | 'productId'>) => {
    if (!shop.data) return;
    const setting: HouseSetting = { ...figure, ...use, ...(stage && { stage }), on: isoDay(new Date()), good: 0, spoiled: 0 };
    const what = stage ? CLOSING_NAMES[stage].toLowerCase() : figure.of;
    void shop.save(withSetting(shop.data.house, setting), `${what} kept by the house`);
  };
  const { setC: _, ...given } = print.choices;
  const product = shelf.data?.products.find((product) => product.id === topLayer(print).productId);
  const press = presses.data?.presses.find((press) => press.press.id === print.pressId)?.press;
  return (
    <CardFace
      card={card}
      house={house}
      setC={setC}
      lamp={moved ? lampAt(card, setC) : card.lamp}
      onMove={setSetC}
      aside={aside}
      platen={press && <ArtOnPlaten card={card} press={press} print={print} house={house} />}
    >
      <HandleActs
        moved={moved}
        byHand={card.set.byHand}
        onKeep={() => void choose({ ...print.choices, setC }, 'set value moved by hand')}
        onDrop={() => setSetC(card.set.tempC)}
        onBack={() => void choose(given, 'set value given back to the card')}
      />
      <BondActs card={card} heatHref={heatHref} onTime={(timeS) => void choose({ ...print.choices, timeS }, 'time from the bond taken')} />
      {shelf.data && <FromParcels card={card} left={left} products={shelf.data.products} />}
      {(card.lamp.state === 'hold' || waysOut.length > 0) && (
        <WaysOut
          ways={waysOut}
          isHold={card.lamp.state === 'hold'}
          blankId={line.blankId}
          onTake={({ change }) => void save(lineAfter(line, print.key, change), 'way out taken')}
        />
      )}
      <HeatWays
        ways={heatWays}
        unit={card.window.settable.unit}
        onTake={(heat) => void choose(heated(print.choices, heat), heat === 'split' ? 'split heat chosen' : 'heat from above chosen')}
      />
      {product && press && (
        <ChoicesPanel
          print={print}
          product={product}
          press={press}
          stages={card.stages}
          lowerC={card.set.lowerC}
          houseSettings={(shop.data?.house.settings ?? []).filter(
            (setting) => setting.pressId === press.id && setting.productId === product.id,
          )}
          onChoose={(choices, what) => void choose(choices, what)}
          onKeep={(figure) => keepFigure(figure, { pressId: press.id, productId: product.id })}
        />
      )}
      <Fault of={shop.fault} className="text-brick" />
    </CardFace>
  );
}

interface HandleActsProps {
  moved: boolean;
  byHand: boolean;
  onKeep: () => void;
  onDrop: () => void;
  onBack: () => void;
}

function HandleActs({ moved, byHand, onKeep, onDrop, onBack }: HandleActsProps) {
  if (!moved && !byHand) return null;
  return (
    <div className="flex items-center gap-3 pb-2">
      {moved ? (
        <>
          <button type="button" className="act" onClick={onKeep}>
            Save this set value
          </button>
          <button type="button" className="act act-quiet" onClick={onDrop}>
            Reset
          </button>
        </>
      ) : (
        <>
          <span className="label">Set by hand.</span>
          <button type="button" className="act act-quiet underline" onClick={onBack}>
            Let the card choose again
          </button>
        </>
      )}
    </div>
  );
}
