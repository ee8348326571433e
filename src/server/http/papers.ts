/** Papers of the shop, worked out in a worker: a card to hang at the press, the guide to lay art by. */
import type { Db } from '../stores/perShop';
import type { PaperAsk } from '../work/task';
import { cardFile } from './cardPdf';
import { guideFile } from './guidePdf';

export const paperBytes = (db: Db, { file, orderId, query }: PaperAsk): Promise<{ bytes: Uint8Array; name: string; type: string }> =>
  file === 'card.pdf' ? cardFile(db, orderId, query) : guideFile(db, orderId, query, file === 'guide.svg' ? 'svg' : 'pdf');
