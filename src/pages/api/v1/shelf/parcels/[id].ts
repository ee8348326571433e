import { shelfThing } from '../../../../../server/http/shelfThing';

export const { PUT, DELETE, ALL } = shelfThing('parcels', 'putParcel');
