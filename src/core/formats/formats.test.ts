import { parse } from 'csv-parse/sync';
import { describe, expect, it } from 'vitest';
import { type LoggedPressing, pressingsCsv } from './index';

const pressing: LoggedPressing = {
  id: '00000000-0000-4000-8000-000000000001',
  runId: 'run-1',
  orderId: 'o-1',
  orderName: 'Guide tees, "open" night',
  lineId: 'l-1',
  piece: 2,
  cardHash: 'a'.repeat(64),
  blankName: '=HYPERLINK("x")',
  fabricName: 'heather blend',
  size: 'M',
  productName: 'Wren stretch',
  pressName: 'Swing-away',
  position: 'full front',
  artName: 'star',
  setC: 135.5555555,
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
