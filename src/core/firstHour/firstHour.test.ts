import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FIRST_STEPS, type FirstFacts, type FirstStep, firstHour, NOTHING_TOLD, type Told, tellDone, tellLeftOut } from '.';

const EMPTY: FirstFacts = { pressId: null, isMeasured: false, ownTransfers: 0, order: null, hasPressed: false };
const order = { orderId: 'o', lineId: 'l' };
const BRINGS: Partial<Record<FirstStep, Partial<FirstFacts>>> = { press: { pressId: 'p' }, order: { order } };
const stateOf = (facts: FirstFacts, told: Told = NOTHING_TOLD) =>
  Object.fromEntries(firstHour(facts, told).steps.map(({ id, state }) => [id, state]));

describe('the first hour', () => {
  it('begins with the units; what needs a press or an order waits for it', () => {
    expect(stateOf(EMPTY)).toEqual({
      units: 'next',
      press: 'open',
      measure: 'waits',
      transfers: 'open',
      order: 'open',
      card: 'waits',
      piece: 'waits',
    });
  });

  it('goes by what stands in the shop, whoever put it there and in whatever order', () => {
    const facts = { ...EMPTY, pressId: 'p', order };
    expect(stateOf(facts)).toMatchObject({ units: 'next', press: 'done', measure: 'open', order: 'done', card: 'open', piece: 'open' });
    expect(firstHour({ ...facts, isMeasured: true, ownTransfers: 1 }, tellDone(NOTHING_TOLD, 'units')).next).toBe('card');
  });

  it('passes by what is left out, and takes it up again when it is done after all', () => {
    const told = tellLeftOut(tellDone(NOTHING_TOLD, 'units'), 'measure');
    const facts = { ...EMPTY, pressId: 'p' };
    expect(stateOf(facts, told)).toMatchObject({ measure: 'left out', transfers: 'next' });
    expect(stateOf({ ...facts, isMeasured: true }, told)).toMatchObject({ measure: 'done' });
    expect(tellDone(told, 'measure')).toEqual({ done: ['units', 'measure'], leftOut: [], isOver: false });
  });

  it('is over with the first piece, or when somebody says so', () => {
    expect(firstHour(EMPTY, NOTHING_TOLD).isOver).toBe(false);
    expect(firstHour({ ...EMPTY, hasPressed: true }, NOTHING_TOLD).isOver).toBe(true);
    expect(firstHour(EMPTY, { ...NOTHING_TOLD, isOver: true }).isOver).toBe(true);
  });

  const facts = fc.record({
    pressId: fc.constantFrom(null, 'p'),
    isMeasured: fc.boolean(),
    ownTransfers: fc.nat(2),
    order: fc.constantFrom(null, order),
    hasPressed: fc.boolean(),
  });
  const told = fc.array(fc.tuple(fc.constantFrom(...FIRST_STEPS), fc.boolean()), { maxLength: 9 });

  it('whoever does, or leaves out, whatever is next gets to its end in at most as many acts as there are steps', () => {
    fc.assert(
      fc.property(facts, fc.array(fc.boolean(), { minLength: FIRST_STEPS.length, maxLength: FIRST_STEPS.length }), (start, choices) => {
        let shop: FirstFacts = start;
        let said = NOTHING_TOLD;
        for (const isDone of choices) {
          const { next } = firstHour(shop, said);
          if (!next) break;
          said = isDone ? tellDone(said, next) : tellLeftOut(said, next);
          shop = { ...shop, ...(isDone && BRINGS[next]) };
        }
        expect(firstHour(shop, said).next).toBeNull();
      }),
    );
  });

  it('has one next step at most, and none that waits', () => {
    fc.assert(
      fc.property(facts, told, (shop, acts) => {
        const said = acts.reduce((before, [step, isDone]) => (isDone ? tellDone : tellLeftOut)(before, step), NOTHING_TOLD);
        const { steps, next } = firstHour(shop, said);
        expect(steps.filter(({ state }) => state === 'next').map(({ id }) => id)).toEqual(next ? [next] : []);
        if (!next) expect(steps.every(({ state }) => state !== 'open')).toBe(true);
        // nobody said both of one step
        expect(said.done.filter((step) => said.leftOut.includes(step))).toEqual([]);
      }),
    );
  });
});
