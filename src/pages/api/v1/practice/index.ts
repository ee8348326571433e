import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { practiceScores } from '../../../../server/stores/practice';

export const GET = endpoint('practice', ({ db }) => ({ scores: practiceScores(db) }));
export const ALL = wrongMethod('GET');
