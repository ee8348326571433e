import { endpoint, sameId, wrongMethod } from '../../../../../server/http/endpoint';
import { pressReply } from '../../../../../server/stores/pressRecords';
import { putPress } from '../../../../../server/stores/shelf';

export const PUT = endpoint('putPress', ({ db }, { params, body, ifMatch }) => {
  sameId(params.id, body.id);
  return pressReply(db, putPress(db, body, ifMatch));
});
export const ALL = wrongMethod('PUT');
