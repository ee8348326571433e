/** Placement over the wire, and the guide on paper: measured on pages drawn by a renderer of its own. */
import { PDFiumLibrary } from '@hyzyla/pdfium';
import { beforeAll, describe, expect, it } from 'vitest';
import { ownShop, put, request, send } from '../../test/api';
import { PAGE_MARGIN_MM, printed, TILE_OVERLAP_MM, type Tile, tilesOf } from '../core/placement';
import * as closingRoute from '../pages/api/v1/compute/closing';
import * as feasibilityRoute from '../pages/api/v1/compute/feasibility';
import * as placementRoute from '../pages/api/v1/compute/placement';
import * as splitRoute from '../pages/api/v1/compute/size-split';
import * as pdfRoute from '../pages/api/v1/orders/[id]/guide.pdf';
import * as svgRoute from '../pages/api/v1/orders/[id]/guide.svg';
import * as biasRoute from '../pages/api/v1/placement-bias';
import * as logRoute from '../pages/api/v1/pressings';
import * as placedRoute from '../pages/api/v1/pressings/[id]/placed/[amendmentId]';

ownShop();

const post = (route: { POST: Parameters<typeof send>[0] }, address: string, body: unknown) =>
  send(route.POST, address, {}, { method: 'POST', body: JSON.stringify(body) });
const fields = (reply: { body: { errors?: { field: string; message: string }[] } }) =>
  (reply.body.errors ?? []).map((error) => error.field);

const TEE = { kind: 'tee', obstructions: [] };
const ASK = { blank: TEE, size: 'M', position: 'full front', art: { widthMm: 250, heightMm: 250 } };

describe('the placement endpoints', () => {
  it('place a print, judge a platen, split a run and fill a closing', async () => {
    const placed = await post(placementRoute, '/compute/placement', ASK);
    expect(placed.status).toBe(200);
    expect(placed.body.box).toEqual({ leftMm: -125, topMm: 150, widthMm: 250, heightMm: 250 });
    const fits = await post(feasibilityRoute, '/compute/feasibility', {
      ...ASK,
      platen: { widthMm: 400, heightMm: 500 },
      loading: 'threaded',
    });
    expect(fits.body.fit).toMatchObject({ feasible: true, lay: { turn: 0 } });
    const over = await post(feasibilityRoute, '/compute/feasibility', { ...ASK, platen: { widthMm: 200, heightMm: 200 } });
    expect(over.body.fit).toEqual({ feasible: false, art: 'larger than the platen', inTheWay: [] });
    const run = { sizes: [{ size: 'M', chestMm: 520, pieces: 4 }], share: { min: 0.42, max: 0.6 }, mostMm: 400 };
    expect((await post(splitRoute, '/compute/size-split', run)).body.groups).toEqual([{ widthMm: 265, sizes: ['M'], pieces: 4 }]);
    const tags = { room: { widthMm: 386, heightMm: 488 }, piece: { widthMm: 90, heightMm: 50, round: false }, gapMm: 6 };
    expect((await post(closingRoute, '/compute/closing', tags)).body.pieces.length).toBeGreaterThanOrEqual(33);
  });

  it('name the field that cannot be: nothing wide, a neck wider than the chest, a pocket off the blank, a size nobody reads', async () => {
    const bad = async (change: object) => fields(await post(placementRoute, '/compute/placement', { ...ASK, ...change }));
    expect(await bad({ art: { widthMm: 0, heightMm: 10 } })).toContain('art.widthMm');
    const measures = { chest: 500, length: 700, neck: 520, frontDrop: 90, shoulder: 560, sleeve: 200 };
    expect(await bad({ blank: { ...TEE, cut: { size: 'M', measures } } })).toContain('blank.cut.measures.neck');
    const where = { panel: 'front', xMm: 400, yMm: 200, widthMm: 50, heightMm: 50 };
    expect(await bad({ blank: { ...TEE, obstructions: [{ kind: 'pocket', heightMm: 2, at: [], where }] } })).toContain(
      'blank.obstructions.0.where',
    );
    expect(await bad({ size: 'ladies 12' })).toEqual(['size']);
    expect(await bad({ position: 'cap front' })).toEqual(['position']);
  });
});

