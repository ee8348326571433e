/** Papers of the shop, worked out in a worker: a card to hang at the press, the guide to lay art by, transfers on fabrics. */
import type { Db } from '../stores/perShop';
import type { DonePaper, PaperJob } from '../work/task';
import { cardFile } from './cardPdf';
import { guideFile } from './guidePdf';
import { matrixFile } from './matrixPdf';

export function paperBytes(db: Db, { file, orderId, query }: PaperJob): Promise<DonePaper> {
  if (file === 'tested-matrix.pdf') return matrixFile(db, query);
  return file === 'card.pdf' ? cardFile(db, orderId, query) : guideFile(db, orderId, query, file === 'guide.svg' ? 'svg' : 'pdf');
}
