/** The columns of the shelf's CSVs: how each cell is written from a thing and read back into one. */

import { type Composition, type Fabric, FIBRE_IDS, FIBRES } from '../materials';
import { PARCEL_LOOKS, type Parcel, type Product, type ShelfKind, type ShelfThings } from '../sheet';
import { type Column, figure, maybe, put, text, yesNo } from './column';
import { SHEET_COLUMNS } from './sheetColumns';

/** `50 polyester, 25 cotton, 25 viscose` */
const compositionText = (composition: Composition): string => composition.map((part) => `${part.percent} ${part.fibre}`).join(', ');

/** The composition a label's line stands for, or what is wrong with it. */
function readComposition(line: string): Composition | string {
  const parts: Composition = [];
  for (const piece of line
    .split(',')
    .map((word) => word.trim())
    .filter(Boolean)) {
    const [, figures = '', name = ''] = /^([\d.]+)\s*%?\s*(.+)$/.exec(piece) ?? [];
    const asked = name.trim().toLowerCase();
    const fibre = FIBRE_IDS.find((id) => id === asked || FIBRES[id].name === asked);
    if (figures === '') return `“${piece}” is not a share and a fibre, as in “50 cotton”.`;
    if (!fibre) return `“${name.trim()}” is no fibre we know. Known are ${FIBRE_IDS.join(', ')}.`;
    parts.push({ fibre, percent: Number(figures) });
  }
  return parts;
}

const composition: Column<Fabric> = {
  heading: 'composition',
  path: 'composition',
  get: (doc) => compositionText(doc.composition),
  set: (draft, cell) => {
    const found = readComposition(cell);
    if (typeof found === 'string') return found;
    draft.composition = found;
    return undefined;
  },
};

const TANNINGS = ['vegetable', 'chrome', 'unknown'] as const;
/** `undyed, vegetable`: asked for leather only. */
const leather: Column<Fabric> = {
  heading: 'leather',
  path: 'leather',
  get: (doc) => (doc.leather ? `${doc.leather.undyed ? 'undyed' : 'dyed'}, ${doc.leather.tanning}` : ''),
  set: (draft, cell) => {
    if (cell === '') return void put(draft, 'leather', undefined);
    const [dye = '', tanning = ''] = cell.split(',').map((part) => part.trim());
    if (!['undyed', 'dyed'].includes(dye) || !TANNINGS.some((word) => word === tanning))
      return `“${cell}” does not say how the leather is dyed and tanned, as in “undyed, vegetable”.`;
    return void put(draft, 'leather', { undyed: dye === 'undyed', tanning });
  },
};

/** What of a parcel was found as ordered: `art, size`. */
const AGREES: Column<Parcel> = {
  heading: 'as_ordered',
  path: 'agrees',
  get: ({ agrees }) => agrees.join(', '),
  set: (draft, cell) => {
    const words = cell.split(',').map((word) => word.trim().toLowerCase());
    const said = words.filter((word) => word !== '');
    const odd = said.find((word) => !PARCEL_LOOKS.some((look) => look === word));
    return odd ? `“${odd}” is none of ${PARCEL_LOOKS.join(', ')}.` : void put(draft, 'agrees', said);
  },
};

/** When it was counted last and how many there were: `26 at 2026-05-31T10:30:00.000Z`; empty: never. */
const COUNTED: Column<Parcel> = {
  heading: 'counted',
  path: 'counted',
  get: ({ counted }) => (counted ? `${counted.n} at ${new Date(counted.at).toISOString()}` : ''),
  set: (draft, cell) => {
    if (cell === '') return void put(draft, 'counted', null);
    const [, n = '', when = ''] = /^(\d+) at (\S+)$/.exec(cell) ?? [];
    const at = Date.parse(when);
    if (n === '' || Number.isNaN(at)) return `“${cell}” is not a count and an instant, as in “26 at 2026-05-31T10:30:00Z”.`;
    return void put(draft, 'counted', { n: Number(n), at });
  },
};

