/** Card: the worked-out pressing of one print on one press, with its stages, steps and reasons. */

export { type ClosingFigures, closingsOfCard, figuresAt } from './closings';
export { lampAndMinutes, resolve, TRADE, type Trade } from './resolve';
export { CARD_SCHEMA_VERSION, type Card, CardSchema, type Layer, type Stage, type Step } from './schema';
export { bracketWords, writtenWords } from './sheetWords';
export { minutesOf, stagesOf } from './stages';
export { fingerWords, handWords, placeWords } from './steps/place';
export { type Lettering, letteringOf, letteringWords, pressureWords } from './steps/words';
