/** Closings: every time the press is shut on a piece, and which of them have a heat of their own. */
import type { CoverSheet } from '../heat';
import type { PressureBand } from '../materials';
import type { Allowed, ChosenStage } from '../sheet';
import { type Draft, sheetStage, tackBand, tackOf } from './draft';
import { ownBand, ownSetC } from './houseSettings';
import type { PreparedInput } from './input';
import { type PadOver, padOverOf } from './stack';

/** A shutting of the press at one set value. */
export interface Closing {
  name: string;
  timeS: number;
  cover: CoverSheet | null;
  padOver: PadOver | null;
}

/** Every shutting of the press at the press stage's own set value. */
export function closingsOf(input: PreparedInput, draft: Draft): Closing[] {
  const closings: Closing[] = [];
  const pad = padOverOf(draft);
  const isApart = (kind: 'pre-press' | 'finish') => ownSetC(input, kind) !== null;
  if (draft.prePressS > 0 && !sheetStage(draft, 'pre-press')?.ownHeat && !isApart('pre-press'))
    closings.push({ name: 'pre-press', timeS: draft.prePressS, cover: draft.prePressCover, padOver: pad });
  closings.push({ name: 'press', timeS: draft.timeS, cover: draft.cover, padOver: pad });
  if (draft.finish && !draft.finish.sheet && !isApart('finish'))
    closings.push({ name: 'finish', timeS: draft.finish.timeS, cover: draft.finish.cover, padOver: pad });
  return closings;
}

/** A closing as the cloth feels it. */
export interface OnCloth extends Closing {
  name: ChosenStage;
  band: PressureBand;
}

/** A closing beside the press stage. */
export interface Further {
  kind: ChosenStage;
  /** What its sheet asks for; null: it is done at the press stage's heat. */
  tempC: Allowed | null;
  /** Null: no blank lies in the press yet, or it is a mere tack, which the press stage on top of it speaks for. */
  onCloth: OnCloth | null;
  /** Chosen for this print or kept by the house, °C; null: neither. */
  ownC: number | null;
}

/** Every closing beside the press stage; null: there is none of its kind. */
export interface Furthers {
  prePress: Further | null;
  marry: Further | null;
  finish: Further | null;
  tack: readonly Further[];
}

/** How hard a closing beside the press stage is pressed: as chosen or kept for it, else by its own sheet, else as the press stage. @param i of several tacks which */
export function closingBand(input: PreparedInput, draft: Draft, kind: ChosenStage, i = 0): PressureBand {
  const { marry, finish, band } = draft;
  const own = ownBand(input, kind);
  if (own) return own.value;
  return {
    marry: marry?.pressure.band ?? band,
    'pre-press': sheetStage(draft, 'pre-press')?.pressure.band ?? band,
    tack: tackBand(draft, i),
    finish: finish?.sheet?.pressure.band ?? band,
  }[kind];
}

export function furthersOf(input: PreparedInput, draft: Draft): Furthers {
  const { finish, marry, under, prePressS, prePressCover, cover } = draft;
  const further = (kind: ChosenStage, tempC: Allowed | null, felt: Omit<OnCloth, 'name'> | null): Further => ({
    kind,
    tempC,
    onCloth: felt && { name: kind, ...felt },
    ownC: ownSetC(input, kind)?.value ?? null,
  });
  const prePress = sheetStage(draft, 'pre-press');
  const before = { timeS: prePressS, cover: prePressCover, padOver: padOverOf(draft), band: closingBand(input, draft, 'pre-press') };
  return {
    prePress: prePressS > 0 ? further('pre-press', prePress?.ownHeat ? prePress.tempC : null, before) : null,
    marry: marry ? further('marry', marry.tempC, null) : null,
    finish: finish
      ? further('finish', finish.sheet?.tempC ?? null, {
          timeS: finish.timeS,
          cover: finish.cover,
          padOver: null,
          band: closingBand(input, draft, 'finish'),
        })
      : null,
    tack: under.map(({ press, tack }, i) =>
      draft.fullS[i]
        ? further('tack', press.tempC, { timeS: tackOf(draft, i), cover, padOver: null, band: closingBand(input, draft, 'tack', i) })
        : further('tack', tack?.ownHeat ? tack.tempC : press.tempC, null),
    ),
  };
}
