/** Pressing: the cue with its clock and what comes next, set values and stack, the cooling lane, and the keys. */
import { useMemo, useRef, useState } from 'react';
import type { RunReply } from '../../contract';
import {
  type Cue,
  cooling,
  cueOf,
  factOf,
  following,
  type Live,
  type Lost,
  lostChoices,
  lotOf,
  type RunFact,
  standing,
  styleOf,
} from '../../core/run';
import { useSecondsTo } from '../../ui/clock';
import { KEYED_ACTS, useKeys } from '../../ui/keys';
import { Stack } from '../../ui/Stack';
import { StageLine } from '../../ui/StageLine';
import { useAfterPaint } from '../../ui/useAfterPaint';
import { useFetched } from '../../ui/useFetched';
import type { AsideKind } from './Aside';
import { CueFace } from './CueFace';
import { Lane } from './Lane';
import type { Choosing } from './PieceChoice';
import { RunKeys } from './RunKeys';
import { RunSetValues } from './RunSetValues';
import { toggleFullScreen } from './useAwake';
import { useCueSounds, useSounds } from './useCueSounds';
import { usePhoto } from './usePhoto';
import type { LiveRun } from './useRun';
import { useRunKeys } from './useRunKeys';
import { useTurned } from './useTurned';
import { briefName, isFirstOfPrint, whose } from './whose';
import { cueWords } from './words';

/** A second press of Space within this time after the last is a slip of the hand, ms. */
const SLIP_MS = 600;
const NO_LAYERS: [] = [];
const asides = () => import('./Asides');

/** A closing carries what the press's readout says as it closes. */
const withReading = (fact: RunFact, readoutC: number | null): RunFact =>
  (fact.kind === 'closed' || fact.kind === 'spot closed') && readoutC !== null ? { ...fact, readC: readoutC } : fact;

const liveOf = (readoutC: number | null, at: number): Live | null => (readoutC === null ? null : { readoutC, at });

const leftWords = ({ leftS, heat }: Cue, letter: string): string =>
  heat
    ? `It is not there yet. Press ${letter.toUpperCase()} to close it all the same; the record says so.`
    : `${Math.ceil(leftS ?? 0)} s are left. Press ${letter.toUpperCase()} to end it early.`;

/** What is said in the cue instead of why it is cued. @param early a clock somebody pressed Space over; null: nobody did */
function wordOf(run: LiveRun, photo: ReturnType<typeof usePhoto>, early: Cue | null, letter: string): string {
  const said = run.refusal ?? photo.unread;
  if (said) return said;
  return early?.early && early.leftS !== null ? leftWords(early, letter) : keptWords(run) || photo.onWay;
}

/** What a slip may have cost the pieces of a lot. */
const lostAt = ({ plan, state }: Pick<LiveRun, 'plan' | 'state'>, pieces: readonly number[]): readonly Lost[] => {
  const lot = lotOf(plan, state, pieces[0]);
  return lot ? lostChoices(plan, lot) : ['piece'];
};

/** Where the last steps are, as long as the server does not have them. */
function keptWords({ loose, waiting }: Pick<LiveRun, 'loose' | 'waiting'>): string {
  if (loose) return 'This browser could not keep the last step: keep this page open until the server has it.';
  return waiting > 3 ? `${waiting} steps wait for the server; they are kept here and sent once it answers.` : '';
}

/** The same acts in every drawing, so that what they belong to is drawn again only where it changes. */
function useSteady<A extends Record<string, () => unknown>>(on: A): A {
  const latest = useRef(on);
  latest.current = on;
  return useMemo(() => Object.fromEntries(Object.keys(latest.current).map((word) => [word, () => latest.current[word]?.()])) as A, []);
}

