import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { photoReply } from '../../../../server/http/photo';
import { putPhoto } from '../../../../server/stores/photos';

export const GET = photoReply;
export const PUT = endpoint('putPhoto', ({ db }, { params, body }) => {
  putPhoto(db, params.id, Buffer.from(body.jpeg, 'base64'), Date.now());
  return { id: params.id };
});
export const ALL = wrongMethod('GET', 'PUT');
