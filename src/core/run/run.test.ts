import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
import {
  apply,
  cooling,
  countsOf,
  cueOf,
  factOf,
  type Lot,
  leftOver,
  partCounts,
  READ_BY,
  type RunEvent,
  type RunFact,
  type RunPlan,
  type RunState,
  replay,
  replayFrom,
  standing,
} from './index';
import { step } from './machine';
import { COLD, HEATED, MARRIED, TWO_SHEET, uuid, WARM } from './test/plans';

type Said = RunFact['kind'] | RunFact;

const fact = (said: Said, of = ''): RunFact => {
  if (typeof said !== 'string') return said;
  if (said === 'spoiled') return { kind: said, reason: 'scorched', note: '' };
  if (said === 'undone') return { kind: said, of };
  return { kind: said } as RunFact;
};

/** Plays facts one second apart and returns what was accepted. */
function play(list: Said[], plan: RunPlan = WARM): { events: RunEvent[]; run: RunState; refusals: string[] } {
  const events: RunEvent[] = [];
  const refusals: string[] = [];
  list.forEach((said, i) => {
    const event = { ...fact(said, standing(events).at(-1)?.id), id: uuid(), at: 1000 * (i + 1) } as RunEvent;
    const applied = apply(plan, 0, events, event);
    if (applied.state === 'ok') events.push(event);
    else refusals.push(applied.message);
  });
  return { events, run: replay(plan, 0, events), refusals };
}
const lot = ({ active }: RunState): Lot => active[0] as Lot;
const toPeel: Said[] = ['next', 'closed', 'opened', 'next', 'closed', 'opened', 'next'];

