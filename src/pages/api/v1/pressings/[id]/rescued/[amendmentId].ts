import { endpoint, wrongMethod } from '../../../../../../server/http/endpoint';
import { noteRescued } from '../../../../../../server/stores/rescued';

export const PUT = endpoint('putRescued', ({ db }, { params, body }) => ({
  pressing: noteRescued(db, params.id, params.amendmentId, body),
}));
export const ALL = wrongMethod('PUT');
