/** Units: what may be typed and how it is shown, and plain words for what a schema refuses. Inside the app: °C, K, s, mm, kPa. */
export { formatBeside, formatDuration, formatFigure, formatForHouse, formatQuantity, formatTape, snap } from './format';
export { oddsWords } from './odds';
export { type Parsed, type ParseOptions, parseQuantity } from './parse';
export {
  contact,
  line,
  mm,
  phrase,
  phraseText,
  seconds,
  setTemp,
  tape,
  temp,
  tempDiff,
} from './phrase';
export { type Phrase, type PhrasePart, PhraseSchema } from './phraseSchema';
export { type HouseUnits, houseUnit, type QuantityKind, toInside, toShown, UNITS, type Unit, type UnitId } from './quantity';
export { speakPlainly } from './schemaWords';
export { WIDTH_AND_HEIGHT } from './widthAndHeight';
