/** The bench: today's orders as a queue, each with its lamp and its one next step. */

import { useEffect, useRef, useState } from 'react';
import type { BenchRow } from '../../contract';
import { stationHref } from '../../core/log';
import { dayText, dueText, isoDayText, workText } from '../../ui/days';
import { Lamp } from '../../ui/Lamp';
import { LeftOut } from '../../ui/LeftOut';
import { PieceMark } from '../../ui/PieceMark';
import { Island, Pending, useRoute } from '../../ui/query';
import { Teach } from '../../ui/Teach';
import { lampWords, measureWords, savedWords } from '../../ui/worthWords';

export function Bench() {
  return (
    <Island>
      <Queue />
    </Island>
  );
}

const hrefOf = ({ orderId, next }: BenchRow) => stationHref(orderId, next.station, next);

const STEP_OF: Record<string, number> = { ArrowDown: 1, j: 1, ArrowUp: -1, k: -1 };

/** Arrow keys and J, K walk the queue. */
function useWalk() {
  const list = useRef<HTMLOListElement>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.target instanceof HTMLElement && event.target.matches('input, textarea, select')) return;
      const step = STEP_OF[event.key] ?? 0;
      const links = [...(list.current?.querySelectorAll<HTMLAnchorElement>('a[data-next]') ?? [])];
      if (step === 0 || links.length === 0) return;
      event.preventDefault();
      const at = links.indexOf(document.activeElement as HTMLAnchorElement);
      links[at === -1 ? 0 : Math.min(links.length - 1, Math.max(0, at + step))]?.focus();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, []);
  return list;
}

function Queue() {
  const { data, error } = useRoute('bench', {});
  const list = useWalk();
  // the rail is on every page: what it knows is here already
  const isBeginning = Boolean(useRoute('rail', {}).data?.firstHour);
  if (!data) return <Pending error={error} what="the queue" />;
  const today = new Date(data.today);
  return (
    <div className="mx-auto max-w-[77.5rem] px-5 pt-4 narrow:px-4 narrow:pt-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4 pb-2">
        <h1>
          {dayText(today)}{' '}
          <span className="text-lg font-normal text-soft">
            {data.orders.length === 1 ? 'one order' : `${data.orders.length} orders`} on the bench
          </span>
        </h1>
        <span className="flex gap-2">
          <a className="act act-quiet" href="/day-end">
            End of the day
          </a>
          <a className="act" href="/orders#new">
            New order
          </a>
        </span>
      </div>
      {data.orders.length === 0 && (
        <Teach
          drawing="order"
          act={
            <>
              <a className={`act ${isBeginning ? '' : 'act-main'}`} href="/orders#new">
                Start an order
              </a>
              {isBeginning && (
                <a className="act act-main" href="/first-hour">
                  Set up the shop, step by step
                </a>
              )}
            </>
          }
        >
          <h2>Nothing on the bench.</h2>
          <p>Start an order: what blank, which transfer, how many, by when. The settings, how sure they are, and why follow from that.</p>
        </Teach>
      )}
      <LeftOut of={data.unreadable} />
      <ol ref={list}>
        {data.orders.map((row, i) => (
          <QueueRow key={row.orderId} row={row} first={i === 0} today={today} />
        ))}
      </ol>
      {data.orders.length > 0 && <WorthMeasuring />}
    </div>
  );
}

/** From so many pieces on a measurement is worth a line on the bench. */
const WORTH_TELLING = 0.5;

/** The measurement that would save most of the open work, where one would. */
function WorthMeasuring() {
  const [isAsked, setIsAsked] = useState(false);
  return (
    <div className="max-w-[90ch] py-3" aria-live="polite">
      {isAsked ? (
        <BestMeasured />
      ) : (
        <button type="button" className="act act-quiet" onClick={() => setIsAsked(true)}>
          Which press is worth measuring first?
        </button>
      )}
    </div>
  );
}

function BestMeasured() {
  const { data, error } = useRoute('measuringWorth', {});
  if (!data) return <Pending error={error} what="every open print, for every way a survey may come out" />;
  const [best] = data.worth;
  if (!best || best.saved < WORTH_TELLING) return <p>None: hardly a piece of what is open would be saved by it.</p>;
  return (
    <p>
      <a href={`/presses?on=${best.pressId}`}>Measuring {best.pressName}</a> is worth it: {measureWords(best).toLowerCase()}, about{' '}
      <span className="figure">{best.minutes}</span> min, saves {savedWords(best)} of the open work; {lampWords(best)}.
    </p>
  );
}

function QueueRow({ row, first, today }: { row: BenchRow; first: boolean; today: Date }) {
  const left = row.pieces - row.good;
  const late = dueText(row.due, today).includes('late');
  return (
    <li className="rule-top grid grid-cols-[7.5rem_minmax(0,1fr)_14rem_8rem_12rem] items-center gap-x-5 py-1 max-[62rem]:grid-cols-[1fr_auto] max-[62rem]:gap-y-1.5 max-[62rem]:py-3">
      <div className="leading-tight max-[62rem]:order-1 max-[62rem]:flex max-[62rem]:items-baseline max-[62rem]:gap-2">
        <div className={`text-lg font-bold ${late ? 'text-brick' : ''}`}>{dueText(row.due, today)}</div>
        <div className="label">{isoDayText(row.due)}</div>
      </div>
      <div className="flex min-w-0 items-center gap-3 leading-tight max-[62rem]:order-first max-[62rem]:col-span-2">
        {row.pieces > 0 && <PieceMark orderId={row.orderId} lineId={row.next.lineId ?? undefined} />}
        <div className="min-w-0">
          <a
            href={stationHref(row.orderId, 'lines')}
            className="block text-lg font-bold text-ink no-underline hover:underline max-[62rem]:py-2.5 pointer-coarse:py-2"
          >
            {row.name}
          </a>
          <div>
            {row.what || 'no lines yet'} <span className="label">{row.customer && `· ${row.customer}`}</span>
          </div>
        </div>
      </div>
      <div className="max-[62rem]:order-3 max-[62rem]:col-span-2">
        <Progress row={row} left={left} />
      </div>
      <div className="max-[62rem]:order-2">
        {row.pieces > 0 ? <Lamp state={row.lamp} cautions={row.cautions} /> : <span className="label">no card yet</span>}
      </div>
      <a data-next className={`act max-[62rem]:order-4 max-[62rem]:col-span-2 ${first ? 'act-main' : ''}`} href={hrefOf(row)}>
        {row.next.verb}
      </a>
    </li>
  );
}

function Progress({ row, left }: { row: BenchRow; left: number }) {
  const share = row.pieces > 0 ? Math.min(1, row.good / row.pieces) : 0;
  return (
    <div className="leading-tight">
      <div>
        <span className="figure">{left}</span> to press
        {row.minutesLeft >= 1 && left > 0 ? <span className="text-soft">, about {workText(row.minutesLeft)}</span> : null}
      </div>
      <svg width="100%" height="8" className="my-1" aria-hidden="true">
        <rect width="100%" height="8" fill="none" stroke="var(--color-ink)" />
        <rect width={`${share * 100}%`} height="8" fill="var(--color-ink)" />
      </svg>
      {row.good + row.spoiled > 0 && (
        <div className="label">
          <span className="figure">{row.good}</span> good
          {row.spoiled > 0 ? (
            <>
              , <span className="figure">{row.spoiled}</span> spoiled
            </>
          ) : null}
        </div>
      )}
    </div>
  );
}
