/** Own transfers on own fabrics on paper, to hang beside the press: set value and time of each, its lamp, what was tested in bold. */

import PDFDocument from 'pdfkit';
import { z } from 'zod';
import type { Matrix } from '../../core/advice';
import { PAPER_SIZES } from '../../core/house';
import { formatDuration, formatQuantity } from '../../core/units';
import { dayOf } from '../day';
import { invalid } from '../refusal';
import type { Db } from '../stores/perShop';
import { matrixFor } from '../stores/tested';
import { lampShape } from './lampShape';
import { bytesOf, type Doc, fonts, INK, PAPERS, SOFT, write } from './pdf';

const Query = z.object({ press: z.string().max(64), paper: z.enum(PAPER_SIZES).default('A4') });
const MARGIN = 30;
const HEAD = 72;
const FOOT = 34;
const NAMES = 128;
const ROW = 18.6;
const LEAST_COLUMN = 54;
const LINE = '#c9d0d0';

function put(
  doc: Doc,
  text: string,
  at: { x: number; y: number; width: number; size: number; lines?: number },
  font: 'plain' | 'bold' = 'plain',
): void {
  doc.x = at.x;
  doc.y = at.y;
  doc.fontSize(at.size);
  write(doc, text, font, { width: at.width, height: at.size * (1.3 * (at.lines ?? 2) + 0.3), ellipsis: true });
}

/** Pieces of a list, each at most so long. */
const parts = <T>(all: readonly T[], most: number): T[][] =>
  Array.from({ length: Math.max(1, Math.ceil(all.length / most)) }, (_, i) => all.slice(i * most, (i + 1) * most));

interface Page {
  matrix: Matrix;
  /** Columns and rows of this page. */
  columns: number[];
  rows: number[];
  words: string;
}

type Cell = Matrix['rows'][number]['cells'][number];

function drawFigures(doc: Doc, cell: Cell, unit: 'C' | 'F', at: { x: number; y: number; width: number }): void {
  doc.fillColor(SOFT);
  if (cell.lamp === 'hold') {
    put(doc, 'Hold', { ...at, y: at.y + 2.5, size: 7.5 });
    return;
  }
  const small = [formatDuration(cell.timeS), ...(cell.peel === 'none' ? [] : [cell.peel]), ...(cell.testedOn ? ['tested'] : [])];
  put(doc, small.join(', '), { ...at, y: at.y + 8.4, size: 5.8 });
  doc.fillColor(INK);
  put(doc, formatQuantity(cell.setC, unit), { ...at, size: 8 }, cell.testedOn ? 'bold' : 'plain');
}

function drawPage(doc: Doc, { matrix, columns, rows, words }: Page, width: number, height: number): void {
  doc.fillColor(INK);
  put(doc, `Transfers on fabrics: ${matrix.press.name}`, { x: MARGIN, y: MARGIN, width: width - 2 * MARGIN, size: 14 }, 'bold');
  doc.fillColor(SOFT);
  put(doc, words, { x: MARGIN, y: height - FOOT, width: width - 2 * MARGIN, size: 7.5 });
  const each = (width - 2 * MARGIN - NAMES) / Math.max(1, columns.length);
  const x = (c: number) => MARGIN + NAMES + c * each;
  columns.forEach((column, c) => {
    const fabric = matrix.fabrics[column];
    if (!fabric) return;
    doc.fillColor(INK);
    put(doc, fabric.name, { x: x(c) + 2, y: MARGIN + 22, width: each - 4, size: 7.5, lines: 3 }, 'bold');
    doc.fillColor(SOFT);
    put(doc, fabric.blankName, { x: x(c) + 2, y: MARGIN + 53, width: each - 4, size: 6 });
  });
  rows.forEach((row, r) => {
    const product = matrix.rows[row];
    if (!product) return;
    const y = MARGIN + HEAD + r * ROW;
    doc
      .lineWidth(0.5)
      .strokeColor(LINE)
      .moveTo(MARGIN, y - 3)
      .lineTo(width - MARGIN, y - 3)
      .stroke();
    doc.fillColor(INK);
    put(doc, product.name, { x: MARGIN, y: y + 2, width: NAMES - 6, size: 8.5 }, 'bold');
    for (const [c, column] of columns.entries()) {
      const cell = product.cells[column];
      if (!cell) continue;
      lampShape(doc, cell.lamp, x(c) + 2, y + 2, 9);
      drawFigures(doc, cell, matrix.press.unit, { x: x(c) + 14, y, width: each - 16 });
    }
  });
}

function matrixPdf(matrix: Matrix, paper: keyof typeof PAPERS, day: string): Promise<Buffer> {
  const [short, long] = PAPERS[paper];
  const doc = fonts(
    new PDFDocument({
      size: [long, short],
      margin: 0,
      autoFirstPage: false,
      info: { Title: 'Transfers on fabrics', Creator: 'Tidy Beacon' },
    }),
  );
  const columns = parts([...matrix.fabrics.keys()], Math.floor((long - 2 * MARGIN - NAMES) / LEAST_COLUMN));
  const rows = parts([...matrix.rows.keys()], Math.floor((short - MARGIN - HEAD - FOOT - 8) / ROW));
  const pages = rows.flatMap((r) => columns.map((c) => ({ rows: r, columns: c })));
  pages.forEach((page, i) => {
    doc.addPage();
    const many = pages.length > 1 ? ` Page ${i + 1} of ${pages.length}.` : '';
    const unmeasured = matrix.press.measured ? '' : ' This press was never measured.';
    const words = `As the shop stood on ${day}: usual art, one piece. Half-filled is Care: read its card first. Barred is Hold: do not press. The maker’s own sheet goes before this page.${unmeasured}${many}`;
    drawPage(doc, { matrix, ...page, words }, long, short);
  });
  return bytesOf(doc);
}

/** @throws {Refusal} 404 there is no such press; 422 a query that cannot be read */
export async function matrixFile(db: Db, params: Record<string, string>): Promise<{ bytes: Uint8Array; name: string; type: string }> {
  const query = Query.safeParse(params);
  if (!query.success) throw invalid(query.error, 'Query');
  const { press, paper } = query.data;
  const matrix = matrixFor(db, press);
  const bytes = new Uint8Array(await matrixPdf(matrix, paper, dayOf(Date.now())));
  return { bytes, name: `transfers-on-fabrics-${matrix.press.name}.pdf`, type: 'application/pdf' };
}
