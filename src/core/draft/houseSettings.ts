/** Settings the house keeps for a press with a transfer: a card starts from them, unless somebody chose otherwise for this print. */

import { type HouseSetting, houseSetting } from '../house';
import { isHard } from '../materials';
import { type ChosenStage, type Figure, writtenPress } from '../sheet';
import { type Phrase, phrase, seconds, setTemp } from '../units';
import type { ResolveInput } from './input';
import type { Reason } from './reason';
import { testedStart } from './tested';

type Use = Pick<ResolveInput, 'house' | 'press' | 'product' | 'fabric' | 'print' | 'blank' | 'tested' | 'presses'>;

/** Whether a sheet names the figure to begin with. */
const namesItsFigure = (figure: Figure): boolean => figure.form !== 'range' || figure.start !== undefined;

/** Where the time goes by how thick the blank is, one time for all of them would be wrong; a figure the sheet names comes first. */
export const timeScalesWithMass = ({ product, fabric }: Pick<ResolveInput, 'product' | 'fabric'>): boolean =>
  product.timeByMass && isHard(fabric) && !namesItsFigure(writtenPress(product).timeS);

/** The house's time for this press and transfer; null: none, or one was chosen for this print, or tested on its material. */
export const houseTime = (input: Use): HouseSetting | null =>
  input.print.choices.timeS !== undefined || timeScalesWithMass(input) || testedStart(input)
    ? null
    : houseSetting(input.house, { pressId: input.press.id, productId: input.product.id, of: 'time' });

/** The house's set value for this press and transfer; null: none, or one was set by hand, or tested on its material. */
export const houseTemp = (input: Use): HouseSetting | null => {
  const { house, press, product, print } = input;
  return print.choices.setC === undefined && !testedStart(input)
    ? houseSetting(house, { pressId: press.id, productId: product.id, of: 'temperature' })
    : null;
};

/** What a closing beside the press stage is set to, and who says so. */
export interface OwnFigure {
  value: number;
  source: 'operator' | 'house';
  /** `Chosen for this print`, or whose setting it is. */
  whose: Phrase;
}

function ownFigure(input: Use, stage: ChosenStage, of: HouseSetting['of'], chosen: number | undefined): OwnFigure | null {
  if (chosen !== undefined) return { value: chosen, source: 'operator', whose: phrase`Chosen for this print` };
  const { house, press, product } = input;
  const setting = houseSetting(house, { pressId: press.id, productId: product.id, of, stage });
  return (
    setting && {
      value: setting.value,
      source: 'house',
      whose: phrase`House setting for ${product.name} on ${press.name}, ${sinceWords(setting)}`,
    }
  );
}

/** Seconds of a closing beside the press stage, as chosen for this print, else as the house keeps them; null: as worked out. */
export const ownSeconds = (input: Use, stage: ChosenStage): OwnFigure | null =>
  ownFigure(input, stage, 'time', input.print.choices.stageS?.[stage]);

/** Set value of a closing beside the press stage, °C, as chosen for this print, else as the house keeps it; null: as worked out. */
export const ownSetC = (input: Use, stage: ChosenStage): OwnFigure | null =>
  ownFigure(input, stage, 'temperature', input.print.choices.stageC?.[stage]);

/** Settings of the house for the other closings of this press and transfer that were not chosen otherwise. */
const houseStageTimes = ({ house, press, product, print: { choices } }: Use): HouseSetting[] =>
  (house.settings ?? []).filter(
    ({ pressId, productId, stage, of }) =>
      stage !== undefined &&
      pressId === press.id &&
      productId === product.id &&
      (of === 'time' ? choices.stageS : choices.stageC)?.[stage] === undefined,
  );

/** Those a card stands on, with its time in seconds and the set value it started from. */
export const inEffect = (input: Use, timeS: number, temp: HouseSetting | null): HouseSetting[] => {
  const time = houseTime(input);
  return [...(time?.value === timeS ? [time] : []), ...(temp ? [temp] : []), ...houseStageTimes(input)];
};

/** Since when it is kept, and what spoke for it. */
const sinceWords = ({ on, good, spoiled }: HouseSetting): Phrase =>
  good + spoiled === 0
    ? phrase`kept on ${on} from a card`
    : phrase`kept on ${on} after ${String(good)} good and ${String(spoiled)} spoiled with it`;

/** `12 s`, `155 °C`, as this press shows it. */
const valueWords = ({ of, value }: HouseSetting, { press }: Pick<ResolveInput, 'press'>): Phrase =>
  phrase`${of === 'time' ? seconds(value) : setTemp(value, press.set.unit)}`;

/** What speaks for it. */
export const houseSettingWords = (setting: HouseSetting, input: Use): Phrase =>
  phrase`House setting for ${input.product.name} on ${input.press.name}: ${valueWords(setting, input)}, ${sinceWords(setting)}.`;

/** Said where a card would be on Hold with it. */
export const leftOutReason = (setting: HouseSetting, input: Use): Reason => ({
  field: setting.of,
  source: 'house',
  says: phrase`House setting of ${valueWords(setting, input)}${setting.stage ? ` (${setting.stage})` : ''} for ${input.product.name} on ${input.press.name} is left out: this piece would be on Hold with it.`,
});
