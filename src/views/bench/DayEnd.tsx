/** End of the day: one sheet to go through in a minute before the light goes out. */
import { type ReactNode, useState } from 'react';
import { API, type Reply } from '../../contract';
import { stationHref } from '../../core/log';
import { formatDuration, formatForHouse } from '../../core/units';
import { secondsLeft, useSecondsTo } from '../../ui/clock';
import { dayText, dueText, instantText } from '../../ui/days';
import { useUnits } from '../../ui/house';
import { piecesWords } from '../../ui/pieces';
import { Island, Pending, useRoute } from '../../ui/query';

type Day = Reply<'dayEnd'>;

export function DayEnd() {
  return (
    <Island>
      <Sheet />
    </Island>
  );
}

function Sheet() {
  const { data, error } = useRoute('dayEnd', {});
  if (!data) return <Pending error={error} what="the end of the day" />;
  return (
    <div className="mx-auto max-w-3xl px-5 pt-5 pb-8">
      <h1 className="pb-3">
        End of the day <span className="text-lg font-normal text-soft">{dayText(new Date(data.now))}</span>
      </h1>
      <ol className="list-none p-0">
        <AtThePress runs={data.runs} />
        <PressesOff presses={data.presses} />
        <Backup {...data.backup} />
        <Next next={data.next} now={data.now} />
      </ol>
    </div>
  );
}

/** A point of the sheet; done: there is nothing to do for it. */
function Point({ name, isDone, children }: { name: string; isDone: boolean; children: ReactNode }) {
  return (
    <li className="rule-top grid grid-cols-[2.25rem_1fr] gap-x-2 py-4" aria-label={name}>
      <svg width="26" height="26" viewBox="0 0 26 26" role="img" aria-label={isDone ? 'done' : 'to do'} className="mt-0.5">
        <rect x="2" y="2" width="22" height="22" fill={isDone ? 'var(--color-teal)' : 'none'} stroke="currentColor" strokeWidth="2" />
        {isDone && <path d="M7 13l4.5 5L19 8" fill="none" stroke="var(--color-sheet)" strokeWidth="3" />}
      </svg>
      <div className="min-w-0">
        <h2 className="text-lg">{name}</h2>
        {children}
      </div>
    </li>
  );
}

function AtThePress({ runs }: Pick<Day, 'runs'>) {
  const now = useSecondsTo(runs.flatMap(({ left }) => left?.cooling.map(({ until }) => until) ?? []));
  return (
    <Point name="Pieces at the press" isDone={runs.length === 0}>
      {runs.length === 0 && <p>None: every piece that was begun has been looked over.</p>}
      {runs.map(({ runId, orderId, lineId, name, left }) => (
        <div key={runId} className="flex flex-wrap items-center justify-between gap-x-4 py-1">
          <p className="min-w-0 flex-1 basis-60">
            <span className="font-semibold">{name}</span>: {left ? leftWords(left, now) : 'its run cannot be read'}
          </p>
          <a className="act" href={stationHref(orderId, 'run', { lineId, runId })}>
            Back to the press
          </a>
        </div>
      ))}
    </Point>
  );
}

function leftWords({ onPress, cooling, waiting, notBegun }: NonNullable<Day['runs'][number]['left']>, now: number): string {
  const words = [
    ...(onPress.length > 0 ? [`${piecesWords(onPress)} on the press`] : []),
    ...cooling.map(({ pieces, until }) => {
      const leftS = secondsLeft(until, now);
      return leftS > 0 ? `${piecesWords(pieces)} cooling, ${formatDuration(leftS)}` : `${piecesWords(pieces)} cool enough`;
    }),
    ...(waiting.length > 0 ? [`${piecesWords(waiting)} to peel or look over`] : []),
    ...(notBegun > 0 ? [`${notBegun} not begun`] : []),
  ];
  return words.join('; ');
}

/** A press is hot to the hand from here on, °C. */
const HOT_C = 50;

function PressesOff({ presses }: Pick<Day, 'presses'>) {
  const house = useUnits();
  const devices = useRoute('devices', {}).data?.devices ?? [];
  const [off, setOff] = useState<readonly string[]>([]);
  const readsOf = (id: string) => devices.find((device) => device.pressId === id)?.press?.readoutC ?? null;
  const hot = presses.filter(({ id, isUsed }) => isUsed || (readsOf(id) ?? 0) > HOT_C);
  return (
    <Point name="Presses off" isDone={hot.every(({ id }) => off.includes(id))}>
      {hot.length === 0 && <p>No press was used today.</p>}
      {hot.map(({ id, name, lastAt, isUsed }) => {
        const readC = readsOf(id);
        const says = [
          lastAt !== null ? `last piece ${instantText(lastAt)}` : isUsed ? 'in use' : 'not used today',
          ...(readC === null ? [] : [`its panel reads ${formatForHouse('temperature', readC, house, 0)}`]),
        ];
        return (
          <label key={id} className="flex min-h-12 items-center gap-3">
            <input
              type="checkbox"
              className="size-6 accent-teal"
              checked={off.includes(id)}
              onChange={(event) => setOff(event.target.checked ? [...off, id] : off.filter((other) => other !== id))}
            />
            <span>
              <span className="font-semibold">{name}</span> is off and open
              <span className="label block">{says.join('; ')}</span>
            </span>
          </label>
        );
      })}
      {hot.length > 0 && (
        <p className="mt-1 border-l-4 border-amber pl-3" data-safety>
          Platen and base burn for a good while after: leave it open, nothing on it, as its maker says.
        </p>
      )}
    </Point>
  );
}

function Backup({ at, pressedSince, isDue }: Day['backup']) {
  return (
    <Point name="Backup" isDone={!isDue}>
      <div className="flex flex-wrap items-center justify-between gap-x-4">
        <p>
          {at === null ? 'None was made yet' : `The last was made ${instantText(at)}`}
          {pressedSince > 0 && (
            <>
              ; <span className="figure">{pressedSince}</span> {pressedSince === 1 ? 'piece' : 'pieces'}
              {at === null ? '' : ' since then'} {pressedSince === 1 ? 'is' : 'are'} on this computer alone
            </>
          )}
          .
        </p>
        <a className={`act ${isDue ? 'act-main' : ''}`} href={`${API}/backup`} download>
          Make a backup
        </a>
      </div>
    </Point>
  );
}

function Next({ next, now }: Pick<Day, 'next' | 'now'>) {
  return (
    <Point name="First thing tomorrow" isDone={next.length === 0}>
      {next.length === 0 && <p>Nothing is late, and nothing is due today or tomorrow.</p>}
      {next.map(({ orderId, name, due, left, next: step }) => (
        <div key={orderId} className="flex flex-wrap items-center justify-between gap-x-4 py-1">
          <p>
            <span className="font-semibold">{name}</span>, due {dueText(due, new Date(now))}: <span className="figure">{left}</span> to
            press
          </p>
          <a className="act" href={stationHref(orderId, step.station, step)}>
            {step.verb}
          </a>
        </div>
      ))}
    </Point>
  );
}