describe('a piece on its way, one after the other', () => {
  it('goes from load to look-over and is kept, with each closing timed', () => {
    const read = toPeel.map((said, i): Said => (i === 4 ? { kind: 'closed', piece: 1, readC: 148.5 } : said));
    const { run } = play([...read, 'peeled', 'kept']);
    expect(run.results).toMatchObject([{ piece: 1, outcome: 'good', laidBack: 0, startedAt: 0, endedAt: 9000 }]);
    expect(run.results[0]?.closings).toEqual([
      { stage: 'pre-press', plannedS: 5, closedAt: 2000, openedAt: 3000, readC: null },
      { stage: 'press', plannedS: 9, closedAt: 5000, openedAt: 6000, readC: 148.5 },
    ]);
    expect(run.results[0]?.peels).toEqual([{ peel: 'warm', plannedS: 30, tookS: 2 }]);
    expect([run.active, run.begun]).toEqual([[], 1]);
  });

  it('a hot peel is told as the hand begins it: at once, or so many seconds late; the first machine was told at its end', () => {
    const peelTold = (s: number, rubS: number | null, machine = 2) => {
      const stages = MARRIED.stages
        .filter(({ kind }) => kind !== 'tack')
        .map((stage) => (stage.kind === 'peel' ? { ...stage, timeS: 4 } : stage));
      const rubbed =
        rubS === null
          ? stages
          : stages.flatMap((stage) => (stage.kind === 'marry' ? [stage, { kind: 'rub', by: 'hands', timeS: 8 } as const] : [stage]));
      const plan = { ...MARRIED, machine, stages: rubbed };
      const rub = rubS === null ? [] : [{ id: uuid(), at: (60 + rubS) * 1000, kind: 'next' } as const];
      const events: RunEvent[] = [
        { id: uuid(), at: 1, kind: 'closed' },
        { id: uuid(), at: 60_000, kind: 'opened' },
        ...rub,
        { id: uuid(), at: (60 + (rubS ?? 0) + s) * 1000, kind: 'peeled' },
      ];
      return replay(plan, 0, events).active[0]?.peels;
    };
    expect(peelTold(0, null)).toEqual([{ peel: 'hot', plannedS: 0, tookS: 0 }]);
    expect(peelTold(5, null)).toEqual([{ peel: 'hot', plannedS: 0, tookS: 5 }]);
    // after a rub it is the rub's end that counts
    expect(peelTold(1, 10)).toEqual([{ peel: 'hot', plannedS: 0, tookS: 1 }]);
    expect(peelTold(4, null, 1)).toEqual([{ peel: 'hot', plannedS: 0, tookS: 0 }]);
    expect(peelTold(9, null, 1)).toEqual([{ peel: 'hot', plannedS: 0, tookS: 5 }]);
  });

  it('laid back goes to the press again, not to the pre-press, and is counted', () => {
    expect(lot(play([...toPeel, 'laid back']).run)).toMatchObject({ stage: 3, phase: 'ready', laidBack: 1, pieces: [1] });
    const done = play([...toPeel, 'laid back', 'closed', 'opened', 'next', 'peeled', 'kept']).run;
    expect(done.results[0]).toMatchObject({ outcome: 'good', laidBack: 1 });
    expect(done.results[0]?.closings.map((c) => c.stage)).toEqual(['pre-press', 'press', 'press']);
  });

  it('its photos go with it, and with no other; after its verdict none is taken', () => {
    const shots: Said[] = [uuid(), uuid()].map((photo, i) => ({ kind: 'photographed', piece: i + 1, photo }));
    const [first, second] = shots;
    if (!first || !second) throw new Error('two are taken');
    const { run, events, refusals } = play([...toPeel, first, 'peeled', 'kept', second, first]);
    expect(run.results[0]?.photos).toEqual([(first as { photo: string }).photo]);
    expect(run.photos).toHaveLength(2);
    expect(refusals).toHaveLength(1);
    expect(standing([...events, { id: uuid(), at: 99_000, kind: 'undone', of: events.at(-1)?.id ?? '' }])).toHaveLength(events.length - 1);
  });

  it('spoiled with its reason, from wherever it is but under a closed press; its notes go with it', () => {
    expect(play(['next', 'spoiled']).run.results).toMatchObject([{ outcome: 'spoiled', reason: 'scorched' }]);
    expect(play(['next', 'closed', 'spoiled']).refusals).toEqual(['Open the press first.']);
    const noted = play(['next', { kind: 'noted', note: 'lint under it' }, { kind: 'spoiled', reason: 'scorched', note: 'brown edge' }]).run;
    expect(noted.results[0]?.note).toBe('brown edge; lint under it');
  });

  it('refuses what cannot have happened, in words', () => {
    expect(play(['opened']).refusals).toEqual(['The press is not closed.']);
    expect(play(['next', 'next']).refusals).toEqual(['The pre-press is not over by itself.']);
    expect(play(['kept']).refusals).toEqual(['A piece is kept once it has been looked at.']);
    expect(play(['stopped', 'next']).refusals).toEqual(['This run is over.']);
    // never with a piece shut in the press
    const shut = play(['next', 'closed', 'stopped']);
    expect([shut.refusals, shut.run.done]).toEqual([['Open the press first.'], false]);
    expect(
      play([
        { kind: 'next', piece: 9 },
        { kind: 'next', piece: 2 },
      ]).refusals,
    ).toEqual(['This run has 3 pieces.', 'Piece 1 comes before piece 2.']);
    expect(play(['paused', 'paused', 'resumed', 'resumed']).refusals).toEqual(['The run is paused already.', 'The run is not paused.']);
  });
});

