import { readFileSync } from 'node:fs';
import { parse } from 'csv-parse/sync';
import { describe, expect, it } from 'vitest';
import { type Card, CardSchema, letteringOf } from '../card';
import type { Lamp } from '../judgement';
import { builtInProducts, type Figure, type Product, ProductSchema, type WrittenStage } from '../sheet';
import { findingV2 } from './cardV2';
import { inNameOrder, type LoggedPressing, pressingsCsv, readCard, readShelfCsv, readShopDocument, SHOP_FORMAT, shelfCsv } from './index';

const pressing: LoggedPressing = {
  id: '00000000-0000-4000-8000-000000000001',
  runId: 'run-1',
  orderId: 'o-1',
  orderName: 'Guide tees, "open" night',
  lineId: 'l-1',
  printKey: 'a',
  piece: 2,
  person: { number: '7', name: 'Ines' },
  cardHash: 'a'.repeat(64),
  blankName: '=HYPERLINK("x")',
  fabricName: 'heather blend',
  size: 'M',
  productName: 'Wren stretch',
  layerNames: ['Flint', 'Wren stretch'],
  pressName: 'Swing-away',
  position: 'full front',
  artName: 'star',
  setC: 135.5555555,
  lowerC: null,
  timeS: 9,
  pressureBand: 'medium',
  peel: 'warm',
  pressedS: 9.3,
  closings: [],
  outcome: 'spoiled',
  reason: 'scorched',
  laidBack: 1,
  note: 'two\nlines',
  operator: 'JH',
  roomC: 21,
  humidityPercent: 45,
  startedAt: 1_772_000_000_000,
  endedAt: 1_772_000_060_000,
  withdrawn: false,
};

describe('pressings as CSV', () => {
  const [row] = parse(pressingsCsv([pressing]), { columns: true, bom: true }) as Record<string, string>[];
  it('reads back what was written, commas, quotes and line breaks too', () => {
    expect(row).toMatchObject({
      order: 'Guide tees, "open" night',
      note: 'two\nlines',
      set_c: '135.56',
      pressed_s: '9.3',
      reason: 'scorched',
      laid_back: '1',
      standing: 'counts',
      ended: '2026-02-25T06:14:20.000Z',
    });
  });
  it('a cell that a spreadsheet would run is made harmless', () => {
    expect(row?.blank).toBe('\'=HYPERLINK("x")');
  });
  it('an empty log is a heading line', () => {
    expect(pressingsCsv([]).trim().split('\r\n')).toHaveLength(1);
  });
});

describe('a shop document', () => {
  const whole = {
    format: SHOP_FORMAT,
    version: 2,
    aids: [{ id: 'aid-1', name: 'sheet', serves: 'ptfe', thicknessMm: 0.13, wear: 'sound', substitutes: [], note: '' }],
  };
  const read = (doc: unknown) => readShopDocument(typeof doc === 'string' ? doc : JSON.stringify(doc));
  it('may hold a part of a shop alone', () => {
    const found = read(whole);
    expect(found.doc).toMatchObject({ aids: [{ id: 'aid-1' }], orders: [], pressings: [] });
  });
  it('names each fault by its place and path', () => {
    const found = read({ ...whole, aids: [whole.aids[0], { ...whole.aids[0], serves: 'velvet', thicknessMm: -1 }] });
    expect(found.faults.list.map(({ line, field }) => [line, field])).toEqual([
      [2, 'aids.1.serves'],
      [2, 'aids.1.thicknessMm'],
    ]);
  });
  it('of the first version is brought up as it is read', () => {
    const old = JSON.parse(readFileSync('test/kept/shop-v1.json', 'utf8'));
    const found = read({ format: SHOP_FORMAT, version: 1, ...old });
    expect(found.faults.list).toEqual([]);
    expect(found.doc.orders[0]?.lines[0]?.prints).toMatchObject([{ pressId: 'press-swing', layers: [{ productId: 'product-wren' }] }]);
    expect(found.doc.presses.find((press) => press.id === 'press-swing')?.lower).toMatchObject({ spreadK: 8 });
    expect(found.doc.house?.rules.felt).toBe('protect');
  });
  it('of the second version had a least, a most and a nominal: they are kept as a range with its start', () => {
    const old = JSON.parse(readFileSync('test/kept/shop-v2.json', 'utf8'));
    const { doc, faults } = read({ format: SHOP_FORMAT, version: 2, ...old });
    expect(faults.list).toEqual([]);
    const stagesOf = (id: string) => doc.products.find((product) => product.id === id)?.stages;
    expect(stagesOf('product-dunlin')?.[0]).toMatchObject({
      tempC: { form: 'range', min: 148, max: 160 },
      timeS: { form: 'range', min: 9, max: 15, start: 12 },
    });
    expect(stagesOf('product-curlew')?.map(({ tempC }) => tempC?.form)).toEqual(['range', 'range', 'range']);
    const particular = doc.products.flatMap(({ alternatives, earlier }) => [
      ...alternatives.flatMap(({ changes }) => changes),
      ...earlier.flatMap(({ stages }) => stages),
    ]);
    expect(particular.length).toBeGreaterThan(1);
    for (const { tempC } of particular) expect(tempC?.form).toBe('range');
  });
  it.each([
    ['nothing', '', /not whole/],
    ['a list', '[]', /not a Tidy Beacon shop/],
    ['a shop without a version', JSON.stringify({ format: SHOP_FORMAT }), /version undefined/],
  ])('%s is none', (_, text, words) => expect(() => read(text)).toThrow(words));
  it('equal documents have equal text, whatever the order of their fields', () => {
    expect(JSON.stringify(inNameOrder({ b: [{ d: 1, c: undefined, a: 2 }], a: null }))).toBe('{"a":null,"b":[{"a":2,"d":1}]}');
  });
});

