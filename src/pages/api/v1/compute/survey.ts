import { platenMap } from '../../../../core/press';
import { endpoint, wrongMethod } from '../../../../server/http/endpoint';

export const POST = endpoint('computeSurvey', (_, { body }) => ({ map: platenMap(body.survey, body.platen, body.on) }));
export const ALL = wrongMethod('POST');
