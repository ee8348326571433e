/** Station Lines of an order: what it is made of. */

import { type ComponentProps, useMemo } from 'react';
import { stationHref } from '../../core/log';
import type { Line } from '../../core/order';
import { useUnits } from '../../ui/house';
import { Island, Pending, useRoute } from '../../ui/query';
import { useFetched } from '../../ui/useFetched';
import { goOnceKept } from '../shell/goTo';
import type { KitEditor } from './KitEditor';
import { LineEditor } from './LineEditor';
import { LineList } from './LineList';
import { draftFrom } from './lineDraft';
import { OrderHead } from './OrderHead';
import { type OrderState, useOrder } from './useOrder';

export function Lines({ orderId, search }: { orderId: string; search: string }) {
  return (
    <Island>
      <LinesOf orderId={orderId} search={new URLSearchParams(search)} />
    </Island>
  );
}

const kitPart = () => import('./KitEditor');

const NEW = 'new';
/** Lines for a list of people. */
const KIT = 'kit';
/** What to lay out for it. */
const PICK = 'pick';

function LinesOf({ orderId, search }: { orderId: string; search: URLSearchParams }) {
  const lineId = search.get('line');
  const [use, print] = [search.get('use'), search.get('print')];
  const { data, error, fault, save, saveLine } = useOrder(orderId);
  const shelf = useRoute('shelf', {});
  const presses = useRoute('presses', {});
  const house = useUnits();
  const known = data?.order.lines.find((line) => line.id === lineId);
  const isNew = lineId === NEW || !known;
  const last = data?.order.lines.at(-1);
  // only a change of the line itself begins the draft again: what is being typed outlives every refetch
  const start = useMemo(() => draftFrom(known ?? last, isNew), [known, last, isNew]);
  if (!data || !shelf.data || !presses.data) return <Pending error={error ?? shelf.error ?? presses.error} what="the order" />;
  const { order } = data;
  const add = async (line: Line) => {
    if (!isNew) return saveLine(line, 'line changed');
    return goOnceKept(save({ ...order, lines: [...order.lines, line] }, 'line added'), stationHref(orderId, 'card', { lineId: line.id }));
  };
  const remove = () =>
    goOnceKept(
      save({ ...order, lines: order.lines.filter((line) => line.id !== known?.id) }, 'line removed'),
      stationHref(orderId, 'lines'),
    );
  const firstLine = order.lines[0];
  const makeLines = (lines: Line[]) => void goOnceKept(save({ ...order, lines }, 'lines made from a list'), stationHref(orderId, 'record'));
  const instead = insteadOfLine(lineId, data, { blanks: shelf.data.blanks, fault, onSave: makeLines });
  return (
    <>
      <OrderHead state={data} station="lines" lineId={known?.id ?? null} printKey={use ? null : print}>
        {firstLine && (
          <a className="act" href={stationHref(orderId, 'card', { lineId: known?.id ?? firstLine.id })}>
            Open the card
          </a>
        )}
      </OrderHead>
      <div className="grid min-h-[calc(100vh-11.5rem)] grid-cols-[17rem_minmax(0,1fr)] narrow:block print:block">
        <LineList
          state={data}
          current={isNew ? null : (known?.id ?? null)}
          blankName={(id) => shelf.data.blanks.find((b) => b.id === id)?.name ?? id}
          hrefOf={(id) => stationHref(orderId, 'lines', { lineId: id })}
        >
          <MoreLines orderId={orderId} on={instead ? lineId : isNew ? NEW : null} isFirst={!firstLine} />
        </LineList>
        {instead ?? (
          <LineEditor
            key={start.id}
            slot={`${orderId} ${known?.id ?? NEW}`}
            take={use && print ? { productId: use, printKey: print } : null}
            orderId={orderId}
            start={start}
            isNew={isNew}
            shelf={shelf.data}
            presses={presses.data.presses.filter(({ press }) => !press.retiredOn)}
            others={order.lines.filter((line) => line.id !== known?.id)}
            house={house}
            fault={fault}
            onSave={add}
            onRemove={known ? () => void remove() : null}
          />
        )}
      </div>
    </>
  );
}

/** Ways to further lines: one by one, or for a list of people, once there is a line to go by; and what to lay out for them. */
function MoreLines({ orderId, on, isFirst }: { orderId: string; on: string | null; isFirst: boolean }) {
  const ways = [
    { lineId: NEW, says: '+ line' },
    ...(isFirst
      ? []
      : [
          { lineId: KIT, says: '+ lines from a list of people' },
          { lineId: PICK, says: 'Pick list' },
        ]),
  ];
  return ways.map(({ lineId, says }) => (
    <a
      key={lineId}
      href={stationHref(orderId, 'lines', { lineId })}
      aria-current={on === lineId ? 'true' : undefined}
      className={`block border-l-4 px-4 py-4 font-semibold no-underline narrow:inline-block narrow:border-l-0 narrow:border-b-4 narrow:py-2.5 ${on === lineId ? 'border-teal bg-sheet' : 'border-transparent'}`}
    >
      {says}
    </a>
  ));
}

/** What stands in the place of a line where an address asks for it; null: the line itself. */
function insteadOfLine(lineId: string | null, state: OrderState, kit: Omit<ComponentProps<typeof KitPart>, 'state'>) {
  if (lineId === PICK) return <PickPart state={state} />;
  return lineId === KIT ? <KitPart state={state} {...kit} /> : null;
}

const pickPart = () => import('./PickListSheet');

function PickPart({ state }: { state: OrderState }) {
  const pick = useFetched(pickPart, true);
  const house = useUnits();
  const cards = useRoute('orderCards', { params: { id: state.order.id } });
  if (!cards.data) return <Pending error={cards.error} what="the pick list" />;
  return pick && <pick.PickListSheet state={state} cards={cards.data.cards} house={house} />;
}

/** Fetched as it is asked for: few lines are made so. */
function KitPart(props: ComponentProps<typeof KitEditor>) {
  const kit = useFetched(kitPart, true);
  return kit && <kit.KitEditor {...props} />;
}
