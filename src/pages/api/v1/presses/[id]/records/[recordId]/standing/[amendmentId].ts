import { endpoint, wrongMethod } from '../../../../../../../../server/http/endpoint';
import { amendPressRecord, pressReport } from '../../../../../../../../server/stores/pressRecords';

export const PUT = endpoint('putPressAmendment', ({ db }, { params, body }) => {
  amendPressRecord(db, params.id, { ...body, id: params.amendmentId, recordId: params.recordId, at: Date.now() });
  return pressReport(db, params.id, Date.now());
});
export const ALL = wrongMethod('PUT');
