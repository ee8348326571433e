/** Bond: what a draft's setting does at the glue, what takes from it, and the time that would bring it back. */

export {
  type BondPoint,
  betterTime,
  bondAt,
  bondSd,
  bondsOf,
  bondWords,
  cardPiece,
  effectsOf,
  heatOf,
  heatReasons,
  isReportable,
  logSdOf,
  SOUND_ENOUGH,
  THINGS,
} from './bond';
export { HeatSchema } from './heatOfCard';
