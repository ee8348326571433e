/** Numerics that no kept package gives. */
export { type Cholesky, cholesky, forward, logDeterminant } from './cholesky';
export { erfcx } from './erfcx';
export { interpolate } from './interpolate';
export { mixtureCdf, mixtureMoments, mixtureQuantile, type NormalPart, normalCdf } from './mixture';
export { remembered } from './remembered';