export function Pressing({ reply, run, readoutC }: { reply: RunReply; run: LiveRun; readoutC: number | null }) {
  const { state, plan } = run;
  const now = useSecondsTo(
    state.active.flatMap(({ dueAt }) => dueAt ?? []),
    state.lastAt,
  );
  const [picked, setPicked] = useState<number | null>(null);
  const live = liveOf(readoutC, now);
  const cue = cueOf(plan, state, now, picked, live);
  const mine = whose(reply, cue.pieces);
  const { card } = mine;
  // the cue is painted first; what stands around it follows in the next frame
  const drawn = useAfterPaint(state);
  const around = drawn === state ? cue : cueOf(plan, drawn, now, picked, live);
  // what follows changes with an event, and when a clock is out
  const changedAt = state.active.reduce((last, { dueAt }) => (dueAt !== null && dueAt <= now ? Math.max(last, dueAt) : last), drawn.lastAt);
  const next = useMemo(() => following(plan, drawn, changedAt, 2), [plan, drawn, changedAt]);
  const [aside, setAside] = useState<AsideKind | 'keys' | null>(null);
  // what is being chosen for pieces: those of the cue when it began, whatever is cued meanwhile
  const [choosing, setChoosing] = useState<Choosing | null>(null);
  const [early, setEarly] = useState(false);
  // what a run of the first machine cannot keep is not offered in it
  const isNew = plan.machine >= 2;
  const parts = useFetched(asides, true);
  const keys = useKeys();
  const [sounds, nextSounds] = useSounds();
  useCueSounds(state, cue, run.refusal, sounds);
  const lastAct = useRef(0);
  const turned = useTurned(cue);
  const last = standing(run.events).at(-1);
  const happen = (fact: RunFact) => {
    setPicked(null);
    setEarly(false);
    turned.byHand();
    run.happen(fact);
  };
  const photo = usePhoto(run.happen);
  const about = cue.pieces[0] === undefined ? {} : { piece: cue.pieces[0] };
  const act = () => {
    if (performance.now() - lastAct.current < SLIP_MS || turned.justNow()) return;
    if (cue.act === null) return setEarly(cue.early !== null);
    lastAct.current = performance.now();
    if (cue.act === 'read') return setAside('reading');
    happen(withReading(factOf(cue, cue.act), readoutC));
  };
  const on = {
    act,
    early: () => {
      if (!cue.early) return;
      lastAct.current = performance.now();
      happen(factOf(cue, cue.early));
    },
    layBack: () => cue.canLayBack && happen({ kind: 'laid back', ...about }),
    spoil: () => cue.canSpoil && setChoosing({ what: 'spoiled', pieces: cue.pieces }),
    undo: () => last && happen({ kind: 'undone', of: last.id }),
    stop: () => happen({ kind: 'stopped' }),
    note: () => setAside('note'),
    photo: () => photo.shoot(cue.pieces[0]),
    pressure: () => isNew && setAside('pressure'),
    read: () => isNew && setAside('reading'),
    spot: () => cue.canSpot && setChoosing({ what: 'spot', pieces: cue.pieces }),
    time: () => setAside('time'),
    heat: () => setAside('temperature'),
    pause: () => happen({ kind: state.pausedAt === null ? 'paused' : 'resumed' }),
    goes: () => happen({ kind: 'goes', style: styleOf(plan, state) === 'piece by piece' ? 'step by step' : 'piece by piece' }),
    sounds: nextSounds,
    full: toggleFullScreen,
    keys: () => setAside('keys'),
  };
  const acts = useSteady(on);
  useRunKeys(
    { ' ': on.act, Enter: on.act, ...Object.fromEntries(KEYED_ACTS.map((act) => [keys[act], on[act]])) },
    aside !== null || choosing !== null,
  );
  const word = wordOf(run, photo, early ? cue : null, keys.early);
  if (choosing && parts)
    return (
      <parts.PieceChoice
        choosing={choosing}
        card={whose(reply, choosing.pieces).card}
        nameOf={reply.also.length > 0 ? (piece) => whose(reply, [piece]) : null}
        choices={isNew ? lostAt(run, choosing.pieces) : ['piece']}
        due={cue.verb === 'Open now' ? cueWords(cue) : null}
        onFact={(fact) => {
          setChoosing(null);
          happen(withReading(fact, readoutC));
        }}
        onClose={() => setChoosing(null)}
      />
    );
  return (
    <>
      <p className="sr-only" aria-live="assertive">
        {cueWords(cue)}
      </p>
      <CueFace
        cue={cue}
        next={next}
        mine={mine}
        nameOf={(pieces) => briefName(reply, pieces)}
        isFirst={isFirstOfPrint(reply, state.results, cue.pieces[0])}
        plan={plan}
        state={state}
        word={word}
        Guide={parts?.PartingGuide ?? null}
        onAct={on.act}
      />
      {photo.field}
      {aside !== 'keys' && (
        <>
          <div className="grid contain-content grid-cols-[minmax(0,1fr)_20rem] gap-x-8 gap-y-3 max-[74.9375rem]:grid-cols-[minmax(0,1fr)_17rem] max-[56.25rem]:grid-cols-1">
            <RunSetValues card={card} plan={plan} run={drawn} stage={around.stage} />
            <div className="row-span-2 max-[56.25rem]:hidden">
              <Stack layers={card.stages[around.stage]?.stack ?? NO_LAYERS} faceC={card.delivered.midC} />
            </div>
            <div className="max-[56.25rem]:hidden">
              <StageLine stages={card.stages} current={around.stage} here />
            </div>
          </div>
          <Lane lots={cooling(plan, drawn)} reply={reply} now={now} picked={picked} onPick={setPicked} />
        </>
      )}
      {aside && parts ? (
        <parts.Beside
          what={aside}
          card={card}
          setting={isNew ? { plan, run: state, stage: cue.stage } : null}
          readoutC={readoutC}
          piece={cue.pieces[0]}
          onFact={happen}
          onClose={() => setAside(null)}
        />
      ) : (
        <RunKeys
          keys={keys}
          early={around.early}
          canLayBack={around.canLayBack}
          canSpoil={around.canSpoil && around.pieces.length > 0}
          canSpot={around.canSpot}
          isNew={isNew}
          canUndo={Boolean(last)}
          paused={drawn.pausedAt !== null}
          style={styleOf(plan, drawn)}
          sounds={sounds}
          on={acts}
        />
      )}
    </>
  );
}
