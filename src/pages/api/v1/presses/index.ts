import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { pressReply } from '../../../../server/stores/pressRecords';
import { listPresses } from '../../../../server/stores/shelf';

export const GET = endpoint('presses', ({ db }) => ({ presses: listPresses(db).map((row) => pressReply(db, row)) }));
export const ALL = wrongMethod('GET');
