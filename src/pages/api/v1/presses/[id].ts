import { announceChange } from '../../../../server/http/changes';
import { endpoint, sameId, wrongMethod } from '../../../../server/http/endpoint';
import { putPress } from '../../../../server/stores/shelf';

export const PUT = endpoint('putPress', ({ db }, { params, body, ifMatch }) => {
  sameId(params.id, body.id);
  const { doc, version } = putPress(db, body, ifMatch);
  announceChange();
  return { press: doc, version };
});
export const ALL = wrongMethod('PUT');
