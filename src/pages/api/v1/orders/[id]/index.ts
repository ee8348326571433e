import { endpoint, judged, sameId, wrongMethod } from '../../../../../server/http/endpoint';
import { putOrder, removeOrder } from '../../../../../server/stores/orders';

export const GET = judged('order');
export const PUT = endpoint('putOrder', ({ db }, { params, body, ifMatch }) => {
  sameId(params.id, body.id);
  const { doc, version } = putOrder(db, body, ifMatch);
  return { order: doc, version };
});
export const DELETE = endpoint('removeOrder', ({ db }, { params }) => ({
  removed: params.id,
  version: removeOrder(db, params.id, Date.now()),
}));
export const ALL = wrongMethod('GET', 'PUT', 'DELETE');
