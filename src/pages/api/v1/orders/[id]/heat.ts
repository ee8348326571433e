import { endpoint, wrongMethod } from '../../../../../server/http/endpoint';
import { orderStack } from '../../../../../server/stores/heatStacks';

export const GET = endpoint('orderHeat', ({ db }, { params, query }) => ({ stack: orderStack(db, params.id, query.line, query.print) }));
export const ALL = wrongMethod('GET');
