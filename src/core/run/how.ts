/** How the act of a cue is done, and what it can do to the hands, in the words of the card's steps. */
import type { Card, Stage, Step } from '../card';
import { type Phrase, phrase } from '../units';
import type { Cue } from './cue';
import { looksFor } from './faults';
import { secondsOf } from './lots';
import type { RunState } from './state';

export interface How {
  says: Phrase[];
  safety: Phrase[];
  /** Married sheets are parted now: a movement with a rhythm of its own. */
  parts: boolean;
}

/** Where in the passage a cue stands, as the card's steps name it; null: nothing is asked of the hands. */
function placeOfCue({ stages }: Pick<Card, 'stages'>, { stage, act }: Pick<Cue, 'stage' | 'act'>): Step['at'] | null {
  const kind = stages[stage]?.kind;
  if (!kind || act === null) return null;
  if (act === 'opened') return 'open';
  const closing = stages.slice(0, stage).findLast(({ by }) => by === 'press')?.kind;
  if (kind === 'peel' && closing === 'marry') return 'part';
  if (kind === 'rub' && closing === 'marry') return 'rub married';
  return kind === 'peel' && closing === 'finish' ? 'pull' : kind;
}

/**
 * What is told beside a cue.
 *
 * @param isFirst no piece has been looked at yet: it is told what this kind of transfer may show
 *
 * A closing whose words are those of the cue itself tells only its danger, and so does the peel of a lower layer: the step's words
 * are those of the print, which may be peeled hotter or colder than the layer.
 */
export function howOf(
  card: Pick<Card, 'stages' | 'steps'> & Partial<Pick<Card, 'of'>>,
  cue: Pick<Cue, 'stage' | 'act'>,
  isFirst = false,
): How {
  const at = placeOfCue(card, cue);
  if (at === null) return { says: [], safety: [], parts: false };
  // a closing that has no step of its own is as dangerous as the full press
  const own = stepsAt(card, at);
  const steps = own.length === 0 && card.stages[cue.stage]?.by === 'press' && at !== 'open' ? stepsAt(card, 'press') : own;
  const spots = card.stages.filter(({ kind }) => kind === 'press').length > 1;
  const layer = at === 'peel' && card.stages.slice(cue.stage + 1).some(({ kind }) => kind === 'press');
  const plain = layer || at === 'pre-press' || at === 'tack' || (at === 'press' && !spots);
  const looks = isFirst && at === 'inspect' && card.of ? looksFor(card.of) : [];
  return {
    says: [
      ...(plain ? [] : steps.map(({ says }) => says)),
      ...(looks.length > 0 ? [phrase`The first piece: look for ${looks.join(', ')}.`] : []),
    ],
    safety: steps.flatMap(({ safety }) => (safety ? [safety] : [])),
    parts: at === 'part',
  };
}

/** What a stage is, in the card's words, with the time it is set to now. */
export const stageWords = (stage: Stage, run: Pick<RunState, 'setS' | 'sets'>): Phrase =>
  stage.says.map((part) =>
    typeof part !== 'string' && part.q === 'duration' && part.v === stage.timeS ? { ...part, v: secondsOf(stage, run) } : part,
  );

const stepsAt = ({ steps }: Pick<Card, 'steps'>, at: Step['at']): Step[] => steps.filter((step) => step.at === at);
