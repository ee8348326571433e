/** Bond: what a draft's setting does at the glue, what takes from it, and the time that would bring it back. */

export {
  type BondPoint,
  betterTime,
  bondAt,
  bondSd,
  bondsOf,
  bondWords,
  cardPiece,
  heatOf,
  heatReasons,
  isTold,
  logSdOf,
  SOUND_ENOUGH,
  THINGS,
  takesOf,
} from './bond';
export { HeatSchema } from './heatOfCard';
