/** A line while it is typed in: everything may still be empty. */

import { z } from 'zod';
import { type Blank, type Position, USUAL_POSITIONS } from '../../core/materials';
import type { Line, Print, PrintLayer, RosterEntry } from '../../core/order';
import { type Press, usualPress } from '../../core/press';
import { ART_KINDS, type ArtKind } from '../../core/sheet';
import { newId } from '../../ui/newId';

export interface LayerDraft {
  key: string;
  productId: string | null;
  colour: string;
}

export interface PrintDraft
  extends Pick<
    Print,
    'key' | 'choices' | 'embossed' | 'looseParts' | 'smallType' | 'crossesSeam' | 'artKind' | 'lay' | 'side' | 'moved' | 'withBefore'
  > {
  layers: LayerDraft[];
  position: Position;
  artName: string;
  widthMm: number | null;
  heightMm: number | null;
  /** Null: the one that suits the blank. */
  pressId: string | null;
}

export interface LineDraft {
  id: string;
  count: string;
  blankId: string | null;
  size: string;
  prints: PrintDraft[];
  roster: RosterEntry[];
  /** Numbers that people of the roster share. */
  sharedNumbers: string[];
  perClosing: string;
  sharesWith: string;
}

const LETTERS = 'abcdefgh';
const freeKey = (taken: readonly { key: string }[]): string =>
  [...LETTERS].find((letter) => !taken.some((candidate) => candidate.key === letter)) ?? newId().slice(0, 8);

const emptyLayer = (key: string): LayerDraft => ({ key, productId: null, colour: '' });

const emptyPrint = (key: string): PrintDraft => ({
  key,
  layers: [emptyLayer('a')],
  position: 'full front',
  artName: '',
  artKind: 'few flat colours',
  widthMm: null,
  heightMm: null,
  embossed: false,
  looseParts: false,
  smallType: false,
  crossesSeam: false,
  pressId: null,
  choices: {},
});

const printDraft = (print: Print, isNew: boolean): PrintDraft => ({
  ...print,
  layers: print.layers.map(({ key, productId, colour }) => ({ key, productId, colour: colour ?? '' })),
  choices: isNew ? {} : print.choices,
});

/** A new line starts from the one before it, with another count and size to fill in. */
export function draftFrom(line: Line | undefined, isNew: boolean): LineDraft {
  const known = line && !isNew ? line : null;
  return {
    id: known?.id ?? newId(),
    count: known ? String(known.count) : '',
    blankId: line?.blankId ?? null,
    size: known?.size ?? '',
    prints: line ? line.prints.map((print) => printDraft(print, isNew)) : [emptyPrint('a')],
    roster: known?.roster ?? [],
    sharedNumbers: known?.sharedNumbers ?? [],
    perClosing: String(line?.perClosing ?? 1),
    sharesWith: known?.sharesWith ?? '',
  };
}

export const withPrint = (draft: LineDraft): LineDraft => ({ ...draft, prints: [...draft.prints, emptyPrint(freeKey(draft.prints))] });
/** One print less: the one that shared its closing with it begins a closing of its own, unless there is another before them. */
export const withoutPrint = (draft: LineDraft, at: number): LineDraft => ({
  ...draft,
  prints: draft.prints.flatMap((print, i) => {
    if (i === at) return [];
    if (i !== at + 1 || draft.prints[at]?.withBefore) return [print];
    const { withBefore: _, ...alone } = print;
    return [alone];
  }),
});

/** Room between two designs, as one is first laid beside the other, mm. */
const BESIDE_MM = 10;

/** A print in one closing with the one before it, of the same transfer on the same press and laid beside it; or in one of its own. */
export function withBefore({ withBefore: _, ...print }: PrintDraft, before: PrintDraft, on: boolean): PrintDraft {
  if (!on) return print;
  const { xMm, yMm } = before.moved ?? { xMm: 0, yMm: 0 };
  const wideMm = ((before.widthMm ?? 0) + (print.widthMm ?? before.widthMm ?? 0)) / 2;
  const { layers, position, pressId } = before;
  return {
    ...print,
    layers,
    position,
    pressId,
    withBefore: true,
    moved: print.moved ?? { xMm: xMm + wideMm + BESIDE_MM, yMm },
  };
}

/** A print laid by hand, in the middle too; null: its lay is worked out. */
export const withLay = ({ lay: _, ...print }: PrintDraft, lay: NonNullable<Print['lay']> | null): PrintDraft =>
  lay ? { ...print, lay } : print;

