import { describe, expect, it } from 'vitest';
import { type Case, inputOf, PRESSES } from '../../../test/trade/check';
import { STARTING_HOUSE } from '../house';
import { lampAt } from '../judgement';
import { phraseText } from '../units';
import { STATE_RANK } from '../window';
import { coolingTimeS } from './peelWait';
import { resolve } from './resolve';

const input = (change: Partial<Case> = {}) => inputOf({ says: 'a case', on: 'cotton-tee', with: 'cut-film', ...change });
const says = (words: { says: Parameters<typeof phraseText>[0] }[]) =>
  words.map((word) => phraseText(word.says, STARTING_HOUSE.units)).join(' ');

describe('the set value', () => {
  it('a value set by hand is judged where it stands, and the lamp follows the handle', () => {
    const card = resolve(input({ choices: { setC: 159 } }));
    expect(card.set).toMatchObject({ tempC: 159, byHand: true });
    // the true press is good to 2 K: at 159 its hottest tenth keeps inside 160 most times, at 161 it does not
    expect(card.lamp.state).toBe('care');
    expect(says(lampAt(resolve(input()), 161).findings)).toMatch(/^Nearly all|^About 9 in 10/);
    expect(lampAt(resolve(input()), 161).state).toBe('hold');
  });
  it('a press that cannot reach the sheet says by how much it falls short', () => {
    const weak = { ...input(), press: { ...PRESSES.true, set: { unit: 'C' as const, step: 1, minC: 60, maxC: 120 } } };
    expect(says(resolve(weak).lamp.findings)).toMatch(/Nearly all too cool for the sheet.*by about 25/);
  });
  it('a long pre-press counts against a short hot press; a cover shields the bare face', () => {
    const wall = (change: Partial<Case>) =>
      resolve(input({ on: 'three-fibre-tee', ...change })).window.bounds.find((b) => b.side === 'mark')?.surfaceC ?? 0;
    expect(wall({ with: 'screen-printed', figures: { prePressS: 10 } })).toBeLessThan(wall({ with: 'screen-printed' }));
    expect(wall({ choices: { cover: true } })).toBeGreaterThan(wall({}) + 1);
  });
});

describe('a press measured long ago', () => {
  const true_ = input();
  const on = (today: string, closings = 0) =>
    resolve({ ...true_, today, uses: [{ pressId: true_.press.id, on: PRESSES.true.calibration?.on ?? '', closings }] });
  it('is less sure with every year and every closing, and the card says how old its figure is', () => {
    const spreads = [on('2026-02-01'), on('2026-08-01'), on('2026-08-01', 20_000), on('2031-02-01')].map((card) => card.window.spreadK);
    expect([...spreads].sort((a, b) => a - b)).toEqual(spreads);
    expect(on('2026-02-02').window).toMatchObject({ measured: true });
    expect(says(on('2031-02-01').reasons)).toMatch(/measured on 2026-02-01: .*: 1826 days and the closings since have made it less sure/);
    expect(says(on('2026-02-20').reasons)).not.toMatch(/less sure/);
  });
  it('never makes a lamp worse than not measuring did, however old', () => {
    const never = resolve({ ...true_, press: { ...true_.press, calibration: null } });
    for (const today of ['2027-02-01', '2040-02-01', '2099-02-01'])
      expect(STATE_RANK[on(today).lamp.state]).toBeLessThanOrEqual(STATE_RANK[never.lamp.state]);
  });
});

describe('from cold', () => {
  it('the wait is told in minutes: what heating the block takes, and a little for what it loses meanwhile', () => {
    const heater = { powerW: 1400, massKg: 8, lossWK: null };
    const card = resolve({ ...input(), press: { ...PRESSES.true, heater } });
    // 8 kg of aluminium, 900 J/(kg K), from the room to about 155 °C
    const leastMin = (8 * 900 * (card.set.tempC - STARTING_HOUSE.room.tempC)) / 1400 / 60;
    const told = Number(/From cold it is ready in about (\d+) min\./.exec(says(card.steps))?.[1]);
    expect(told).toBeGreaterThanOrEqual(Math.round(leastMin));
    expect(told).toBeLessThan(1.5 * leastMin);
  });
});

describe('split heat', () => {
  const split = resolve(input({ on: 'three-fibre-tee', press: 'twoSided', choices: { heat: 'split' } }));
  const bound = (side: string) => split.window.bounds.find((b) => b.side === side)?.surfaceC ?? Number.NaN;
  it('sets the lower platen hotter than the upper', () => {
    expect(split.set.lowerC ?? 0).toBeGreaterThan(split.set.tempC + 10);
  });
  it('judges face, under the art and inside, and keeps the face cooler than the same glue would have it from above', () => {
    expect(split.window.bounds.map((b) => b.side)).toEqual([
      'sheet low',
      'sheet high',
      'mark',
      'inside mark',
      'damage',
      'under the art',
      'inside',
    ]);
    const above = resolve(input({ on: 'three-fibre-tee', press: 'twoSided' }));
    expect(split.set.tempC).toBeLessThan(above.window.bounds[0]?.surfaceC ?? 0);
    expect(bound('sheet low')).toBeLessThan(bound('sheet high'));
  });
  it('a closing with a heat of its own is judged over the hot lower platen too', () => {
    const with_ = (lowerC: number) =>
      resolve(
        input({
          on: 'three-fibre-tee',
          press: 'twoSided',
          choices: { heat: 'split', lowerC, setC: 130, stageC: { 'pre-press': 150 }, stageS: { 'pre-press': 20 } },
        }),
      ).lamp.findings.filter(({ closing }) => closing === 'pre-press');
    expect(says(with_(100))).not.toMatch(/harmed inside/);
    expect(says(with_(215))).toMatch(/In the pre-press: .*harmed inside.*over a lower platen at 215\s°C/);
  });
  it('is warm for its peel by both its platens: the hotter the lower one, the longer the wait', () => {
    const waits = [100, 170].map((lowerC) => {
      const card = resolve(input({ on: 'three-fibre-tee', press: 'twoSided', choices: { heat: 'split', lowerC, setC: 130, timeS: 12 } }));
      return card.stages.find(({ kind }) => kind === 'wait')?.timeS ?? 0;
    });
    expect(waits[1]).toBeGreaterThan(waits[0] ?? 0);
  });
  it('a mark inside is told, and counts against no piece', () => {
    expect(says(split.lamp.findings)).toMatch(/Nearly all marked inside/);
    expect(split.soundChance).toBeGreaterThan(0.2);
  });
  it('no figure of it lies further off than a press can be, and none is told that nobody could set', () => {
    for (const { surfaceC } of split.window.bounds) expect(Math.abs(surfaceC - split.set.tempC)).toBeLessThanOrEqual(210);
    for (const told of says(split.lamp.findings).matchAll(/(-?\d+) °C/g)) expect(Number(told[1])).toBeLessThan(272);
    expect(says(split.lamp.findings)).not.toMatch(/by about \d{3,}/);
  });
});

describe('cooling', () => {
  it('a glass block takes tens of minutes, a thin panel few', () => {
    expect(coolingTimeS(31_500, 150, 22, 5) / 60).toBeGreaterThan(20);
    expect(coolingTimeS(2_673, 150, 22, 5) / 60).toBeLessThan(8);
  });
  it('is the logarithm of a lumped body: half the overshoot, one time constant times ln 2 less', () => {
    expect(coolingTimeS(24_000, 182, 22, 5) - coolingTimeS(24_000, 102, 22, 5)).toBeCloseTo(1000 * Math.LN2, 0);
  });
});
