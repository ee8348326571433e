import { describe, expect, it } from 'vitest';
import { inputOf } from '../../../test/trade/check';
import { LineSchema, PrintSchema, pressingOrder, topLayer } from './order';

const input = () => inputOf({ says: 'a case', on: 'cotton-tee', with: 'cut-film' });

describe('layers and rosters as they are typed in', () => {
  const layer = (key: string, ...over: string[]) => ({ key, productId: 'wren', over });
  const faults = (schema: typeof PrintSchema | typeof LineSchema, doc: unknown) => {
    const parsed = schema.safeParse(doc);
    return parsed.success ? [] : parsed.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`);
  };
  const print = (...layers: ReturnType<typeof layer>[]) => ({ ...input().print, layers });
  it('are pressed from below upwards, however they are listed', () => {
    const listed = [layer('c', 'b'), layer('a'), layer('b', 'a')];
    expect(pressingOrder(listed)?.map((layer) => layer.key)).toEqual(['a', 'b', 'c']);
    expect(topLayer({ layers: listed }).key).toBe('c');
  });
  it.each([
    ['in a loop', print(layer('a', 'b'), layer('b', 'a')), /^layers: Layers a, b lie over each other in a ring/],
    ['over what is not there', print(layer('a', 'x')), /^layers.0.over: Layer a lies over x, which is not there/],
    ['two of a name', print(layer('a'), layer('a')), /^layers.1.key: Two layers are called a/],
    ['none', print(), /^layers: A print needs a transfer/],
  ] as const)('%s', (_, doc, words) => expect(faults(PrintSchema, doc)[0]).toMatch(words));
  const line = (roster: object[], count = 2) => ({
    id: 'l1',
    blankId: 'b1',
    size: 'M',
    count,
    prints: [print(layer('a'))],
    roster,
    perClosing: 1,
  });
  const who = (number: string, name = '') => ({ number, name });
  it.each([
    ['fewer names than pieces', line([who('7')]), /^roster: The roster has 1 entry for 2 pieces/],
    ['a number twice', line([who('7'), who('7')]), /^roster.1.number: Number 7 is already on piece 1/],
    ['an empty entry', line([who('7'), who('')]), /^roster.1: Give a number or a name/],
    ['markup in a name', line([who('7'), who('', '<b>')]), /^roster.1.name: A name cannot hold/],
  ] as const)('roster: %s', (_, doc, words) => expect(faults(LineSchema, doc)[0]).toMatch(words));
  it('one entry a piece is taken, names alike or not', () =>
    expect(faults(LineSchema, line([who('7', 'Ines'), who('9', 'Ines')]))).toEqual([]));
});
