/** Presses: what they really do for what they are set to. */
export { type Band, deliveredBand, PRESS_KINDS, type Press, PressSchema, pressOffset } from './press';
export { BAND_KPA, bandMiddle, type PressureSetting, pressureSetting } from './pressure';
