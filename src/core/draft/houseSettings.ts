/** Settings the house keeps for a press with a transfer: a card starts from them, unless somebody chose otherwise for this print. */

import { type HouseSetting, houseSetting, type SettingOf } from '../house';
import { isHard, type PressureBand } from '../materials';
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
export const houseTime = (input: Use): SettingOf<'time'> | null =>
  input.print.choices.timeS !== undefined || timeScalesWithMass(input) || testedStart(input)
    ? null
    : houseSetting(input.house, { pressId: input.press.id, productId: input.product.id, of: 'time' });

/** The house's set value for this press and transfer; null: none, or one was set by hand, or tested on its material. */
export const houseTemp = (input: Use): SettingOf<'temperature'> | null => {
  const { house, press, product, print } = input;
  return print.choices.setC === undefined && !testedStart(input)
    ? houseSetting(house, { pressId: press.id, productId: product.id, of: 'temperature' })
    : null;
};

/** What a closing beside the press stage is set to, and who says so. */
export interface OwnFigure<T = number> {
  value: T;
  source: 'operator' | 'house';
  /** `Chosen for this print`, or whose setting it is. */
  whose: Phrase;
}

/** @param setting what the house keeps for it */
function own<T>({ press, product }: Use, chosen: T | undefined, setting: (HouseSetting & { value: T }) | null): OwnFigure<T> | null {
  if (chosen !== undefined) return { value: chosen, source: 'operator', whose: phrase`Chosen for this print` };
  if (!setting) return null;
  return {
    value: setting.value,
    source: 'house',
    whose: phrase`House setting for ${product.name} on ${press.name}, ${sinceWords(setting)}`,
  };
}

/** For what the house keeps a setting of a closing. */
const useOf = <K extends HouseSetting['of']>({ press, product }: Use, of: K, stage?: ChosenStage) => ({
  pressId: press.id,
  productId: product.id,
  of,
  ...(stage && { stage }),
});

/** Seconds of a closing beside the press stage, as chosen for this print, else as the house keeps them; null: as worked out. */
export const ownSeconds = (input: Use, stage: ChosenStage): OwnFigure | null =>
  own(input, input.print.choices.stageS?.[stage], houseSetting(input.house, useOf(input, 'time', stage)));

/** Set value of a closing beside the press stage, °C, as chosen for this print, else as the house keeps it; null: as worked out. */
export const ownSetC = (input: Use, stage: ChosenStage): OwnFigure | null =>
  own(input, input.print.choices.stageC?.[stage], houseSetting(input.house, useOf(input, 'temperature', stage)));

/** How hard a closing is pressed, as chosen for this print, else as the house keeps it; null: as worked out. */
export const ownBand = (input: Use, stage: ChosenStage | 'press'): OwnFigure<PressureBand> | null => {
  const { band, stageBand } = input.print.choices;
  return stage === 'press'
    ? own(input, band, houseSetting(input.house, useOf(input, 'pressure')))
    : own(input, stageBand?.[stage], houseSetting(input.house, useOf(input, 'pressure', stage)));
};

/** Where the choices of a print have their own of another closing. */
const CHOSEN_IN = { time: 'stageS', temperature: 'stageC', pressure: 'stageBand' } as const;

/** Settings of the house for the other closings of this press and transfer that were not chosen otherwise. */
const houseStageSettings = ({ house, press, product, print: { choices } }: Use): HouseSetting[] =>
  (house.settings ?? []).filter(
    ({ pressId, productId, stage, of }) =>
      stage !== undefined && pressId === press.id && productId === product.id && choices[CHOSEN_IN[of]]?.[stage] === undefined,
  );

/** Those a card stands on, with its time in seconds and the set value it started from. */
export const inEffect = (input: Use, timeS: number, temp: HouseSetting | null): HouseSetting[] => {
  const time = houseTime(input);
  const pressure = input.print.choices.band === undefined && houseSetting(input.house, useOf(input, 'pressure'));
  return [...(time?.value === timeS ? [time] : []), ...(temp ? [temp] : []), ...(pressure ? [pressure] : []), ...houseStageSettings(input)];
};

/** Since when it is kept, and what spoke for it. */
const sinceWords = ({ on, good, spoiled }: HouseSetting): Phrase =>
  good + spoiled === 0
    ? phrase`kept on ${on} from a card`
    : phrase`kept on ${on} after ${String(good)} good and ${String(spoiled)} spoiled with it`;

/** `12 s`, `155 °C`, as this press shows it. */
const valueWords = ({ of, value }: HouseSetting, { press }: Pick<ResolveInput, 'press'>): Phrase =>
  of === 'pressure' ? phrase`${value} pressure` : phrase`${of === 'time' ? seconds(value) : setTemp(value, press.set.unit)}`;

/** What speaks for it. */
export const houseSettingWords = (setting: HouseSetting, input: Use): Phrase =>
  phrase`House setting for ${input.product.name} on ${input.press.name}: ${valueWords(setting, input)}, ${sinceWords(setting)}.`;

/** Said where a card would be on Hold with it. */
export const leftOutReason = (setting: HouseSetting, input: Use): Reason => ({
  field: setting.of,
  source: 'house',
  says: phrase`House setting of ${valueWords(setting, input)}${setting.stage ? ` (${setting.stage})` : ''} for ${input.product.name} on ${input.press.name} is left out: this piece would be on Hold with it.`,
});
