/** The run on the screen: set-up, trial, the cue with its clock and what comes next, the cooling lane, the keys, and the sheet after it. */
import { useEffect, useMemo } from 'react';
import type { RunReply } from '../../contract';
import { gateOf, leadIn, sparesOf, standing } from '../../core/run';
import { useKeys } from '../../ui/keys';
import { PieceMark } from '../../ui/PieceMark';
import { useRoute } from '../../ui/query';
import { useFetched } from '../../ui/useFetched';
import { CountsLine } from './CountsLine';
import { Pressing } from './Pressing';
import { useAwake, useLacks } from './useAwake';
import { type LiveRun, useRun } from './useRun';
import { useRunKeys } from './useRunKeys';

export function RunScreen({ reply }: { reply: RunReply }) {
  const run = useRun(reply);
  const { state, plan } = run;
  const { card } = reply;
  useAwake(!state.done);
  // fetched while the set-up is looked at, so that the run opens without it and ends with it
  useFetched(afterSheet, run.events.length > 0);
  // who came by a link on the rail is at the press now: Space and the foot switch are the run's
  useEffect(() => {
    const came = document.activeElement;
    if (came instanceof HTMLElement && came.closest('aside, nav')) came.blur();
  }, []);
  const lacks = useLacks();
  const panelC = useRoute('devices', {}).data?.devices.find((device) => device.pressId === card.of.pressId)?.press?.readoutC ?? null;
  const readoutC = panelC === null ? null : Math.round(panelC * 10) / 10;
  const { holds, parcels } = reply.run;
  const checks = useMemo(
    () => gateOf(card, { pieces: plan.pieces, pullDue: reply.pullDue, holding: holds, parcels }),
    [card, plan.pieces, reply.pullDue, holds, parcels],
  );
  const first = leadIn(card, checks, state, holds);
  const lead = useFetched(leadParts, first !== null);
  const spares = sparesOf(state, plan.pieces, parcels);
  return (
    <div data-keys="own" className="flex min-h-[calc(100vh-7rem)] flex-col px-6 pt-3 pb-14 max-[43.75rem]:px-4">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 text-night-soft">
        <span className="flex items-center gap-3">
          <PieceMark orderId={reply.run.orderId} lineId={reply.run.lineId} size={40} />
          <span>
            {reply.orderName} · {card.of.blankName} {card.of.size} · {card.of.artName}, {card.of.position}
            {reply.also.length > 0 && ` · and ${reply.also.length} more ${reply.also.length === 1 ? 'print' : 'prints'}`}
          </span>
        </span>
        <CountsLine counts={run.counts} spares={spares} />
      </div>
      {state.done ? (
        <Over reply={reply} run={run} />
      ) : first && !lead ? (
        <div className="flex-1" />
      ) : first?.state === 'set-up' && lead ? (
        <lead.Gate
          card={card}
          checks={checks}
          plan={plan}
          run={state}
          current={first.check}
          readoutC={readoutC}
          lacks={lacks}
          onFact={run.happen}
        />
      ) : first?.state === 'trial' && lead ? (
        <lead.Trial card={card} next={first.next} tries={state.tries} scrap={state.scrap} onFact={run.happen} />
      ) : (
        <Pressing reply={reply} run={run} readoutC={readoutC} />
      )}
      {first && <UndoOnly run={run} />}
    </div>
  );
}

const leadParts = () => import('./LeadIn');
const afterSheet = () => import('./AfterSheet');

/** The sheet after the run; until it is there, how the run ended. */
function Over({ reply, run }: { reply: RunReply; run: LiveRun }) {
  const after = useFetched(afterSheet, true);
  if (after) return <after.AfterSheet reply={reply} run={run} />;
  return (
    <section className="flex-1 py-4" aria-label="The run is over">
      <h1 className="text-6xl">
        {run.state.stopped ? 'Stopped' : 'All pressed'}: {run.counts.good} good, {run.counts.spoiled} spoiled.
      </h1>
      <p className="pt-3 text-2xl text-night-soft">
        The rest of this sheet comes as soon as the server answers. Every step is kept; if it does not come, load the page again.
      </p>
    </section>
  );
}

function UndoOnly({ run }: { run: LiveRun }) {
  const last = standing(run.events).at(-1);
  const undo = () => last && run.happen({ kind: 'undone', of: last.id });
  const keys = useKeys();
  useRunKeys({ [keys.undo]: undo });
  return (
    <div className="flex items-center gap-3">
      <button type="button" disabled={!last} className={`act border-night-line text-white ${last ? '' : 'opacity-40'}`} onClick={undo}>
        Undo last step <span className="key">{keys.undo.toUpperCase()}</span>
      </button>
      <button type="button" className="act border-transparent text-night-soft" onClick={() => run.happen({ kind: 'stopped' })}>
        Stop the run
      </button>
      {run.refusal && <span className="text-xl text-amber">{run.refusal}</span>}
    </div>
  );
}
