/** Schools: the questions practice answers differently, each answer with what it changes on a card. */
import type { HouseRules } from './house';

export interface School<K extends keyof HouseRules = keyof HouseRules> {
  rule: K;
  question: string;
  answers: readonly { value: HouseRules[K]; text: string; changes: string }[];
}

const school = <K extends keyof HouseRules>(rule: K, question: string, ...answers: School<K>['answers'][number][]): School<K> => ({
  rule,
  question,
  answers,
});

export const SCHOOLS: readonly School[] = [
  school(
    'coverWhenAllowed',
    'Cover sheet where the sheet leaves it open',
    {
      value: 'always',
      text: 'always',
      changes: 'Platen and print stay clean; the bare face runs a little cooler, so the mark limit leaves more room.',
    },
    { value: 'never', text: 'never', changes: 'No heat is lost in a cover; the bare face runs hotter.' },
  ),
  school(
    'secondPress',
    'Second press after the peel',
    {
      value: 'always',
      text: 'always, short',
      changes:
        'One more closing a piece under paper, as long as you type above, and one more that the bare face must bear. Never on what it flattens.',
    },
    { value: 'when an edge looks proud', text: 'only when an edge looks proud', changes: 'A step says when; no time is planned for it.' },
  ),
  school(
    'obstruction',
    'Something stands up under the print',
    {
      value: 'pillow',
      text: 'a soft pillow sinks it',
      changes: 'A pillow goes under the print; where the sheet wants a firm base, the print is raised instead.',
    },
    {
      value: 'raise',
      text: 'raise the print on a firm pad',
      changes: 'A firm pad lifts the print over it; screen-printed transfers want this.',
    },
    {
      value: 'hang off',
      text: 'hang it off the edge',
      changes: 'Nothing is laid under; the card says Care until you have seen that the art still lies on the platen.',
    },
  ),
  school(
    'loading',
    'Loading a garment',
    { value: 'threaded', text: 'threaded over the base', changes: 'One layer under the heat.' },
    { value: 'flat', text: 'laid flat', changes: 'The back lies under the heat too, and a lining with it.' },
    { value: 'turned', text: 'turned round', changes: 'Hands stay away from the heat; the back lies under it.' },
  ),
  school(
    'prePress',
    'Pre-press',
    {
      value: 'seconds',
      text: 'our own seconds',
      changes: 'As many seconds before every print as you type above; a longer one brings the bare face nearer its limit on hot cards.',
    },
    {
      value: 'computed',
      text: 'as long as the damp needs',
      changes: 'Worked out from the cloth’s weight and fibre and the humidity of the room, 3 to 30 s.',
    },
  ),
  school(
    'centre',
    'Finding the middle',
    { value: 'crease', text: 'fold and crease', changes: 'A step folds the garment first.' },
    { value: 'ruler', text: 'ruler or printed guide', changes: 'A step measures.' },
    { value: 'eye', text: 'by eye', changes: 'A step says to look twice.' },
  ),
  school(
    'drop',
    'Drop from the collar',
    { value: 'ruler', text: 'ruler', changes: 'The distance in your units.' },
    { value: 'fingers', text: 'finger-widths', changes: 'The distance in the widths of your own fingers, with the ruler’s beside.' },
    {
      value: 'tall art',
      text: 'tall art nearer the collar',
      changes: 'Art that fills more than three quarters of a front sits closer to the collar.',
    },
  ),
  school(
    'unmeasured',
    'Temperature on a press nobody measured',
    { value: 'widen', text: 'count it ±8 K and say Care', changes: 'Set as reckoned; the band is wide and the lamp is never Clear.' },
    { value: 'bump', text: 'add a fixed bump', changes: 'Set higher by your bump; the band is as wide and the lamp is never Clear.' },
  ),
  school(
    'layers',
    'Layers',
    { value: 'tack', text: 'tack all, full press last', changes: 'Lower layers get a few seconds each: they shrink less.' },
    { value: 'full', text: 'full press each', changes: 'Every layer is pressed in full: slower, and the lower ones shrink more.' },
  ),
  school(
    'batch',
    'Working a batch',
    { value: 'piece', text: 'piece by piece', changes: 'Each piece is done before the next.' },
    { value: 'step', text: 'step by step', changes: 'All marries, then all presses, then all peels.' },
  ),
  school(
    'felt',
    'Felt under hard blanks',
    { value: 'protect', text: 'yes, it spares the rubber', changes: 'Felt goes under a hard blank where the sheet asks for no pad.' },
    { value: 'leave out', text: 'no, it eats pressure', changes: 'The blank lies on the base pad itself.' },
  ),
  school(
    'insideMark',
    'A mark on the inside, after split heat',
    { value: 'care', text: 'say Care', changes: 'The card warns when the inside may shine.' },
    { value: 'accept', text: 'accept it', changes: 'Nobody sees the inside: only harm counts there.' },
  ),
] as readonly School[];