describe('where a print came to lie', () => {
  it('is noted beside the pressing, once for one id, and told as a habit; the pressing itself is untouched', async () => {
    const [one, two, three] = (await send(logRoute.GET, '/pressings?limit=200&outcome=good')).body.pressings.filter(
      (p: { operator: string; position: string }) => p.operator === 'MB' && p.position === 'full front',
    );
    const note = (pressing: { id: string }, id: string, yMm: number) =>
      put(
        placedRoute.PUT,
        `/pressings/${pressing.id}/placed/${id}`,
        { id: pressing.id, amendmentId: id },
        { xMm: 0, yMm, turnDeg: 0, by: 'TO' },
      );
    const ids = ['0000000a', '0000000b', '0000000c', '0000000d'].map((start) => `${start}-0000-4000-8000-000000000000`) as [
      string,
      string,
      string,
      string,
    ];
    expect((await note(one, ids[0], 90)).status).toBe(200);
    for (const [i, pressing] of [one, two, three].entries()) expect((await note(pressing, ids[i + 1] ?? '', 5 + i)).status).toBe(200);
    const again = await note(one, ids[1], 5);
    expect(
      again.body.pressing.amendments.filter((a: { field: string }) => a.field === 'placement').map((a: { to: string }) => a.to),
    ).toEqual(['0 90 0', '0 5 0']);
    const { biases } = (await send(biasRoute.GET, '/placement-bias')).body;
    expect(biases).toEqual([
      {
        operator: 'MB',
        position: 'full front',
        n: 3,
        across: { mean: 0, sure: false },
        down: { mean: 6, sure: true },
        turn: { mean: 0, sure: false },
      },
    ]);
    expect((await note(one, ids[0], 900)).status).toBe(422);
    expect((await note({ id: ids[3] }, ids[0], 1)).status).toBe(404);
  });
});

// ── the guide on paper ──

/** Pixels for each millimetre. */
const FINE = 20;
let library: PDFiumLibrary;
beforeAll(async () => {
  library = await PDFiumLibrary.init();
});

interface Page {
  dark: (x: number, y: number) => boolean;
  widthMm: number;
  heightMm: number;
}

async function pagesOf(bytes: Uint8Array): Promise<Page[]> {
  const document = await library.loadDocument(bytes);
  const pages: Page[] = [];
  for (const page of document.pages()) {
    const { data, width, height } = await page.render({ scale: (FINE * 25.4) / 72, render: 'bitmap' });
    const dark = (x: number, y: number) => {
      const [px, py] = [Math.round(x * FINE), Math.round(y * FINE)];
      return px >= 0 && py >= 0 && px < width && py < height && (data[4 * (py * width + px) + 1] ?? 255) < 128;
    };
    pages.push({ dark, widthMm: width / FINE, heightMm: height / FINE });
  }
  document.destroy();
  return pages;
}

/** Middles of the dark stretches met on a straight way over a page, mm. */
function met(from: number, to: number, dark: (at: number) => boolean): number[] {
  const found: number[] = [];
  let start: number | null = null;
  for (let at = from; at <= to; at += 1 / FINE) {
    if (dark(at)) start ??= at;
    else if (start !== null) {
      found.push((start + at - 1 / FINE) / 2);
      start = null;
    }
  }
  return found;
}

const SHEETS = { A4: { widthMm: 210, heightMm: 297 }, Letter: { widthMm: 215.9, heightMm: 279.4 } } as const;

