/** The decisions of a card, in the order they are taken. A later one may overrule an earlier. */
import { COVER_DECISIONS } from './cover';
import type { Decision } from './decision';
import { LAYING_DECISIONS } from './laying';
import { PASSAGE_DECISIONS } from './passage';
import { SHEET_DECISIONS } from './sheet';

export const DECISIONS: readonly Decision[] = [...SHEET_DECISIONS, ...COVER_DECISIONS, ...LAYING_DECISIONS, ...PASSAGE_DECISIONS];

export type { Decision } from './decision';
