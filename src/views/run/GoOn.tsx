/** What of the order is pressed next with the least change at the press, and what is set otherwise for it. Its children are the acts beside. */
import { type ReactNode, useState } from 'react';
import type { RunReply } from '../../contract';
import { changesBetween } from '../../core/advice';
import { nextPrint, stationHref } from '../../core/log';
import { onlyPersonOf } from '../../core/order';
import { asLeft, type RunState } from '../../core/run';
import { Fault } from '../../ui/Fault';
import { useOperator } from '../../ui/operator';
import { useRoute } from '../../ui/query';
import { Says } from '../../ui/Says';
import { useRunKeys } from './useRunKeys';
import { useStartRun } from './useStartRun';

/** The press of Space that ended the run, doubled by a slip, starts no other, ms. */
const SLIP_MS = 1500;

export function GoOn({ reply, state, children }: { reply: RunReply; state: RunState; children: ReactNode }) {
  const { orderId, lineId, printKey } = reply.run;
  const order = useRoute('order', { params: { id: orderId } }).data;
  const cards = useRoute('orderCards', { params: { id: orderId } }).data?.cards;
  const operators = useRoute('house', {}).data?.house.operators ?? [];
  const [operator] = useOperator();
  const [shownAt] = useState(() => performance.now());
  const { start, fault } = useStartRun(orderId);
  const { lines = [], goesBy } = order?.order ?? {};
  const kits = useRoute('orderKit', { params: { id: orderId } }, goesBy === 'person').data?.people;
  const person = onlyPersonOf(lines, reply.card.of.roster);
  const next = order && nextPrint(lines, order.lines, { lineId, printKey }, { goesBy, kits, person });
  const card = cards?.find((card) => card.lineId === next?.line.id && card.printKey === next?.print.key)?.card;
  const look = next && next.lamp !== 'clear' ? stationHref(orderId, 'card', { lineId: next.line.id, printKey: next.print.key }) : null;
  const go = () => {
    if (next && !look && performance.now() - shownAt > SLIP_MS)
      void start({
        lineId: next.line.id,
        printKey: next.print.key,
        person: next.person,
        operator: operators.includes(operator) ? operator : '',
      });
  };
  useRunKeys({ ' ': go });
  if (!next || !card) return <div className="flex gap-4 pt-8">{children}</div>;
  const changes = changesBetween(asLeft(reply.card, state), card);
  return (
    <section aria-label="Next" className="mt-6 border-t-2 border-night-line pt-4">
      <h2 className="text-3xl">
        Next{next.person && ` for ${next.person.number} ${next.person.name}`.trimEnd()}: <span className="figure">{next.left}</span> ×{' '}
        {card.of.blankName} {card.of.size}, {card.of.position}
      </h2>
      <ul className="m-0 list-none p-0 pt-1 text-xl">
        {changes.length === 0 && <li>Everything stays as it is set.</li>}
        {changes.map((words) => (
          <li key={JSON.stringify(words)} className="py-0.5">
            <Says words={words} />
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-4 pt-3">
        {look ? (
          <a className="act border-amber bg-amber text-print" href={look}>
            See its card first: {next.cautions} {next.cautions === 1 ? 'caution' : 'cautions'}
          </a>
        ) : (
          <button type="button" data-cue="go on" className="act min-h-14 border-amber bg-amber px-8 text-xl text-print" onClick={go}>
            Go on with it <span className="key">Space</span>
          </button>
        )}
        {children}
      </div>
      <Fault of={fault} className="pt-2 text-xl text-amber" />
    </section>
  );
}
