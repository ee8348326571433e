/** Heat bench: what may be asked of the heat model, checked beforehand, and its answers as plain data to send, draw and keep. */
export { bandOfAsk, correctAsk, peelOfAsk, SEEN_PLACES, type Seen, type SeenPlace, see } from './answer';
export { AllowedSchema, adhesiveOfAsk, faultOfAsk, type HeatAsk, HeatAskSchema, PeelAskSchema } from './ask';
export { type Axis, SWEPT, type SweepAsk, SweepAskSchema, type Swept, sweepRows, valuesOf, withInput } from './sweep';