/** A window told as today says the same: its bounds, its band, its kelvins to spare. */
function sameWindow(card: Card, old: Pick<Card, 'window' | 'margins'>): void {
  const { bounds, ...rest } = old.window;
  expect(card.window).toMatchObject(rest);
  expect(card.window.bounds).toMatchObject(bounds.map(({ side, keep, surfaceC, says }) => ({ side, keep, surfaceC, says })));
  expect(card.margins.map(({ kelvin }) => kelvin)).toEqual(old.margins.map(({ kelvin }) => kelvin));
  const { lowC, highC } = card.delivered;
  expect(card.window.coolest.meanK + card.set.tempC).toBeCloseTo(lowC, 1);
  expect(card.window.hottest.meanK + card.set.tempC).toBeCloseTo(highC, 1);
}

describe('cards of the second version', () => {
  const kept = JSON.parse(readFileSync('test/kept/cards-v2.json', 'utf8'));
  const cards = kept.map((old: unknown) => readCard(2, old));
  it('are read in today’s shape, and every figure and word of them is as it was', () => {
    for (const [i, card] of cards.entries()) {
      const old = kept[i];
      expect(CardSchema.parse(card)).toEqual(card);
      expect(card).toMatchObject({ set: old.set, stages: old.stages, steps: old.steps, reasons: old.reasons, judgedBy: 'margin' });
      sameWindow(card, old);
      expect(card.lamp.findings.map(({ says }: { says: unknown }) => says)).toEqual(
        old.lamp.findings.map(({ says }: { says: unknown }) => says),
      );
    }
  });
  it('had where a finding comes from in its name: it is data now', () => {
    const from = cards.map(({ lamp }: { lamp: Lamp }) =>
      lamp.findings.map((finding) => `${finding.closing ?? 'press'} ${finding.from} ${finding.rule}`),
    );
    expect(from).toEqual([
      ['press margin sheet high', 'press margin mark', 'press bond over'],
      ['press margin sheet low', 'press rule time-off-sheet', 'press rule lower-layer-overheats'],
    ]);
    const closed = findingV2({ level: 'hold', rule: 'finish, margin: damage', field: 'temperature', says: [] });
    expect(closed).toMatchObject({ from: 'margin', rule: 'damage', closing: 'finish' });
  });
  it('never said how lower layers lie on their sheets: their letter is not told', () => {
    expect(cards[1].of.layers.map(({ mirror }: { mirror: unknown }) => mirror)).toEqual([null, 'mirrored']);
    expect(letteringOf(cards[1])).toEqual([{ mirror: 'mirrored', layers: [] }]);
  });
});

describe('a card of the first version', () => {
  const kept = () => JSON.parse(readFileSync('test/kept/card-v1.json', 'utf8'));
  it('is read in today’s shape, and every figure of it is as it was', () => {
    const old = kept();
    const card = readCard(1, old);
    expect(CardSchema.parse(card)).toEqual(card);
    expect(card.set).toMatchObject(old.set);
    expect(card.steps).toEqual(old.steps);
    expect(card.judgedBy).toBe('margin');
    sameWindow(card, old);
    expect(card.stages.map((stage) => stage.stack)).toEqual(old.stages.map((stage: { stack: unknown }) => stage.stack));
  });
  it('broken, or from a newer app, is refused', () => {
    const { set: _, ...broken } = kept();
    expect(() => readCard(1, broken)).toThrow();
    expect(() => readCard(99, kept())).toThrow(/version 99; this app reads up to 3/);
  });
});

