/** One pressing: how it came out, what was really done, the card as it was, and the way to do it again. */

import { useState } from 'react';
import { call, type Reply } from '../../contract';
import { stationHref } from '../../core/log';
import { instantText } from '../../ui/days';
import { Fault } from '../../ui/Fault';
import { useUnits } from '../../ui/house';
import { PieceMark } from '../../ui/PieceMark';
import { Island, Pending, useRoute } from '../../ui/query';
import { Says } from '../../ui/Says';
import { useWrite, write } from '../../ui/write';
import { CardFace } from '../card/CardFace';
import { goOnceKept } from '../shell/goTo';
import { KeepTested } from './KeepTested';
import { PlacedForm } from './PlacedForm';
import { Outcome, PressingDetail } from './PressingTable';
import { RescueForm } from './RescueForm';

export function PressingPage({ id }: { id: string }) {
  return (
    <Island>
      <PressingOf id={id} />
    </Island>
  );
}

function PressingOf({ id }: { id: string }) {
  const { data, error } = useRoute('pressing', { params: { id } });
  const house = useUnits();
  if (!data) return <Pending error={error} what="the pressing" />;
  const { pressing: p, card } = data;
  return (
    <div className="mx-auto max-w-[77.5rem] px-5 pt-4">
      <div className="flex flex-wrap items-start gap-6 pb-3 narrow:items-center narrow:gap-3">
        {card && <PieceMark orderId={p.orderId} lineId={p.lineId} size={64} />}
        <div className="min-w-0 flex-1 narrow:basis-[70%]">
          <h1>
            {p.orderName}, piece {p.piece}
            {p.person ? `: ${[p.person.number, p.person.name].filter(Boolean).join(' ')}` : ''}
          </h1>
          <p className="text-soft">
            <span className="figure">{instantText(p.endedAt)}</span> · {p.blankName} {p.size} · {p.artName}, {p.position} ·{' '}
            <a href={stationHref(p.orderId, 'record')}>the order’s record</a>
          </p>
        </div>
        <div className="text-lg leading-tight">
          <Outcome pressing={p} />
        </div>
        {card && <Again id={id} />}
      </div>
      <PressingDetail pressing={p} />
      {card && p.lowerC === null && <KeepTested key={`tested ${p.id}`} pressing={p} card={card} />}
      <RescueForm key={`rescue ${p.id}`} pressing={p} />
      <PlacedForm key={p.id} pressing={p} house={house} />
      <article className="rule-top mt-4 pt-3" aria-label="The card as it was">
        <h2 className="pb-2">The card as it was when it was pressed</h2>
        {card ? <CardFace card={card} house={house} /> : <p>No card came with this record: it was brought in from a list.</p>}
      </article>
    </div>
  );
}

type Repeat = Reply<'again'>;

/** A new order with the same card; what changed since stands beside it before it is made. */
function Again({ id }: { id: string }) {
  const [repeat, setRepeat] = useState<Repeat | null>(null);
  const looking = useWrite(async () => setRepeat(await call('again', { params: { id } })));
  const beginning = useWrite(({ order }: Repeat) => write('putOrder', { params: { id: order.id }, body: order }));
  const begin = (again: Repeat) => goOnceKept(beginning.save(again), stationHref(again.order.id, 'card'));
  const fault = looking.fault ?? beginning.fault;
  if (fault) return <Fault of={fault} className="max-w-sm border-l-4 border-brick pl-3 text-brick" />;
  if (!repeat)
    return (
      <button type="button" className="act act-main" onClick={() => void looking.save()}>
        Reorder
      </button>
    );
  return (
    <section className="max-w-md border-l-4 border-teal bg-sheet px-4 py-2" aria-label="Reorder">
      <h2>{repeat.changes.length === 0 ? 'Nothing has changed since.' : 'Changed since then'}</h2>
      <ul className="pb-2">
        {repeat.changes.map((change, i) => (
          <li key={i} className="py-0.5">
            <Says words={change} />
          </li>
        ))}
      </ul>
      <button type="button" className="act act-main" onClick={() => void begin(repeat)}>
        {repeat.changes.length === 0 ? 'Start the order' : 'Start the order, set as it was'}
      </button>
    </section>
  );
}
