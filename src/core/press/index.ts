/** Presses: what they really do for what they are set to. */
export { type Band, deliveredBand, type Press, PressSchema, pressOffset } from './press';
export { BAND_KPA, bandMiddle, type PressureSetting, pressureSetting } from './pressure';
