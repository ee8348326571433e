/** The head of an order: its name, due day, and its stations as a line that is navigation and progress at once. */

import type { ReactNode } from 'react';
import { finishedPieces, lineLamp } from '../../core/log';
import { dueText, isoDayText } from '../../ui/days';
import type { OrderState } from './useOrder';

const STATIONS = [
  { id: 'lines', text: 'Lines', path: '' },
  { id: 'card', text: 'Card', path: '/card' },
  { id: 'place', text: 'Place', path: '/place' },
  { id: 'run', text: 'Run', path: '/run' },
  { id: 'record', text: 'Record', path: '/record' },
] as const;

/** What of a line and print an address carries on to the next station. */
const onLine = (lineId: string | null, printKey: string | null): string =>
  lineId ? `?line=${encodeURIComponent(lineId)}${printKey ? `&print=${encodeURIComponent(printKey)}` : ''}` : '';

/** Whether a station has what it needs behind it. */
function passed(station: string, { lines }: OrderState): boolean {
  if (lines.length === 0) return false;
  if (station === 'lines') return true;
  if (station === 'card' || station === 'place') return lines.every((line) => lineLamp(line).state !== 'hold');
  return lines.every((line) => finishedPieces(line) >= line.count);
}

export function OrderHead({
  state,
  station,
  lineId,
  printKey = null,
  children,
}: {
  state: OrderState;
  station: (typeof STATIONS)[number]['id'];
  lineId: string | null;
  /** The print that is looked at; null: the station picks. */
  printKey?: string | null;
  children?: ReactNode;
}) {
  const { order } = state;
  return (
    <div className="rule-bottom flex min-h-16 items-center gap-6 px-5 py-2">
      <div className="min-w-0 flex-1 leading-tight">
        <h1 className="truncate text-xl">{order.name}</h1>
        <div className="label">
          due {isoDayText(order.due)}, {dueText(order.due, new Date())}
        </div>
      </div>
      <nav aria-label="Stations" className="flex items-center">
        {STATIONS.map(({ id, text, path }, i) => (
          <span key={id} className="flex items-center">
            {i > 0 && (
              <span aria-hidden="true" className={`h-0.5 w-6 ${passed(STATIONS[i - 1]?.id ?? '', state) ? 'bg-ink' : 'bg-line'}`} />
            )}
            <a
              href={`/orders/${order.id}${path}${id === 'record' ? '' : onLine(lineId, printKey)}`}
              aria-current={id === station ? 'step' : undefined}
              className={`flex min-h-12 items-center px-3 no-underline ${id === station ? 'bg-ink font-bold text-white' : 'text-ink hover:underline'}`}
            >
              {text}
            </a>
          </span>
        ))}
      </nav>
      <div className="flex min-w-44 justify-end">{children}</div>
    </div>
  );
}
