/** Numerics that no kept package gives. */
export { type Cholesky, cholesky, forward, logDeterminant, pivotedCholesky } from './cholesky';
export { erfcx } from './erfcx';
export { fixedNormals } from './fixedNormals';
export { interpolate } from './interpolate';
export { logNormalCdf, mixtureCdf, mixtureMoments, mixtureQuantile, type NormalPart, normalCdf } from './mixture';
export { quantileOfDensity, quantileOfSorted } from './quantile';
export { remembered } from './remembered';
export { rootOf } from './root';
