/** What the second machine adds: heat between closings, readings, settings of every closing, what was lost, a part pressed again. */
import { describe, expect, it } from 'vitest';
import { STARTING_HOUSE } from '../house';
import { phraseText } from '../units';
import {
  apply,
  countsOf,
  cueOf,
  factOf,
  heatWords,
  looksFor,
  partWords,
  type RunEvent,
  type RunFact,
  type RunPlan,
  type RunState,
  reasonsFor,
  replay,
  standing,
} from './index';
import { HEATED, MARRIED, uuid, WARM } from './test/plans';

/** A run that is told facts at instants, s. */
function telling(plan: RunPlan) {
  const events: RunEvent[] = [];
  const refusals: string[] = [];
  const tell = (s: number, fact: RunFact | RunFact['kind']) => {
    const event = { ...(typeof fact === 'string' ? { kind: fact } : fact), id: uuid(), at: s * 1000 } as RunEvent;
    const applied = apply(plan, 0, events, event);
    if (applied.state === 'ok') events.push(event);
    else refusals.push(applied.message);
    return applied.state === 'ok';
  };
  const run = (): RunState => replay(plan, 0, events);
  const cue = (s: number, readoutC: number | null = null) =>
    cueOf(plan, run(), s * 1000, null, readoutC === null ? null : { readoutC, at: s * 1000 });
  const undo = (s: number) => tell(s, { kind: 'undone', of: standing(events).at(-1)?.id ?? '' });
  return { tell, run, cue, undo, refusals, events };
}
type Telling = ReturnType<typeof telling>;
/** Marries both sheets of `HEATED` at 160 °C, by its cues. */
function married(): Telling {
  const told = telling(HEATED);
  for (const [at, kind] of [
    [1, 'closed'],
    [61, 'opened'],
    [62, 'peeled'],
    [70, 'closed'],
    [130, 'opened'],
    [131, 'peeled'],
  ] as const)
    expect(told.tell(at, { kind, piece: at < 70 ? 1 : 2 })).toBe(true);
  return told;
}

