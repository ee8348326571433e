/**
 * Print sizes for a run of garment sizes: the fewest that keep every garment’s print within its share of the chest.
 *
 * A print width suits a garment when it takes between the least and the most of its flat chest: an interval of widths for
 * each size. Fewest widths that meet every interval is interval stabbing; among equally few, the split whose prints stand
 * nearest the middle of their share, piece by piece, found by working up from the smallest size (Bellman).
 */
import type { Range } from '../materials';

export interface RunSize {
  size: string;
  chestMm: number;
  pieces: number;
}

export interface PrintGroup {
  widthMm: number;
  /** Sizes it goes on, small to large. */
  sizes: string[];
  pieces: number;
}

export interface SizeSplit {
  groups: PrintGroup[];
  /** Sizes that the width of their group does not suit, or that no width suits. */
  outside: string[];
  /** Sum over the pieces of how far each print’s share is from the middle of what is allowed. */
  off: number;
}

/** The widths that suit a size, mm, up to the widest that can be pressed and in steps of the tape; null: none. */
function widthsFor({ chestMm }: RunSize, share: Range, mostMm: number, stepMm: number): Range | null {
  const min = Math.ceil((share.min * chestMm) / stepMm - 1e-9) * stepMm;
  const max = Math.floor(Math.min(share.max * chestMm, mostMm) / stepMm + 1e-9) * stepMm;
  return min <= max ? { min, max } : null;
}

const shareOff = (sizes: readonly RunSize[], widthMm: number, share: Range): number =>
  sizes.reduce((sum, { chestMm, pieces }) => sum + pieces * Math.abs(widthMm / chestMm - (share.min + share.max) / 2), 0);

/** The width for a group: of those that suit every size of it, the one with its shares nearest the middle. */
function widthOf(
  sizes: readonly RunSize[],
  ranges: readonly Range[],
  share: Range,
  stepMm: number,
): { widthMm: number; off: number } | null {
  const from = Math.max(...ranges.map((r) => r.min));
  const to = Math.min(...ranges.map((r) => r.max));
  if (from > to + 1e-9) return null;
  let best: { widthMm: number; off: number } | null = null;
  // the sum of distances is convex in the width: its least is at an end or where one garment’s share is right in the middle
  const middles = sizes.map(({ chestMm }) => ((share.min + share.max) / 2) * chestMm);
  const tape = (w: number, round: (x: number) => number) => Math.min(to, Math.max(from, round(w / stepMm) * stepMm));
  for (const widthMm of [from, to, ...middles.flatMap((w) => [tape(w, Math.floor), tape(w, Math.ceil)])]) {
    const off = shareOff(sizes, widthMm, share);
    if (!best || off < best.off - 1e-12) best = { widthMm, off };
  }
  return best;
}

const group = (sizes: readonly RunSize[], widthMm: number): PrintGroup => ({
  widthMm,
  sizes: sizes.map((size) => size.size),
  pieces: sizes.reduce((sum, size) => sum + size.pieces, 0),
});

const byChest = (sizes: readonly RunSize[]): RunSize[] => [...sizes].sort((a, b) => a.chestMm - b.chestMm || a.size.localeCompare(b.size));

/**
 * The fewest print widths for a run.
 *
 * @param mostMm widest print that can be made or pressed, mm
 * @param stepMm widths are whole steps of this, mm
 */
export function splitRun(sizes: readonly RunSize[], share: Range, mostMm: number, stepMm: number): SizeSplit {
  const all = byChest(sizes).map((runSize) => ({ one: runSize, range: widthsFor(runSize, share, mostMm, stepMm) }));
  const outside = all.filter(({ range }) => range === null).map(({ one }) => one.size);
  const run = all.flatMap(({ one, range }) => (range ? [{ one, range }] : []));
  // best[i]: the first i sizes in the fewest groups, and of those the nearest to the middle
  const best: ({ count: number; off: number; groups: PrintGroup[] } | null)[] = [{ count: 0, off: 0, groups: [] }];
  for (let to = 1; to <= run.length; to++) {
    best[to] = null;
    for (let from = 0; from < to; from++) {
      const part = run.slice(from, to);
      const before = best[from];
      const width = widthOf(
        part.map((p) => p.one),
        part.map((p) => p.range),
        share,
        stepMm,
      );
      if (!width || !before) continue;
      const [count, off] = [before.count + 1, before.off + width.off];
      const now = best[to];
      if (!now || count < now.count || (count === now.count && off < now.off - 1e-12))
        best[to] = {
          count,
          off,
          groups: [
            ...before.groups,
            group(
              part.map((p) => p.one),
              width.widthMm,
            ),
          ],
        };
    }
  }
  const found = best[run.length];
  return { groups: found?.groups ?? [], outside, off: found?.off ?? 0 };
}

/**
 * The split an operator drew: between which sizes the print changes.
 *
 * @param after sizes after which a new print begins, counted from the smallest: `[2]` parts the first two from the rest
 * @returns groups with the width nearest to what suits all of each, and the sizes it does not suit
 */
export function splitAfter(sizes: readonly RunSize[], after: readonly number[], share: Range, mostMm: number, stepMm: number): SizeSplit {
  const run = byChest(sizes);
  const cuts = [0, ...[...new Set(after)].filter((i) => i > 0 && i < run.length).sort((a, b) => a - b), run.length];
  const outside: string[] = [];
  let off = 0;
  const groups = cuts.slice(1).map((to, i) => {
    const part = run.slice(cuts[i], to);
    const ranges = part.map((runSize) => widthsFor(runSize, share, mostMm, stepMm));
    const fits = ranges.every((range) => range !== null) && widthOf(part, ranges as Range[], share, stepMm);
    const middle = part.reduce((sum, runSize) => sum + runSize.chestMm, 0) / part.length;
    const widthMm = fits
      ? fits.widthMm
      : Math.max(stepMm, Math.floor(Math.min(mostMm, ((share.min + share.max) / 2) * middle) / stepMm) * stepMm);
    for (const [k, one] of part.entries()) {
      const range = ranges[k];
      if (!range || widthMm < range.min - 1e-9 || widthMm > range.max + 1e-9) outside.push(one.size);
    }
    off += shareOff(part, widthMm, share);
    return group(part, widthMm);
  });
  return { groups, outside, off };
}

/** After how many sizes, from the smallest, each print but the last ends. */
export function cutsOf({ groups }: SizeSplit): number[] {
  let sum = 0;
  return groups.slice(0, -1).map((group) => {
    sum += group.sizes.length;
    return sum;
  });
}
