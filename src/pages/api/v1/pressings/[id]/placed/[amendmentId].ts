import { endpoint, wrongMethod } from '../../../../../../server/http/endpoint';
import { notePlaced } from '../../../../../../server/stores/placed';

export const PUT = endpoint('putPlaced', ({ db }, { params, body }) => ({ pressing: notePlaced(db, params.id, params.amendmentId, body) }));
export const ALL = wrongMethod('PUT');