describe.each(['A4', 'Letter'] as const)('the guide of a full front on %s', (paper) => {
  const address = `/orders/order-guide-tees/guide.pdf?line=line-guide-m&print=a&paper=${paper}`;

  // biome-ignore lint/complexity/noExcessiveCognitiveComplexity: the drawing of a page, read back mark by mark
  it('is true to scale: the check bar, the box of the art over its pages, and the joins', async () => {
    const reply = await request(pdfRoute.GET, address, { id: 'order-guide-tees' });
    expect(reply.headers.get('content-type')).toBe('application/pdf');
    const bytes = new Uint8Array(await reply.arrayBuffer());
    const text = Buffer.from(bytes).toString('latin1');
    expect(text).toMatch(/\/PrintScaling \/None/);
    const fonts = text.match(/\/Type \/FontDescriptor/g) ?? [];
    expect(fonts.length).toBeGreaterThan(0);
    expect(text.match(/\/FontFile[23]? /g)).toHaveLength(fonts.length);

    const pages = await pagesOf(bytes);
    const area = printed(SHEETS[paper]);
    expect(pages.length).toBeGreaterThanOrEqual(2);
    for (const page of pages) {
      // nothing within 6 mm of any edge
      for (let at = 0; at < page.widthMm; at += 0.5)
        for (const y of [1, 3, 5.9, page.heightMm - 5.9, page.heightMm - 2]) expect(page.dark(at, y)).toBe(false);
      for (let at = 0; at < page.heightMm; at += 0.5)
        for (const x of [1, 3, 5.9, page.widthMm - 5.9, page.widthMm - 2]) expect(page.dark(x, at)).toBe(false);
      const barY = PAGE_MARGIN_MM + area.heightMm + 5;
      const along: number[] = [];
      for (let x = 0; x < page.widthMm; x += 1 / FINE) if (page.dark(x, barY)) along.push(x);
      expect(Math.abs((along.at(-1) ?? 0) - (along[0] ?? 0) - 100)).toBeLessThan(0.2);
    }

    // the art: 254 by 203.2; its four edges found on the pages they lie on, in the guide’s own measure
    const svg = await (await request(svgRoute.GET, address.replace('.pdf', '.svg'), { id: 'order-guide-tees' })).text();
    const points =
      /data-kind="art" points="([^"]+)"/
        .exec(svg)?.[1]
        ?.split(' ')
        .map((pair) => pair.split(',').map(Number)) ?? [];
    const [[left = 0, top = 0] = [], , [right = 0, bottom = 0] = []] = points;
    expect([right - left, bottom - top]).toEqual([expect.closeTo(254, 2), expect.closeTo(203.2, 2)]);
    const [w, h] = [Number(/width="([\d.]+)mm"/.exec(svg)?.[1]), Number(/height="([\d.]+)mm"/.exec(svg)?.[1]) - 12];
    const tiles = tilesOf({ widthMm: w, heightMm: h }, SHEETS[paper]);
    expect(tiles).toHaveLength(pages.length);
    /** Where upright edges of the art stand on a page along a row of the guide, in the guide’s measure. */
    const upright = (tile: Tile, i: number, guideY: number) => {
      const y = guideY - tile.topMm + PAGE_MARGIN_MM;
      return met(PAGE_MARGIN_MM, PAGE_MARGIN_MM + area.widthMm, (x) => pages[i]?.dark(x, y) ?? false).map(
        (x) => x - PAGE_MARGIN_MM + tile.leftMm,
      );
    };
    const row = top + 0.3 * (bottom - top);
    const nearest = (found: number[], to: number) => Math.min(...found.map((x) => Math.abs(x - to)), 99);
    const onRow = tiles.map((tile, i) => ({ tile, i })).filter(({ tile }) => row > tile.topMm && row < tile.topMm + area.heightMm);
    const edges = onRow.flatMap(({ tile, i }) => upright(tile, i, row));
    expect(nearest(edges, left)).toBeLessThan(0.2);
    expect(nearest(edges, right)).toBeLessThan(0.2);
    // level edges, and the same edge on both sides of a join
    const level = (tile: Tile, i: number, guideX: number) => {
      const x = guideX - tile.leftMm + PAGE_MARGIN_MM;
      return met(PAGE_MARGIN_MM, PAGE_MARGIN_MM + area.heightMm, (y) => pages[i]?.dark(x, y) ?? false).map(
        (y) => y - PAGE_MARGIN_MM + tile.topMm,
      );
    };
    const join = (tiles.find((tile) => tile.column === 1)?.leftMm ?? 0) + TILE_OVERLAP_MM / 2 + 1.3;
    const both = tiles.map((tile, i) => ({ tile, i })).filter(({ tile }) => tile.row === 0 && tile.column < 2);
    expect(both).toHaveLength(2);
    for (const { tile, i } of both) expect(nearest(level(tile, i, join), top)).toBeLessThan(0.2);
    const height = tiles.flatMap((tile, i) => (join > tile.leftMm && join < tile.leftMm + area.widthMm ? level(tile, i, join) : []));
    expect(nearest(height, bottom)).toBeLessThan(0.2);
    expect(TILE_OVERLAP_MM).toBeGreaterThanOrEqual(10);
  });
});

describe('the guide', () => {
  it('of an order that is not there, and of a size that cannot be read, is refused in words', async () => {
    expect((await send(pdfRoute.GET, '/orders/nobody/guide.pdf?line=x&print=a', { id: 'nobody' })).status).toBe(404);
    expect(
      (await send(pdfRoute.GET, '/orders/order-guide-tees/guide.pdf?line=line-guide-m&print=a&paper=A3', { id: 'order-guide-tees' }))
        .status,
    ).toBe(422);
  });

  it('of a cap stands on one page', async () => {
    const reply = await request(pdfRoute.GET, '/orders/order-caps/guide.pdf?line=line-caps&print=a&paper=A4', { id: 'order-caps' });
    expect(await pagesOf(new Uint8Array(await reply.arrayBuffer()))).toHaveLength(1);
  });
});
