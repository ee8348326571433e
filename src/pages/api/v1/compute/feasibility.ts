import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { feasibilityOf } from '../../../../server/stores/placement';

export const POST = endpoint('computeFeasibility', (_, { body }) => feasibilityOf(body));
export const ALL = wrongMethod('POST');
