import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apply, countsOf, cueOf, type RunEvent, type RunPlan, type RunState, replay, standing } from './index';

const plan: RunPlan = {
  pieces: 3,
  stages: [
    { kind: 'load', by: 'hands', timeS: 15 },
    { kind: 'pre-press', by: 'press', timeS: 5 },
    { kind: 'place', by: 'hands', timeS: 25 },
    { kind: 'press', by: 'press', timeS: 9 },
    { kind: 'wait', by: 'clock', timeS: 30 },
    { kind: 'peel', by: 'hands', timeS: 4 },
    { kind: 'inspect', by: 'hands', timeS: 6 },
  ],
};
let serial = 0;
const uuid = () => `00000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`;
type Kind = RunEvent['kind'];
const make = (kind: Kind, at: number, of = ''): RunEvent => {
  const base = { id: uuid(), at };
  if (kind === 'spoiled') return { ...base, kind, reason: 'scorched', note: '' };
  if (kind === 'undone') return { ...base, kind, of };
  return { ...base, kind };
};

/** Plays kinds one second apart and returns what was accepted. */
function play(kinds: Kind[]): { events: RunEvent[]; run: RunState; refusals: string[] } {
  const events: RunEvent[] = [];
  const refusals: string[] = [];
  kinds.forEach((kind, i) => {
    const event = make(kind, 1000 * (i + 1), standing(events).at(-1)?.id);
    const applied = apply(plan, 0, events, event);
    if (applied.state === 'ok') events.push(event);
    else refusals.push(applied.message);
  });
  return { events, run: replay(plan, 0, events), refusals };
}
const toPeel: Kind[] = ['next', 'closed', 'opened', 'next', 'closed', 'opened', 'next'];

describe('a piece on its way', () => {
  it('goes from load to look-over and is kept, with each closing timed', () => {
    const { run } = play([...toPeel, 'peeled', 'kept']);
    expect(run.results).toMatchObject([{ piece: 1, outcome: 'good', laidBack: 0, startedAt: 0, endedAt: 9000 }]);
    expect(run.results[0]?.closings).toEqual([
      { stage: 'pre-press', plannedS: 5, closedAt: 2000, openedAt: 3000 },
      { stage: 'press', plannedS: 9, closedAt: 5000, openedAt: 6000 },
    ]);
    expect(run).toMatchObject({ piece: 2, stage: 0, phase: 'ready' });
  });
  it('laid back goes to the press again, not to the pre-press, and is counted', () => {
    const { run } = play([...toPeel, 'laid back']);
    expect(run).toMatchObject({ stage: 3, phase: 'ready', laidBack: 1, piece: 1 });
    const done = play([...toPeel, 'laid back', 'closed', 'opened', 'next', 'peeled', 'kept']).run;
    expect(done.results[0]).toMatchObject({ outcome: 'good', laidBack: 1 });
    expect(done.results[0]?.closings.map((c) => c.stage)).toEqual(['pre-press', 'press', 'press']);
  });
  it('spoiled with its reason, from wherever it is but under a closed press', () => {
    expect(play(['next', 'spoiled']).run.results).toMatchObject([{ outcome: 'spoiled', reason: 'scorched' }]);
    expect(play(['next', 'closed', 'spoiled']).refusals).toEqual(['Open the press first.']);
  });
  it('refuses what cannot have happened, in words', () => {
    expect(play(['opened']).refusals).toEqual(['The press is not closed.']);
    expect(play(['next', 'next']).refusals).toEqual(['The pre-press is not over by itself.']);
    expect(play(['kept']).refusals).toEqual(['A piece is kept once it has been looked at.']);
    expect(play(['stopped', 'next']).refusals).toEqual(['This run is over.']);
  });
});

describe('undo', () => {
  it('takes back a verdict: the piece is in hand again where it was', () => {
    const before = play([...toPeel, 'peeled']).run;
    const { run } = play([...toPeel, 'peeled', 'kept', 'undone']);
    expect({ ...run }).toEqual(before);
  });
  it('only the last standing step, and not when there is none', () => {
    const { events } = play(['next', 'closed']);
    const first = events[0]?.id ?? '';
    expect(apply(plan, 0, events, make('undone', 9000, first))).toMatchObject({
      state: 'refused',
      message: 'Only the last step can be undone.',
    });
    expect(apply(plan, 0, [], make('undone', 9000, first))).toMatchObject({ state: 'refused' });
  });
});

