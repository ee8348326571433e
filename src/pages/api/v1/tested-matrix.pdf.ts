import { wrongMethod } from '../../../server/http/endpoint';
import { paper } from '../../../server/http/paper';

export const GET = paper('tested-matrix.pdf');
export const ALL = wrongMethod('GET');