export const withLayer = (print: PrintDraft): PrintDraft => {
  const last = print.layers.at(-1);
  return { ...print, layers: [...print.layers, { key: freeKey(print.layers), productId: last?.productId ?? null, colour: '' }] };
};

/** A transfer found for a print. */
export interface Taken {
  productId: string;
  printKey: string;
}

/** The transfer found becomes the top layer of its print; its colour is to be said anew. */
export const withProduct = (draft: LineDraft, { productId, printKey }: Taken): LineDraft => ({
  ...draft,
  prints: draft.prints.map((print) =>
    print.key === printKey
      ? { ...print, layers: print.layers.map((layer, i) => (i === print.layers.length - 1 ? { ...layer, productId, colour: '' } : layer)) }
      : print,
  ),
});

/** A blank picked: its only size, its usual first position where none was chosen for it. */
export function withBlank(draft: LineDraft, blank: Blank): LineDraft {
  const [usual] = USUAL_POSITIONS[blank.kind];
  const fits = (position: Position) => USUAL_POSITIONS[blank.kind].includes(position);
  return {
    ...draft,
    blankId: blank.id,
    size: blank.sizes.includes(draft.size) ? draft.size : blank.sizes.length === 1 ? (blank.sizes[0] ?? '') : '',
    prints: draft.prints.map((print, i) => (i === 0 && !fits(print.position) ? { ...print, position: usual } : print)),
  };
}

export const pressFor = (print: PrintDraft, presses: readonly Press[], blank: Blank | undefined): string =>
  print.pressId ?? usualPress(presses, blank?.kind === 'cap')?.id ?? '';

export type Faults = Record<string, string>;

/** What is still missing, by field: `blankId`, `prints.0.artName`. */
export function faultsOf(draft: LineDraft): Faults {
  const faults: Faults = {};
  const count = draft.count.trim();
  if (!/^\d+$/.test(count) || Number(count) < 1 || Number(count) > 1000) faults.count = 'How many pieces? A whole number from 1 to 1000.';
  if (!draft.blankId) faults.blankId = 'Pick a blank from the shelf.';
  if (!draft.size) faults.size = 'Pick a size.';
  if (!/^\d+$/.test(draft.perClosing.trim()) || Number(draft.perClosing) < 1 || Number(draft.perClosing) > 60)
    faults.perClosing = 'A whole number from 1 to 60.';
  draft.prints.forEach((print, i) => {
    print.layers.forEach((layer, j) => {
      if (!layer.productId) faults[`prints.${i}.layers.${j}`] = 'Pick a transfer from the shelf.';
    });
    if (print.artName.trim() === '') faults[`prints.${i}.artName`] = 'Name the art, as you call it.';
    if (!print.widthMm || print.widthMm <= 0) faults[`prints.${i}.widthMm`] = 'How wide is the art?';
    if (!print.heightMm || print.heightMm <= 0) faults[`prints.${i}.heightMm`] = 'How tall is the art?';
  });
  return faults;
}

/** A draft, refused where something is missing. */
export const LineDraftSchema = z.custom<LineDraft>().superRefine((draft, { addIssue }) => {
  for (const [field, message] of Object.entries(faultsOf(draft))) addIssue({ code: 'custom', path: field.split('.'), message });
});

const layersOf = (layers: readonly LayerDraft[]): PrintLayer[] =>
  layers.map(({ key, productId, colour }, i) => {
    const below = layers[i - 1];
    return { key, productId: productId ?? '', ...(colour && { colour }), over: below ? [below.key] : [] };
  });

/** The line a complete draft stands for. */
export function lineOf(draft: LineDraft, presses: readonly Press[], blank: Blank | undefined): Line {
  return {
    id: draft.id,
    blankId: draft.blankId ?? '',
    size: draft.size,
    count: Number(draft.count),
    roster: draft.roster,
    ...(draft.sharedNumbers.length > 0 && { sharedNumbers: draft.sharedNumbers }),
    perClosing: Number(draft.perClosing),
    ...(draft.sharesWith && { sharesWith: draft.sharesWith }),
    prints: draft.prints.map((print) => ({
      ...print,
      artName: print.artName.trim(),
      widthMm: print.widthMm ?? 0,
      heightMm: print.heightMm ?? 0,
      pressId: pressFor(print, presses, blank),
      layers: layersOf(print.layers),
    })),
  };
}

export const ART_KIND_OPTIONS = ART_KINDS.map((value: ArtKind) => ({ value, text: value }));
