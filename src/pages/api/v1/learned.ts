import { endpoint, wrongMethod } from '../../../server/http/endpoint';
import { learnedByName } from '../../../server/stores/heatStacks';

export const GET = endpoint('learned', ({ db }) => ({ learned: learnedByName(db) }));
export const ALL = wrongMethod('GET');
