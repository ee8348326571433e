/** Progress by person, against a tally that knows each piece by itself. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
import type { Line } from '../order';
import { kitsOf, type PressedFor, stillWanting } from './kit';

const who = (number: string, name = '') => ({ number, name });
const line = (id: string, roster: { number: string; name: string }[], ...prints: string[]) =>
  ({ id, roster, count: roster.length, prints: prints.map((key) => ({ key })) }) as unknown as Line;
const TWELVE = Array.from({ length: 12 }, (_, i) => who(String(i + 1), `N${i + 1}`));
const LINES = [
  line('shirt-m', TWELVE.slice(0, 7), 'back', 'name'),
  line('shirt-l', TWELVE.slice(7), 'back', 'name'),
  line(
    'shorts',
    TWELVE.map(({ number }) => who(number)),
    'leg',
  ),
  line(
    'cap',
    TWELVE.slice(3).map(({ name }) => who('', name)),
    'front',
  ),
];

describe('progress by person', () => {
  it('shirt, shorts and cap of one person stand together, whether they carry number, name or both', () => {
    const four = kitsOf(LINES, [])[3];
    expect(four).toEqual({
      person: who('4', 'N4'),
      items: ['shirt-m back', 'shirt-m name', 'shorts leg', 'cap front'].map((at) => {
        const [lineId = '', printKey = ''] = at.split(' ');
        return { lineId, printKey, pieces: 1, good: 0, spoiled: 0 };
      }),
      missing: 4,
    });
    expect(kitsOf(LINES, [])[0]?.missing).toBe(3);
  });

  it('conserves: whatever is pressed, spoiled and taken back, each piece is of one person, and what is missing is what has no good one', () => {
    const pieces = LINES.flatMap(({ id, roster, prints }) =>
      prints.flatMap(({ key }) => roster.map((person, i) => ({ lineId: id, printKey: key, person, owner: ownerOf(id, i) }))),
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(pieces.length - 1), fc.nat(2)), { minLength: 200, maxLength: 200 }), (drawn) => {
        const judge = new Judge();
        for (const [i, what] of drawn) judge.told(i, WHATS[what] ?? 'good', pieces[i]);
        const { pressed, good, spoiled } = judge;
        const kits = kitsOf(LINES, pressed);
        expect(kits).toHaveLength(12);
        for (const { person, items, missing } of kits) {
          const own = pieces.flatMap((piece, i) => (piece.owner === person.number ? [i] : []));
          expect(missing).toBe(own.filter((i) => !good.has(i)).length);
          expect(items.reduce((sum, item) => sum + item.spoiled, 0)).toBe(spoiled.get(person.number) ?? 0);
        }
      }),
      runs(100),
    );
  });

  it('what still wants pressing: an entry that stands twice wants two', () =>
    expect(stillWanting([who('7'), who('7'), who('9')], [who('7')])).toEqual([who('7'), who('9')]));
});

const WHATS = ['taken back', 'good', 'spoiled'] as const;

/** Keeps each piece by itself: good or not, and how often it was spoiled. */
class Judge {
  readonly pressed: PressedFor[] = [];
  readonly good = new Set<number>();
  readonly spoiled = new Map<string, number>();

  told(i: number, what: (typeof WHATS)[number], piece: (Omit<PressedFor, 'outcome'> & { owner: string }) | undefined): void {
    if (!piece) return;
    const { owner, ...of } = piece;
    if (what === 'spoiled') {
      this.pressed.push({ ...of, outcome: 'spoiled' });
      this.spoiled.set(owner, (this.spoiled.get(owner) ?? 0) + 1);
    } else if (what === 'good' && !this.good.has(i)) {
      this.pressed.push({ ...of, outcome: 'good' });
      this.good.add(i);
    } else if (what === 'taken back' && this.good.delete(i)) {
      const isIt = (p: PressedFor) =>
        p.lineId === of.lineId && p.printKey === of.printKey && p.person === of.person && p.outcome === 'good';
      this.pressed.splice(this.pressed.findLastIndex(isIt), 1);
    }
  }
}

/** Which number a piece belongs to, by its place in the list of its line. */
function ownerOf(lineId: string, i: number): string {
  return String(i + ({ 'shirt-l': 8, cap: 4 }[lineId] ?? 1));
}
