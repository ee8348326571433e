import { endpoint, wrongMethod } from '../../../../../server/http/endpoint';
import { openRun } from '../../../../../server/stores/openedRun';
import { runReply, startRun } from '../../../../../server/stores/runs';

export const GET = endpoint('run', ({ db, now }, { params }) => runReply(db, openRun(db, params.id), now()));
export const PUT = endpoint('putRun', ({ db, now }, { params, body }) => runReply(db, startRun(db, params.id, body, now()), now()));
export const ALL = wrongMethod('GET', 'PUT');