describe('several pieces on their way', () => {
  const first = (kind: 'next' | 'closed' | 'opened' | 'peeled' | 'kept', piece: number): RunFact => ({ kind, piece });

  it('the press takes one at a time; one that cools leaves it free', () => {
    const entry: Said[] = [first('next', 1), first('closed', 1), first('opened', 1), first('next', 1), first('closed', 1)];
    expect(play([...entry, first('next', 2)]).refusals).toEqual(['Piece 1 still lies on the press.']);
    const { run, refusals } = play([...entry, first('opened', 1), first('next', 2), first('closed', 2), first('peeled', 1)]);
    expect(refusals).toEqual([]);
    expect(run.active.map(({ pieces, phase, onPress }) => [pieces, phase, onPress])).toEqual([
      [[1], 'ready', false],
      [[2], 'closed', true],
    ]);
  });

  it('a piece that is laid back from the bench waits until the press is free', () => {
    const two: Said[] = [...toPeel.slice(0, -1), first('next', 2)];
    const { run, refusals } = play([...two, { kind: 'laid back', piece: 1 }, first('closed', 1)]);
    expect(refusals).toEqual(['Piece 2 still lies on the press.']);
    expect(run.active[0]).toMatchObject({ stage: 3, laidBack: 1, onPress: false });
  });

  it('pieces of one closing go together and have a verdict each', () => {
    const three = { ...WARM, pieces: 5, perClosing: 3 };
    const { run } = play(
      [...toPeel, 'peeled', { kind: 'kept', piece: 2 }, { kind: 'spoiled', piece: 1, reason: 'scorched', note: '' }],
      three,
    );
    expect(run.results.map(({ piece, outcome }) => [piece, outcome])).toEqual([
      [2, 'good'],
      [1, 'spoiled'],
    ]);
    expect(lot(run).pieces).toEqual([3]);
    const after = play([...toPeel, 'peeled', 'kept', 'kept', 'kept', { kind: 'next', piece: 5 }], three).run;
    expect([lot(after).pieces, lot(after).first]).toEqual([[4, 5], 4]);
  });

  it('what was set otherwise holds from the next full press on, and stands with the piece', () => {
    const { run } = play([
      'next',
      'closed',
      'opened',
      'next',
      { kind: 'set', timeS: 12 },
      { kind: 'set temperature', tempC: 140 },
      'closed',
    ]);
    expect(lot(run)).toMatchObject({ dueAt: 7000 + 12_000, setS: 12, setC: 140 });
    const later = play([...toPeel, 'peeled', 'kept', { kind: 'set', timeS: 12 }]).run;
    expect(later.results[0]).toMatchObject({ setS: null, setC: null });
  });
});

describe('undo', () => {
  it('takes back a verdict: the piece is in hand again where it was', () => {
    expect(play([...toPeel, 'peeled', 'kept', 'undone']).run).toEqual(play([...toPeel, 'peeled']).run);
  });

  it('only the last standing step, and not when there is none', () => {
    const { events } = play(['next', 'closed']);
    const undo = (of: string): RunEvent => ({ kind: 'undone', of, id: uuid(), at: 9000 });
    expect(apply(WARM, 0, events, undo(events[0]?.id ?? ''))).toMatchObject({ message: 'Only the last step can be undone.' });
    expect(apply(WARM, 0, [], undo(uuid()))).toMatchObject({ state: 'refused' });
  });
});

describe('two sheets and two layers', () => {
  const stageAfter = (list: Said[]) => MARRIED.stages[lot(play(list, MARRIED).run).stage]?.kind;
  const toTackPeel: Said[] = ['closed', 'opened', 'peeled', 'next', 'closed', 'opened', 'next', 'closed', 'opened'];
  const toInspect: Said[] = [...toTackPeel, 'peeled', 'closed', 'opened', 'peeled', 'closed', 'opened'];

  it('sheets that do not part go back to the marry; a layer that lifts goes back to its tack', () => {
    expect(stageAfter(['closed', 'opened', 'laid back'])).toBe('marry');
    expect(stageAfter([...toTackPeel, 'laid back'])).toBe('tack');
  });

  it('what lifts when it is looked at goes back under the full press, not under the second press or the pre-press', () => {
    expect(stageAfter([...toInspect, 'laid back'])).toBe('press');
  });

  it('every closing is recorded by its stage and its planned time', () => {
    const { results } = play([...toInspect, 'kept'], MARRIED).run;
    expect(results[0]?.closings.map(({ stage, plannedS }) => [stage, plannedS])).toEqual([
      ['marry', 60],
      ['pre-press', 5],
      ['tack', 3],
      ['press', 20],
      ['finish', 10],
    ]);
  });
});

describe('a step that two devices take at once', () => {
  it('is taken once, also where the next step would be done in the same way', () => {
    const trimmed = play(['closed', 'opened', 'peeled', { kind: 'next', piece: 1, stage: 2 }], TWO_SHEET);
    expect(trimmed.run.active[0]).toMatchObject({ stage: 3 });
    const again = { id: uuid(), at: 9000, kind: 'next', piece: 1, stage: 2 } as const;
    const second = apply(TWO_SHEET, 1000, trimmed.events, again);
    expect(second).toMatchObject({ state: 'refused', message: expect.stringContaining('moved on from another device') });
    expect(apply(TWO_SHEET, 1000, trimmed.events, { ...again, stage: 3 }).state).toBe('ok');
  });
  it('a piece that cools is at its peel too', () => {
    const { events } = play(toPeel.slice(0, -1));
    for (const stage of [4, 5])
      expect(apply(WARM, 1000, events, { id: uuid(), at: 60_000, kind: 'peeled', piece: 1, stage }).state).toBe('ok');
    expect(apply(WARM, 1000, events, { id: uuid(), at: 60_000, kind: 'peeled', piece: 1, stage: 3 }).state).toBe('refused');
  });
});

