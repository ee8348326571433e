import { endpoint, wrongMethod } from '../../../server/http/endpoint';
import { putHouse, readHouse } from '../../../server/stores/house';

export const GET = endpoint('house', ({ db }) => {
  const { doc, version } = readHouse(db);
  return { house: doc, version };
});
export const PUT = endpoint('putHouse', ({ db }, { body, ifMatch }) => {
  const { doc, version } = putHouse(db, body, ifMatch);
  return { house: doc, version };
});
export const ALL = wrongMethod('GET', 'PUT');
