import { describe, expect, it } from 'vitest';
import { type Case, inputOf, PRESSES } from '../../../test/trade/check';
import { settledTemperature } from '../heat';
import { BUILT_IN_AIDS, BUILT_IN_BLANKS, BUILT_IN_FABRICS, builtInProducts, type FamilyId, type Product } from '../materials';
import { phraseText } from '../units';
import {
  LineSchema,
  lampAt,
  lineAfter,
  PrintSchema,
  pressingOrder,
  resolve,
  STARTING_HOUSE,
  topLayer,
  waysOut,
  whichTransfer,
} from './index';
import { coolingTimeS } from './stages';

const input = (change: Partial<Case> = {}) => inputOf({ says: 'a case', on: 'cotton-tee', with: 'cut-film', ...change });
const PRODUCTS = builtInProducts('2026-01-01');
const general = (id: FamilyId, change: Partial<Product> = {}): Product => ({
  ...(PRODUCTS.find((p) => p.familyId === id) as Product),
  ...change,
});
const says = (words: { says: Parameters<typeof phraseText>[0] }[]) =>
  words.map((one) => phraseText(one.says, STARTING_HOUSE.units)).join(' ');
const held = () => input({ on: 'three-fibre-tee', with: 'screen-printed' });

describe('the set value', () => {
  it('a value set by hand is judged where it stands, and the lamp follows the handle', () => {
    const card = resolve(input({ choices: { setC: 158 } }));
    expect(card.set).toMatchObject({ tempC: 158, byHand: true });
    expect(card.lamp.state).toBe('care');
    expect(says(lampAt(resolve(input()), 161).findings)).toMatch(/runs over the sheet, by 3\D/);
  });
  it('a press that cannot reach the sheet says by how much it falls short', () => {
    const weak = { ...input(), press: { ...PRESSES.true, set: { unit: 'C' as const, step: 1, minC: 60, maxC: 120 } } };
    expect(says(resolve(weak).lamp.findings)).toMatch(/falls short of the sheet, by 27/);
  });
  it('a long pre-press counts against a short hot press; a cover shields the bare face', () => {
    const wall = (change: Partial<Case>) =>
      resolve(input({ on: 'three-fibre-tee', ...change })).window.bounds.find((b) => b.side === 'mark')?.surfaceC ?? 0;
    expect(wall({ with: 'screen-printed', rules: { prePress: 'long' } })).toBeLessThan(wall({ with: 'screen-printed' }));
    expect(wall({ choices: { cover: true } })).toBeGreaterThan(wall({}) + 1);
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
    expect(split.window.bounds.map((b) => b.side)).toEqual(['sheet low', 'sheet high', 'mark', 'inside mark', 'under the art', 'inside']);
    const above = resolve(input({ on: 'three-fibre-tee', press: 'twoSided' }));
    expect(split.set.tempC).toBeLessThan(above.window.bounds[0]?.surfaceC ?? 0);
    expect(split.smallestMarginK).toBeGreaterThan(above.smallestMarginK);
  });
  it('a temperature between two platens divides as the resistances do', () => {
    expect(settledTemperature({ above: 1, below: 3 }, 200, 100)).toBeCloseTo(175);
    expect(settledTemperature({ above: 2, below: 2 }, 160, 60)).toBeCloseTo(110);
    expect(bound('sheet low')).toBeLessThan(bound('sheet high'));
  });
});

describe('cooling', () => {
  it('a glass block takes tens of minutes, a thin panel few', () => {
    expect(coolingTimeS(31_500, 150, 22) / 60).toBeGreaterThan(20);
    expect(coolingTimeS(2_673, 150, 22) / 60).toBeLessThan(8);
  });
  it('is the logarithm of a lumped body: half the overshoot, one time constant times ln 2 less', () => {
    expect(coolingTimeS(24_000, 182, 22) - coolingTimeS(24_000, 102, 22)).toBeCloseTo(1000 * Math.LN2, 0);
  });
});

