import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { searchLog } from '../../../../server/stores/pressings';

export const GET = endpoint('pressings', ({ db }, { query }) => searchLog(db, query));
export const ALL = wrongMethod('GET');
