/** What every PDF of the app shares: its papers, its fonts, and text that finds the font with its letters. */
import { join } from 'node:path';
import type PDFDocument from 'pdfkit';
import { z } from 'zod';
import { PAPER_SIZES, type PaperSize } from '../../core/house';
import { appFolder } from '../app';

/** Sheets of paper, points. */
export const PAPERS = { A4: [595.28, 841.89], Letter: [612, 792] } as const satisfies Record<PaperSize, readonly [number, number]>;
/** What is written in, and what stands back. */
export const INK = '#18222b';
export const SOFT = '#4d5a64';
const FONTS = 'node_modules/@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next';

/** What is asked for a paper of one print. */
export const PrintQuery = z.object({ line: z.string().max(64), print: z.string().max(36), paper: z.enum(PAPER_SIZES).default('A4') });

export type Doc = InstanceType<typeof PDFDocument>;

export const fonts = (doc: Doc): Doc =>
  doc
    .registerFont('plain', join(appFolder(), `${FONTS}-latin-400-normal.woff`))
    .registerFont('bold', join(appFolder(), `${FONTS}-latin-700-normal.woff`))
    .registerFont('plain wide', join(appFolder(), `${FONTS}-latin-ext-400-normal.woff`))
    .registerFont('bold wide', join(appFolder(), `${FONTS}-latin-ext-700-normal.woff`));

/** Runs of text by the font that has their letters: names may hold letters beyond the western ones. */
function runsOf(text: string): { wide: boolean; text: string }[] {
  const runs: { wide: boolean; text: string }[] = [];
  for (const letter of text) {
    const code = letter.codePointAt(0) ?? 0;
    const wide = code >= 0x100 && code < 0x2000 && code !== 0x131 && code !== 0x152 && code !== 0x153;
    const last = runs.at(-1);
    if (last?.wide === wide) last.text += letter;
    else runs.push({ wide, text: letter });
  }
  return runs;
}

/** Writes text in the font that has its letters, broken to a width. */
export function write(doc: Doc, text: string, font: 'plain' | 'bold', options: PDFKit.Mixins.TextOptions = {}): void {
  const runs = runsOf(text.replaceAll('\u00a0', ' '));
  for (const [i, run] of runs.entries()) {
    doc.font(run.wide ? `${font} wide` : font);
    doc.text(run.text, { ...options, continued: i < runs.length - 1 || options.continued === true });
  }
}

/** The whole file. */
export const bytesOf = (doc: Doc): Promise<Buffer> =>
  new Promise((done, fail) => {
    const chunks: Buffer[] = [];
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => done(Buffer.concat(chunks)));
    doc.on('error', fail);
    doc.end();
  });
