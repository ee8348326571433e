import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
import { COVER_KINDS, PRESSURE_BANDS } from '../materials';
import { READ_BY } from '../run';
import { closingsCell, peelsCell, readClosings, readPeels } from './closingText';

const ms = fc.integer({ min: 0, max: 4_000_000 });
const figure = fc.integer({ min: 0, max: 40_000 }).map((n) => n / 100);
const share = fc.integer({ min: 0, max: 3 }).map((n) => n / 3);
const maybe = <T>(arbitrary: fc.Arbitrary<T>) => fc.option(arbitrary, { nil: undefined });
const START = 1_796_000_000_000;

const closing = fc
  .record({
    stage: fc.constantFrom('marry', 'pre-press', 'tack', 'press', 'finish', 'spot repair'),
    plannedS: figure,
    from: ms,
    shut: ms,
    readC: maybe(fc.option(figure, { nil: null })),
    setC: maybe(figure),
    band: maybe(fc.constantFrom(...PRESSURE_BANDS)),
    readings: maybe(
      fc.array(fc.record({ by: fc.constantFrom(...READ_BY), value: figure, off: fc.integer({ min: -60_000, max: 60_000 }) }), {
        minLength: 1,
      }),
    ),
    passedOver: maybe(fc.constant(true as const)),
    spot: maybe(
      fc.record({
        area: fc.record({ x: share, y: share, width: share, height: share }),
        cover: fc.option(fc.constantFrom(...COVER_KINDS), { nil: null }),
      }),
    ),
  })
  .map(({ from, shut, readings, ...rest }) => {
    const closedAt = START + from;
    const all = {
      ...rest,
      closedAt,
      openedAt: closedAt + shut,
      readings: readings?.map(({ off, ...reading }) => ({ ...reading, at: closedAt + off })),
    };
    return Object.fromEntries(Object.entries(all).filter(([, value]) => value !== undefined)) as never;
  });
const peel = fc
  .record({ peel: fc.constantFrom('hot', 'warm', 'cold'), plannedS: figure, tookS: figure, untilS: maybe(figure) })
  .map(({ untilS, ...rest }) => ({ ...rest, ...(untilS !== undefined && { untilS }) }) as never);

describe('closings and peels in a cell', () => {
  it('are read back as they were written', () => {
    fc.assert(
      fc.property(fc.array(closing), fc.array(peel), (closings, peels) => {
        expect(readClosings(closingsCell({ startedAt: START, closings }), START)).toEqual(closings);
        expect(readPeels(peelsCell({ peels }))).toEqual(peels);
      }),
      runs(1000),
    );
  });
  it('are words a person can follow', () => {
    const readings = [{ by: 'panel' as const, value: 151, at: START + 9000 }];
    const marry = { stage: 'marry', plannedS: 105, closedAt: START + 12_400, openedAt: START + 118_600, setC: 152.8, readings };
    expect(closingsCell({ startedAt: START, closings: [marry] })).toBe('marry +12.4 105 106.2 set=152.8 panel=151@-3.4');
  });
  it('nothing that is none is taken', () => {
    for (const bad of ['press', 'press soon 1 1', 'press +1 1 1 because', 'press +1 x 1']) expect(readClosings(bad, START)).toBeNull();
    for (const bad of ['lukewarm 1 1', 'hot 1', 'hot x 1']) expect(readPeels(bad)).toBeNull();
  });
});
