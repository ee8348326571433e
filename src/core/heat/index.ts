/** Heat: what the platen's temperature becomes further down. First form: the quick estimate. */
export {
  BASE_PAD,
  CARRIERS,
  COVER_SHEETS,
  type CoverSheet,
  contactResistance,
  effusivity,
  FILM_K,
  type LayerProperties,
  layerResistance,
  PADS_OVER,
} from './layers';
export { faceTemperature, type HeatedFace, heatedShare, platenForFace } from './quickEstimate';
export { type Depth, settledTemperature, upperFor } from './twoSided';
