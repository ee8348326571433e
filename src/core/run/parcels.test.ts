/** Parcels: the oldest first and no more than needed; what a run takes is what its pieces have on them, lost ones and scraps beside. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
import { inputOf } from '../../../test/trade/check';
import { resolve } from '../card';
import { type Parcel, ParcelSchema } from '../sheet';
import { phraseText } from '../units';
import type { Run, RunEvent, RunParcel } from './events';
import { gateOf } from './gate';
import {
  countedAtGate,
  leftInParcel,
  type ParcelStock,
  parcelCautions,
  parcelNames,
  parcelsFor,
  parcelsReach,
  shortOf,
  takenFrom,
  usesOf,
} from './parcels';
import { uuid } from './test/plans';

const HOUSE = { temperature: 'C', length: 'mm', contactPressure: 'kPa', linePressure: 'bar' } as const;
const PARCEL: Parcel = {
  id: 'parcel-ring',
  name: 'Ring of May',
  productId: 'film',
  supplier: '',
  art: 'ring',
  widthMm: null,
  heightMm: null,
  colour: '',
  ordered: 10,
  spares: 2,
  perSheet: 1,
  expectedOn: null,
  arrivedOn: '2026-05-02',
  counted: null,
  agrees: ['art', 'size', 'colour', 'count'],
  sheetOn: null,
  trial: { on: '2026-05-02', by: 'TO', result: 'good', note: '' },
  lies: 'drawer 2',
  note: '',
};
const stocked = (left: number | null, change: Partial<Parcel> = {}): ParcelStock => ({ parcel: { ...PARCEL, ...change }, left });
const of = { artName: 'Ring ', layers: [{ productId: 'film' }] } as never;
const inRun = (id: string, left: number | null, change: Partial<RunParcel> = {}): RunParcel => ({
  id,
  name: id,
  productId: 'film',
  art: 'ring',
  lies: '',
  left,
  perSheet: 1,
  unlooked: [],
  newerSheet: null,
  trial: 'good',
  ...change,
});

describe('parcels a run goes by', () => {
  it('are of its art and transfer, whatever the case of the letters; what has not come, is empty or retired is none', () => {
    const ids = (...stock: ParcelStock[]) => parcelsFor(of, 3, stock, []).map(({ id }) => id);
    expect(ids(stocked(5))).toEqual(['parcel-ring']);
    expect(ids(stocked(null))).toEqual(['parcel-ring']);
    for (const other of [
      stocked(0),
      stocked(-2),
      stocked(5, { arrivedOn: null }),
      stocked(5, { retiredOn: '2026-06-01' }),
      stocked(5, { art: 'rings' }),
      stocked(5, { productId: 'paper' }),
    ])
      expect(ids(other)).toEqual([]);
  });

  it('the oldest come first, as many as are needed and no more', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.array(fc.record({ day: fc.integer({ min: 10, max: 28 }), left: fc.integer({ min: -3, max: 20 }) }), { maxLength: 8 }),
        (count, drawn) => {
          const stock = drawn.map(({ day, left }, i) => stocked(left, { id: `p${i}`, arrivedOn: `2026-05-${day}` }));
          const taken = takenFrom(count, stock);
          const sum = (some: readonly ParcelStock[]) => some.reduce((all, { left }) => all + (left ?? 0), 0);
          const all = stock.filter(({ left }) => (left ?? 0) > 0);
          expect(sum(taken) >= count || taken.length === all.length).toBe(true);
          expect(taken.length === 0 || sum(taken.slice(0, -1)) < count).toBe(true);
          const days = taken.map(({ parcel }) => parcel.arrivedOn ?? '');
          expect(days).toEqual([...days].sort());
          const last = days.at(-1) ?? '';
          expect(all.every((one) => taken.includes(one) || (one.parcel.arrivedOn ?? '') >= last)).toBe(true);
        },
      ),
      runs(300),
    ));

  it('of two transfers to a piece, the one there is least of says how far they reach', () => {
    expect(parcelsReach([inRun('a', 4), inRun('b', 3), inRun('c', 5, { productId: 'paper' })])).toBe(5);
    expect(parcelsReach([inRun('a', 4), inRun('c', null, { productId: 'paper' })])).toBeNull();
    expect(parcelsReach([])).toBeNull();
    expect(parcelNames([inRun('a', 4), inRun('c', 5, { productId: 'paper' })], of)).toEqual(['a']);
  });

  it('what is short is what no parcel that came has; one nobody counted leaves it open', () => {
    expect(shortOf(PARCEL, 12, [stocked(5), stocked(4, { id: 'q' }), stocked(50, { id: 'r', arrivedOn: null })])).toBe(3);
    expect(shortOf(PARCEL, 9, [stocked(5), stocked(4, { id: 'q' })])).toBe(0);
    expect(shortOf(PARCEL, 5, [stocked(-4), stocked(5, { id: 'q' })])).toBe(0);
    expect(shortOf(PARCEL, 9, [stocked(5), stocked(null, { id: 'q' })])).toBeNull();
  });
});

describe('the set-up by a parcel', () => {
  const card = resolve(inputOf({ says: 'a tee', on: 'cotton-tee', with: 'screen-printed', item: { size: 'M' } }));
  const point = (pieces: number, ...parcels: RunParcel[]) => gateOf(card, { pieces, parcels }).find(({ key }) => key === 'parcel');
  const look = (pieces: number, ...parcels: RunParcel[]) => phraseText(point(pieces, ...parcels)?.look ?? [], HOUSE);

  it('says where it lies, what is left over or short, and what is cut apart', () => {
    expect(look(8, inRun('a', 10, { lies: 'drawer 2' }))).toBe('They lie here: drawer 2. 8 are needed, 2 are spares.');
    expect(look(8, inRun('a', 7, { perSheet: 4 }))).toBe('8 are needed and 7 are there: 1 short. 4 on a sheet: cut them apart.');
    expect(look(8, inRun('a', null))).toBe('8 are needed; it was never counted.');
    expect(look(8, inRun('a', 5, { lies: 'x' }), inRun('b', 9, { lies: 'y' }))).toBe(
      'They lie here: a: x; b: y. 8 are needed, 6 are spares.',
    );
  });

  it('a trial that went wrong comes first, then a newer sheet, what nobody looked at, and a trial not made', () => {
    const words = (change: Partial<RunParcel>) => parcelCautions(inRun('Ring', 5, change)).map((says) => phraseText(says, HOUSE));
    expect(words({})).toEqual([]);
    const all = words({ trial: 'lifted', newerSheet: { on: '2026-05-01', than: '2026-02-10' }, unlooked: ['size', 'count'] });
    expect(all.map((each) => each.match(/lifted|2026-05-01.*2026-02-10|size and count/)?.[0])).toEqual([
      'lifted',
      '2026-05-01, later than the one on the shelf of 2026-02-10',
      'size and count',
    ]);
    expect(words({ trial: null })).toEqual([expect.stringContaining('scrap')]);
  });

  it('a sheet later than the shelf’s is told, one of the same day or an earlier is not', () => {
    const products = [{ id: 'film', source: { sheet: 's', on: '2026-02-10' } }];
    const newer = (sheetOn: string | null) => parcelsFor(of, 3, [stocked(5, { sheetOn })], products)[0]?.newerSheet;
    expect([newer('2026-02-11'), newer('2026-02-10'), newer(null)]).toEqual([{ on: '2026-02-11', than: '2026-02-10' }, null, null]);
  });
});

/** One piece of a run, as the judge deals it: what becomes of it and of the transfers it takes. */
const dealt = fc.record({ fate: fc.constantFrom('good', 'spoiled', 'blank lost', 'in hand', 'not begun'), lost: fc.nat(2) });