describe('the cue', () => {
  it('asks for nothing while the clock runs, then for opening', () => {
    const { run } = play(['next', 'closed']);
    expect(cueOf(WARM, run, 4000)).toMatchObject({ verb: 'Pressing', act: null, early: 'opened', leftS: 3, lastsS: 5, canSpoil: false });
    expect(cueOf(WARM, run, 7000)).toMatchObject({ verb: 'Open now', act: 'opened', leftS: 0 });
    expect(cueOf(WARM, run, 99_000)).toMatchObject({ verb: 'Open now', leftS: 0 });
  });

  it('while one piece cools the next is loaded; a warm peel comes before it is cold, and the press before a cold one', () => {
    const cooling = play(toPeel.slice(0, -1)).run;
    expect(cueOf(WARM, cooling, 7000)).toMatchObject({ verb: 'Load', pieces: [2], why: 'press idle' });
    // since 6 s it cools for 30 s
    expect(cueOf(WARM, cooling, 6000 + 45_000)).toMatchObject({ verb: 'Peel', pieces: [1], act: 'peeled', why: 'warm peel' });
    const cold = play(toPeel.slice(0, -1), COLD).run;
    const looked = { ...cold, results: [{}] as RunState['results'] };
    expect(cueOf(COLD, looked, 6000 + 400_000)).toMatchObject({ verb: 'Load', pieces: [2], why: 'press idle' });
    // but the first piece is to be looked at before a second is pressed
    expect(cueOf(COLD, cold, 6000 + 400_000)).toMatchObject({ verb: 'Peel', pieces: [1], why: 'first piece' });
    const shut = play([...toPeel.slice(0, -1), { kind: 'next', piece: 2 }, { kind: 'closed', piece: 2 }], COLD).run;
    expect(cueOf(COLD, shut, 8000)).toMatchObject({ verb: 'Pressing', pieces: [2] });
    expect(cueOf({ ...COLD, stages: COLD.stages.map((stage) => ({ ...stage, timeS: Math.min(4, stage.timeS) })) }, shut, 8000).verb).toBe(
      'Pressing',
    );
  });

  it('a warm peel that would be too late after what is next comes first, and the lane says until when it is warm', () => {
    const plan = (toS: number | null) => ({
      ...WARM,
      stages: WARM.stages.map((stage) => (stage.kind === 'wait' ? { ...stage, timeS: 11, span: { fromS: 11, toS } } : stage)),
    });
    const run = play(toPeel.slice(0, -1), plan(24)).run;
    // opened at 6 s: warm from 17 to 30; loading takes 15 s and the peel 4
    // hands nobody timed may take half as long again: it is waited for
    expect(cueOf(plan(24), run, 16_900)).toMatchObject({ verb: 'Cooling', pieces: [1], act: null });
    expect(cueOf(plan(24), run, 17_000)).toMatchObject({ verb: 'Peel', pieces: [1], why: 'warm peel' });
    expect(cueOf(plan(60), run, 17_000)).toMatchObject({ verb: 'Load', pieces: [2] });
    expect(cooling(plan(24), run)).toMatchObject([{ dueAt: 17_000, keepsUntil: 30_000, says: 'Peel' }]);
    expect(cooling(plan(null), run)).toMatchObject([{ dueAt: 17_000, keepsUntil: null }]);
  });

  it('a piece that cools on the base keeps the press until its peel, which is a warm one', () => {
    const plan = {
      ...WARM,
      stages: WARM.stages.map((stage) =>
        stage.kind === 'wait' ? { ...stage, timeS: 60, span: { fromS: 60, toS: 150, onBase: true } } : stage,
      ),
    };
    const { run, refusals } = play([...toPeel.slice(0, -1), { kind: 'next', piece: 2 }], plan);
    expect(refusals).toEqual(['Piece 1 still lies on the press.']);
    expect(cueOf(plan, run, 20_000)).toMatchObject({ verb: 'Cooling', pieces: [1] });
    expect(cueOf(plan, run, 66_000)).toMatchObject({ verb: 'Peel', pieces: [1], hot: false });
    expect(cooling(plan, run)).toHaveLength(1);
    const done = play([...toPeel.slice(0, -1), 'peeled'], plan).run;
    expect(done.active[0]?.peels).toMatchObject([{ peel: 'warm', untilS: 150 }]);
    expect(done.active[0]?.onPress).toBe(false);
  });

  it('a lot the operator turns to is cued instead, but never before a hot peel or a press whose time is up', () => {
    const cooling = play(toPeel.slice(0, -1)).run;
    expect(cueOf(WARM, cooling, 7000, 1)).toMatchObject({ verb: 'Cooling', pieces: [1], early: 'peeled' });
    const { run } = play([...toPeel.slice(0, -1), { kind: 'next', piece: 2 }, { kind: 'closed', piece: 2 }]);
    expect(cueOf(WARM, run, 8000 + 5000, 1)).toMatchObject({ verb: 'Open now', pieces: [2] });
  });

  it('paused, nothing is asked for but to open a press whose time is up', () => {
    const { run } = play(['next', 'closed', 'paused']);
    expect(cueOf(WARM, run, 3500).verb).toBe('Pressing');
    expect(cueOf(WARM, run, 60_000).verb).toBe('Open now');
    expect(cueOf(WARM, play(['next', 'paused']).run, 60_000)).toMatchObject({ verb: 'Paused', act: null });
  });

  it('two sheets, whose press changes its heat, go step by step: all are married before the first is pressed', () => {
    const warm = {
      ...MARRIED,
      pieces: 2,
      stages: MARRIED.stages.map((stage) => ({ ...stage, setC: stage.by === 'press' ? (stage.kind === 'marry' ? 160 : 150) : null })),
    };
    const after = play(['closed', 'opened', 'peeled'], warm).run;
    expect(cueOf(warm, after, 9000)).toMatchObject({ verb: 'Peeling', pieces: [1], act: 'freed', leftS: 2 });
    expect(cueOf(warm, after, 12_000)).toMatchObject({ verb: 'Close to marry', pieces: [2] });
    expect(cueOf(warm, { ...after, style: 'piece by piece' }, 12_000)).toMatchObject({ verb: 'Turn to', heat: { toC: 150, fromC: 160 } });
    expect(cueOf({ ...warm, machine: 1 }, { ...after, style: 'piece by piece' }, 12_000)).toMatchObject({ verb: 'Load', pieces: [1] });
  });
});

