import { announceChange } from '../../../../../server/http/changes';
import { endpoint, wrongMethod } from '../../../../../server/http/endpoint';
import { openRun } from '../../../../../server/stores/openedRun';
import { runReply, startRun } from '../../../../../server/stores/runs';

export const GET = endpoint('run', ({ db }, { params }) => runReply(db, openRun(db, params.id), Date.now()));
export const PUT = endpoint('putRun', ({ db }, { params, body }) => {
  const opened = startRun(db, params.id, body, Date.now());
  announceChange();
  return runReply(db, opened, Date.now());
});
export const ALL = wrongMethod('GET', 'PUT');
