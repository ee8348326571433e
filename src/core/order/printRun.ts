/** A run of sizes within an order: lines that carry the same art on the same blank in the same place. */
import { type Blank, blankMeasures, bySize, UnknownSize } from '../materials';
import type { RunSize, SizeSplit } from '../placement';
import type { Line, Order, Print } from './order';

const carries = (line: Line, { position, artName }: Print): boolean =>
  line.prints.some((print) => print.position === position && print.artName === artName);

const inRun = (otherLine: Line, line: Line, print: Print): boolean => otherLine.blankId === line.blankId && carries(otherLine, print);

/** Flat chest of a blank in a size, mm; null: it has none, or nobody can say. */
function chestOf(blank: Blank, size: string): number | null {
  try {
    return blankMeasures(blank, size).measures.chest ?? null;
  } catch (error) {
    if (error instanceof UnknownSize) return null;
    throw error;
  }
}

/** The sizes of the run a print belongs to, small to large, each once with all its pieces; sizes without a chest are left out. */
export function runSizes({ lines }: Pick<Order, 'lines'>, line: Line, print: Print, blank: Blank): RunSize[] {
  const sizes = new Map<string, RunSize>();
  for (const { size, count } of lines.filter((otherLine) => inRun(otherLine, line, print)).sort((a, b) => bySize(a.size, b.size))) {
    const chestMm = chestOf(blank, size);
    if (chestMm !== null) sizes.set(size, { size, chestMm, pieces: count + (sizes.get(size)?.pieces ?? 0) });
  }
  return [...sizes.values()];
}

/** The order with each print of the run as wide as its group; its height goes with it. */
export function withPrintWidths<O extends Pick<Order, 'lines'>>(order: O, line: Line, print: Print, { groups }: SizeSplit): O {
  const resized = (otherLine: Line): Line => {
    const group = inRun(otherLine, line, print) ? groups.find((each) => each.sizes.includes(otherLine.size)) : undefined;
    if (!group) return otherLine;
    const prints = otherLine.prints.map((own) =>
      own.position === print.position && own.artName === print.artName
        ? { ...own, widthMm: group.widthMm, heightMm: Math.round((10 * own.heightMm * group.widthMm) / own.widthMm) / 10 }
        : own,
    );
    return { ...otherLine, prints };
  };
  return { ...order, lines: order.lines.map(resized) };
}
