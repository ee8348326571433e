/** The run on the screen: set-up, trial, the cue with its clock and what comes next, the cooling lane, the keys, and the sheet after it. */
import { useEffect, useRef, useState } from 'react';
import type { RunReply } from '../../contract';
import { cooling, cueOf, factOf, following, gateOf, leadIn, type RunFact, sparesOf, standing, styleOf } from '../../core/run';
import { useSecondsTo } from '../../ui/clock';
import { useRoute } from '../../ui/query';
import { Stack } from '../../ui/Stack';
import { StageLine } from '../../ui/StageLine';
import { AfterSheet } from './AfterSheet';
import { Aside, type AsideKind } from './Aside';
import { CountsLine } from './CountsLine';
import { CueFace } from './CueFace';
import { Gate } from './Gate';
import { Lane } from './Lane';
import { RunKeys } from './RunKeys';
import { RunSetValues } from './RunSetValues';
import { SpoilChoice } from './SpoilChoice';
import { Trial } from './Trial';
import { toggleFullScreen, useAwake, useLacks } from './useAwake';
import { useCueSounds, useSounds } from './useCueSounds';
import { type LiveRun, useRun } from './useRun';
import { useRunKeys } from './useRunKeys';
import { cueWords } from './words';

/** A second press of Space within this time after the last is a slip of the hand, ms. */
const SLIP_MS = 600;

export function RunScreen({ reply }: { reply: RunReply }) {
  const run = useRun(reply);
  const { state, plan } = run;
  const { card } = reply;
  useAwake(!state.done);
  // who came by a link on the rail is at the press now: Space and the foot switch are the run's
  useEffect(() => {
    const came = document.activeElement;
    if (came instanceof HTMLElement && came.closest('aside, nav')) came.blur();
  }, []);
  const lacks = useLacks();
  const readoutC = useRoute('devices', {}).data?.devices.find((one) => one.pressId === card.of.pressId)?.press?.readoutC ?? null;
  const checks = gateOf(card, plan.pieces);
  const first = leadIn(card, checks, state);
  const spares = sparesOf(state.checks, plan.pieces, run.counts.spoiled);
  return (
    <div data-keys="own" className="flex min-h-[calc(100vh-7rem)] flex-col px-6 pt-3 pb-16 max-[700px]:px-4">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 text-night-soft">
        <span>
          {reply.orderName} · {card.of.blankName} {card.of.size} · {card.of.artName}, {card.of.position}
        </span>
        <CountsLine counts={run.counts} spares={spares} />
      </div>
      {state.done ? (
        <AfterSheet reply={reply} run={run} />
      ) : first?.state === 'set-up' ? (
        <Gate
          card={card}
          checks={checks}
          looked={state.checks}
          current={first.check}
          readoutC={readoutC}
          lacks={lacks}
          onFact={run.happen}
        />
      ) : first ? (
        <Trial card={card} next={first.next} tries={state.tries} scrap={state.scrap} onFact={run.happen} />
      ) : (
        <Pressing reply={reply} run={run} />
      )}
      {first && <UndoOnly run={run} />}
    </div>
  );
}

function UndoOnly({ run }: { run: LiveRun }) {
  const last = standing(run.events).at(-1);
  const undo = () => last && run.happen({ kind: 'undone', of: last.id });
  useRunKeys({ u: undo });
  return (
    <div className="flex items-center gap-3">
      <button type="button" disabled={!last} className={`act border-night-line text-white ${last ? '' : 'opacity-40'}`} onClick={undo}>
        Undo last step <span className="key">U</span>
      </button>
      <button type="button" className="act border-transparent text-night-soft" onClick={() => run.happen({ kind: 'stopped' })}>
        Stop the run here
      </button>
      {run.refusal && <span className="text-xl text-amber">{run.refusal}</span>}
    </div>
  );
}

