/** Presses: what they really do for what they are set to. */
export {
  type Band,
  deliveredBand,
  isHandHeld,
  type Press,
  type PressKind,
  PressSchema,
  pressOffset,
  usualPress,
} from './press';
export { BAND_KPA, bandMiddle, type PressureSetting, pressureSetting } from './pressure';
