/** Numerics that no kept package gives. */
export { erfcx } from './erfcx';
export { interpolate } from './interpolate';