function Pressing({ reply, run }: { reply: RunReply; run: LiveRun }) {
  const { state, plan } = run;
  const { card } = reply;
  const now = Math.max(state.lastAt, useSecondsTo(state.active.flatMap(({ dueAt }) => dueAt ?? [])));
  const [picked, setPicked] = useState<number | null>(null);
  const cue = cueOf(plan, state, now, picked);
  const [aside, setAside] = useState<AsideKind | null>(null);
  // pieces that are being spoiled: those of the cue when it began, whatever is cued meanwhile
  const [spoiling, setSpoiling] = useState<readonly number[] | null>(null);
  const [early, setEarly] = useState(false);
  const [sounds, nextSounds] = useSounds();
  useCueSounds(state, cue, run.refusal, sounds);
  const lastAct = useRef(0);
  const last = standing(run.events).at(-1);
  const happen = (fact: RunFact) => {
    setPicked(null);
    setEarly(false);
    run.happen(fact);
  };
  const about = cue.pieces[0] === undefined ? {} : { piece: cue.pieces[0] };
  const act = () => {
    if (performance.now() - lastAct.current < SLIP_MS) return;
    if (cue.act === null) return setEarly(cue.early !== null);
    lastAct.current = performance.now();
    happen(factOf(cue, cue.act));
  };
  const on = {
    act,
    early: () => {
      if (!cue.early) return;
      lastAct.current = performance.now();
      happen(factOf(cue, cue.early));
    },
    layBack: () => cue.canLayBack && happen({ kind: 'laid back', ...about }),
    spoil: () => cue.canSpoil && setSpoiling(cue.pieces),
    undo: () => last && happen({ kind: 'undone', of: last.id }),
    stop: () => happen({ kind: 'stopped' }),
    note: () => setAside('note'),
    time: () => setAside('time'),
    heat: () => setAside('temperature'),
    pause: () => happen({ kind: state.pausedAt === null ? 'paused' : 'resumed' }),
    goes: () => happen({ kind: 'goes', style: styleOf(plan, state) === 'piece by piece' ? 'step by step' : 'piece by piece' }),
    sounds: nextSounds,
    full: toggleFullScreen,
  };
  useRunKeys(
    {
      ' ': on.act,
      Enter: on.act,
      o: on.early,
      l: on.layBack,
      x: on.spoil,
      u: on.undo,
      n: on.note,
      t: on.time,
      h: on.heat,
      p: on.pause,
      g: on.goes,
      m: on.sounds,
      f: on.full,
    },
    aside !== null || spoiling !== null,
  );
  const word =
    run.refusal ??
    (early && cue.leftS
      ? `${Math.ceil(cue.leftS)} s are left. Press O to end it early.`
      : run.loose
        ? 'This browser could not keep the last step: keep this page open until the server has it.'
        : run.waiting > 3
          ? `${run.waiting} steps wait for the server; they are kept here and sent once it answers.`
          : '');
  if (spoiling)
    return (
      <SpoilChoice
        pieces={spoiling}
        due={cue.verb === 'Open now' ? cueWords(cue) : null}
        onChoose={(piece, reason, note) => {
          setSpoiling(null);
          happen({ kind: 'spoiled', piece, reason, note });
        }}
        onCancel={() => setSpoiling(null)}
      />
    );
  return (
    <>
      <p className="sr-only" aria-live="assertive">
        {cueWords(cue)}
      </p>
      <CueFace cue={cue} next={following(plan, state, now, 2)} card={card} word={word} onAct={on.act} />
      <div className="grid grid-cols-[1fr_20rem] gap-x-8 gap-y-3 max-[900px]:grid-cols-1">
        <RunSetValues card={card} setS={state.setS} setC={state.setC} />
        <div className="row-span-2 max-[1199px]:row-span-1 max-[900px]:hidden">
          <Stack layers={card.stages[cue.stage]?.stack ?? []} faceC={card.delivered.midC} dark />
        </div>
        <div className="max-[1199px]:col-span-2 max-[900px]:hidden">
          <StageLine stages={card.stages} current={cue.stage} dark />
        </div>
      </div>
      <Lane lots={cooling(plan, state)} now={now} picked={picked} onPick={setPicked} />
      {aside ? (
        <Aside kind={aside} card={card} piece={cue.pieces[0]} onFact={happen} onClose={() => setAside(null)} />
      ) : (
        <RunKeys cue={cue} canUndo={Boolean(last)} paused={state.pausedAt !== null} style={styleOf(plan, state)} sounds={sounds} on={on} />
      )}
    </>
  );
}
