import { appVersion } from '../../../server/app';
import { endpoint, wrongMethod } from '../../../server/http/endpoint';

export const GET = endpoint('health', ({ path, fresh, now }) => ({ ok: true, now: now(), database: path, app: appVersion(), fresh }));
export const ALL = wrongMethod('GET');
