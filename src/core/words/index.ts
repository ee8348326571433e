export { WORD_IDS, type WordId, wordOf } from './words';
