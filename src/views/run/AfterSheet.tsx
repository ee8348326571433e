/** After the run: what happened against the plan, what was spoiled and why, and what to change next time, each by one click. */
import type { RunReply } from '../../contract';
import type { Print } from '../../core/card';
import { afterRun, type NextTime, standing } from '../../core/run';
import { formatDuration, formatFigure, formatQuantity } from '../../core/units';
import { useKeys } from '../../ui/keys';
import { errorWords } from '../../ui/query';
import { useOrder } from '../orders/useOrder';
import type { LiveRun } from './useRun';
import { useRunKeys } from './useRunKeys';

export function AfterSheet({ reply, run }: { reply: RunReply; run: LiveRun }) {
  const { card } = reply;
  const { state, counts } = run;
  const after = afterRun(card, state, reply.run.startedAt);
  const last = standing(run.events).at(-1);
  const undo = () => last && run.happen({ kind: 'undone', of: last.id });
  const keys = useKeys();
  useRunKeys({ [keys.undo]: undo });
  const { unit } = card.window.settable;
  return (
    <section className="flex-1 py-4" aria-label="After the run">
      <h1 className="text-6xl" data-done>
        {state.stopped ? 'Stopped' : 'All pressed'}: {counts.good} good, {counts.spoiled} spoiled.
      </h1>
      <p className="pt-2 text-2xl text-night-soft">
        <span className="figure">{after.minutes.toFixed(1)}</span> min at the press
        {after.tookPerPiece !== null && (
          <>
            ; <span className="figure">{after.tookPerPiece.toFixed(1)}</span> min a piece, the card reckoned{' '}
            <span className="figure">{after.plannedPerPiece.toFixed(1)}</span>
          </>
        )}
        .
      </p>
      <div className="grid grid-cols-2 gap-12 pt-6 max-[900px]:grid-cols-1">
        <div>
          {after.times.length === 0 && <p className="text-xl">The press was not closed.</p>}
          {after.times.length > 0 && (
            <Times caption="Closings" off="off by 2 s" rows={after.times.map((one) => ({ ...one, what: one.stage }))} />
          )}
          {after.peels.length > 0 && (
            <Times caption="Peels, from the opening on" off="late or early" rows={after.peels.map((one) => ({ ...one, what: one.peel }))} />
          )}
        </div>
        <div>
          <h2 className="text-night-soft">What went wrong</h2>
          {after.spoiled.length === 0 && after.laidBack.length === 0 && <p className="pt-2 text-xl">Nothing was spoiled or laid back.</p>}
          <ul className="m-0 list-none p-0 pt-1 text-xl">
            {after.spoiled.map(({ reason, pieces }) => (
              <li key={reason} className="border-b border-night-line py-1.5">
                {reason}: piece {pieces.join(', ')}
              </li>
            ))}
            {after.laidBack.length > 0 && (
              <li className="border-b border-night-line py-1.5">laid back and pressed again: piece {after.laidBack.join(', ')}</li>
            )}
          </ul>
          <h2 className="pt-6 text-night-soft">Next time</h2>
          {after.changes.length === 0 ? (
            <p className="pt-2 text-xl">
              Nothing was set otherwise than carded.{counts.spoiled > 1 ? ' What was spoiled teaches the card through the log.' : ''}
            </p>
          ) : (
            after.changes.map((one) => <Change key={JSON.stringify(one.change)} reply={reply} next={one} unit={unit} />)
          )}
        </div>
      </div>
      <div className="flex gap-4 pt-8">
        <a className="act border-amber bg-amber text-ink" href={`/orders/${reply.run.orderId}/record`}>
          See the record
        </a>
        <button type="button" className={`act border-night-line text-white ${last ? '' : 'opacity-40'}`} disabled={!last} onClick={undo}>
          Undo last step <span className="key">{keys.undo.toUpperCase()}</span>
        </button>
      </div>
    </section>
  );
}

const offWords = (late: number, early: number): string =>
  late + early === 0 ? 'none' : [late && `${late} late`, early && `${early} early`].filter(Boolean).join(', ');

/** A line of a table of times: as carded and as it was. */
interface TimesRow {
  what: string;
  plannedS: number;
  meanS: number;
  n: number;
  late: number;
  early: number;
}

function Times({ caption, off, rows }: { caption: string; off: string; rows: readonly TimesRow[] }) {
  return (
    <table className="mb-6 w-full table-fixed border-collapse text-left text-xl">
      <caption className="pb-1 text-left text-base font-bold text-night-soft">{caption}</caption>
      <thead className="text-base text-night-soft">
        <tr>
          {['', 'carded', 'on average', 'of', off].map((heading) => (
            <th key={heading} className="font-normal">
              {heading}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ what, plannedS, meanS, n, late, early }) => (
          <tr key={what} className="border-t border-night-line">
            <th className="py-1.5 font-normal">{what}</th>
            <td className={plannedS === 0 ? '' : 'figure'}>{plannedS === 0 ? 'at once' : formatDuration(plannedS)}</td>
            <td className="figure">{meanS < 60 ? `${formatFigure(meanS, 's', 1)} s` : formatDuration(Math.round(meanS))}</td>
            <td className="figure">{n}</td>
            <td>{offWords(late, early)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Change({ reply, next, unit }: { reply: RunReply; next: NextTime; unit: 'C' | 'F' }) {
  const { orderId, lineId, printKey } = reply.run;
  const order = useOrder(orderId);
  const line = order.data?.order.lines.find((one) => one.id === lineId);
  const print = line?.prints.find((one) => one.key === printKey);
  const words =
    'timeS' in next.change ? `Press it ${formatDuration(next.change.timeS)}` : `Set it to ${formatQuantity(next.change.setC, unit)}`;
  const stands = print && Object.entries(next.change).every(([key, value]) => print.choices[key as keyof Print['choices']] === value);
  const keep = () => {
    if (!line || !print) return;
    const changed = { ...print, choices: { ...print.choices, ...next.change } };
    void order.saveLine(
      { ...line, prints: line.prints.map((one) => (one.key === printKey ? changed : one)) },
      'setting kept for next time',
    );
  };
  return (
    <div className="flex flex-wrap items-center gap-4 pt-2 text-xl">
      <span>
        {words} from the start: {next.good} good and {next.spoiled} spoiled with it.
      </span>
      {stands ? (
        <span className="text-amber">Kept on the card.</span>
      ) : (
        <button type="button" className="act border-amber text-amber" disabled={!print} onClick={keep}>
          Keep it on the card
        </button>
      )}
      {order.fault ? (
        <p role="alert" className="basis-full text-amber">
          {errorWords(order.fault)}
        </p>
      ) : null}
    </div>
  );
}
