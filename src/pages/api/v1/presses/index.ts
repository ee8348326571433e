import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { listPresses } from '../../../../server/stores/shelf';

export const GET = endpoint('presses', ({ db }) => ({ presses: listPresses(db).map(({ doc, version }) => ({ press: doc, version })) }));
export const ALL = wrongMethod('GET');
