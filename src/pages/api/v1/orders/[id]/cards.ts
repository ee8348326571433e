import { endpoint, wrongMethod } from '../../../../../server/http/endpoint';
import { cardsOfOrder, readFacts } from '../../../../../server/stores/cards';
import { findOrder } from '../../../../../server/stores/orders';

export const GET = endpoint('orderCards', ({ db }, { params }) => ({ cards: cardsOfOrder(readFacts(db), findOrder(db, params.id).doc) }));
export const ALL = wrongMethod('GET');