// ── any sequence of events ──

const PLANS = [WARM, COLD, MARRIED, { ...WARM, pieces: 7, perClosing: 3 }, { ...HEATED, pieces: 4 }, { ...WARM, machine: 1 }];
const SLIP = { kind: 'spoiled', reason: 'fault in the transfer', note: '' } as const;
const SPOT = { kind: 'spot closed', area: { x: 0, y: 0, width: 0.5, height: 0.5 }, timeS: 4, cover: null } as const;
const said = (pieces: number): fc.Arbitrary<Said> =>
  fc.oneof(
    {
      weight: 12,
      arbitrary: fc.record({
        kind: fc.constantFrom(
          'next' as const,
          'closed' as const,
          'opened' as const,
          'peeled' as const,
          'kept' as const,
          'laid back' as const,
        ),
        piece: fc.option(fc.integer({ min: 1, max: pieces }), { nil: undefined }),
      }) as fc.Arbitrary<RunFact>,
    },
    { weight: 1, arbitrary: fc.constantFrom<Said>('spoiled', 'undone', 'undone', 'paused', 'resumed') },
    { weight: 1, arbitrary: fc.constantFrom<Said>({ kind: 'set', timeS: 4 }, { kind: 'goes', style: 'step by step' }) },
    {
      weight: 2,
      arbitrary: fc.constantFrom<Said>(
        { ...SLIP, lost: 'sheet' },
        { ...SLIP, lost: 'transfer' },
        { ...SLIP, lost: 'blank' },
        SPOT,
        { kind: 'turned', tempC: 140 },
        { kind: 'turned', tempC: 160 },
        { kind: 'heat passed over' },
        { kind: 'set temperature', tempC: 155, of: 'marry' },
        { kind: 'set pressure', band: 'firm' },
      ),
    },
    {
      weight: 2,
      arbitrary: fc.record({
        kind: fc.constant('read' as const),
        by: fc.constantFrom(...READ_BY),
        value: fc.integer({ min: 130, max: 170 }),
      }),
    },
  );
