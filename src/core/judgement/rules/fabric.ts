/** Rules of what may go on which cloth. */

import { familyOf } from '../../draft';
import { COATINGS, countedFibres, describeComposition, FIBRES, hasPile, isHard, NEVER_PRESSED, testPieceHeld } from '../../materials';
import { fitnessOn, neverBecause } from '../../sheet';
import { phrase } from '../../units';
import { type Rule, when } from './rule';

/** Cloth that gives more than this wants a film that gives with it, %. */
const STRETCHY_PERCENT = 30;

/** A film so thick carries itself from tip to tip of a pile, mm. */
const BRIDGES_PILE_MM = 0.3;

/** Finishes that refuse ordinary adhesive: an unknown one may be any of them. */
const FINISHES = COATINGS.filter((coating) => coating !== 'none' && coating !== 'unknown');

export const FABRIC_RULES: readonly Rule[] = [
  {
    id: 'coating-refuses',
    field: 'art',
    level: 'hold',
    evaluate: ({ fabric, product, blank }) =>
      when(
        fabric.coating !== 'none' &&
          fabric.coating !== 'unknown' &&
          !product.madeFor.includes(fabric.coating) &&
          !testPieceHeld(blank, product.id),
        () =>
          phrase`${fabric.name} is ${fabric.coating}: ordinary adhesive will not hold on it. Only a product made for ${fabric.coating} cloth may go on.`,
      ),
  },
  {
    id: 'coating-unknown',
    field: 'art',
    level: 'care',
    evaluate: ({ fabric, product, blank }) =>
      when(
        fabric.coating === 'unknown' && !FINISHES.every((finish) => product.madeFor.includes(finish)) && !testPieceHeld(blank, product.id),
        () => phrase`The finish of ${fabric.name} is unknown: press a test piece and pull at it before the first good one.`,
      ),
  },
  {
    id: 'fibre-not-on-sheet',
    field: 'art',
    level: 'hold',
    evaluate: ({ fabric, product }) => {
      if (product.fibresAllowed.length === 0) return null;
      const left = countedFibres(fabric.composition).filter((part) => !product.fibresAllowed.includes(part.fibre));
      return when(
        left.length > 0,
        () => phrase`The sheet of ${product.name} does not name ${left.map((part) => FIBRES[part.fibre].name).join(' or ')}.`,
      );
    },
  },
  {
    id: 'needs-its-fibre',
    field: 'art',
    level: 'hold',
    evaluate: ({ fabric, product }) => {
      const { leastFibre } = product;
      // a hard piece is dyed in its coating, which its material says
      if (leastFibre === null || isHard(fabric)) return null;
      const share = fabric.composition
        .filter((part) => leastFibre.fibres.includes(part.fibre))
        .reduce((sum, part) => sum + part.percent, 0);
      return when(
        share < leastFibre.percent,
        () =>
          phrase`${product.name} goes into ${leastFibre.fibres.map((id) => FIBRES[id].name).join(' or ')} only and needs ${String(leastFibre.percent)} % of it; ${fabric.name} has ${String(Math.round(share))} %.`,
      );
    },
  },
  {
    id: 'never-on-this-material',
    field: 'art',
    level: 'hold',
    evaluate: ({ fabric, product }) =>
      when(
        fitnessOn(product, fabric.substrate) === 'never',
        () =>
          phrase`${product.name} (${familyOf(product).name}) never holds on ${fabric.substrate}: ${neverBecause(product, fabric.substrate)}. It goes on ${product.substrates.join(', ')}.`,
      ),
  },
  {
    id: 'test-piece-on-this-material',
    field: 'art',
    level: 'care',
    evaluate: ({ fabric, product, blank }) =>
      when(
        fitnessOn(product, fabric.substrate) === 'test piece first' && !testPieceHeld(blank, product.id),
        () =>
          phrase`${product.name} (${familyOf(product).name}) is not usual on ${fabric.substrate}: press a test piece, pull at it when it is cold, and note on the blank that it held.`,
      ),
  },
  {
    id: 'never-pressed-at-all',
    field: 'art',
    level: 'hold',
    evaluate: ({ fabric }) => {
      const part = fabric.composition.find(({ fibre }) => NEVER_PRESSED.includes(fibre));
      return part
        ? phrase`${fabric.name} holds ${FIBRES[part.fibre].name}: heated, it gives off fumes that harm you. Never press it, and never cut it by laser.`
        : null;
    },
  },
  {
    id: 'pile-stands-through',
    field: 'art',
    level: 'care',
    evaluate: ({ fabric, product }) =>
      when(
        hasPile(fabric) && product.filmMm < BRIDGES_PILE_MM,
        () =>
          phrase`The pile of ${fabric.name} stands up: ${product.name} lies on its tips and may lift or let it through. Take a thicker transfer or a patch, or press where the cloth is flat.`,
      ),
  },
  {
    id: 'pile-swallows-detail',
    field: 'art',
    level: 'care',
    evaluate: ({ fabric, print }) =>
      when(
        (hasPile(fabric) || fabric.texture === 'fleece') && (print.smallType || print.artKind === 'fine detail'),
        () => phrase`Small type and fine detail sink into the nap of ${fabric.name}: make it bolder or larger.`,
      ),
  },
  {
    id: 'shade-hides-it',
    field: 'art',
    level: 'hold',
    evaluate: ({ blank, product }) =>
      when(
        product.shades !== 'any' && product.shades !== blank.shade,
        () =>
          phrase`${product.name} has no white of its own and shows only on ${product.shades} blanks; ${blank.colour} is ${blank.shade}.`,
      ),
  },
  {
    id: 'stretch-wants-stretch',
    field: 'art',
    level: 'care',
    evaluate: ({ fabric, product }) => {
      const elastic =
        fabric.stretchPercent > STRETCHY_PERCENT || countedFibres(fabric.composition).some((part) => part.fibre === 'elastane');
      return when(
        elastic && !product.stretches && !product.passesMark,
        () =>
          phrase`${fabric.name} stretches (${describeComposition(fabric.composition)}) and ${product.name} does not: it may crack in wear.`,
      );
    },
  },
  {
    id: 'leather-look-dents',
    field: 'pressure',
    level: 'care',
    evaluate: ({ fabric }, { band }) =>
      when(
        fabric.composition.some((part) => part.fibre === 'pu-leather') && (band === 'firm' || band === 'heavy'),
        () => phrase`${fabric.name} dents under ${band} pressure and keeps the dent: start lighter on a spare.`,
      ),
  },
  {
    id: 'not-for-this-duty',
    field: 'art',
    level: 'care',
    evaluate: ({ blank, product }) =>
      when(
        !product.duties.includes(blank.duty),
        () => phrase`${blank.name} will be ${blank.duty}; ${product.name} is meant for what is ${product.duties.join(' or ')}.`,
      ),
  },
  {
    id: 'colour-not-on-sheet',
    field: 'art',
    level: 'care',
    evaluate: ({ print, product }) => {
      const colour = print.layers.find((layer) => layer.productId === product.id)?.colour;
      return when(
        colour !== undefined && product.colours.length > 0 && !product.colours.some((known) => known.name === colour),
        () => phrase`The sheet of ${product.name} lists no ${colour ?? ''}: its settings for that colour are not known.`,
      );
    },
  },
  {
    id: 'art-kind-unsuited',
    field: 'art',
    level: 'care',
    evaluate: ({ print, product }) =>
      when(
        print.layers.length === 1 && !product.artKinds.includes(print.artKind),
        () => phrase`${product.name} is not the thing for ${print.artKind} art: it does ${product.artKinds.join(', ')}.`,
      ),
  },
  {
    id: 'retired',
    field: 'art',
    level: 'care',
    evaluate: ({ blank, product, press }) => {
      const gone = [blank, product, press].find((known) => known.retiredOn !== undefined);
      return when(gone !== undefined, () => phrase`${gone?.name ?? ''} was taken off the shelf on ${gone?.retiredOn ?? ''}.`);
    },
  },
  {
    id: 'size-unknown',
    field: 'art',
    level: 'hold',
    evaluate: ({ item, blank }) =>
      when(
        !blank.sizes.includes(item.size),
        () => phrase`${blank.name} does not come in ${item.size}: it comes in ${blank.sizes.join(', ')}.`,
      ),
  },
  {
    id: 'lining-under-the-print',
    field: 'loading',
    level: 'care',
    evaluate: ({ blank }, { loading }) =>
      when(
        blank.lined && loading !== 'threaded' && loading !== 'inside out',
        () =>
          phrase`${blank.name} is lined: laid ${loading}, the lining lies under the heat and its own limits are not known. Thread it, lining smooth.`,
      ),
  },
];
