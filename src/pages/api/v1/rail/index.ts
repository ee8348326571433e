import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { readRail } from '../../../../server/stores/rail';

export const GET = endpoint('rail', ({ db }) => readRail(db, Date.now()));
export const ALL = wrongMethod('GET');
