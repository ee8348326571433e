import { endpoint, wrongMethod } from '../../../../../server/http/endpoint';
import { pressingReply } from '../../../../../server/stores/again';

export const GET = endpoint('pressing', ({ db }, { params }) => pressingReply(db, params.id));
export const ALL = wrongMethod('GET');