describe('two sheets and two layers', () => {
  const married: RunPlan = {
    pieces: 1,
    stages: [
      { kind: 'marry', by: 'press', timeS: 60 },
      { kind: 'peel', by: 'hands', timeS: 8 },
      { kind: 'load', by: 'hands', timeS: 15 },
      { kind: 'pre-press', by: 'press', timeS: 5 },
      { kind: 'place', by: 'hands', timeS: 25 },
      { kind: 'tack', by: 'press', timeS: 3 },
      { kind: 'peel', by: 'hands', timeS: 4 },
      { kind: 'press', by: 'press', timeS: 20 },
      { kind: 'peel', by: 'hands', timeS: 4 },
      { kind: 'finish', by: 'press', timeS: 10 },
      { kind: 'inspect', by: 'hands', timeS: 6 },
    ],
  };
  const through = (kinds: Kind[]) => {
    const events: RunEvent[] = [];
    kinds.forEach((kind, i) => {
      const event = make(kind, 1000 * (i + 1));
      expect(apply(married, 0, events, event).state, `${i}: ${kind}`).toBe('ok');
      events.push(event);
    });
    return replay(married, 0, events);
  };
  const toTackPeel: Kind[] = ['closed', 'opened', 'peeled', 'next', 'closed', 'opened', 'next', 'closed', 'opened'];
  const toInspect: Kind[] = [...toTackPeel, 'peeled', 'closed', 'opened', 'peeled', 'closed', 'opened'];
  it('sheets that do not part go back to the marry; a layer that lifts goes back to its tack', () => {
    expect(married.stages[through(['closed', 'opened', 'laid back']).stage]?.kind).toBe('marry');
    expect(married.stages[through([...toTackPeel, 'laid back']).stage]?.kind).toBe('tack');
  });
  it('what lifts when it is looked at goes back under the full press, not under the second press or the pre-press', () => {
    expect(married.stages[through([...toInspect, 'laid back']).stage]?.kind).toBe('press');
  });
  it('every closing is recorded by its stage and its planned time', () => {
    const { results } = through([...toInspect, 'kept']);
    expect(results[0]?.closings.map(({ stage, plannedS }) => [stage, plannedS])).toEqual([
      ['marry', 60],
      ['pre-press', 5],
      ['tack', 3],
      ['press', 20],
      ['finish', 10],
    ]);
  });
});

describe('the cue', () => {
  it('asks for nothing while the clock runs, then for opening', () => {
    const { run } = play(['next', 'closed']);
    expect(cueOf(plan, run, 4000)).toMatchObject({ verb: 'Pressing', act: null, early: 'opened', leftS: 3, share: 0.6, canSpoil: false });
    expect(cueOf(plan, run, 7000)).toMatchObject({ verb: 'Open now', act: 'opened', leftS: 0 });
    expect(cueOf(plan, run, 99_000)).toMatchObject({ verb: 'Open now', leftS: 0, share: 0 });
  });
  it('lets a piece be laid back only when it is being peeled or looked at', () => {
    expect(cueOf(plan, play(toPeel).run, 9e4)).toMatchObject({ verb: 'Peel', act: 'peeled', canLayBack: true });
    expect(cueOf(plan, play([]).run, 0)).toMatchObject({ verb: 'Load', canLayBack: false });
  });
});

describe('over any sequence of events', () => {
  const kinds = fc.array(
    fc.constantFrom<Kind>(
      'next',
      'closed',
      'opened',
      'peeled',
      'laid back',
      'kept',
      'spoiled',
      'undone',
      'next',
      'closed',
      'opened',
      'peeled',
    ),
    { maxLength: 80 },
  );
  it('counts add up, no closing ends before it starts, nothing follows the end', () => {
    fc.assert(
      fc.property(kinds, (sequence) => {
        const { run } = play(sequence);
        const counts = countsOf(plan, run);
        expect(counts.good + counts.spoiled + counts.left).toBe(plan.pieces);
        expect(new Set(run.results.map((r) => r.piece)).size).toBe(run.results.length);
        for (const closing of run.results.flatMap((r) => r.closings)) expect(closing.openedAt).toBeGreaterThanOrEqual(closing.closedAt);
        expect(run.phase === 'done').toBe(counts.left === 0);
      }),
      { numRuns: 1000 },
    );
  });
  it('an accepted event and its undo leave the state as it was', () => {
    fc.assert(
      fc.property(
        kinds,
        fc.constantFrom<Kind>('next', 'closed', 'opened', 'peeled', 'laid back', 'kept', 'spoiled', 'stopped'),
        (sequence, kind) => {
          const { events, run } = play(sequence);
          const event = make(kind, 1e6);
          fc.pre(apply(plan, 0, events, event).state === 'ok');
          expect(replay(plan, 0, [...events, event, make('undone', 1e6 + 1, event.id)])).toEqual(run);
        },
      ),
      { numRuns: 1000 },
    );
  });
});