describe('ways out', () => {
  it('a rayon blend under a hot-split transfer: stretch film from the shelf', () => {
    const ways = waysOut(held(), resolve(held()), { products: [general('stretch-film'), general('cut-film')], presses: [PRESSES.true] });
    expect(ways[0]).toMatchObject({ change: { productId: 'general-stretch-film' }, lamp: 'clear' });
  });
  it('with nothing else on the shelf only what the hand can do is left', () => {
    const ways = waysOut(held(), resolve(held()), { products: [], presses: [PRESSES.true] });
    expect(ways.map((way) => Object.keys(way.change))).toEqual([['testPiece']]);
    expect(says(ways)).toMatch(/If its bare face stays unmarked, note \d+/);
  });
  it('a test piece never lifts a damage limit', () => {
    const wool = input({ blank: { fabricId: 'acrylic-knit' }, with: 'dye-paper' });
    expect(waysOut(wool, resolve(wool), { products: [], presses: [] }).some((way) => way.change.testPiece)).toBe(false);
  });
  const kinds = (change: Partial<Case>) => {
    const one = input(change);
    return waysOut(one, resolve(one), { products: [], presses: [] }).map((way) => way.change);
  };
  it.each([
    [
      'the sheet’s own alternative',
      {
        on: 'three-fibre-tee',
        with: 'screen-printed',
        product: { alternatives: [{ name: 'low heat', changes: [{ stage: 'press', tempC: { min: 130, max: 140 } }] }] },
      },
      { alternative: 'low heat' },
    ],
    ['split heat', { on: 'three-fibre-tee', press: 'twoSided' }, { heat: 'split' }],
    [
      'a pillow',
      {
        press: 'bare',
        print: { position: 'left chest' },
        blank: {
          obstructions: [
            { kind: 'zip', heightMm: 4, at: [] },
            { kind: 'seam', heightMm: 2, at: [] },
          ],
        },
        choices: { base: 'usual pad' },
      },
      { base: 'pillow' },
    ],
    ['a cover', { on: 'three-fibre-tee' }, { cover: true }],
    ['one piece a closing', { on: 'wooden-tag', with: 'hard-paper-porous', item: { perClosing: 4 } }, { perClosing: 1 }],
    [
      'a test piece of an unknown plastic',
      { on: 'acrylic-block', blank: { fabricId: 'clear-plastic' }, with: 'hard-paper-smooth' },
      { testPiece: { productId: 'general-hard-paper-smooth', markC: null } },
    ],
  ] as const)('%s', (_, change, way) => expect(kinds(change as Partial<Case>)).toContainEqual(way));
  it('a way out taken on a line of two layers changes only the top one', () => {
    const { print } = input({ under: ['cut-film'] });
    const line = LineSchema.parse({ id: 'l1', blankId: 'b1', size: 'M', count: 2, prints: [print], roster: [], perClosing: 1 });
    const after = lineAfter(line, print.key, { productId: 'wren', pressId: 'p2' });
    expect(after.prints[0]?.layers.map((layer) => layer.productId)).toEqual(['under-0', 'wren']);
    expect(after.prints[0]?.pressId).toBe('p2');
  });
  it.each([
    ['a lay', { lay: { xMm: 0, yMm: 0, turn: 180 } }, ['setC', 'timeS', 'peel', 'cover', 'alternative', 'heat', 'base', 'platenId']],
    ['one piece a closing', { perClosing: 1 }, ['setC', 'timeS', 'peel', 'cover', 'alternative', 'heat', 'base', 'platenId']],
    ['a pillow', { base: 'pillow' }, ['setC', 'timeS', 'peel', 'cover', 'alternative', 'heat', 'base', 'platenId']],
    ['another transfer', { productId: 'wren' }, ['cover', 'heat', 'base', 'platenId']],
    ['another press', { pressId: 'p2' }, ['timeS', 'peel', 'cover', 'alternative', 'base']],
    ['the card’s own setting', { ownSetting: true }, ['base', 'platenId']],
  ] as const)('taking %s as a way out leaves what was chosen but for what belonged to what is given up', (_, change, left) => {
    const choices = {
      setC: 150,
      timeS: 9,
      peel: 'cold',
      cover: true,
      alternative: 'cooler',
      heat: 'split',
      base: 'firm pad',
      platenId: 'small',
    } as const;
    const { print } = input();
    const line = LineSchema.parse({
      id: 'l1',
      blankId: 'b1',
      size: 'M',
      count: 2,
      prints: [{ ...print, choices }],
      roster: [],
      perClosing: 2,
    });
    expect(Object.keys(lineAfter(line, print.key, change).prints[0]?.choices ?? {}).sort()).toEqual([...left].sort());
  });
});

