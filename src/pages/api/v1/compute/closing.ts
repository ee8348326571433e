import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { closingOf } from '../../../../server/stores/placement';

export const POST = endpoint('computeClosing', (_, { body }) => closingOf(body));
export const ALL = wrongMethod('POST');