/** How large a sheet is, as `330 x 480`, mm; empty: one print a sheet. */
const SHEET_SIZE: Column<Product> = {
  heading: 'sheet_size_mm',
  path: 'sheetSize',
  get: ({ sheetSize }) => (sheetSize ? `${sheetSize.widthMm} x ${sheetSize.heightMm}` : ''),
  set: (draft, cell) => {
    if (cell === '') return void put(draft, 'sheetSize', undefined);
    const [, width, height] = /^([\d.,]+)\s*[x×]\s*([\d.,]+)$/i.exec(cell) ?? [];
    if (!width || !height) return `“${cell}” is not a width and a length, as in “330 x 480”.`;
    const [widthMm, heightMm] = [width, height].map((side) => Number(side.replace(',', '.')));
    return void put(draft, 'sheetSize', { widthMm, heightMm });
  },
};

export const COLUMNS: { [K in ShelfKind]: readonly Column<ShelfThings[K]>[] } = {
  fabrics: [
    text('id', 'id'),
    text('name', 'name'),
    text('material', 'substrate'),
    composition,
    text('build', 'construction'),
    text('texture', 'texture'),
    figure('mass_gsm', 'massGsm'),
    figure('thickness_mm', 'thicknessMm'),
    figure('stretch_percent', 'stretchPercent'),
    text('finish', 'coating'),
    text('dye_risk', 'dyeRisk'),
    yesNo('clear', 'clear'),
    text('acrylic', 'acrylic'),
    leather,
    figure('conductivity_w_mk', 'thermal.k'),
    figure('density_kg_m3', 'thermal.rho'),
    figure('heat_capacity_j_kgk', 'thermal.c'),
    text('retired_on', 'retiredOn'),
  ],
  blanks: [
    text('id', 'id'),
    text('name', 'name'),
    text('kind', 'kind'),
    text('fabric', 'fabricId'),
    text('colour', 'colour'),
    text('shade', 'shade'),
    {
      heading: 'sizes',
      path: 'sizes',
      get: (doc) => doc.sizes.join('; '),
      set: (draft, cell) =>
        void put(
          draft,
          'sizes',
          cell
            .split(';')
            .map((size) => size.trim())
            .filter(Boolean),
        ),
    },
    figure('thickness_mm', 'thicknessMm', true),
    figure('thickness_spread_mm', 'thicknessSpreadMm'),
    yesNo('lined', 'lined'),
    text('print_on', 'printable'),
    text('looked_at', 'lookedAt'),
    text('duty', 'duty'),
    text('retired_on', 'retiredOn'),
  ],
  products: [
    text('id', 'id'),
    text('name', 'name'),
    text('maker', 'maker'),
    text('family', 'familyId'),
    ...SHEET_COLUMNS,
    figure('price_minor', 'pricePerSheetMinor'),
    SHEET_SIZE,
    figure('minutes_to_make', 'minutesToMake'),
    text('sheet', 'source.sheet'),
    text('sheet_date', 'source.on'),
    text('care', 'care'),
    text('retired_on', 'retiredOn'),
  ],
  aids: [
    text('id', 'id'),
    text('name', 'name'),
    text('serves', 'serves'),
    figure('thickness_mm', 'thicknessMm'),
    text('wear', 'wear'),
    text('note', 'note'),
    text('retired_on', 'retiredOn'),
  ],
  tested: [
    text('id', 'id'),
    text('name', 'name'),
    text('transfer', 'productId'),
    text('press', 'pressId'),
    text('on', 'on.kind'),
    text('on_id', 'on.id'),
    figure('set_c', 'setC'),
    maybe(figure('read_c', 'readC')),
    figure('time_s', 'timeS'),
    text('peel', 'peel'),
    text('result', 'result'),
    text('by', 'by'),
    text('date', 'testedOn'),
    yesNo('outside_sheet', 'offSheet'),
    text('note', 'note'),
    text('retired_on', 'retiredOn'),
  ],
  parcels: [
    text('id', 'id'),
    text('name', 'name'),
    text('transfer', 'productId'),
    text('art', 'art'),
    text('supplier', 'supplier'),
    text('colour', 'colour'),
    maybe(figure('width_mm', 'widthMm')),
    maybe(figure('height_mm', 'heightMm')),
    figure('ordered', 'ordered'),
    figure('spares', 'spares'),
    figure('per_sheet', 'perSheet'),
    maybe(text('expected_on', 'expectedOn')),
    maybe(text('arrived_on', 'arrivedOn')),
    COUNTED,
    AGREES,
    maybe(text('sheet_date', 'sheetOn')),
    text('lies', 'lies'),
    text('note', 'note'),
    text('retired_on', 'retiredOn'),
  ],
};
