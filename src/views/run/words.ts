/** Words of a run that several of its parts use. */
import type { Cue, Why } from '../../core/run';
import { piecesWords } from '../../ui/pieces';

export const cueWords = ({ verb, pieces }: Pick<Cue, 'verb' | 'pieces'>): string => [verb, piecesWords(pieces)].filter(Boolean).join(', ');

/** Why the cue is this one, where that is not plain. */
export const WHY: Record<Why, string> = {
  'hot peel': 'A hot peel does not wait: touch as your hand begins.',
  'other heat': 'The next closing is at another heat.',
  'unread heat': 'It should be there: read it before it is closed.',
  'hot rub': 'Only while it is hot.',
  'time is up': 'Its time is up.',
  'first piece': 'See how the first came out before the next.',
  'bench full': 'Several wait here: see how they came out.',
  'warm peel': 'It is warm now and will soon be cold.',
  'press idle': 'The press stands idle.',
  'while it is shut': 'There is time for it while the press is shut.',
  'nothing else': '',
  paused: 'Clocks that run go on; so do you, by the same key.',
};
