/** Heat bench: what may be asked of the heat model, checked beforehand, and its answers as plain data to send, draw and keep. */

export { adhesiveOfQuery } from './adhesive';
export { AllowedSchema, faultOfQuery, type HeatQuery, HeatQuerySchema, PeelQuerySchema } from './query';
export { bandOfQuery, correctQuery, peelOfQuery, SIMULATED_PLACES, type Simulated, type SimulatedPlace, simulate } from './simulate';
export { sweepRows, valuesOf, withInput } from './sweep';
export { type Axis, SWEPT, type SweepQuery, SweepQuerySchema, type Swept } from './sweepQuery';
