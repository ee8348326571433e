import { endpoint, wrongMethod } from '../../../server/http/endpoint';
import { readFirstHour } from '../../../server/stores/firstHour';

export const GET = endpoint('firstHour', ({ db }) => readFirstHour(db));
export const ALL = wrongMethod('GET');
