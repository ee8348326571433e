/**
 * Closings and peels of a pressing in one cell each, for lists that a spreadsheet opens.
 *
 * A closing is its stage, seconds after the start at which the press was shut, seconds carded and seconds shut, then what else is
 * known of it: `marry +12.4 105 106.2 set=152.8 panel=151@-3 passed`. A peel is its kind, seconds carded and seconds taken:
 * `warm 11 7.8 until=24`. Several are parted by semicolons.
 */

import type { Pressing } from '../log';
import { COVER_KINDS, PRESSURE_BANDS } from '../materials';
import { PEEL_HEATS, READ_BY } from '../run';

type Closing = Pressing['closings'][number];
type Peel = NonNullable<Pressing['peels']>[number];

const BARE = 'bare';
const s = (ms: number) => String(ms / 1000);
const worded = (words: string) => words.replaceAll(' ', '_');

function closingWords(startedAt: number, closing: Closing): string {
  const { stage, plannedS, closedAt, openedAt, readC, setC, band, readings = [], passedOver, spot } = closing;
  return [
    worded(stage),
    `+${s(closedAt - startedAt)}`,
    plannedS,
    s(openedAt - closedAt),
    ...(typeof readC === 'number' ? [`read=${readC}`] : readC === null ? ['read='] : []),
    ...(setC === undefined ? [] : [`set=${setC}`]),
    ...(band === undefined ? [] : [`band=${band}`]),
    ...readings.map(({ by, value, at }) => `${by}=${value}@${s(at - closedAt)}`),
    ...(passedOver ? ['passed'] : []),
    ...(spot ? [`spot=${[spot.area.x, spot.area.y, spot.area.width, spot.area.height].join(',')},${worded(spot.cover ?? BARE)}`] : []),
  ].join(' ');
}

export const closingsCell = ({ startedAt, closings }: Pick<Pressing, 'startedAt' | 'closings'>): string =>
  closings.map((closing) => closingWords(startedAt, closing)).join('; ');

export const peelsCell = ({ peels = [] }: Pick<Pressing, 'peels'>): string =>
  peels
    .map(({ peel, plannedS, tookS, untilS }) => [peel, plannedS, tookS, ...(untilS === undefined ? [] : [`until=${untilS}`])].join(' '))
    .join('; ');

const parts = (cell: string): string[][] =>
  cell
    .split(';')
    .map((one) => one.trim())
    .filter(Boolean)
    .map((one) => one.split(/\s+/));

/** What `name=value` says of a closing; what it does not know is left for the record's schema to refuse. */
function detailOf(word: string, closedAt: number): Partial<Closing> | null {
  const [name = '', value = ''] = word.split('=');
  if (word === 'passed') return { passedOver: true };
  if (name === 'read') return { readC: value === '' ? null : Number(value) };
  if (name === 'set') return { setC: Number(value) };
  const band = PRESSURE_BANDS.find((known) => known === value);
  if (name === 'band' && band) return { band };
  const by = READ_BY.find((known) => known === name);
  if (by) {
    const [figure = '', at = ''] = value.split('@');
    return { readings: [{ by, value: Number(figure), at: Math.round(closedAt + Number(at) * 1000) }] };
  }
  if (name !== 'spot') return null;
  const [x, y, width, height, cover] = value.split(',');
  const area = { x: Number(x), y: Number(y), width: Number(width), height: Number(height) };
  return { spot: { area, cover: COVER_KINDS.find((kind) => worded(kind) === cover) ?? null } };
}

/** @returns null: it cannot be read */
export function readClosings(cell: string, startedAt: number): Closing[] | null {
  const list: Closing[] = [];
  for (const [stage = '', at = '', planned = '', shut = '', ...details] of parts(cell)) {
    if (!at.startsWith('+') || planned === '' || shut === '') return null;
    const closedAt = Math.round(startedAt + Number(at) * 1000);
    let closing: Closing = {
      stage: stage.replaceAll('_', ' '),
      plannedS: Number(planned),
      closedAt,
      openedAt: Math.round(closedAt + Number(shut) * 1000),
    };
    for (const word of details) {
      const detail = detailOf(word, closedAt);
      if (!detail) return null;
      closing = { ...closing, ...detail, ...(detail.readings && { readings: [...(closing.readings ?? []), ...detail.readings] }) };
    }
    if (![closing.plannedS, closing.closedAt, closing.openedAt].every(Number.isFinite)) return null;
    list.push(closing);
  }
  return list;
}

/** @returns null: it cannot be read */
export function readPeels(cell: string): Peel[] | null {
  const list = parts(cell).map(([peel = '', planned = '', took = '', until]): Peel | null => {
    const kind = PEEL_HEATS.find((known) => known === peel);
    const [plannedS, tookS, untilS] = [Number(planned), Number(took), until === undefined ? 0 : Number(until.replace('until=', ''))];
    if (!kind || took === '' || ![plannedS, tookS, untilS].every(Number.isFinite)) return null;
    return { peel: kind, plannedS, tookS, ...(until !== undefined && { untilS }) };
  });
  return list.every((peel) => peel !== null) ? list : null;
}
