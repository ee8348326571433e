import { endpoint, wrongMethod } from '../../../../../../server/http/endpoint';
import { openRun } from '../../../../../../server/stores/openedRun';
import { eventsReply } from '../../../../../../server/stores/runs';

export const GET = endpoint('runEvents', ({ db, now }, { params, query }) => eventsReply(openRun(db, params.id), query.since, now()));
export const ALL = wrongMethod('GET');
