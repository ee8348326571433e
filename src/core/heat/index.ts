/** Heat: what the platen's temperature becomes further down. First form: the quick estimate. */
export { COVER_SHEETS, type CoverSheet, contactResistance, effusivity, type LayerProperties, layerResistance } from './layers';
export { faceTemperature, type HeatedFace, heatedShare, platenForFace } from './quickEstimate';
