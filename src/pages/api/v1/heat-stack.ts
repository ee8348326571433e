import { endpoint, wrongMethod } from '../../../server/http/endpoint';
import { shelfStack } from '../../../server/stores/heatStacks';

export const GET = endpoint('shelfHeat', ({ db }, { query }) => ({ stack: shelfStack(db, query) }));
export const ALL = wrongMethod('GET');
