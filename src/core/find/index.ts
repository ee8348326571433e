/** Find anywhere: orders, people, the shelf, presses, pieces, settings and acts by a few letters. */
export { actEntries } from './acts';
export { orderEntries, pieceEntry, pressEntries, shelfEntries } from './entries';
export { EntrySchema, type Findable, GROUP_IDS, GROUPS } from './entry';
export { type FoundGroup, finder, offered } from './search';
