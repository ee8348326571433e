/** The guide to lay art by, on paper at true scale: tiled over as many pages as it wants, each with a bar to check its scale by. */
import PDFDocument from 'pdfkit';
import { placeWords } from '../../core/card';
import { poseOf } from '../../core/draft';
import { sidedWords } from '../../core/materials';
import { type Guide, guideOf, guideSvg, PAGE_MARGIN_MM, printed, TILE_OVERLAP_MM, type Tile, tilesOf } from '../../core/placement';
import { formatTape, phraseText } from '../../core/units';
import { invalid, notFound, Refusal } from '../refusal';
import { inputOf, readFacts } from '../stores/cards';
import { findOrder } from '../stores/orders';
import type { Db } from '../stores/perShop';
import { drawLines } from './guideLines';
import { bytesOf, type Doc, fonts, INK, PAPERS, PrintQuery, SOFT, write } from './pdf';

const POINTS = 72 / 25.4;
const BAR_MM = 100;

/** The guide of one print of an order, with what stands on it. */
function guideFor(db: Db, orderId: string, lineId: string, printKey: string): { guide: Guide; name: string } {
  const { doc: order } = findOrder(db, orderId);
  const line = order.lines.find((line) => line.id === lineId);
  const print = line?.prints.find((print) => print.key === printKey);
  if (!line || !print) throw notFound('print', printKey);
  const facts = readFacts(db);
  const input = inputOf(facts, order, line, print);
  const pose = poseOf(input);
  if (!pose.placement)
    throw new Refusal('not valid', 'No place', pose.fault?.says ?? 'This print has no place on its blank.', [
      { field: 'size', message: line.size },
    ]);
  const { units } = facts.house;
  const size = `${formatTape(print.widthMm, units)} × ${formatTape(print.heightMm, units)}`;
  const words = [
    `${order.name}: ${print.artName}`,
    `${input.blank.name} ${line.size}, ${sidedWords(print)}, ${size}`,
    `Hang it from the ${pose.placement.lay[0]?.from ?? 'edge'}.`,
    ...sentences(phraseText(placeWords({ ...input, pose }), units)),
  ];
  return { guide: guideOf(pose.placement, words), name: `guide-${line.size}-${sidedWords(print)}` };
}

/** A long line in parts, so that it stands in the box. */
const sentences = (text: string): string[] => text.split(/[,;.] /).filter(Boolean);

/** Small crosses where the next page begins, and lines to cut or lay pages over each other by. */
function overlapMarks(doc: Doc, tile: Tile, area: { widthMm: number; heightMm: number }, last: { column: number; row: number }): void {
  doc.lineWidth(0.15).strokeColor(SOFT).dash(1, { space: 1 });
  const across = (x: number) => doc.moveTo(x, 0).lineTo(x, area.heightMm).stroke();
  const along = (y: number) => doc.moveTo(0, y).lineTo(area.widthMm, y).stroke();
  if (tile.column > 0) across(TILE_OVERLAP_MM);
  if (tile.column < last.column) across(area.widthMm - TILE_OVERLAP_MM);
  if (tile.row > 0) along(TILE_OVERLAP_MM);
  if (tile.row < last.row) along(area.heightMm - TILE_OVERLAP_MM);
  doc.undash();
}

function drawTile(doc: Doc, guide: Guide, tile: Tile, area: { widthMm: number; heightMm: number }): void {
  doc.save().rect(0, 0, area.widthMm, area.heightMm).clip().translate(-tile.leftMm, -tile.topMm);
  drawLines(doc, guide.lines);
  for (const { at, text, sizeMm } of guide.texts) {
    doc.x = at.x;
    doc.y = at.y - sizeMm;
    doc.fillColor(INK).fontSize(sizeMm);
    write(doc, text, 'plain', { lineBreak: false });
  }
  doc.restore();
}

/** The bar that tells whether the page came out at full size. */
function checkBar(doc: Doc, area: { widthMm: number; heightMm: number }, words: string): void {
  const y = area.heightMm + 5;
  doc.lineWidth(0.8).strokeColor(INK).moveTo(0, y).lineTo(BAR_MM, y).stroke();
  doc.x = 0;
  doc.y = y + 2;
  doc.fillColor(SOFT).fontSize(2.8);
  write(doc, `This bar is ${BAR_MM} mm long. If it measures otherwise, print again at full size. ${words}`, 'plain', { lineBreak: false });
}

/** The PDF of a guide. */
function guidePdf(guide: Guide, paper: keyof typeof PAPERS): Promise<Buffer> {
  const [width, height] = PAPERS[paper];
  const sheet = { widthMm: width / POINTS, heightMm: height / POINTS };
  const area = printed(sheet);
  const tiles = tilesOf(guide, sheet);
  const last = tiles.at(-1) ?? { column: 0, row: 0 };
  const doc = fonts(
    new PDFDocument({ size: [width, height], margin: 0, autoFirstPage: false, info: { Title: 'Guide', Creator: 'Tidy Beacon' } }),
  );
  // a viewer that fits pages to its paper would spoil the scale
  const root = (doc as unknown as { _root: { data: Record<string, unknown> } })._root;
  root.data.ViewerPreferences = doc.ref({ PrintScaling: 'None' });
  for (const tile of tiles) {
    doc.addPage();
    doc.save().scale(POINTS).translate(PAGE_MARGIN_MM, PAGE_MARGIN_MM);
    drawTile(doc, guide, tile, area);
    overlapMarks(doc, tile, area, last);
    const where =
      tiles.length === 1
        ? ''
        : `Page ${tile.row * (last.column + 1) + tile.column + 1} of ${tiles.length}: column ${tile.column + 1}, row ${tile.row + 1}.`;
    checkBar(doc, area, where);
    doc.restore();
  }
  return bytesOf(doc);
}

/** @throws {Refusal} 404 there is no such print; 422 it has no place, or a query that cannot be read */
export async function guideFile(
  db: Db,
  orderId: string,
  params: Record<string, string>,
  kind: 'pdf' | 'svg',
): Promise<{ bytes: Uint8Array; name: string; type: string }> {
  const query = PrintQuery.safeParse(params);
  if (!query.success) throw invalid(query.error, 'Query');
  const { guide, name } = guideFor(db, orderId, query.data.line, query.data.print);
  if (kind === 'svg')
    return { bytes: new TextEncoder().encode(guideSvg(guide)), name: `${name}.svg`, type: 'image/svg+xml; charset=utf-8' };
  return { bytes: new Uint8Array(await guidePdf(guide, query.data.paper)), name: `${name}.pdf`, type: 'application/pdf' };
}