describe('a press that is turned between closings', () => {
  it('is turned as soon as all are married, is waited for as long as its heater needs, is read, and only then closed', () => {
    const told = married();
    const turn = told.cue(140);
    expect(turn).toMatchObject({ verb: 'Turn to', act: 'turned', why: 'other heat', heat: { state: 'turn', fromC: 160, toC: 140 } });
    told.tell(141, factOf(turn, 'turned'));
    // 2.5 kg of aluminium losing 2 W/K cool from 160 to 140 in a room of 20 °C in 2.5·900/2·ln(140/120) s
    const coolS = ((2.5 * 900) / 2) * Math.log(140 / 120);
    const due = 141 + coolS;
    const wait = told.cue(151);
    expect(wait).toMatchObject({ verb: 'Press cools', act: null, early: 'heat passed over', heat: { state: 'wait', toC: 140 } });
    expect(wait.leftS).toBeCloseTo(due - 151, 1);
    // loaded so that it lies there as the heat is
    expect(told.cue(due - 9)).toMatchObject({ verb: 'Load', pieces: [1] });
    told.tell(due - 1, { kind: 'next', piece: 1 });
    expect(told.tell(due - 1, { kind: 'closed', piece: 1 })).toBe(false);
    expect(told.cue(due + 1)).toMatchObject({ verb: 'Read the heat', act: 'read', why: 'unread heat' });
    told.tell(due + 2, { kind: 'read', by: 'panel', value: 146 });
    expect(told.cue(due + 3).verb).toBe('Press cools');
    told.tell(due + 40, { kind: 'read', by: 'panel', value: 142.9 });
    expect(told.cue(due + 41)).toMatchObject({ verb: 'Close', act: 'closed', pieces: [1] });
    expect(told.tell(due + 42, { kind: 'closed', piece: 1 })).toBe(true);
    told.tell(due + 62, 'opened');
    const closing = told.run().active[0]?.closings.at(-1);
    expect(closing).toMatchObject({ stage: 'press', setC: 140, readings: [{ value: 146 }, { by: 'panel', value: 142.9 }] });
    expect(closing?.passedOver).toBeUndefined();
  });

  it('a device that tells the panel is the clock: no reading is typed, and no closing is cued before it is within 3 K', () => {
    const told = married();
    told.tell(141, factOf(told.cue(140), 'turned'));
    told.tell(160, { kind: 'next', piece: 1 });
    expect(told.cue(1000, 143.1)).toMatchObject({ verb: 'Press cools', act: null });
    expect(told.cue(1000, 143)).toMatchObject({ verb: 'Close', act: 'closed' });
    expect(told.tell(1001, { kind: 'closed', piece: 1, readC: 143 })).toBe(true);
    expect(told.run().heat.read).toMatchObject({ by: 'panel', value: 143 });
  });

  it('a gun and a probe read the face, which lies off the panel by the press’s offset, and are believed as far as they are good', () => {
    const told = married();
    told.tell(141, factOf(told.cue(140), 'turned'));
    told.tell(160, { kind: 'next', piece: 1 });
    // the face is 6 K over the panel: 146; a probe is good to 1.5 K, a gun to 5.7 K
    for (const [by, value, ready] of [
      ['probe', 150.4, true],
      ['probe', 150.6, false],
      ['gun', 154.6, true],
      ['gun', 155, false],
      ['panel', 146, false],
    ] as const) {
      told.tell(900, { kind: 'read', by, value });
      expect([by, value, told.cue(901).act === 'closed']).toEqual([by, value, ready]);
      told.undo(902);
    }
  });

  it('a face read too cold is waited for as it heats, though it reads more than the panel is to show', () => {
    const told = married();
    told.tell(141, factOf(told.cue(140), 'turned'));
    told.tell(160, { kind: 'next', piece: 1 });
    // the face is wanted at 146: a probe that reads 141 is 5 K short of it
    told.tell(900, { kind: 'read', by: 'probe', value: 141 });
    const cue = told.cue(901);
    expect(cue).toMatchObject({ verb: 'Press heats', heat: { toC: 140, fromC: 135, toReadC: 146 } });
    expect(phraseText(heatWords(cue, 'C') ?? [], STARTING_HOUSE.units).replaceAll('\u00a0', ' ')).toBe(
      'The probe reads 141 °C; 146 °C is wanted there.',
    );
  });

  it('a piece that is turned to while the press cools is not said to cool itself', () => {
    const told = married();
    told.tell(141, factOf(told.cue(140), 'turned'));
    expect(cueOf(HEATED, told.run(), 142_000, 2)).toMatchObject({ verb: 'Press cools', pieces: [2], early: 'heat passed over' });
  });

  it('can be closed all the same, which stands in the record of each closing until it is read again', () => {
    const told = married();
    told.tell(141, factOf(told.cue(140), 'turned'));
    told.tell(160, { kind: 'next', piece: 1 });
    told.tell(161, 'heat passed over');
    expect(told.cue(162)).toMatchObject({ act: 'closed' });
    told.tell(163, { kind: 'closed', piece: 1 });
    told.tell(183, 'opened');
    expect(told.run().active[0]?.closings.at(-1)).toMatchObject({ stage: 'press', passedOver: true });
  });

  it('a reading at the set-up that is off holds the first closing; none at all does not', () => {
    const told = telling(HEATED);
    told.tell(1, { kind: 'checked', check: 'heat', found: 150 });
    expect(told.cue(2)).toMatchObject({ verb: 'Press heats', heat: { toC: 160 } });
    told.tell(3, { kind: 'checked', check: 'heat', found: 158 });
    expect(told.cue(4)).toMatchObject({ verb: 'Close to marry' });
    expect(telling(HEATED).cue(4)).toMatchObject({ verb: 'Close to marry' });
  });

  it('one heat set anew is that of every closing that shared it; one closing’s own is its own', () => {
    const told = telling(WARM_HEATED);
    told.tell(1, { kind: 'set temperature', tempC: 150 });
    expect(told.cue(2)).toMatchObject({ verb: 'Load' });
    told.tell(10, 'next');
    told.tell(11, 'closed');
    told.tell(16, 'opened');
    expect(told.run().active[0]?.closings[0]).toMatchObject({ stage: 'pre-press', setC: 150 });
    told.tell(17, { kind: 'set temperature', tempC: 130, of: 'pre-press' });
    told.tell(18, 'next');
    expect(told.cue(19)).toMatchObject({ verb: 'Close', act: 'closed' });
  });
});

const WARM_HEATED: RunPlan = { ...WARM, stages: WARM.stages.map((stage) => (stage.by === 'press' ? { ...stage, setC: 145 } : stage)) };

