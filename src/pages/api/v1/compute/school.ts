import { schoolExample } from '../../../../core/card';
import { endpoint, wrongMethod } from '../../../../server/http/endpoint';

export const POST = endpoint('computeSchool', (_, { body }) => schoolExample(body.rule, body.house));
export const ALL = wrongMethod('POST');
