import { noteRun } from '../../../../../../server/announce';
import { endpoint, sameId, wrongMethod } from '../../../../../../server/http/endpoint';
import { eventsReply, takeEvent } from '../../../../../../server/stores/runs';

export const PUT = endpoint('putRunEvent', ({ db, now }, { params, query, body }) => {
  sameId(params.eventId, body.id);
  const opened = takeEvent(db, params.id, body, now());
  noteRun(params.id, opened.events.length);
  return eventsReply(opened, query.since, now());
});
export const ALL = wrongMethod('PUT');
