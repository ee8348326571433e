import { describe, expect, it } from 'vitest';
import { type Case, inputOf, PRESSES } from '../../../test/trade/check';
import { resolve } from '../card';
import { STARTING_HOUSE } from '../house';
import { BUILT_IN_AIDS, BUILT_IN_BLANKS, BUILT_IN_FABRICS } from '../materials';
import { LineSchema } from '../order';
import { between, builtInProducts, type FamilyId, type Product } from '../sheet';
import { phraseText } from '../units';
import { heatWays, lineAfter, placedOn, waysOut, whichTransfer } from './index';

const input = (change: Partial<Case> = {}) => inputOf({ says: 'a case', on: 'cotton-tee', with: 'cut-film', ...change });
const PRODUCTS = builtInProducts('2026-01-01');
const general = (id: FamilyId, change: Partial<Product> = {}): Product => ({
  ...(PRODUCTS.find((p) => p.familyId === id) as Product),
  ...change,
});
const says = (words: { says: Parameters<typeof phraseText>[0] }[]) =>
  words.map((word) => phraseText(word.says, STARTING_HOUSE.units)).join(' ');
const held = () => input({ on: 'three-fibre-tee', with: 'screen-printed' });

describe('ways out', () => {
  it('a rayon blend under a hot-split transfer: stretch film from the shelf', () => {
    const ways = waysOut(held(), resolve(held()), { products: [general('stretch-film'), general('cut-film')], presses: [PRESSES.true] });
    expect(ways[0]).toMatchObject({ change: { productId: 'general-stretch-film' }, lamp: 'clear' });
  });
  it('with nothing else on the shelf only what the hand can do is left', () => {
    const film = input({ on: 'three-fibre-tee', choices: { cover: false } });
    const ways = waysOut(film, resolve(film), { products: [], presses: [PRESSES.true] });
    expect(new Set(ways.flatMap((way) => Object.keys(way.change)))).toEqual(new Set(['cover', 'timeS', 'testPiece']));
    expect(says(ways)).toMatch(/If its bare face stays unmarked, note \d+/);
  });
  it('a test piece is not asked for where it would surely be spoiled: hot-split ink on rayon', () => {
    expect(waysOut(held(), resolve(held()), { products: [], presses: [PRESSES.true] })).toEqual([]);
  });
  it('a test piece never lifts a damage limit', () => {
    const wool = input({ blank: { fabricId: 'acrylic-knit' }, with: 'dye-paper' });
    expect(waysOut(wool, resolve(wool), { products: [], presses: [] }).some((way) => way.change.testPiece)).toBe(false);
  });
  const kinds = (change: Partial<Case>) => {
    const entry = input(change);
    return waysOut(entry, resolve(entry), { products: [], presses: [] }).map((way) => way.change);
  };
  it.each([
    [
      'the sheet’s own alternative',
      {
        on: 'three-fibre-tee',
        with: 'screen-printed',
        product: { alternatives: [{ name: 'low heat', changes: [{ stage: 'press', tempC: between(130, 140) }] }] },
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
    expect(ranked.filter((suited) => suited.onShelf)).toHaveLength(1);
  });
  it('a full-colour picture on a dark rayon blend wants two-sheet toner, and no paper without white', () => {
    // the film-printed one may mark the rayon a little too, and is made sooner
    const first = ranked.filter((suited) => suited.lamp !== 'hold' && suited.suitsArt).map((suited) => suited.familyName);
    expect(first.slice(0, 2).sort()).toEqual(['film-printed transfer', 'two-sheet toner']);
    expect(ranked.findIndex((suited) => suited.familyName === 'one-sheet laser paper')).toBeGreaterThan(10);
    expect(
      says(ranked.filter((suited) => suited.name === 'Wren').flatMap((suited) => suited.reasons.map((reason) => ({ says: reason })))),
    ).toMatch(/not the thing for full colour/);
  });
  it('with no press there is nothing to rank', () => {
    expect(whichTransfer(wish, { products: [], presses: [], house: STARTING_HOUSE, aids: [] })).toEqual([]);
  });
});

describe('a print laid on another platen or pad', () => {
  const { print } = input();
  const laid = { ...print, lay: { xMm: 10, yMm: 0, turn: 0 as const }, choices: { base: 'pillow' as const, timeS: 9 } };
  it('takes the choice, gives up the lay of the one before, and keeps what else was chosen', () => {
    expect(placedOn(laid, { platenId: 'small' })).toEqual({ ...print, choices: { base: 'pillow', timeS: 9, platenId: 'small' } });
    expect(placedOn(laid, { base: null })).toEqual({ ...print, choices: { timeS: 9 } });
    expect(placedOn({ ...laid, choices: { platenId: 'small' } }, { platenId: null }).choices).toEqual({});
  });
});

describe('what a transfer leaves on a piece, and what it costs', () => {
  const shop = (products: Product[], presses = [PRESSES.true]) => ({ products, presses, house: STARTING_HOUSE, aids: BUILT_IN_AIDS });
  const tee = {
    blank: BUILT_IN_BLANKS[0] as (typeof BUILT_IN_BLANKS)[number],
    fabric: BUILT_IN_FABRICS[0] as (typeof BUILT_IN_FABRICS)[number],
    shade: 'dark' as const,
    size: 'M',
    artKind: 'one colour' as const,
    widthMm: 80,
    heightMm: 50,
    count: 12,
    duty: 'laundered' as const,
  };
  it('one colour on plain cotton begins with what lies flat, though a puff is sooner made', () => {
    const ranked = whichTransfer(tee, shop([general('raised-screen-printed', { minutesToMake: 0 }), general('cut-film')]));
    const names = ranked.filter((suited) => suited.lamp === 'clear').map((suited) => suited.productId);
    expect(names.indexOf('general-cut-film')).toBeLessThan(names.indexOf('general-raised-screen-printed'));
    expect(whichTransfer({ ...tee, artKind: 'raised' }, shop([]))[0]?.familyName).toMatch(/raised|high-build|patch|stones/);
  });
  it.each([
    ['a small tag its share of the sheet, turned where that gives more', { widthMm: 330, heightMm: 480 }, 960 / (5 * 4)],
    ['a whole sheet where nobody said how large it is', undefined, 960],
    ['as many sheets as its area takes where one is too small', { widthMm: 60, heightMm: 60 }, 2 * 960],
  ])('%s', (_, sheetSize, value) => {
    const { widthMm, heightMm } = { widthMm: 110, heightMm: 57 };
    const [best] = whichTransfer(
      { ...tee, widthMm, heightMm, count: 10 },
      shop([general('cut-film', { pricePerSheetMinor: 960, ...(sheetSize && { sheetSize }) })]),
    ).filter(({ onShelf }) => onShelf);
    expect(best?.costMinor).toBeCloseTo(10 * value, 6);
  });
  it('a cap is asked of the shop’s cap press, not told to want one', () => {
    const cap = BUILT_IN_BLANKS.find(({ kind }) => kind === 'cap') as (typeof BUILT_IN_BLANKS)[number];
    const fabric = BUILT_IN_FABRICS.find(({ id }) => id === cap.fabricId) as (typeof BUILT_IN_FABRICS)[number];
    const ranked = whichTransfer({ ...tee, blank: cap, fabric, widthMm: 60, heightMm: 40 }, shop([], [PRESSES.true, PRESSES.cap]));
    expect(new Set(ranked.map(({ pressName }) => pressName))).toEqual(new Set([PRESSES.cap.name]));
    expect(says(ranked.flatMap(({ reasons }) => reasons.map((reason) => ({ says: reason }))))).not.toMatch(/wants a cap press/);
  });
  it('ways out begin with what looks the same: the film before a patch that is sooner made', () => {
    const input = held();
    const ways = waysOut(input, resolve(input), {
      products: [general('heat-glued-patch', { minutesToMake: 0 }), general('low-cure-screen-printed', { minutesToMake: 30 })],
      presses: [PRESSES.true],
    }).filter(({ change }) => change.productId);
    expect(ways.map(({ unlike }) => unlike)).toEqual([...ways.map(({ unlike }) => unlike)].sort());
  });
  it('one piece a closing is pressed alone: the line no longer shares its closings, and any other way out leaves that be', () => {
    const { print } = input({});
    const line = LineSchema.parse({
      ...{ id: 'l1', blankId: 'b1', size: 'M', count: 4, prints: [print], roster: [], perClosing: 4, sharesWith: 'l2' },
    });
    expect(lineAfter(line, print.key, { perClosing: 1 })).toEqual({ ...line, perClosing: 1, sharesWith: undefined });
    expect(lineAfter(line, print.key, { timeS: 9 })).toMatchObject({ perClosing: 4, sharesWith: 'l2' });
  });
  it('art wider than the platen is made smaller, or cut in two that lie side by side', () => {
    const small = { ...PRESSES.true, platen: { widthMm: 300, heightMm: 300 } };
    const wide = { ...input({ print: { position: 'full back', widthMm: 380, heightMm: 120 } }), press: small };
    expect(resolve(wide).lamp.state).toBe('hold');
    const ways = waysOut(wide, resolve(wide), { products: [], presses: [small] });
    expect(ways.find(({ change }) => change.size)?.change.size?.widthMm).toBeLessThan(380);
    const halves = ways.find(({ change }) => change.halves);
    const own = { id: 'l1', blankId: 'b1', size: 'M', count: 2, roster: [], perClosing: 1 };
    const after = lineAfter(
      {
        ...own,
        prints: [wide.print, { ...wide.print, key: `${wide.print.key}-right`, position: 'neck label', widthMm: 60, heightMm: 40 }],
      },
      wide.print.key,
      halves?.change ?? {},
    );
    const [left, right, other] = LineSchema.parse(after).prints;
    expect(new Set([left?.key, right?.key, other?.key]).size).toBe(3);
    expect([left?.widthMm, right?.widthMm]).toEqual([190, 190]);
    expect((right?.moved?.xMm ?? 0) - (left?.moved?.xMm ?? 0)).toBeGreaterThanOrEqual(190);
    const over = LineSchema.safeParse({ ...own, prints: [left, { ...right, moved: { xMm: 0, yMm: 0 } }] });
    expect(over.error?.issues.map(({ message }) => message)).toEqual(['Two prints are meant for the full back.']);
  });
});

it('art across a zip is cut in two that lie beside it', () => {
  const jacket = input({ on: 'nylon-jacket', print: { position: 'full front', widthMm: 260, heightMm: 150 } });
  expect(resolve(jacket).lamp.state).toBe('hold');
  const ways = waysOut(jacket, resolve(jacket), { products: [], presses: [PRESSES.true] });
  expect(ways.map(({ change }) => change.halves?.apartMm ?? 0).some((apartMm) => apartMm > 0)).toBe(true);
});

describe('two ways to heat a print', () => {
  const asked = (change: Partial<Case>) =>
    heatWays(inputOf({ says: 'heat', on: 'three-fibre-tee', with: 'cut-film', press: 'twoSided', ...change }));
  it('stand side by side where a blend holds viscose and the press heats from below too', () => {
    const [above, split] = asked({});
    expect(above).toMatchObject({ heat: 'above', isChosen: true, lamp: 'hold', set: { lowerC: null } });
    expect(split).toMatchObject({ heat: 'split', isChosen: false, lamp: 'care' });
    expect(split?.set.tempC).toBeLessThan((above?.set.tempC ?? 0) - 10);
    expect(split?.set.lowerC).toBeGreaterThan(split?.set.tempC ?? 0);
  });
  it('each is the card it would be once taken, with what was chosen by hand for the other heat left behind', () => {
    const [, split] = asked({ choices: { setC: 150 } });
    const [above, chosen] = asked({ choices: { heat: 'split', lowerC: 140 } });
    expect(split?.set).toEqual(resolveSet({ heat: 'split' }));
    expect(above?.set).toEqual(resolveSet({}));
    expect(chosen).toMatchObject({ isChosen: true, set: { lowerC: 140 } });
  });
  it('are not offered for cotton, for a trace of viscose, nor on a press that heats from above only', () => {
    expect(asked({ on: 'cotton-tee' })).toEqual([]);
    expect(asked({ press: 'true' })).toEqual([]);
    const trace = [
      { fibre: 'cotton' as const, percent: 97 },
      { fibre: 'viscose' as const, percent: 3 },
    ];
    expect(asked({ fabric: { composition: trace } })).toEqual([]);
  });
  const resolveSet = (choices: NonNullable<Case['choices']>) => {
    const { tempC, lowerC, timeS } = resolve(
      inputOf({ says: 'heat', on: 'three-fibre-tee', with: 'cut-film', press: 'twoSided', choices }),
    ).set;
    return { tempC, lowerC, timeS };
  };
});
