/** Heat bench: what may be asked of the heat model, checked beforehand, and its answers as plain data to send, draw and keep. */

export { AllowedSchema, adhesiveOfQuery, faultOfQuery, type HeatQuery, HeatQuerySchema, PeelQuerySchema } from './query';
export { bandOfQuery, correctQuery, peelOfQuery, SIMULATED_PLACES, type Simulated, type SimulatedPlace, simulate } from './simulate';
export { type Axis, SWEPT, type SweepQuery, SweepQuerySchema, type Swept, sweepRows, valuesOf, withInput } from './sweep';
