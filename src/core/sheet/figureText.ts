/** Figures of a sheet in writing: as the sheet has them, in the shop's units, and read back from what is typed. */
import { formatFigure, type Phrase, parseQuantity, phrase, UNITS, type UnitId } from '../units';
import type { Figure } from './figure';

type Kind = 'temperature' | 'duration';

/** A stretch of kelvin in a unit of temperature. */
const spanIn = (k: number, unit: UnitId): number => (unit === 'F' ? (k * 9) / 5 : k);
const spanInside = (span: number, unit: UnitId): number => (unit === 'F' ? (span * 5) / 9 : span);

const plainFigure = (value: number, unit: UnitId): string => String(Number(formatFigure(value, unit, 1).replace('−', '-')));
const plainSpan = (k: number, unit: UnitId): string => String(Math.round(10 * spanIn(k, unit)) / 10);

/** `160`, `about 160`, `160 ± 5`, `155–165`, `155–165, start 160`; without its unit. */
export function figureText(figure: Figure, unit: UnitId): string {
  const say = (value: number) => plainFigure(value, unit);
  switch (figure.form) {
    case 'one':
      return `${figure.about ? 'about ' : ''}${say(figure.value)}`;
    case 'tolerance':
      return `${say(figure.value)} ± ${plainSpan(figure.plusMinus, unit)}`;
    case 'range':
      return `${say(figure.min)}–${say(figure.max)}${figure.start === undefined ? '' : `, start ${say(figure.start)}`}`;
  }
}

/** With its unit: `155–165 °C, start 160`. */
export function figureWords(figure: Figure, unit: UnitId): string {
  const [first = '', ...rest] = figureText(figure, unit).split(', ');
  return [`${first} ${UNITS[unit].symbol}`, ...rest].join(', ');
}

/** The same for a reason, its figures in whatever unit they are shown in. @param say a temperature or a time; @param by a stretch of it */
export function figurePhrase(figure: Figure, say: (value: number) => Phrase, by: (stretch: number) => Phrase): Phrase {
  switch (figure.form) {
    case 'one':
      return figure.about ? phrase`about ${say(figure.value)}` : say(figure.value);
    case 'tolerance':
      return phrase`${say(figure.value)} give or take ${by(figure.plusMinus)}`;
    case 'range':
      return figure.start === undefined
        ? phrase`${say(figure.min)} to ${say(figure.max)}`
        : phrase`${say(figure.min)} to ${say(figure.max)}, beginning at ${say(figure.start)}`;
  }
}

export type ReadFigure = { state: 'ok'; figure: Figure; unit: UnitId } | { state: 'bad'; message: string };

interface FigureOptions {
  /** Taken where none is typed. */
  unit: UnitId;
  /** Whoever wrote it knew the unit: a figure that would make more sense in another is taken as it is. */
  sure?: true;
  min: number;
  max: number;
}

const EXAMPLES: Record<Kind, string> = {
  temperature: '160, 160 ± 5, 155–165 or 155–165, start 160',
  duration: '15, 15 ± 2, 12–18 or 12–18, start 15',
};

/** The unit that is typed after any of the figures: it is that of all of them. Null: none is typed. */
function unitIn(kind: Kind, texts: readonly string[], options: FigureOptions): UnitId | null {
  for (const text of [...texts].reverse()) {
    const parsed = parseQuantity(kind, text, { unit: options.unit });
    if (parsed.state === 'ok' && /[a-z]/i.test(text)) return parsed.unit;
  }
  return null;
}

/**
 * Reads a figure as a sheet writes it.
 *
 * @returns bad: in words, for the field it was typed in
 * @example readFigure('temperature', '155–165, start 160', { unit: 'C', min: 60, max: 260 }).state // ok
 */
export function readFigure(kind: Kind, typed: string, options: FigureOptions): ReadFigure {
  const clean = typed.trim().replace(/\s+/g, ' ');
  if (clean === '') return bad(`Type it as the sheet has it: ${EXAMPLES[kind]}.`);
  const parts = partsOf(clean);
  const typedUnit = unitIn(
    kind,
    [parts.low, parts.high, parts.start].filter((text) => text !== undefined),
    options,
  );
  const unit = typedUnit ?? options.unit;
  const known = typedUnit ?? (options.sure ? unit : null);
  const read = { kind, unit, known, options };
  const value = readOne(parts.low, read);
  const max = readOne(parts.high, read);
  const start = readOne(parts.start, read);
  const wrong = [value, max, start].find((candidate) => typeof candidate === 'string');
  if (typeof wrong === 'string') return bad(wrong);
  return figureOf(kind, parts, unit, { value: value as number, max: max as number | undefined, start: start as number | undefined });
}

const bad = (message: string): ReadFigure => ({ state: 'bad', message });

/** What was typed, taken apart: `about`, one figure or two with a start, a tolerance. */
interface Parts {
  about: boolean;
  low: string;
  high: string | undefined;
  start: string | undefined;
  tolerance: string | undefined;
}

function partsOf(clean: string): Parts {
  const about = /^(?:about|approx(?:imately)?\.?|ca\.?|~)\s*(.*)$/i.exec(clean);
  const [plain = '', tolerance] = (about?.[1] ?? clean).split(/\s*(?:±|\+\/-|\+-)\s*/);
  const [, sides = plain, start] = /^(.*?)[,;]?\s*(?:start|begin)(?:ning)?(?: at| with)?\s*(.+)$/i.exec(plain) ?? [];
  const [low = '', high] = sides.split(/\s*(?:–|—|-|\bto\b)\s*/i);
  return { about: about !== null, low, high, start, tolerance };
}

/** One of its figures; in words what is wrong with it; nothing where nothing was typed. */
function readOne(
  text: string | undefined,
  { kind, unit, known, options }: { kind: Kind; unit: UnitId; known: UnitId | null; options: FigureOptions },
): number | string | undefined {
  if (text === undefined) return undefined;
  // a figure that makes sense only in the other unit is asked about where a quantity is typed; here its unit is asked for
  const own = known && !/[a-z:]/i.test(text) ? `${text} ${UNITS[known].typed[0]}` : text;
  const parsed = parseQuantity(kind, own, { ...options, unit });
  if (parsed.state === 'bad') return parsed.message;
  return parsed.state === 'ask' ? `${parsed.message} Type the unit with it.` : parsed.value;
}

/** The figure they make together. */
function figureOf(
  kind: Kind,
  { about, high, start: startText, tolerance }: Parts,
  unit: UnitId,
  { value, max, start }: { value: number; max: number | undefined; start: number | undefined },
): ReadFigure {
  if (tolerance !== undefined) {
    if (high !== undefined) return bad(`A range and a tolerance at once: which does the sheet say? ${EXAMPLES[kind]}.`);
    const span = Number(tolerance.replace(',', '.').replace(/[^\d.]/g, ''));
    if (tolerance === '' || !Number.isFinite(span)) return bad(`“± ${tolerance}” is not a tolerance. Type it like ${EXAMPLES[kind]}.`);
    return { state: 'ok', figure: { form: 'tolerance', value, plusMinus: kind === 'temperature' ? spanInside(span, unit) : span }, unit };
  }
  if (high !== undefined)
    return { state: 'ok', figure: { form: 'range', min: value, max: max ?? value, ...(start !== undefined && { start }) }, unit };
  if (startText !== undefined) return bad(`A start belongs to a range: ${EXAMPLES[kind]}.`);
  return { state: 'ok', figure: { form: 'one', value, ...(about && { about: true }) }, unit };
}
