/** The figures of each shutting of the press on a card: what is set, under what, and how it is peeled after. */

import { closingBand, type Draft, type PreparedInput, touchingArea } from '../draft';
import { pressureSetting } from '../press';
import type { Card, Stage } from './schema';

type Own = NonNullable<Stage['set']>;

/** What one closing of a draft is set to beside its temperature and time. */
function ownOf(input: PreparedInput, draft: Draft, set: Card['set'], stage: Stage, tack: number): Own {
  const at = (band: Own['band'], cover: Own['cover'], peel: Own['peel']): Own => ({
    band,
    setting: band === set.pressure.band ? set.pressure.setting : pressureSetting(input.press, band, touchingArea(input, draft)),
    cover,
    peel,
    lowerC: set.lowerC,
  });
  const { marry, finish } = draft;
  switch (stage.kind) {
    case 'marry':
      return {
        ...at(closingBand(input, draft, 'marry'), marry && marry.cover !== 'avoid' ? marry.coverKind : null, marry?.peel ?? 'none'),
        lowerC: null,
      };
    case 'pre-press':
      return at(closingBand(input, draft, 'pre-press'), draft.prePressCover, 'none');
    case 'tack': {
      const under = draft.under[tack];
      return at(closingBand(input, draft, 'tack', tack), draft.cover, under?.press.peel ?? 'none');
    }
    case 'finish':
      return at(closingBand(input, draft, 'finish'), finish?.cover ?? null, finish?.pull ?? 'none');
    default:
      return at(draft.band, draft.cover, draft.peel === 'none' ? (draft.mask ?? 'none') : draft.peel);
  }
}

/** Stages with what each closing is set to. */
export function withOwn(input: PreparedInput, draft: Draft, set: Card['set'], stages: readonly Stage[]): Stage[] {
  let tacks = 0;
  return stages.map((stage) => {
    if (stage.by !== 'press') return stage;
    const tack = stage.kind === 'tack' ? tacks++ : 0;
    return { ...stage, set: ownOf(input, draft, set, stage, tack) };
  });
}

/** What is true of the press while one stage is done. */
export interface ClosingFigures extends Own {
  kind: Stage['kind'];
  tempC: number;
  timeS: number;
}

/** Stages of the hands and the clock that still belong to the closing before them. */
const AFTER_CLOSING: ReadonlySet<Stage['kind']> = new Set(['peel', 'wait', 'rub']);

type Staged = Pick<Card, 'stages' | 'set'>;

/** The closing a stage belongs to: its own, the one it follows as a peel, or the one it prepares. */
function closingAt({ stages }: Staged, stage: number): Stage | undefined {
  const here = stages[stage];
  if (here?.by === 'press') return here;
  const before = stages.slice(0, Math.max(0, stage)).findLast(({ by }) => by === 'press');
  const after = stages.slice(Math.max(0, stage)).find(({ by }) => by === 'press');
  return here && AFTER_CLOSING.has(here.kind) ? (before ?? after) : (after ?? before);
}

const figuresOf = ({ set }: Staged, { kind, timeS, setC, set: own }: Stage): ClosingFigures => ({
  kind,
  tempC: setC ?? set.tempC,
  timeS,
  // a card from before closings had figures of their own knows those of the full press alone
  ...(own ?? {
    band: set.pressure.band,
    setting: set.pressure.setting,
    cover: kind === 'press' ? set.cover : null,
    peel: kind === 'press' ? set.peel : 'none',
    lowerC: set.lowerC,
  }),
});

/** The figures that hold at a stage of a card; null: the press is never shut. @param stage its place; −1: the first */
export function figuresAt(card: Staged, stage: number): ClosingFigures | null {
  const closing = closingAt(card, stage);
  return closing ? figuresOf(card, closing) : null;
}

/** The figures of every closing, in order. */
export const closingsOfCard = (card: Staged): ClosingFigures[] =>
  card.stages.filter(({ by }) => by === 'press').map((stage) => figuresOf(card, stage));
