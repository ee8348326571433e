import { endpoint, wrongMethod } from '../../../server/http/endpoint';
import { placementBiases } from '../../../server/stores/placed';

export const GET = endpoint('placementBias', ({ db }) => ({ biases: placementBiases(db) }));
export const ALL = wrongMethod('GET');
