/** Station Card of an order: the worked-out pressing of one line, its lamp, its reasons, and the ways out of a Hold. */
import { useState } from 'react';
import { call, type LineCard } from '../../contract';
import type { Card, Field, Line } from '../../core/card';
import { lampAt, takeWayOut } from '../../core/card';
import type { HouseUnits } from '../../core/units';
import { forgetAct } from '../../ui/acts';
import { useUnits } from '../../ui/house';
import { newId } from '../../ui/newId';
import { errorWords, Island, Pending, refresh, useRoute } from '../../ui/query';
import { Stack } from '../../ui/Stack';
import { StageLine } from '../../ui/StageLine';
import { WindowBar } from '../../ui/WindowBar';
import { LineList } from '../orders/LineList';
import { OrderHead } from '../orders/OrderHead';
import { useOrder } from '../orders/useOrder';
import { goTo } from '../shell/goTo';
import { LampReasons } from './LampReasons';
import { Reasons } from './Reasons';
import { SetValues } from './SetValues';
import { Steps } from './Steps';
import { WaysOut } from './WaysOut';

export function CardView({ orderId, lineId }: { orderId: string; lineId: string | null }) {
  return (
    <Island>
      <CardOfOrder orderId={orderId} lineId={lineId} />
    </Island>
  );
}

function CardOfOrder({ orderId, lineId }: { orderId: string; lineId: string | null }) {
  const order = useOrder(orderId);
  const cards = useRoute('orderCards', { params: { id: orderId } });
  const house = useUnits();
  const [startFault, setStartFault] = useState<unknown>(null);
  const { data } = order;
  if (!data || !cards.data) return <Pending error={order.error ?? cards.error} what="the card" />;
  const line = data.order.lines.find((one) => one.id === lineId) ?? data.order.lines[0];
  const worked = cards.data.cards.find((one) => one.lineId === line?.id);
  if (!line || !worked) {
    return (
      <>
        <OrderHead state={data} station="card" lineId={null} />
        <p className="m-6">
          This order has no line yet. <a href={`/orders/${orderId}`}>Add a line</a> and its card stands here.
        </p>
      </>
    );
  }
  const progress = data.lines.find((one) => one.lineId === line.id);
  const start = async () => {
    const id = progress?.openRunId ?? newId();
    try {
      if (!progress?.openRunId) await call('putRun', { params: { id }, body: { orderId, lineId: line.id, operator: '' } });
      forgetAct();
      await refresh('order', 'rail');
      goTo(`/orders/${orderId}/run?line=${line.id}&run=${id}`);
    } catch (error) {
      setStartFault(error);
    }
  };
  const done = progress !== undefined && progress.good >= progress.count;
  return (
    <>
      <OrderHead state={data} station="card" lineId={line.id}>
        {worked.card.lamp.state !== 'hold' && (
          <button type="button" className="act act-main" disabled={done} onClick={() => void start()}>
            {done ? 'All pressed' : progress?.openRunId ? 'Back to the press' : 'Start pressing'}
          </button>
        )}
      </OrderHead>
      {startFault || order.fault ? (
        <p role="alert" className="mx-5 mt-3 border-l-4 border-brick pl-3 text-brick">
          {errorWords(startFault ?? order.fault)}
        </p>
      ) : null}
      <div className="grid min-h-[calc(100vh-11.5rem)] grid-cols-[17rem_1fr]">
        <LineList
          state={data}
          current={line.id}
          blankName={(id) => cards.data.cards.find((one) => one.card.of.blankId === id)?.card.of.blankName ?? id}
          hrefOf={(id) => `/orders/${orderId}/card?line=${id}`}
        />
        <CardSheet key={`${line.id} ${worked.card.set.tempC}`} worked={worked} line={line} house={house} save={order.saveLine} />
      </div>
    </>
  );
}

function CardSheet({
  worked,
  line,
  house,
  save,
}: {
  worked: LineCard;
  line: Line;
  house: HouseUnits;
  save: (line: Line, what: string) => Promise<boolean>;
}) {
  const { card, waysOut } = worked;
  const [setC, setSetC] = useState(card.set.tempC);
  const [open, setOpen] = useState<Field | null>(null);
  const moved = Math.abs(setC - card.set.tempC) > 1e-6;
  const lamp = moved ? lampAt(card, setC) : card.lamp;
  const keepMoved = () => save({ ...line, print: { ...line.print, choices: { ...line.print.choices, setC } } }, 'set value moved by hand');
  const backToCard = () => {
    const { setC: _, ...choices } = line.print.choices;
    return save({ ...line, print: { ...line.print, choices } }, 'set value given back to the card');
  };
  const pressing = card.stages.find((stage) => stage.kind === 'press');
  return (
    <article className="min-w-0 px-6 pt-4" aria-label="Card">
      <Title card={card} />
      <SetValues card={card} setC={setC} house={house} lamp={lamp} open={open} onOpen={(field) => setOpen(open === field ? null : field)} />
      {open && <Reasons card={card} field={open} onClose={() => setOpen(null)} />}
      <WindowBar window={card.window} setC={setC} house={house} onMove={setSetC} />
      <HandleActs
        moved={moved}
        byHand={card.set.byHand}
        onKeep={() => void keepMoved()}
        onDrop={() => setSetC(card.set.tempC)}
        onBack={() => void backToCard()}
      />
      <LampReasons lamp={lamp} />
      {card.lamp.state === 'hold' && <WaysOut ways={waysOut} onTake={(way) => void save(takeWayOut(line, way), 'way out taken')} />}
      <section aria-label="Stages" className="rule-top mt-3 pt-3">
        <StageLine stages={card.stages} />
      </section>
      <div className="grid grid-cols-1 gap-8 pt-4 min-[1200px]:grid-cols-[22rem_1fr]">
        <section aria-label="Stack">
          <h2 className="pb-2">Under the press</h2>
          <Stack layers={pressing?.stack ?? []} faceC={card.delivered.midC} />
        </section>
        <Steps card={card} />
      </div>
    </article>
  );
}

function Title({ card }: { card: Card }) {
  const { of } = card;
  return (
    <p className="pb-1 text-soft">
      <span className="font-semibold text-ink">
        {of.blankName} {of.size}
      </span>
      , {of.fabricName} · {of.productName}, {of.position} · {of.pressName}
    </p>
  );
}

function HandleActs({
  moved,
  byHand,
  onKeep,
  onDrop,
  onBack,
}: {
  moved: boolean;
  byHand: boolean;
  onKeep: () => void;
  onDrop: () => void;
  onBack: () => void;
}) {
  if (!moved && !byHand) return null;
  return (
    <div className="flex items-center gap-3 pb-2">
      {moved ? (
        <>
          <button type="button" className="act" onClick={onKeep}>
            Keep this set value
          </button>
          <button type="button" className="act act-quiet" onClick={onDrop}>
            Put the handle back
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
