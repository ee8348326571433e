import { resolve, waysOut } from '../../../../core/card';
import { endpoint, wrongMethod } from '../../../../server/http/endpoint';

export const POST = endpoint('computeCard', (_, { body }) => {
  const { print, size, blank, fabric, product, press, house, shelf } = body;
  const input = {
    print: { ...print, productId: product.id },
    item: { size },
    blank: { ...blank, fabricId: fabric.id },
    fabric,
    product,
    press,
    house,
  };
  const card = resolve(input);
  return { card, waysOut: waysOut(input, card, shelf) };
});
export const ALL = wrongMethod('POST');