describe('settings of each closing', () => {
  it('seconds and pressure of a marry are its own and stand in its record; the full press keeps the card’s', () => {
    const told = telling(MARRIED);
    told.tell(1, { kind: 'set', timeS: 75, of: 'marry' });
    told.tell(1, { kind: 'set pressure', band: 'firm', of: 'marry' });
    told.tell(2, 'closed');
    expect(told.cue(3)).toMatchObject({ lastsS: 75, leftS: 74 });
    told.tell(77, 'opened');
    expect(told.run().active[0]?.closings).toMatchObject([{ stage: 'marry', plannedS: 75, band: 'firm' }]);
    expect(told.run().setS).toBeNull();
  });

  it('gauge readings go with the closing they were read at, before it and during it', () => {
    const told = telling(WARM);
    told.tell(1, 'next');
    told.tell(2, { kind: 'read', by: 'gauge', value: 5.5 });
    told.tell(3, 'closed');
    told.tell(5, { kind: 'read', by: 'gauge', value: 6 });
    told.tell(8, 'opened');
    told.tell(9, 'next');
    told.tell(10, 'closed');
    told.tell(19, 'opened');
    const [prePress, press] = told.run().active[0]?.closings ?? [];
    expect(prePress?.readings).toMatchObject([
      { by: 'gauge', value: 5.5, at: 2000 },
      { by: 'gauge', value: 6, at: 5000 },
    ]);
    expect(press?.readings).toBeUndefined();
  });
});

describe('what was lost', () => {
  const slip = { kind: 'spoiled', reason: 'fault in the transfer', note: '' } as const;
  it('a sheet before it met its blank: the piece begins again with another', () => {
    const told = married();
    expect(told.tell(140, { ...slip, piece: 1, lost: 'sheet' })).toBe(true);
    expect(told.run().active.find(({ first }) => first === 1)).toMatchObject({ stage: 0, pieces: [1] });
    expect(told.cue(141)).toMatchObject({ verb: 'Close to marry', pieces: [1] });
    expect(countsOf(HEATED, told.run())).toMatchObject({ good: 0, spoiled: 0, sheetsLost: 1, left: 2 });
    told.undo(142);
    expect(told.run().active.find(({ first }) => first === 1)).toMatchObject({ stage: 2 });
    expect(told.run().lost).toEqual([]);
  });

  it('a transfer before it is pressed on leaves its blank; afterwards the piece is lost with it', () => {
    const told = telling(WARM);
    told.tell(1, 'next');
    told.tell(2, 'closed');
    told.tell(7, 'opened');
    expect(told.tell(8, { ...slip, lost: 'sheet' })).toBe(false);
    expect(told.tell(9, { ...slip, lost: 'transfer' })).toBe(true);
    expect(countsOf(WARM, told.run())).toMatchObject({ spoiled: 0, transfersLost: 1, left: 3 });
    for (const [at, kind] of [
      [10, 'next'],
      [11, 'closed'],
      [16, 'opened'],
      [17, 'next'],
      [18, 'closed'],
      [27, 'opened'],
    ] as const)
      expect(told.tell(at, { kind, piece: 1 })).toBe(true);
    expect(told.tell(28, { ...slip, lost: 'transfer' })).toBe(false);
    expect(told.refusals.at(-1)).toBe('The transfer is pressed on by now: the piece is lost with it.');
    expect(told.tell(29, { ...slip, lost: 'piece' })).toBe(true);
    expect(countsOf(WARM, told.run())).toMatchObject({ spoiled: 1, transfersLost: 1, left: 2 });
  });

  it('one of several in a closing begins again by itself; the others go on', () => {
    const plan = { ...WARM, pieces: 5, perClosing: 3 };
    const told = telling(plan);
    told.tell(1, 'next');
    told.tell(2, { ...slip, piece: 1, lost: 'transfer' });
    expect(told.run().active.map(({ pieces, stage }) => [pieces, stage])).toEqual([
      [[2, 3], 1],
      [[1], 0],
    ]);
    expect(told.run().begun).toBe(3);
    told.tell(3, { kind: 'closed', piece: 2 });
    told.tell(8, { kind: 'opened', piece: 3 });
    expect(told.run().active.find(({ first }) => first === 2)).toMatchObject({ stage: 2 });
  });

  it('a blank alone leaves its transfer', () => {
    const told = telling(WARM);
    told.tell(1, 'next');
    expect(told.tell(2, { kind: 'spoiled', reason: 'fault in the blank', note: '', lost: 'blank' })).toBe(true);
    expect(told.run().results).toMatchObject([{ piece: 1, outcome: 'spoiled', lost: 'blank' }]);
  });
});

describe('the words of a verdict', () => {
  it('are those of the transfer; a print of one layer shows no gap between layers', () => {
    expect(looksFor({ familyId: 'stretch-film', layers: [1] })).toEqual(['edge lifted']);
    expect(looksFor({ familyId: 'stretch-film', layers: [1, 2] })).toContain('gap between layers');
    expect(reasonsFor({ familyId: 'stones', layers: [1] }, 'piece')).toContain('stones missing');
    expect(reasonsFor({ familyId: 'stones', layers: [1] }, 'sheet')).not.toContain('stones missing');
    expect(reasonsFor({}, 'piece').at(-1)).toBe('something else');
  });
});

