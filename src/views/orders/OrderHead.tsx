/** The head of an order: its name, due day, and its stations as a line that is navigation and progress at once. */

import type { ReactNode } from 'react';
import { type Station, stationHref, stationsOf } from '../../core/log';
import { dueText, isoDayText } from '../../ui/days';
import { PieceMark } from '../../ui/PieceMark';
import type { OrderState } from './useOrder';

export function OrderHead({
  state,
  station,
  lineId,
  printKey = null,
  children,
}: {
  state: OrderState;
  station: Station;
  lineId: string | null;
  /** The print that is looked at; null: the station picks. */
  printKey?: string | null;
  children?: ReactNode;
}) {
  const { order, version, lines } = state;
  const stations = stationsOf(lines);
  return (
    <div className="rule-bottom flex min-h-16 items-center gap-6 px-5 py-2 print:hidden max-[64rem]:flex-wrap max-[64rem]:gap-y-1 narrow:gap-x-0 narrow:gap-y-1 narrow:px-3">
      <div className="flex min-w-0 flex-1 items-center gap-3 leading-tight max-[64rem]:basis-full">
        {order.lines.length > 0 && station === 'record' && <PieceMark orderId={order.id} lineId={lineId ?? undefined} version={version} />}
        <div className="min-w-0">
          <h1 className="text-xl">{order.name}</h1>
          <div className="label">
            due {isoDayText(order.due)}, {dueText(order.due, new Date())}
          </div>
        </div>
      </div>
      <nav aria-label="Stations" className="flex items-center narrow:w-full narrow:flex-wrap narrow:justify-between">
        {stations.map(({ id, name }, i) => (
          <span key={id} className="flex items-center">
            {i > 0 && <span aria-hidden="true" className={`h-0.5 w-6 narrow:hidden ${stations[i - 1]?.passed ? 'bg-ink' : 'bg-line'}`} />}
            <a
              href={stationHref(order.id, id, { lineId, printKey })}
              aria-current={id === station ? 'step' : undefined}
              className={`flex min-h-12 items-center px-3 no-underline narrow:px-2.5 ${id === station ? 'bg-ink font-bold text-paper' : 'text-ink hover:underline'}`}
            >
              {name}
            </a>
          </span>
        ))}
      </nav>
      {/* on a phone the next act stays under the thumb */}
      <div className="flex min-w-44 justify-end empty:hidden narrow:fixed narrow:inset-x-0 narrow:bottom-(--foot) narrow:z-10 narrow:border-t narrow:border-line narrow:bg-paper narrow:p-2 narrow:*:flex-1 narrow:*:*:[.act]:flex-1">
        {children}
      </div>
    </div>
  );
}
