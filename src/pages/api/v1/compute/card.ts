import { resolve, waysOut } from '../../../../core/card';
import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { computeInput } from '../../../../server/stores/cards';

export const POST = endpoint('computeCard', (_, { body }) => {
  const input = computeInput(body);
  const card = resolve(input);
  return { card, waysOut: waysOut(input, card, body.shelf) };
});
export const ALL = wrongMethod('POST');
