import { announceChange } from '../../../../../server/http/changes';
import { endpoint, sameId, wrongMethod } from '../../../../../server/http/endpoint';
import { orderReply } from '../../../../../server/stores/bench';
import { findOrder, putOrder, removeOrder } from '../../../../../server/stores/orders';

export const GET = endpoint('order', ({ db }, { params }) => orderReply(db, findOrder(db, params.id)));
export const PUT = endpoint('putOrder', ({ db }, { params, body, ifMatch }) => {
  sameId(params.id, body.id);
  const stored = putOrder(db, body, ifMatch);
  announceChange();
  return orderReply(db, stored);
});
export const DELETE = endpoint('removeOrder', ({ db }, { params }) => {
  removeOrder(db, params.id, Date.now());
  announceChange();
  return { removed: params.id };
});
export const ALL = wrongMethod('GET', 'PUT', 'DELETE');
