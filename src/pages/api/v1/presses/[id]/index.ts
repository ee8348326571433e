import { announceChange } from '../../../../../server/http/changes';
import { endpoint, sameId, wrongMethod } from '../../../../../server/http/endpoint';
import { pressReply } from '../../../../../server/stores/pressRecords';
import { putPress } from '../../../../../server/stores/shelf';

export const PUT = endpoint('putPress', ({ db }, { params, body, ifMatch }) => {
  sameId(params.id, body.id);
  const saved = putPress(db, body, ifMatch);
  announceChange();
  return pressReply(db, saved);
});
export const ALL = wrongMethod('PUT');
