import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BUILT_IN_BLANKS } from '../materials';
import type { Order } from '../order';
import { actEntries, type Findable, finder, orderEntries, pressEntries } from './index';

const PRESSES = [
  { id: 'clamshell', name: 'Old clamshell', kind: 'clamshell' as const },
  { id: 'swing', name: 'Swing-away', kind: 'swing-away' as const },
];
const [blank] = BUILT_IN_BLANKS;
if (!blank) throw new Error('no blank is built in');
const BLANKS = new Map([[blank.id, blank]]);

const order = (id: string, name: string, roster: { number: string; name: string }[] = []) =>
  ({
    id,
    name,
    customer: 'Harbour school',
    due: '2026-12-04',
    note: '',
    lines: [{ id: 'line-1', blankId: blank.id, size: 'M', count: 3, roster, prints: [{ artName: 'comet over hill' }] }],
  }) as unknown as Order;

const ALL = [
  ...orderEntries(order('guide', 'Guide tees', [{ number: '7', name: 'Ines Okoro' }]), BLANKS, '2026-12-01'),
  ...orderEntries(order('dome', 'Dome crew tees'), BLANKS, '2026-12-01'),
  ...actEntries(PRESSES),
  ...pressEntries(PRESSES),
];
const search = (entries: readonly Findable[], typed: string) => finder(entries)([], typed);
const titles = (typed: string) => search(ALL, typed).flatMap(({ entries }) => entries.map(({ title }) => title));
const first = (typed: string) => titles(typed)[0];

describe('find', () => {
  it('finds an order by its name, customer, art, blank and size', () => {
    expect(first('guide tees')).toBe('Guide tees');
    for (const typed of ['harbour', 'comet', `${blank.name} M dome`]) expect(titles(typed)).toContain('Dome crew tees');
  });

  it('finds a person of a roster by name or number, and leads to their line', () => {
    expect(first('okoro')).toBe('7 Ines Okoro');
    expect(search(ALL, 'ines 7')[0]?.entries[0]).toMatchObject({
      group: 'people',
      href: '/orders/guide?line=line-1',
      detail: expect.stringContaining('Guide tees'),
    });
  });

  it('finds what can be done at a press, and a setting by another word for it', () => {
    expect(first('survey clamshell')).toBe('Survey: Old clamshell');
    expect(search(ALL, 'calibrate swing')[0]?.entries[0]?.href).toBe('/presses/swing/survey');
    expect(first('fahrenheit')).toBe('Units');
    expect(first('backup')).toBe('Make a backup');
  });

  it('asks what stands and what is there this time alike, and keeps nothing of the second', () => {
    const [standing, passing] = [ALL.slice(3), ALL.slice(0, 3)];
    const find = finder(standing);
    expect(find(passing, 'guide tees')).toEqual(search([...standing, ...passing], 'guide tees'));
    expect(find([], 'guide tees')).toEqual(search(standing, 'guide tees'));
    expect(find(passing, 'okoro')[0]?.entries[0]?.title).toBe('7 Ines Okoro');
  });

  it('forgives one slip in a word of four letters and more, not in a short one', () => {
    expect(first('clmshell survey')).toBe('Survey: Old clamshell');
    expect(titles('oko')).toContain('7 Ines Okoro');
    expect(titles('7z')).toEqual([]);
  });

  it('puts the group with the best answer first, and says where it shows not all', () => {
    const [best] = search(ALL, 'old clamshell');
    expect(best?.group).toMatch(/presses|acts/);
    const acts = search(ALL, 'add').find(({ group }) => group === 'acts');
    expect(acts).toMatchObject({ more: true });
    expect(acts?.entries).toHaveLength(5);
  });

  it('puts what is still to come before what was', () => {
    const past = { ...order('past', 'Guide tees of summer'), due: '2026-06-01' };
    const entries = [past, order('open', 'Guide tees of winter')].flatMap((one) => orderEntries(one, BLANKS, '2026-12-01'));
    expect(search(entries, 'guide')[0]?.entries.map(({ title }) => title)).toEqual(['Guide tees of winter', 'Guide tees of summer']);
  });

  it('finds nothing where nothing was typed or nothing has it', () => {
    for (const typed of ['', '   ', '?!', 'zzzzzz']) expect(search(ALL, typed)).toEqual([]);
  });

  it('finds every entry by its own title, whatever stands beside it', () => {
    const name = fc.stringMatching(/^[a-z]{3,10}( [a-z]{3,10})?$/);
    fc.assert(
      fc.property(fc.uniqueArray(name, { minLength: 1, maxLength: 12 }), (names) => {
        const entries = names.flatMap((own, i) => orderEntries(order(`order-${i}`, own), BLANKS, '2026-12-01'));
        for (const own of names) {
          // five of a group are shown: of more than that which answer, the one that is meant is among the first
          const [group] = search(entries, own);
          expect(group?.entries.map(({ title }) => title)).toContain(own);
        }
      }),
    );
  });
});
