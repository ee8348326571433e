/** What surrounds the pressing: set-up, trial, spares, and what a run came to. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inputOf } from '../../../test/trade/check';
import { type Card, resolve } from '../card';
import type { PressureBand } from '../materials';
import { phraseText } from '../units';
import type { RunEvent } from './events';
import { afterRun, doubtOf, firstHeat, gateOf, leadIn, REST, settled, sparesOf, stillHolds } from './index';
import { apply, replay, step } from './machine';
import { planOf } from './plan';
import { type PieceResult, type RunState, startRun } from './state';
import { uuid, WARM } from './test/plans';
import { trialNext } from './trial';

const HOUSE = { temperature: 'C', length: 'mm', contactPressure: 'kPa', linePressure: 'bar' } as const;
const card = (change: Partial<Parameters<typeof inputOf>[0]> = {}): Card =>
  resolve(inputOf({ says: 'a tee', on: 'cotton-tee', with: 'cut-film', item: { size: 'M' }, ...change }));
const keys = (entry: Card) => gateOf(entry, { pieces: 5 }).map(({ key }) => key);
const says = (entry: Card, key: string) => {
  const check = gateOf(entry, { pieces: 5 }).find((each) => each.key === key);
  return check ? `${phraseText(check.says, HOUSE)} ${phraseText(check.look, HOUSE)}` : null;
};

describe('the set-up before the first closing', () => {
  it('is made from the card: its heat, its cover, its mirror, a peel tab only where something is peeled', () => {
    const cut = card();
    expect(says(cut, 'heat')).toContain(`${Math.round(cut.set.tempC)}`);
    expect(says(cut, 'mirror')).toContain('must read backwards');
    expect(says(card({ with: 'screen-printed' }), 'mirror')).not.toContain('backwards');
    expect(keys(cut)).toContain('tab');
    const faceUp = card({ with: 'print-and-cut-film' });
    expect(keys(faceUp)).not.toContain('tab');
    expect(says(faceUp, 'cover')).toContain('Cover at hand');
    expect(says(card({ with: 'screen-printed' }), 'parcel')).toContain('as ordered');
    expect(says(card({ with: 'two-sheet-toner', on: 'cotton-tee' }), 'warm')).toContain('heat from below');
  });

  it('the first heat is that of the first closing; a readout within 3 K of it is settled', () => {
    const married = card({ with: 'two-sheet-toner' });
    const marry = married.stages.find((stage) => stage.kind === 'marry')?.setC ?? 0;
    expect(firstHeat(married)).toBe(marry);
    expect([settled(married, marry + 2.9), settled(married, marry - 3.1)]).toEqual([true, false]);
  });

  it('safety stands where the press is closed on nothing, and defers to the maker', () => {
    const warm = gateOf(card(), { pieces: 5 }).find(({ key }) => key === 'warm');
    expect(warm?.safety).toMatch(/Hands out.*maker/);
  });

  it('what was looked at before the last run holds as long as what it rests on is the same', () => {
    const all = keys(card());
    const next = (change: Parameters<typeof card>[0], setC: number | null = null) => {
      const holds = stillHolds(card(change), card(), all, { setC });
      return gateOf(card(change), { pieces: 5, holding: holds }).flatMap((check) => (check.holds ? [] : [check.key]));
    };
    expect(next({})).toEqual(['parcel', 'blank']);
    expect(next({}, 148)).toEqual(['parcel', 'heat', 'blank']);
    expect(next({ choices: { setC: 150 } })).toEqual(['parcel', 'heat', 'blank']);
    expect(next({ choices: { base: 'pillow', timeS: 12 } })).toEqual(expect.arrayContaining(['base']));
    expect(next({ choices: { cover: true, timeS: 12 } })).toEqual(expect.arrayContaining(['cover']));
    expect(next({ print: { artName: 'moon' } })).toEqual(['parcel', 'mirror', 'blank']);
    expect(next({ press: 'clamshell' })).toEqual(all);
    // one that marries wants more heat from below than one that does not
    expect(stillHolds(card({ with: 'two-sheet-toner' }), card(), all, { setC: null })).not.toContain('warm');
  });

  it('slips due at a cold press are not asked for at a hot one, and nothing holds that nobody looked at', () => {
    expect(stillHolds(card(), card(), [], { setC: null })).toEqual(['pull']);
    expect(gateOf(card(), { pieces: 5, pullDue: true, holding: ['pull'] }).map(({ key }) => key)).not.toContain('pull');
  });

  it('goes on point by point until each was looked at', () => {
    const raised = card({ with: 'raised-film' });
    const checks = gateOf(raised, { pieces: 5 });
    let run = startRun(0);
    for (let next = leadIn(raised, checks, run); next?.state === 'set-up'; next = leadIn(raised, checks, run))
      run = { ...run, checks: { ...run.checks, [next.check.key]: null } };
    expect(Object.keys(run.checks)).toEqual(checks.map(({ key }) => key));
    // then the trial, and nothing once a piece was begun
    expect(leadIn(raised, checks, run)).toMatchObject({ state: 'trial', next: { state: 'try' } });
    expect(leadIn(raised, checks, { ...run, begun: 1 })).toBeNull();
    expect(leadIn(card(), gateOf(card(), { pieces: 5 }), { ...startRun(0), checks: { [REST]: null } })).toBeNull();
  });

  it('asks for paper slips where they are due, before the press is hot, with what a slip does at the band', () => {
    const due = gateOf(card(), { pieces: 5, pullDue: true }).map(({ key }) => key);
    expect(due.indexOf('pull')).toBeLessThan(due.indexOf('heat'));
    expect(due).toContain('pull');
    expect(keys(card())).not.toContain('pull');
    const pull = gateOf(card(), { pieces: 5, pullDue: true }).find(({ key }) => key === 'pull');
    expect(phraseText(pull?.look ?? [], HOUSE)).toMatch(/at medium pressure a slip moves by a steady pull/);
    expect(pull?.safety).toMatch(/fingers never go between/);
  });

  it('on a pillow nothing is said to hang off that sinks', () => {
    const sunk = card({ choices: { base: 'pillow' } });
    expect(says(sunk, 'blank')).toContain('sinks');
    expect(says(card(), 'blank')).toContain('hang off');
  });

  it('a setting far from the card is doubted, one near it is not', () => {
    const entry = card();
    const doubts = (timeS: number) => doubtOf({ kind: 'set', timeS }, entry) !== null;
    expect([1 / 2.1, 0.6, 1.9, 2.1].map((times) => doubts(times * entry.set.timeS))).toEqual([true, false, false, true]);
    const heat = (byK: number) => doubtOf({ kind: 'set temperature', tempC: entry.set.tempC + byK }, entry) !== null;
    expect([heat(-13), heat(-11), heat(11), heat(13)]).toEqual([true, false, false, true]);
  });

  it('spares are told once transfers were counted, and what is short', () => {
    const gone = (checks: Record<string, number | null>, spoiled: number, blanks = 0, lost = 0) => ({
      checks,
      results: Array.from({ length: spoiled }, (_, i) => ({
        outcome: 'spoiled',
        ...(i < blanks && { lost: 'blank' }),
      })) as RunState['results'],
      lost: Array.from({ length: lost }, () => ({})) as RunState['lost'],
    });
    expect(sparesOf(gone({}, 2), 5)).toBeNull();
    expect(sparesOf(gone({ parcel: null }, 2), 5)).toBeNull();
    // a blank lost alone leaves its transfer; a sheet lost alone is one more
    expect(sparesOf(gone({ parcel: 10 }, 2, 1, 1), 5)).toBe(3);
    fc.assert(
      fc.property(fc.nat(50), fc.integer({ min: 1, max: 50 }), fc.nat(50), (counted, pieces, spoiled) => {
        expect(sparesOf(gone({ parcel: counted }, spoiled), pieces)).toBe(counted - pieces - spoiled);
      }),
    );
  });
});

describe('a trial on scrap', () => {
  const raised = card({ with: 'raised-film' });
  const after = (tries: RunState['tries'], setS: number | null = null) => trialNext(raised, { tries, setS });

  it('begins with the shortest time and goes on in steps to the longest; films that do not rise need none', () => {
    expect(trialNext(card(), { tries: [], setS: null })).toEqual({ state: 'over' });
    const { trial } = raised.set;
    if (!trial) throw new Error('a raised film is tried first');
    expect(after([])).toEqual({ state: 'try', timeS: trial.fromS });
    const tries: RunState['tries'] = [];
    for (let next = after(tries); next.state === 'try'; next = after(tries)) tries.push({ timeS: next.timeS, looks: 'too flat' });
    expect(tries.at(-1)?.timeS).toBeLessThanOrEqual(trial.toS);
    expect((tries[1]?.timeS ?? 0) - (tries[0]?.timeS ?? 0)).toBe(trial.stepS);
    expect(after(tries)).toEqual({ state: 'choose', bestS: tries.at(-1)?.timeS });
  });

  it('keeps the clock of a scrap as an instant until it was looked at; a scrap comes before the first piece', () => {
    const plan = planOf({ pieces: 2, perClosing: 1, machine: 1 }, raised);
    const trying: RunEvent = { id: uuid(), at: 5000, kind: 'trying', timeS: 6 };
    expect(replay(plan, 1000, [trying]).scrap).toEqual({ timeS: 6, dueAt: 11_000 });
    const looked: RunEvent = { id: uuid(), at: 12_000, kind: 'tried', timeS: 6, looks: 'right' };
    expect(replay(plan, 1000, [trying, looked])).toMatchObject({ scrap: null, tries: [{ timeS: 6, looks: 'right' }] });
    expect(replay(plan, 1000, [trying, { id: uuid(), at: 12_000, kind: 'undone', of: trying.id }]).scrap).toBeNull();
    const begun: RunEvent = { id: uuid(), at: 13_000, kind: 'next', piece: 1 };
    expect(apply(plan, 1000, [looked, begun], { ...trying, at: 14_000 })).toMatchObject({ state: 'refused' });
  });

  it('ends at the first scrap past its best, and offers the longest that looked right', () => {
    expect(
      after([
        { timeS: 6, looks: 'too flat' },
        { timeS: 7, looks: 'right' },
        { timeS: 8, looks: 'right' },
        { timeS: 9, looks: 'past its best' },
      ]),
    ).toEqual({ state: 'choose', bestS: 8 });
    expect(after([{ timeS: 6, looks: 'past its best' }])).toEqual({ state: 'choose', bestS: null });
    expect(after([{ timeS: 6, looks: 'right' }], 6)).toEqual({ state: 'over' });
  });
});

describe('after the run', () => {
  const result = (change: Partial<PieceResult>): PieceResult => ({
    piece: 1,
    outcome: 'good',
    reason: null,
    note: '',
    laidBack: 0,
    startedAt: 0,
    endedAt: 60_000,
    closings: [{ stage: 'press', plannedS: 10, closedAt: 0, openedAt: 10_000, readC: null }],
    setC: null,
    setS: null,
    photos: [],
    peels: [],
    eventId: uuid(),
    ...change,
  });
  const sheet = (results: PieceResult[]) => afterRun(card(), { ...startRun(0), results, lastAt: 300_000 }, 0, {});

  it('times stand against the plan, with what was late or early by 2 s', () => {
    const opened = (s: number) => result({ closings: [{ stage: 'press', plannedS: 10, closedAt: 0, openedAt: s * 1000, readC: null }] });
    const { times, minutes, tookPerPiece } = sheet([opened(10), opened(12), opened(15), opened(7)]);
    expect([minutes, tookPerPiece]).toEqual([5, 1.25]);
    expect(times).toEqual([{ stage: 'press', plannedS: 10, meanS: 11, n: 4, late: 2, early: 1 }]);
    expect(sheet([])).toMatchObject({ tookPerPiece: null, times: [] });
  });

  it('a run that is stopped early still tells what the press did to pieces without a verdict', () => {
    const plan = planOf({ pieces: 2, perClosing: 1, machine: 1 }, card());
    const closes = plan.stages.findIndex(({ by }) => by === 'press');
    const facts = [...plan.stages.slice(0, closes).map(() => 'next' as const), 'closed', 'opened', 'stopped'] as const;
    const events = facts.map((kind, i) => ({ id: uuid(), at: 1000 * (i + 1), kind }) as RunEvent);
    const { times, tookPerPiece } = afterRun(card(), replay(plan, 0, events), 0, {});
    expect(times).toMatchObject([{ stage: plan.stages[closes]?.kind, n: 1, meanS: 1 }]);
    expect(tookPerPiece).toBeNull();
  });

  it('peels are timed from the opening: a hot one is late after 3 s, a warm one once it has grown cold, a cold one never', () => {
    const peel = (kind: 'hot' | 'warm' | 'cold', plannedS: number, tookS: number) => result({ peels: [{ peel: kind, plannedS, tookS }] });
    const { peels } = sheet([peel('hot', 0, 2), peel('hot', 0, 4), peel('warm', 30, 46), peel('warm', 30, 24), peel('cold', 150, 900)]);
    expect(peels).toEqual([
      { peel: 'hot', plannedS: 0, meanS: 3, n: 2, late: 1, early: 0 },
      { peel: 'warm', plannedS: 30, meanS: 35, n: 2, late: 1, early: 1 },
      { peel: 'cold', plannedS: 150, meanS: 900, n: 1, late: 0, early: 0 },
    ]);
  });

  it('a setting that was not as carded is offered where more came out good than spoiled with it', () => {
    const spoiled = { outcome: 'spoiled', reason: 'scorched' } as const;
    const afterRun = sheet([
      result({ setS: 17 }),
      result({ piece: 2, setS: 17 }),
      result({ piece: 3, setS: 14, ...spoiled }),
      result({ piece: 4, setC: 141 }),
    ]);
    expect(afterRun.changes).toEqual([
      { of: 'time', value: 17, good: 2, spoiled: 0 },
      { of: 'temperature', value: 141, good: 1, spoiled: 0 },
    ]);
    expect(afterRun.spoiled).toEqual([{ reason: 'scorched', pieces: [3] }]);
    expect(sheet([result({ setS: card().set.timeS })]).changes).toEqual([]);
  });

  it('so is how hard it was pressed, at the press and in another closing; a part pressed again says nothing of it', () => {
    const pressed = (stage: string, band: PressureBand, more: object = {}) => ({
      stage,
      plannedS: 10,
      closedAt: 0,
      openedAt: 10_000,
      readC: null,
      band,
      ...more,
    });
    const spot = pressed('press', 'heavy', { spot: { area: { x: 0, y: 0, width: 1, height: 1 }, cover: null } });
    const results = [result({ closings: [pressed('finish', 'light'), pressed('press', 'firm'), spot] })];
    expect(sheet(results).changes).toEqual([{ of: 'pressure', value: 'firm', good: 1, spoiled: 0 }]);
    const run = { ...startRun(0), results, sets: { finish: { band: 'light' as const } } };
    expect(afterRun(card(), run, 0, {}).changes).toContainEqual({ stage: 'finish', of: 'pressure', value: 'light', good: 1, spoiled: 0 });
    expect(sheet([result({ closings: [pressed('press', card().set.pressure.band)] })]).changes).toEqual([]);
    // what the house keeps is doubted like a time
    const kept = card({ keepsStages: [{ of: 'pressure', value: 'firm' }] });
    const { settings = [] } = inputOf({
      says: 'a tee',
      on: 'cotton-tee',
      with: 'cut-film',
      keepsStages: [{ of: 'pressure', value: 'firm' }],
    }).house;
    const spoiled = result({ outcome: 'spoiled', reason: 'scorched' });
    expect(afterRun(kept, { ...startRun(0), results: [spoiled] }, 0, { settings }).doubted).toMatchObject([
      { setting: settings[0], spoiled: 1 },
    ]);
  });

  it('a crooked piece says nothing against a setting; one the heat spoiled does', () => {
    const at = (reason: PieceResult['reason']) => result({ setS: 17, outcome: reason ? 'spoiled' : 'good', reason });
    expect(sheet([at(null), at('crooked or misplaced'), at('fault in the blank')]).changes).toEqual([
      { of: 'time', value: 17, good: 1, spoiled: 0 },
    ]);
    expect(sheet([at(null), at('would not peel clean')]).changes).toEqual([]);
    // nor does one that was not pressed for the time that was set
    const shut = (s: number) =>
      result({ setS: 17, closings: [{ stage: 'press', plannedS: 17, closedAt: 0, openedAt: s * 1000, readC: null }] });
    expect(sheet([shut(17.4), shut(18.9), shut(9), shut(19)]).changes).toEqual([{ of: 'time', value: 17, good: 2, spoiled: 0 }]);
    expect(sheet([shut(9)]).changes).toEqual([]);
  });

  it('a setting of the house is doubted where as many as came out good were spoiled by it, and only where the card stood on it', () => {
    const kept = card({ keeps: { time: 15 } });
    const { settings = [] } = inputOf({ says: 'a tee', on: 'cotton-tee', with: 'cut-film', keeps: { time: 15 } }).house;
    const spoiled = result({ outcome: 'spoiled', reason: 'scorched' });
    const doubts = (of: Card, ...results: PieceResult[]) => afterRun(of, { ...startRun(0), results }, 0, { settings }).doubted;
    expect(doubts(kept, spoiled, result({}))).toEqual([{ setting: settings[0], good: 1, spoiled: 1 }]);
    expect(doubts(kept, spoiled, result({}), result({}))).toEqual([]);
    expect(doubts(kept, result({ outcome: 'spoiled', reason: 'crooked or misplaced' }))).toEqual([]);
    // pressed otherwise than carded, or by a card that had its time from the sheet
    expect(doubts(kept, { ...spoiled, setS: 20 })).toEqual([]);
    expect(doubts(card(), spoiled)).toEqual([]);
  });

  it('counts from a run as it was played', () => {
    let run = startRun(0);
    const facts = ['next', 'closed', 'opened', 'next', 'closed', 'opened', 'peeled', 'kept'] as const;
    facts.forEach((kind, i) => {
      const applied = step(WARM, run, { kind, id: uuid(), at: 10_000 * (i + 1) });
      if (applied.state === 'ok') run = applied.run;
    });
    expect(afterRun(card(), run, 0, {})).toMatchObject({
      times: [
        { stage: 'pre-press', meanS: 10 },
        { stage: 'press', meanS: 10 },
      ],
      laidBack: [],
    });
  });
});
