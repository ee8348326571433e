/** The run on the screen: the cue, its clock, the set values, what comes next, and the keys. */
import { useLayoutEffect, useRef, useState } from 'react';
import type { RunReply } from '../../contract';
import { cueOf, standing } from '../../core/run';
import { useServerNow } from '../../ui/clock';
import { Says } from '../../ui/Says';
import { Stack } from '../../ui/Stack';
import { StageLine } from '../../ui/StageLine';
import { CountsLine } from './CountsLine';
import { DrainingBar } from './DrainingBar';
import { RunKeys } from './RunKeys';
import { RunSetValues } from './RunSetValues';
import { SpoilChoice } from './SpoilChoice';
import { useRun } from './useRun';

/** A second press of Space within this time after the last is a slip of the hand, ms. */
const SLIP_MS = 600;

export function RunScreen({ reply }: { reply: RunReply }) {
  const run = useRun(reply);
  const { state, plan, happen } = run;
  const now = useServerNow(100, state.dueAt !== null);
  const cue = cueOf(plan, state, now);
  const [spoiling, setSpoiling] = useState(false);
  const [early, setEarly] = useState(false);
  const lastAct = useRef(0);
  const last = standing(run.events).at(-1);
  const stage = reply.card.stages[state.stage];
  const next = reply.card.stages[state.stage + 1];

  const act = () => {
    if (performance.now() - lastAct.current < SLIP_MS) return;
    if (cue.act === null) {
      setEarly(cue.early !== null);
      return;
    }
    lastAct.current = performance.now();
    setEarly(false);
    happen({ kind: cue.act });
  };
  const on = {
    act,
    early: () => {
      if (!cue.early) return;
      lastAct.current = performance.now();
      setEarly(false);
      happen({ kind: cue.early });
    },
    layBack: () => cue.canLayBack && happen({ kind: 'laid back' }),
    spoil: () => cue.canSpoil && setSpoiling(true),
    undo: () => last && happen({ kind: 'undone', of: last.id }),
    stop: () => happen({ kind: 'stopped' }),
  };
  useKeys(on, spoiling);
  const done = state.phase === 'done';
  const person = reply.card.of.roster[state.piece - 1];
  return (
    <div data-keys="own" className="flex min-h-[calc(100vh-7rem)] flex-col px-6 pt-3 pb-16">
      <p className="sr-only" aria-live="assertive">
        {cue.verb}
      </p>
      <div className="flex items-baseline justify-between text-night-soft">
        <span>
          {reply.orderName} · {reply.card.of.blankName} {reply.card.of.size} · {reply.card.of.artName}, {reply.card.of.position}
        </span>
        {person && !done && (
          <span className="text-4xl leading-none font-bold text-white" data-person>
            {person.number && <span className="figure">{person.number}</span>} {person.name}
          </span>
        )}
        <CountsLine counts={run.counts} piece={state.piece} pieces={plan.pieces} done={done} />
      </div>
      {spoiling ? (
        <SpoilChoice
          onChoose={(reason, note) => {
            setSpoiling(false);
            happen({ kind: 'spoiled', reason, note });
          }}
          onCancel={() => setSpoiling(false)}
        />
      ) : (
        <>
          <button
            type="button"
            data-cue
            onClick={act}
            disabled={done}
            className="block flex-1 border-0 bg-transparent py-2 text-left text-white"
          >
            <span className="flex flex-wrap items-end justify-between gap-x-8">
              <span className="block leading-none font-bold" style={{ fontSize: 'clamp(64px, 9.5vw, 124px)' }}>
                {cue.verb}
              </span>
              {cue.leftS !== null && (
                <span className="flex items-baseline gap-3 leading-none font-semibold" style={{ fontSize: 'clamp(64px, 9.5vw, 124px)' }}>
                  <span className="figure">{Math.ceil(cue.leftS)}</span>
                  <span className="text-4xl font-normal">s</span>
                </span>
              )}
            </span>
            <DrainingBar share={cue.share} running={cue.leftS !== null} />
            <span className="block pt-2 text-2xl text-night-soft">
              {done ? `${run.counts.good} good, ${run.counts.spoiled} spoiled.` : stage ? <Says words={stage.says} /> : null}
              {!done && next ? (
                <>
                  {' '}
                  · then: <Says words={next.says} />
                </>
              ) : null}
            </span>
            <span className="block min-h-8 pt-1 text-xl text-amber">
              {run.refusal ??
                (early && cue.leftS
                  ? `${Math.ceil(cue.leftS)} s are left. Press O to end it early.`
                  : run.waiting > 3
                    ? `${run.waiting} steps wait for the server. Keep this page open.`
                    : '')}
            </span>
          </button>
          <div className="grid grid-cols-[1fr_20rem] gap-8">
            <div>
              <RunSetValues card={reply.card} />
              <div className="pt-3">
                <StageLine stages={reply.card.stages} current={done ? -1 : state.stage} dark />
              </div>
            </div>
            <Stack layers={stage?.stack ?? []} faceC={reply.card.delivered.midC} dark />
          </div>
          <RunKeys cue={cue} done={done} canUndo={Boolean(last)} orderId={reply.run.orderId} on={on} />
        </>
      )}
    </div>
  );
}

type Acts = Record<'act' | 'early' | 'layBack' | 'spoil' | 'undo' | 'stop', () => unknown>;

/** Space and Enter advance; single letters do the rest. A held key is one press. */
function useKeys(on: Acts, quiet: boolean): void {
  // before paint, so that no key is ever judged by the cue before the one that is seen
  useLayoutEffect(() => {
    if (quiet) return undefined;
    const keys: Record<string, () => unknown> = { ' ': on.act, Enter: on.act, o: on.early, l: on.layBack, x: on.spoil, u: on.undo };
    const onKey = (event: KeyboardEvent) => {
      const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
      const target = event.target as HTMLElement;
      const other = target.closest('a, button:not([data-cue]), aside');
      if (
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        target.matches('input, textarea') ||
        !keys[key] ||
        (other && (key === ' ' || key === 'Enter'))
      )
        return;
      event.preventDefault();
      if (!event.repeat) keys[key]();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  });
}
