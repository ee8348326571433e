import { readRoster } from '../../../../core/formats';
import { endpoint, wrongMethod } from '../../../../server/http/endpoint';

export const POST = endpoint('readRoster', (_, { body }) => readRoster(body.text, body.pieces));
export const ALL = wrongMethod('POST');
