import { endpoint, wrongMethod } from '../../../server/http/endpoint';
import { bench } from '../../../server/stores/bench';

export const GET = endpoint('bench', ({ db }) => ({ today: new Date().toISOString(), orders: bench(db) }));
export const ALL = wrongMethod('GET');