describe('a transfer’s sheet in a list', () => {
  const film = builtInProducts('2026-01-01').find(({ familyId }) => familyId === 'film-printed') as Product;
  const [press, finish] = film.stages as [WrittenStage, WrittenStage];
  const figure: Figure = { form: 'one', value: 160 };
  const sheet: Product = {
    ...film,
    stages: [
      { ...press, kind: 'pre-press', timeS: { form: 'one', value: 5 }, cover: 'required', coverKind: 'paper', peel: 'none' },
      { ...press, tempC: figure, timeS: { form: 'tolerance', value: 15, plusMinus: 2 } },
      { ...finish, tempC: { form: 'range', min: 155, max: 165, start: 160 }, timeS: { form: 'one', value: 8, about: true }, peel: 'cold' },
    ],
    colours: [{ name: 'neon', group: 'bright' }],
    overrides: [
      { fabricGroup: 'polyester', stage: 'press', tempC: { form: 'range', min: 130, max: 140, start: 135 }, timeS: figure },
      { fabricGroup: 'polyester', colourGroup: 'bright', stage: 'press', tempC: { form: 'one', value: 128 } },
      { colourGroup: 'bright', stage: 'finish', timeS: { form: 'one', value: 6 } },
      { fabricGroup: 'cotton and blends', stage: 'pre-press', timeS: { form: 'one', value: 10 } },
      { fabricGroup: 'wood', stage: 'press', timeS: { form: 'one', value: 20 }, cover: 'required', peel: 'cold' },
    ],
    substrates: ['cloth', 'wood'],
    never: ['glass'],
  };
  const readBack = (csv: string, known: Product | undefined) => {
    const reading = readShelfCsv('products', csv, () => known);
    let step = reading.next();
    while (!step.done) step = reading.next();
    return step.value;
  };
  it('comes back with every figure as it was written: single, tolerance, range, start, groups, pre-press, a finish with its pull', () => {
    expect(ProductSchema.parse(sheet)).toEqual(sheet);
    const { docs, faults } = readBack(shelfCsv('products', [sheet]), film);
    expect(faults.list).toEqual([]);
    expect(docs[0]?.doc).toEqual(sheet);
  });
  it('from when figures were a least and a most is still taken', () => {
    const csv = `id,name,maker,family,temp_min_c,temp_max_c,temp_nominal_c,time_min_s,time_max_s,time_nominal_s,sheet,sheet_date\nproduct-x,x,y,cut-film,150,160,155,8,12,,old,2026-01-01\n`;
    const { docs, faults } = readBack(csv, undefined);
    expect(faults.list).toEqual([]);
    expect(docs[0]?.doc.stages[0]).toMatchObject({
      tempC: { form: 'range', min: 150, max: 160, start: 155 },
      timeS: { form: 'range', min: 8, max: 12 },
    });
  });
  it('an empty cell of what it never holds on leaves that to its family; a material nobody knows is named', () => {
    const { docs } = readBack(shelfCsv('products', [film]), film);
    expect(docs[0]?.doc.never).toBeUndefined();
    const wrong = readBack(shelfCsv('products', [sheet]).replace('cloth; wood', 'cloth; oak'), film);
    expect(wrong.faults.list).toMatchObject([{ field: 'goes_on', message: expect.stringMatching(/oak” is no material/) }]);
  });
  it('names the column of the stage a fault is in', () => {
    const csv = shelfCsv('products', [sheet]).replace('155–165, start 160', '155–165, start 170');
    expect(readBack(csv, film).faults.list).toMatchObject([
      { field: 'finish_temp_c', message: expect.stringMatching(/start 170 °C lies outside/) },
    ]);
  });
});

describe('compositions and guarded cells in a list', () => {
  const known = () => undefined;
  const faultsIn = (csv: string) => {
    const reading = readShelfCsv('fabrics', csv, known);
    let step = reading.next();
    while (!step.done) step = reading.next();
    return step.value;
  };
  const row = (composition: string) => `id,name,composition,mass_gsm,thickness_mm\nfabric-x,x,"${composition}",150,0.4\n`;
  it.each([
    ['50 polyester, 25 cotton, 25 viscose', 3],
    ['100% cotton', 1],
    ['60 viscose (rayon, modal) ', 0],
  ])('“%s”', (text, parts) => {
    const { docs, faults } = faultsIn(row(text));
    expect(faults.count === 0 ? docs[0]?.doc.composition.length : 0).toBe(parts);
  });
  it.each([
    ['60 cotton, 30 polyester', /add up to 90 %/],
    ['cotton', /is not a share and a fibre/],
    ['100 hempp', /“hempp” is no fibre we know. Known are cotton, linen/],
    ['', /Name at least one fibre/],
  ])('“%s” is refused', (text, words) => expect(faultsIn(row(text)).faults.list[0]?.message).toMatch(words));
  it('a quote that is never closed is named by its line', () => {
    expect(faultsIn('id,name\nfabric-x,"x\nfabric-y,y\n').faults.list).toMatchObject([
      { field: 'file', message: expect.stringMatching(/cannot be read from here on/) },
    ]);
  });
});
