import { endpoint, wrongMethod } from '../../../../../server/http/endpoint';
import { againReply } from '../../../../../server/stores/again';

export const GET = endpoint('again', ({ db }, { params }) => againReply(db, params.id, new Date()));
export const ALL = wrongMethod('GET');