describe('which transfer for this', () => {
  const wish = {
    blank: BUILT_IN_BLANKS[2] as (typeof BUILT_IN_BLANKS)[number],
    fabric: BUILT_IN_FABRICS[2] as (typeof BUILT_IN_FABRICS)[number],
    shade: 'dark' as const,
    size: 'M',
    artKind: 'full colour' as const,
    widthMm: 200,
    heightMm: 200,
    count: 12,
    duty: 'laundered' as const,
  };
  const ranked = whichTransfer(wish, {
    products: [general('stretch-film', { id: 'wren', name: 'Wren' })],
    presses: [PRESSES.true],
    house: STARTING_HOUSE,
    aids: BUILT_IN_AIDS,
  });
  it('asks every family, the shelf’s own products first among equals', () => {
    expect(ranked).toHaveLength(20);
    expect(ranked.filter((one) => one.onShelf)).toHaveLength(1);
  });
  it('a full-colour picture on a dark rayon blend wants two-sheet toner, and no paper without white', () => {
    // the film-printed one stands just clear of the rayon too, and is made sooner
    const clear = ranked.filter((one) => one.lamp === 'clear').map((one) => one.familyName);
    expect(clear).toEqual(['film-printed transfer', 'two-sheet toner']);
    expect(ranked.findIndex((one) => one.familyName === 'one-sheet laser paper')).toBeGreaterThan(10);
    expect(says(ranked.filter((one) => one.name === 'Wren').flatMap((one) => one.reasons.map((reason) => ({ says: reason }))))).toMatch(
      /not the thing for full colour/,
    );
  });
  it('with no press there is nothing to rank', () => {
    expect(whichTransfer(wish, { products: [], presses: [], house: STARTING_HOUSE, aids: [] })).toEqual([]);
  });
});

describe('layers and rosters as they are typed in', () => {
  const layer = (key: string, ...over: string[]) => ({ key, productId: 'wren', over });
  const faults = (schema: typeof PrintSchema | typeof LineSchema, doc: unknown) => {
    const parsed = schema.safeParse(doc);
    return parsed.success ? [] : parsed.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`);
  };
  const print = (...layers: ReturnType<typeof layer>[]) => ({ ...input().print, layers });
  it('are pressed from below upwards, however they are listed', () => {
    const listed = [layer('c', 'b'), layer('a'), layer('b', 'a')];
    expect(pressingOrder(listed)?.map((one) => one.key)).toEqual(['a', 'b', 'c']);
    expect(topLayer({ layers: listed }).key).toBe('c');
  });
  it.each([
    ['in a loop', print(layer('a', 'b'), layer('b', 'a')), /^layers: Layers a, b lie over each other in a ring/],
    ['over what is not there', print(layer('a', 'x')), /^layers.0.over: Layer a lies over x, which is not there/],
    ['two of a name', print(layer('a'), layer('a')), /^layers.1.key: Two layers are called a/],
    ['none', print(), /^layers: A print needs a transfer/],
  ] as const)('%s', (_, doc, words) => expect(faults(PrintSchema, doc)[0]).toMatch(words));
  const line = (roster: object[], count = 2) => ({
    id: 'l1',
    blankId: 'b1',
    size: 'M',
    count,
    prints: [print(layer('a'))],
    roster,
    perClosing: 1,
  });
  const who = (number: string, name = '') => ({ number, name });
  it.each([
    ['fewer names than pieces', line([who('7')]), /^roster: The roster has 1 entry for 2 pieces/],
    ['a number twice', line([who('7'), who('7')]), /^roster.1.number: Number 7 is already on piece 1/],
    ['an empty entry', line([who('7'), who('')]), /^roster.1: Give a number or a name/],
    ['markup in a name', line([who('7'), who('', '<b>')]), /^roster.1.name: A name cannot hold/],
  ] as const)('roster: %s', (_, doc, words) => expect(faults(LineSchema, doc)[0]).toMatch(words));
  it('one entry a piece is taken, names alike or not', () =>
    expect(faults(LineSchema, line([who('7', 'Ines'), who('9', 'Ines')]))).toEqual([]));
});
