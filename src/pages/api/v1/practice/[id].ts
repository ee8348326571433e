import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { keepRound, practiceScores } from '../../../../server/stores/practice';

export const PUT = endpoint('putPractice', ({ db }, { params, body }) => {
  keepRound(db, params.id, body);
  return { scores: practiceScores(db) };
});
export const ALL = wrongMethod('PUT');
