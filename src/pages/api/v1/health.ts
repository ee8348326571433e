import { endpoint, wrongMethod } from '../../../server/http/endpoint';

export const GET = endpoint('health', ({ path }) => ({ ok: true, now: Date.now(), database: path, app: '0.1.0' }));
export const ALL = wrongMethod('GET');
