import { endpoint, sameId, wrongMethod } from '../../../../../../../server/http/endpoint';
import { addPressRecord, pressReport } from '../../../../../../../server/stores/pressRecords';

export const PUT = endpoint('putPressRecord', ({ db }, { params, body }) => {
  sameId(params.id, body.pressId);
  sameId(params.recordId, body.id);
  addPressRecord(db, body);
  return pressReport(db, params.id, Date.now());
});
export const ALL = wrongMethod('PUT');
