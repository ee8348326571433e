import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { pressReply } from '../../../../server/stores/pressRecords';
import { listPresses } from '../../../../server/stores/shelf';

export const GET = endpoint('presses', ({ db }) => {
  const { rows, unreadable } = listPresses(db);
  return { presses: rows.map((row) => pressReply(db, row)), unreadable };
});
export const ALL = wrongMethod('GET');
