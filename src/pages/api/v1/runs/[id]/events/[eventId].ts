import { announceChange } from '../../../../../../server/http/changes';
import { endpoint, sameId, wrongMethod } from '../../../../../../server/http/endpoint';
import { runReply, takeEvent } from '../../../../../../server/stores/runs';

export const PUT = endpoint('putRunEvent', ({ db }, { params, body }) => {
  sameId(params.eventId, body.id);
  const opened = takeEvent(db, params.id, body, Date.now());
  announceChange();
  return runReply(db, opened, Date.now());
});
export const ALL = wrongMethod('PUT');
