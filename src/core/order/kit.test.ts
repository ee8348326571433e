/** Kits: lines from a list of people, and people found again across lines that name them by number, by name, or by both. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
import { type KitPerson, type Line, linesOfKit, peopleOf, whoseIs } from './index';

const garment = (id: string) => ({ id, blankId: id, size: 'M', count: 1, prints: [], roster: [], perClosing: 1 }) as unknown as Line;
const SHIRT = garment('shirt');
const SHORTS = garment('shorts');
const who = (number: string, name = '') => ({ number, name });
const made = (people: KitPerson[]) => linesOfKit([SHIRT, SHORTS], people, (n) => `line-${n}`);

describe('lines from one list', () => {
  it('one a garment and size, pieces in the order of the list; who has none of a garment is not on its line', () => {
    const lines = made([
      { ...who('7', 'Ines'), sizes: ['M', 'S'] },
      { ...who('9', 'Toma'), sizes: ['L', null] },
      { ...who('14', 'Ada'), sizes: ['M', 'S'] },
    ]);
    expect(lines.map(({ id, blankId, size, count, roster }) => [id, blankId, size, count, roster.map(({ number }) => number)])).toEqual([
      ['line-0', 'shirt', 'M', 2, ['7', '14']],
      ['line-1', 'shirt', 'L', 1, ['9']],
      ['line-2', 'shorts', 'S', 2, ['7', '14']],
    ]);
  });

  it('a number two share is kept as shared; what the garment shared before is not', () => {
    const [line] = linesOfKit(
      [{ ...SHIRT, sharedNumbers: ['3'], sharesWith: 'x' }],
      [
        { ...who('7', 'Ines'), sizes: ['M'] },
        { ...who('7', 'Toma'), sizes: ['M'] },
      ],
      () => 'l',
    );
    expect(line?.sharedNumbers).toEqual(['7']);
    expect(line).not.toHaveProperty('sharesWith');
  });

  it('sizes that do not match the garments are a fault', () => expect(() => made([{ ...who('7'), sizes: ['M'] }])).toThrow(RangeError));

  it('every piece of the list is on exactly one line, and no other', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(30), fc.constantFrom('S', 'M', 'L', null), fc.constantFrom('S', 'M', null)), { maxLength: 60 }),
        (drawn) => {
          const people = drawn.map(([number, shirt, shorts], i) => ({ ...who(String(number), `N${i}`), sizes: [shirt, shorts] }));
          const lines = made(people);
          const wanted = people.flatMap(({ name, sizes }) => sizes.flatMap((size, g) => (size ? [`${name} ${g} ${size}`] : [])));
          const got = lines.flatMap(({ blankId, size, roster }) =>
            roster.map(({ name }) => `${name} ${blankId === 'shirt' ? 0 : 1} ${size}`),
          );
          expect(got.sort()).toEqual(wanted.sort());
          expect(lines.every(({ count, roster }) => count === roster.length)).toBe(true);
        },
      ),
      runs(200),
    ));
});

describe('people over several lines', () => {
  const people = (...rosters: (readonly { number: string; name: string }[])[]) =>
    peopleOf(rosters.map((roster) => ({ roster: [...roster] })));

  it('a number alone is that of the one who has it; one that several have, or nobody, is its own', () => {
    const found = people([who('7', 'Ines'), who('9', 'Toma'), who('9', 'Ada')], [who('7'), who('9'), who('30')]);
    expect(found).toEqual([who('7', 'Ines'), who('9', 'Toma'), who('9', 'Ada'), who('9'), who('30')]);
    expect(whoseIs(found, who('7'))).toEqual(who('7', 'Ines'));
    expect(whoseIs(found, who('9'))).toEqual(who('9'));
  });

  it('a name alone is that of the one who has it, however it is written; two of one name are told apart by their numbers', () => {
    expect(people([who('7', 'Ines')], [who('', 'INES')])).toEqual([who('7', 'Ines')]);
    expect(people([who('7', 'Ines'), who('8', 'Ines')], [who('', 'Ines')])).toHaveLength(3);
  });

  it('in the order they are first named, whichever line names them fully', () =>
    expect(people([who('9'), who('7')], [who('7', 'Ines'), who('9', 'Toma')])).toEqual([who('9', 'Toma'), who('7', 'Ines')]));

  it('everybody named is somebody’s', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.array(fc.record({ number: fc.constantFrom('', '7', '9'), name: fc.constantFrom('', 'Ines', 'Toma') }), { maxLength: 8 }),
        ),
        (drawn) => {
          const rosters = drawn.map((roster) => roster.filter(({ number, name }) => number || name));
          const found = people(...rosters);
          for (const entry of rosters.flat()) expect(whoseIs(found, entry)).not.toBeNull();
          expect(new Set(found.map(({ number, name }) => `${number}|${name}`)).size).toBe(found.length);
        },
      ),
      runs(300),
    ));
});