/** Most of them go by the cue, so that runs come to their end; the rest are anything. */
const sequences = fc.constantFrom(...PLANS).chain((plan) =>
  fc.tuple(
    fc.constant(plan),
    fc.array(fc.oneof({ weight: 5, arbitrary: fc.constant('cue' as const) }, { weight: 1, arbitrary: said(plan.pieces) }), {
      size: 'max',
      maxLength: 90,
    }),
  ),
);

/** Whether a closing would be off its heat by the last reading since the press was turned, judged from the bare list of steps. */
function isOffHeat(plan: RunPlan, events: readonly RunEvent[], { setC, sets }: RunState, stage: number): boolean {
  const { kind, setC: carded } = plan.stages[stage] ?? {};
  if (typeof carded !== 'number') return false;
  const wantedC = kind === 'marry' ? (sets.marry?.tempC ?? carded) : (setC ?? carded);
  const list = standing(events);
  const from = list.findLastIndex(({ kind }) => kind === 'turned');
  const told = list.slice(from + 1).findLast((e) => e.kind === 'heat passed over' || (e.kind === 'read' && e.by !== 'gauge'));
  if (told?.kind !== 'read') return false;
  const face = told.by === 'panel' ? 0 : (plan.heat?.offsetK ?? 0);
  return Math.abs(told.value - face - wantedC) > 3 + { panel: 0, gauge: 0, probe: 1.5, gun: Math.hypot(5.5, Math.SQRT2) }[told.by] + 1e-9;
}

/** Plays a sequence, `cue` standing for whatever is cued; the clock goes on by jumps, and back. */
function playAny([plan, list]: [RunPlan, ('cue' | Said)[]], jumps: readonly number[] = []) {
  const events: RunEvent[] = [];
  const states: RunState[] = [replay(plan, 0, [])];
  let at = 1;
  const wrong: string[] = [];
  // biome-ignore lint/complexity/noExcessiveCognitiveComplexity: what must hold after every event, one line each
  list.forEach((entry, i) => {
    at = Math.max(1, at + (jumps[i % Math.max(1, jumps.length)] ?? 7000));
    const before = states.at(-1) as RunState;
    const cue = cueOf(plan, before, at);
    const hot = before.active.find((each) => each.onPress && plan.stages[each.stage]?.kind === 'peel');
    if (hot && !(cue.hot && cue.pieces === hot.pieces)) wrong.push(`a hot peel of ${hot.pieces} is not cued at ${i}`);
    const asked = entry === 'cue' ? (cue.act ?? cue.early) : null;
    if (entry === 'cue' && !asked) return;
    const what = asked ? factOf(cue, asked) : (entry as Said);
    const event = { ...fact(what as Said, standing(events).at(-1)?.id), id: uuid(), at } as RunEvent;
    // the whole list is gone through for an undo alone; that the steps add up to it is what is checked below
    const applied = event.kind === 'undone' ? apply(plan, 0, events, event) : step(plan, before, event);
    if (applied.state === 'refused') {
      if (entry === 'cue') wrong.push(`the cue itself is refused: ${applied.message}`);
      return;
    }
    if (asked === 'closed' && isOffHeat(plan, events, before, cue.stage)) wrong.push(`a closing off its heat is cued at ${i}`);
    events.push(event);
    states.push(applied.run);
  });
  return { plan, events, states, wrong };
}

const OF_PRINT = { orderId: 'own', lineId: 'l', printKey: 'a', cardHash: '0'.repeat(64) };

