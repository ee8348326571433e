/** Rules of layers, embossing and second prints. */

import { familyOf, pressOf } from '../../draft';
import { type PrintLayer, pressingOrder } from '../../order';
import { phrase, tempDiff } from '../../units';
import { type Rule, when } from './rule';

/** More layers than this stand thick and crack. */
const MOST_LAYERS = 3;

/** Whether the last layer lies over a lower one, or over one that does; else the two could be pressed the other way round. */
function liesUnder(layers: readonly PrintLayer[], lower: number): boolean {
  const order = pressingOrder(layers) ?? layers;
  const reaches = (from: PrintLayer | undefined): boolean =>
    from?.over.some((key) => key === order[lower]?.key || reaches(order.find((layer) => layer.key === key))) ?? false;
  return reaches(order.at(-1));
}

export const LAYER_RULES: readonly Rule[] = [
  {
    id: 'layer-top-only',
    field: 'layers',
    level: 'hold',
    evaluate: ({ under }) => {
      const wrong = under.find((product) => product.layer === 'top only');
      return when(
        wrong !== undefined,
        () =>
          phrase`${wrong?.name ?? ''} (${wrong ? familyOf(wrong).name : ''}) goes on top only: nothing holds on it, and under another layer it is flattened.`,
      );
    },
  },
  {
    id: 'layer-alone',
    field: 'layers',
    level: 'hold',
    evaluate: ({ under, product }) => {
      const wrong = under.length > 0 ? [...under, product].find((product) => product.layer === 'alone') : undefined;
      return when(
        wrong !== undefined,
        () => phrase`${wrong?.name ?? ''} (${wrong ? familyOf(wrong).name : ''}) is not made to be layered.`,
      );
    },
  },
  {
    id: 'layers-too-many',
    field: 'layers',
    level: 'care',
    evaluate: ({ under }) =>
      when(
        under.length >= MOST_LAYERS,
        () => phrase`${String(under.length + 1)} layers stand thick and crack in wear: knock out what is covered.`,
      ),
  },
  {
    id: 'exposed-film-uncovered',
    field: 'cover',
    level: 'hold',
    evaluate: ({ under, product }, { cover }) =>
      when(
        under.length > 0 && cover === null,
        () => phrase`Film of the lower layers lies open to the platen while ${product.name} is pressed: it needs a cover.`,
      ),
  },
  {
    id: 'lower-layer-overheats',
    field: 'layers',
    level: 'care',
    evaluate: ({ print, product }, draft) => {
      const needs = pressOf(draft).tempC.nominal;
      const i = draft.under.findIndex(({ press }) => press.tempC.max < needs);
      const shy = draft.under[i];
      if (!shy) return null;
      const less = tempDiff(needs - shy.press.tempC.max);
      return liesUnder(print.layers, i)
        ? phrase`${shy.product.name} bears ${less} less than the layer over it is pressed at: it may shrink and show a gap. Leave a small overlap.`
        : phrase`${shy.product.name} bears ${less} less than ${product.name} is pressed at, and they lie beside each other: press ${product.name} first, as the hotter of the two.`;
    },
  },
  {
    id: 'emboss-needs-high-build',
    field: 'layers',
    level: 'hold',
    evaluate: ({ print, under }) =>
      when(
        print.embossed && !under.some((product) => product.embossBase),
        () => phrase`Embossing wants a high-build film as its lowest layer, and there is none.`,
      ),
  },
  {
    id: 'first-print-softens',
    field: 'layers',
    level: 'care',
    evaluate: ({ item, product }, draft) => {
      const needs = pressOf(draft).tempC.nominal;
      const shy = item.before.find((print) => print.mostC < needs);
      return when(
        shy !== undefined,
        () =>
          phrase`${shy?.productName ?? ''} on the ${shy?.position ?? ''} bears less than ${product.name} is pressed at: press that one last, or keep it off the heat.`,
      );
    },
  },
];
