import { wrongMethod } from '../../../../../server/http/endpoint';
import { paper } from '../../../../../server/http/paper';

export const GET = paper('guide.svg');
export const ALL = wrongMethod('GET');