describe('a part pressed again', () => {
  const spot = { kind: 'spot closed', area: { x: 0.7, y: 0, width: 0.3, height: 0.25 }, timeS: 6, cover: 'silicone' } as const;
  it('is a closing of its own in the record, brings the piece back to where it was, and is no lay-back', () => {
    const told = telling(WARM);
    told.tell(1, 'next');
    expect(told.tell(2, spot)).toBe(false);
    for (const [at, kind] of [
      [2, 'closed'],
      [7, 'opened'],
      [8, 'next'],
      [9, 'closed'],
      [18, 'opened'],
      [50, 'peeled'],
    ] as const)
      told.tell(at, kind);
    expect(told.cue(55)).toMatchObject({ verb: 'Look it over', canSpot: true });
    expect(told.tell(60, spot)).toBe(true);
    expect(told.cue(62)).toMatchObject({ verb: 'Pressing', leftS: 4, lastsS: 6 });
    expect(told.cue(66)).toMatchObject({ verb: 'Open now', act: 'opened' });
    told.tell(66, 'opened');
    expect(told.cue(67)).toMatchObject({ verb: 'Look it over' });
    told.tell(70, 'kept');
    const [result] = told.run().results;
    expect(result).toMatchObject({ outcome: 'good', laidBack: 0 });
    expect(result?.closings.at(-1)).toMatchObject({ stage: 'spot repair', plannedS: 6, spot: { area: spot.area, cover: 'silicone' } });
  });

  it('takes the press from a piece that lies there loaded: that one is lifted off and loaded again; one pressed on stays', () => {
    const told = telling(WARM);
    for (const kind of ['next', 'closed', 'opened', 'next', 'closed', 'opened', 'peeled'] as const) told.tell(1, { kind, piece: 1 });
    expect(told.cue(9)).toMatchObject({ verb: 'Look it over', pieces: [1], canSpot: true });
    told.tell(10, { kind: 'next', piece: 2 });
    expect(told.cue(11)).toMatchObject({ verb: 'Look it over', pieces: [1], canSpot: true });
    expect(told.tell(12, { ...spot, piece: 1 })).toBe(true);
    const load = WARM.stages.findIndex(({ kind }) => kind === 'load');
    expect(told.run().active.find(({ first }) => first === 2)).toMatchObject({ stage: load, onPress: false, phase: 'ready' });
    told.tell(20, { kind: 'opened', piece: 1 });
    for (const kind of ['next', 'closed', 'opened', 'next', 'closed'] as const) told.tell(25, { kind, piece: 2 });
    expect(told.tell(26, { ...spot, piece: 1 })).toBe(false);
    told.tell(35, { kind: 'opened', piece: 2 });
    expect(told.run().active.find(({ first }) => first === 2)?.closings).toHaveLength(2);
  });

  it('is told by where it lies on the art', () => {
    const part = (x: number, y: number, width: number, height: number) => partWords({ x, y, width, height });
    expect(part(0.7, 0, 0.3, 0.25)).toBe('the top right part');
    expect(part(0, 0, 1 / 3, 1)).toBe('the left part');
    expect(part(1 / 3, 1 / 3, 1 / 3, 1 / 3)).toBe('the middle part');
    expect(part(0, 0, 1, 1)).toBe('the whole part');
  });

  it('undone while it is shut, nothing of it is left', () => {
    const told = telling(WARM);
    for (const kind of ['next', 'closed', 'opened', 'next', 'closed', 'opened', 'peeled'] as const) told.tell(1, kind);
    const before = told.run();
    told.tell(2, spot);
    told.undo(3);
    expect(told.run()).toEqual(before);
  });
});

describe('a run begun before this', () => {
  const old = { ...WARM, machine: 1 };
  it('refuses in words what it cannot keep, and takes the rest', () => {
    const told = telling(old);
    for (const fact of [
      { kind: 'read', by: 'panel', value: 150 },
      { kind: 'turned', tempC: 150 },
      { kind: 'set', timeS: 5, of: 'marry' },
    ] as const)
      expect(told.tell(1, fact)).toBe(false);
    expect(new Set(told.refusals)).toEqual(new Set(['This run was begun before this could be kept with it. Note it instead.']));
    expect(told.tell(2, { kind: 'set', timeS: 5 })).toBe(true);
  });
});
