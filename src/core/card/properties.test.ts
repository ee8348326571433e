import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isWhole, runs } from '../../../test/runs';
import { inputs, plainCloth } from '../../../test/shops';
import { bondAt, logSdOf } from '../bond';
import { prepared } from '../draft';
import { soundChanceOf } from '../heat';
import { judge, lampAt, QUICK } from '../judgement';
import { blendLimits, FIBRE_IDS, FIBRES } from '../materials';
import { bandOf, type Instrument, PLANS, type PlatenMap, type Press, platenMap } from '../press';
import { type LampState, riskAt, worstAt } from '../window';
import { resolve } from './resolve';
import { CardSchema } from './schema';

const RUNS = runs(2000);
const RANK: Record<LampState, number> = { clear: 0, care: 1, hold: 2 };

describe('over random fabrics, products and presses', () => {
  it.runIf(isWhole)('the random shop meets every lamp often enough to mean something', () => {
    const seen = { clear: 0, care: 0, hold: 0 };
    for (const input of fc.sample(inputs, 1000)) seen[resolve(input).lamp.state]++;
    expect(Math.min(seen.clear, seen.care, seen.hold)).toBeGreaterThan(25);
  });

  it('a card is a card: its own schema takes it unchanged', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const card = resolve(input);
        expect(CardSchema.parse(JSON.parse(JSON.stringify(card)))).toEqual(card);
      }),
      RUNS,
    );
  });

  it('at a fixed time a fibre with lower limits never raises the set temperature', () => {
    fc.assert(
      fc.property(plainCloth, fc.constantFrom(...FIBRE_IDS), (input, fibre) => {
        const { mark, damage } = blendLimits(input.fabric.composition);
        // wool is dried for longer, which is a rule of its own
        fc.pre(
          mark !== null &&
            damage !== null &&
            fibre !== 'wool' &&
            FIBRES[fibre].markC <= mark.limitC &&
            FIBRES[fibre].damageC <= damage.limitC,
        );
        // a fibre that the mixing thins to under 5 % no longer counts, and its limit goes with it: that is another rule
        fc.pre(input.fabric.composition.every(({ percent }) => percent < 5 || percent * 0.8 >= 5));
        const house = { ...input.house, rules: { ...input.house.rules, prePress: 'seconds' as const } };
        const print = { ...input.print, choices: { ...input.print.choices, timeS: judge(prepared({ ...input, house })).set.timeS } };
        const blended = input.fabric.composition
          .filter((part) => part.fibre !== fibre)
          .map((part) => ({ ...part, percent: part.percent * 0.8 }));
        const share = 100 - blended.reduce((sum, part) => sum + part.percent, 0);
        const weaker = { ...input, house, print, fabric: { ...input.fabric, composition: [...blended, { fibre, percent: share }] } };
        expect(judge(prepared(weaker)).set.tempC).toBeLessThanOrEqual(judge(prepared({ ...input, house, print })).set.tempC + 1e-9);
      }),
      RUNS,
    );
  });

  it('a wider spread never betters the lamp', () => {
    fc.assert(
      fc.property(inputs, fc.double({ min: 0, max: 10, noNaN: true }), (input, more) => {
        const { calibration } = input.press;
        fc.pre(calibration !== null);
        if (!calibration) return;
        const wider = { ...input, press: { ...input.press, calibration: { ...calibration, spreadK: calibration.spreadK + more } } };
        expect(RANK[judge(prepared(wider)).lamp.state]).toBeGreaterThanOrEqual(RANK[judge(prepared(input)).lamp.state]);
      }),
      RUNS,
    );
  });

  it('whenever the lamp is Clear what is expected of the surface lies inside sheet and limits by the stated margin', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        // without the bond more cards are Clear: it must hold for all of them
        const { lamp, set, window, smallestMarginK } = judge(prepared(input), QUICK);
        const { midC } = bandOf(window, set.tempC);
        if (lamp.state !== 'clear') return;
        expect(smallestMarginK).toBeGreaterThan(0);
        expect(window.bounds.map((bound) => bound.side)).toEqual(expect.arrayContaining(['sheet low', 'sheet high']));
        for (const { keep, surfaceC } of window.bounds) {
          expect(keep === 'above' ? midC - surfaceC : surfaceC - midC).toBeGreaterThanOrEqual(smallestMarginK - 1e-9);
        }
      }),
      runs(8000),
    );
  });

  it('doubt alone never holds by the sheet, and a Clear card on a well known press is sound three times in four', () => {
    fc.assert(
      fc.property(inputs, (input) => {
        const { lamp, margins, soundChance, heat } = resolve(input);
        for (const { side, kelvin, state } of margins)
          if ((side === 'sheet low' || side === 'sheet high') && state === 'hold') expect(kelvin).toBeLessThanOrEqual(0);
        if (lamp.state === 'clear' && heat) expect(soundChance).toBeGreaterThanOrEqual(0.75);
      }),
      RUNS,
    );
  });

  it('measuring with any instrument, where it reads what was believed, never worsens the lamp', () => {
    const instruments = [{ kind: 'probe' }, { kind: 'strip', stepK: 6 }, { kind: 'infrared', emissivitySet: 0.9 }] as const;
    const survey = (instrument: Instrument, { id, platen }: Press): PlatenMap =>
      platenMap(
        {
          id: `flat ${instrument.kind} ${platen.widthMm} ${platen.heightMm}`,
          kind: 'survey',
          pressId: id,
          platen: 'upper',
          at: 1,
          by: '',
          instrument,
          finish: 'dark coated',
          roomC: 21,
          readings: PLANS.five(platen).map((place) => ({ ...place, setC: 150, readC: 150 })),
          note: '',
        },
        platen,
        '2026-03-01',
      );
    fc.assert(
      fc.property(inputs, fc.constantFrom(...instruments), (drawn, instrument) => {
        const { maps: _, ...input } = { ...drawn, press: { ...drawn.press, calibration: null } };
        const rules = { ...input.house.rules, unmeasured: 'widen' as const };
        const never = { ...input, house: { ...input.house, rules } };
        const measured = { ...never, maps: [survey(instrument, input.press)] };
        expect(RANK[judge(prepared(measured), QUICK).lamp.state]).toBeLessThanOrEqual(RANK[judge(prepared(never), QUICK).lamp.state]);
      }),
      RUNS,
    );
  });

  it('a sheet that allows more to both sides never worsens the lamp, and a figure it names is taken where that is Clear', () => {
    fc.assert(
      fc.property(inputs, fc.integer({ min: 1, max: 8 }), (input, more) => {
        const judged = judge(prepared(input), QUICK);
        const { window } = judged;
        const press = input.product.stages.find(({ kind }) => kind === 'press')?.tempC;
        fc.pre(press?.form === 'range' && input.product.overrides.length === 0 && window.settable.step < 3);
        if (press?.form !== 'range') return;
        const stages = input.product.stages.map((stage) =>
          stage.kind === 'press' ? { ...stage, tempC: { ...press, min: press.min - more, max: press.max + more } } : stage,
        );
        const wider = judge(prepared({ ...input, product: { ...input.product, stages } }), QUICK);
        expect(RANK[wider.lamp.state]).toBeLessThanOrEqual(RANK[judged.lamp.state]);
      }),
      RUNS,
    );
  });

  it('a cooler set value has clearly less risk, bond and bounds together, only where the one chosen is Clear, and the lamp follows the handle', () => {
    fc.assert(
      fc.property(inputs, fc.integer({ min: -200, max: 200 }), (input, steps) => {
        const card = resolve(input);
        const { settable, bestSetC } = card.window;
        const moved = bestSetC + (steps * settable.step * (settable.unit === 'F' ? 5 : 9)) / 9;
        fc.pre(moved >= settable.minC && moved <= settable.maxC);
        const { window } = card;
        const { heat } = card;
        const ofBond = (setC: number) =>
          heat ? -Math.log(soundChanceOf(bondAt(heat.bonds, bandOf(window, setC).midC), logSdOf(heat))) : 0;
        const [here, there] = [bestSetC, moved].map((setC) => riskAt(window, window.bounds, setC) + ofBond(setC)) as [number, number];
        if (moved < bestSetC && there < here / 1.6 - 1e-9) expect(worstAt(window, window.bounds, bestSetC)).toBe('clear');
        const byHand = resolve({ ...input, print: { ...input.print, choices: { ...input.print.choices, setC: moved } } });
        expect(byHand.set.tempC).toBeCloseTo(moved, 6);
        expect(lampAt(card, byHand.set.tempC).state).toBe(byHand.lamp.state);
      }),
      RUNS,
    );
  });
});