describe('over any sequence of events', () => {
  it('counts are conserved, nothing is in two places, the cue can be followed and keeps a hot peel first, replay gives the state', () => {
    let ended = 0;
    fc.assert(
      fc.property(sequences, fc.array(fc.integer({ min: -3_600_000, max: 60_000 }), { maxLength: 6 }), (sequence, jumps) => {
        const { plan, events, states, wrong } = playAny(sequence, jumps);
        if (wrong.length > 0) throw new Error(wrong.join('; '));
        const run = states.at(-1) as RunState;
        expect(replay(plan, 0, events)).toEqual(run);
        const counts = countsOf(plan, run);
        expect(counts.good + counts.spoiled + counts.left).toBe(plan.pieces);
        // every slip that stands is counted once: a sheet, a transfer, or the piece
        const slips = standing(events).filter(({ kind }) => kind === 'spoiled').length;
        expect(counts.sheetsLost + counts.transfersLost + counts.spoiled).toBe(slips);
        expect(counts.good).toBe(standing(events).filter(({ kind }) => kind === 'kept').length);
        const places = [...run.results.map((result) => result.piece), ...run.active.flatMap((lot) => lot.pieces)];
        expect(new Set(places).size).toBe(places.length);
        expect(run.active.filter((lot) => lot.onPress).length).toBeLessThanOrEqual(1);
        expect(run.active.every((lot) => lot.phase !== 'closed' || lot.onPress)).toBe(true);
        for (const { openedAt, closedAt } of run.results.flatMap((result) => result.closings))
          expect(openedAt).toBeGreaterThanOrEqual(closedAt);
        expect(run.done).toBe(counts.left === 0);
        // as a batch of two prints: every verdict is of one of them
        const also = plan.pieces > 1 ? [{ ...OF_PRINT, orderId: 'other', pieces: plan.pieces - 1 }] : [];
        const parts = partCounts({ ...OF_PRINT, pieces: plan.pieces, also }, run.results);
        expect(parts.map(({ good, spoiled, left }) => good + spoiled + left)).toEqual(plan.pieces > 1 ? [1, plan.pieces - 1] : [1]);
        expect(parts.reduce((sum, { good }) => sum + good, 0)).toBe(counts.good);
        // what is left over as the day ends is each piece without a verdict, once
        const over = leftOver(plan, run, 0);
        const told = over ? [...over.onPress, ...over.cooling.flatMap(({ pieces }) => pieces), ...over.waiting] : [];
        expect(new Set(told).size).toBe(told.length);
        expect(told.length + (over?.notBegun ?? 0)).toBe(counts.left);
        if (run.done) ended++;
      }),
      runs(10_000),
    );
    expect(ended).toBeGreaterThan(100);
  });

  it('an accepted event and its undo leave the state as it was', () => {
    fc.assert(
      fc.property(
        sequences,
        fc.constantFrom<Said>('next', 'closed', 'opened', 'peeled', 'laid back', 'kept', 'spoiled', 'stopped'),
        (sequence, kind) => {
          const { plan, events, states } = playAny(sequence);
          const event = { ...fact(kind), id: uuid(), at: 1e9 } as RunEvent;
          fc.pre(apply(plan, 0, events, event).state === 'ok');
          expect(replay(plan, 0, [...events, event, { kind: 'undone', of: event.id, id: uuid(), at: 1e9 + 1 }])).toEqual(states.at(-1));
        },
      ),
      runs(2000),
    );
  });

  it('going on from any state that was known gives what going through all of it gives, also where the known list was another', () => {
    fc.assert(
      fc.property(sequences, fc.nat(), fc.nat(), (sequence, a, b) => {
        const { plan, events, states } = playAny(sequence);
        const [from, to] = [a % (events.length + 1), b % (events.length + 1)].sort((x, y) => x - y) as [number, number];
        const known = { events: events.slice(0, from), run: states[from] as RunState };
        expect(replayFrom(known, plan, 0, events.slice(0, to))).toEqual(states[to]);
        // a shorter list, and one whose steps were dated anew, are not gone on from
        expect(replayFrom({ events: events.slice(0, to), run: states[to] as RunState }, plan, 0, known.events)).toEqual(known.run);
        const dated = events.map((event) => ({ ...event, at: event.at + 5 }));
        expect(replayFrom(known, plan, 0, dated)).toEqual(replay(plan, 0, dated));
      }),
      runs(2000),
    );
  });
});
