/** After the run: what happened against the plan, what was spoiled and why, what to change next time, each by one click, and what to press next. */

import type { RunReply } from '../../contract';
import { stationHref } from '../../core/log';
import { afterRun, hasDesigns, partCounts, partsOf, standing } from '../../core/run';
import { useKeys } from '../../ui/keys';
import { useRoute } from '../../ui/query';
import { AfterTimes } from './AfterTimes';
import { GoOn } from './GoOn';
import { DropSetting, KeepSetting } from './NextTime';
import type { LiveRun } from './useRun';
import { useRunKeys } from './useRunKeys';

export function AfterSheet({ reply, run }: { reply: RunReply; run: LiveRun }) {
  const { card } = reply;
  const { state, counts } = run;
  const house = useRoute('house', {}).data?.house ?? {};
  const after = afterRun(card, state, reply.run.startedAt, house);
  const last = standing(run.events).at(-1);
  const undo = () => last && run.happen({ kind: 'undone', of: last.id });
  const keys = useKeys();
  useRunKeys({ [keys.undo]: undo });
  return (
    <section className="flex flex-1 flex-col py-4" aria-label="After the run">
      <h1 className="text-6xl" data-done>
        {state.stopped ? 'Stopped' : 'All pressed'}: {counts.good} good, {counts.spoiled} spoiled.
      </h1>
      <p className="pt-2 text-2xl text-night-soft">
        <span className="figure">{after.minutes.toFixed(1)}</span> min at the press
        {after.tookPerPiece !== null && (
          <>
            ; <span className="figure">{after.tookPerPiece.toFixed(1)}</span> min a piece, the card expected{' '}
            <span className="figure">{after.plannedPerPiece.toFixed(1)}</span>
          </>
        )}
        .
      </p>
      <div className="grid grid-cols-2 gap-12 pt-6 max-[56.25rem]:order-1 max-[56.25rem]:grid-cols-1">
        <div>
          {after.times.length === 0 && <p className="text-xl">The press was not closed.</p>}
          {after.times.length > 0 && (
            <AfterTimes
              caption="Closings"
              plan="as set"
              off="off by 2 s"
              rows={after.times.map((time) => ({ ...time, what: time.stage }))}
            />
          )}
          {after.peels.length > 0 && (
            <AfterTimes
              plan="carded"
              caption="Peels, from the opening on; early: by 5 s"
              off="late or early"
              rows={after.peels.map((peel) => ({ ...peel, what: peel.peel }))}
            />
          )}
        </div>
        <div>
          <h2 className="text-night-soft">What went wrong</h2>
          {after.spoiled.length + after.laidBack.length + after.lost.length === 0 && (
            <p className="pt-2 text-xl">Nothing was spoiled or laid back.</p>
          )}
          <ul className="m-0 list-none p-0 pt-1 text-xl">
            {after.spoiled.map(({ reason, pieces }) => (
              <li key={reason} className="border-b border-night-line py-1.5">
                {reason}: piece {pieces.join(', ')}
              </li>
            ))}
            {after.lost.map(({ eventId, lost, reason, piece }) => (
              <li key={eventId} className="border-b border-night-line py-1.5">
                {lost} lost, {reason}: for piece {piece}
              </li>
            ))}
            {after.laidBack.length > 0 && (
              <li className="border-b border-night-line py-1.5">laid back and pressed again: piece {after.laidBack.join(', ')}</li>
            )}
          </ul>
          {reply.also.length > 0 && <ByOrder reply={reply} run={run} />}
          <h2 className="pt-6 text-night-soft">Next time</h2>
          {after.changes.length + after.doubted.length === 0 && (
            <p className="pt-2 text-xl">
              Nothing was set otherwise than carded.{counts.spoiled > 1 ? ' What was spoiled teaches the card through the log.' : ''}
            </p>
          )}
          {after.changes.map((change) => (
            <KeepSetting key={`${change.stage} ${change.of} ${change.value}`} reply={reply} next={change} endedAt={state.lastAt} />
          ))}
          {after.doubted.map((doubtedSetting) => (
            <DropSetting key={doubtedSetting.setting.of} reply={reply} doubted={doubtedSetting} />
          ))}
        </div>
      </div>
      <GoOn reply={reply} state={state}>
        <a className="act border-night-line text-white" href={stationHref(reply.run.orderId, 'record')}>
          See the record
        </a>
        <button type="button" className={`act border-night-line text-white ${last ? '' : 'opacity-40'}`} disabled={!last} onClick={undo}>
          Undo last step <span className="key">{keys.undo.toUpperCase()}</span>
        </button>
      </GoOn>
    </section>
  );
}

/** What of a batch was pressed for which order, or of a closing which designs; each with its record. */
function ByOrder({ reply, run }: { reply: RunReply; run: LiveRun }) {
  const parts = partsOf(reply.run);
  const head = hasDesigns(reply.run) ? 'By design' : 'By order';
  return (
    <>
      <h2 className="pt-6 text-night-soft">{head}</h2>
      <ul className="m-0 list-none p-0 pt-1 text-xl" aria-label={head}>
        {partCounts(reply.run, run.state.results).map(({ good, spoiled, left }, i) => {
          const { orderId = '', lineId = '', printKey = '' } = parts[i] ?? {};
          const { orderName, card } = reply.also[i - 1] ?? reply;
          return (
            <li key={`${orderId} ${lineId} ${printKey}`} className="border-b border-night-line py-1.5">
              <a className="text-white" href={stationHref(orderId, 'record')}>
                {hasDesigns(reply.run) ? card.of.artName : `${orderName}, ${card.of.size}`}
              </a>
              : <span className="figure">{good}</span> good
              {spoiled > 0 && `, ${spoiled} spoiled`}
              {left > 0 && `, ${left} left`}
            </li>
          );
        })}
      </ul>
    </>
  );
}
