import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { sizeSplitOf } from '../../../../server/stores/placement';

export const POST = endpoint('computeSizeSplit', (_, { body }) => sizeSplitOf(body));
export const ALL = wrongMethod('POST');