describe('what is left in a parcel', () => {
  it('a piece takes one, each lost beside it one, each scrap one; a blank lost alone gives its transfer back', () =>
    fc.assert(
      fc.property(
        fc.array(dealt, { minLength: 1, maxLength: 30 }),
        fc.nat(3),
        fc.array(fc.nat(20), { minLength: 1, maxLength: 3 }),
        (fates, scraps, stock) => {
          const pieces = fates.map((one, i) => ({ ...one, piece: i + 1 }));
          const run = {
            orderId: 'o',
            lineId: 'l',
            printKey: 'a',
            cardHash: '',
            pieces: fates.length,
            also: [],
            parcels: stock.map((left, i) => inRun(`p${i}`, left)),
          } as never as Run;
          const events = Array.from({ length: scraps }, (_, i): RunEvent => ({ id: uuid(), at: i + 1, kind: 'trying', timeS: 5 }));
          const state = {
            results: pieces.flatMap(({ fate, piece }) =>
              fate === 'good' || fate === 'spoiled' || fate === 'blank lost'
                ? [
                    {
                      piece,
                      outcome: fate === 'good' ? 'good' : 'spoiled',
                      endedAt: piece * 100,
                      ...(fate === 'blank lost' && { lost: 'blank' }),
                    },
                  ]
                : [],
            ),
            lost: pieces.flatMap(({ piece, fate, lost }) =>
              fate === 'not begun' ? [] : Array.from({ length: lost }, () => ({ piece, lost: 'transfer', at: piece * 100 - 1 })),
            ),
            active: pieces.flatMap(({ fate, piece }) => (fate === 'in hand' ? [{ pieces: [piece], startedAt: piece * 100 }] : [])),
          } as never;
          // the judge takes transfers off a pile one by one
          let gone = scraps;
          for (const { fate, lost } of pieces) {
            if (fate === 'not begun') continue;
            gone += lost;
            if (fate !== 'blank lost') gone++;
          }
          const uses = usesOf(run, [{ of }], state, events);
          const taken = stock.map((_, i) => uses.get(`p${i}`)?.length ?? 0);
          expect(taken.reduce((sum, n) => sum + n, 0)).toBe(gone);
          let rest = gone;
          taken.forEach((n, i) => {
            const isLast = i === stock.length - 1;
            expect(n).toBe(isLast ? rest : Math.min(rest, stock[i] as number));
            rest -= n;
          });
        },
      ),
      runs(300),
    ));

  it('as counted last, less what was taken since; below nothing where more was taken than counted', () => {
    const uses = [1, 2, 3, 4, 5].map((at) => ({ n: 1, at: at * 10 }));
    expect(leftInParcel([], uses)).toBeNull();
    expect(leftInParcel([{ n: 10, at: 0 }], uses)).toBe(5);
    expect(
      leftInParcel(
        [
          { n: 10, at: 0 },
          { n: 9, at: 25 },
        ],
        uses,
      ),
    ).toBe(6);
    expect(
      leftInParcel(
        [
          { n: 9, at: 25 },
          { n: 10, at: 0 },
        ],
        uses,
      ),
    ).toBe(6);
    expect(leftInParcel([{ n: 3, at: 0 }], uses)).toBe(-2);
  });

  it('a count at the set-up is of its one parcel; taken back, or of several, it is none', () => {
    const count: RunEvent = { id: uuid(), at: 7, kind: 'checked', check: 'parcel', found: 12 };
    const one = { parcels: [inRun('a', 10)] };
    expect(countedAtGate(one, [count])).toEqual({ n: 12, at: 7 });
    expect(countedAtGate(one, [count, { id: uuid(), at: 8, kind: 'undone', of: count.id }])).toBeNull();
    expect(countedAtGate({ parcels: [inRun('a', 10), inRun('b', 3)] }, [count])).toBeNull();
  });

  it('what has not come cannot be counted, looked over or tried', () => {
    const away = { ...PARCEL, arrivedOn: null, counted: { n: 3, at: 1 } };
    const faults = ParcelSchema.safeParse(away).error?.issues.map(({ path }) => path.join('.'));
    expect(faults).toEqual(['counted', 'agrees', 'trial']);
    expect(ParcelSchema.safeParse({ ...away, counted: null, agrees: [], trial: null }).success).toBe(true);
    expect(ParcelSchema.safeParse(PARCEL).success).toBe(true);
  });
});
