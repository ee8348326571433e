import { endpoint, wrongMethod } from '../../../../../../server/http/endpoint';
import { pressReport } from '../../../../../../server/stores/pressRecords';

export const GET = endpoint('pressReport', ({ db }, { params }) => pressReport(db, params.id, Date.now()));
export const ALL = wrongMethod('GET');
