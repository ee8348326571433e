/** What the sheet is asked for: settings for this group of fabrics, this colour, or a way of its own that was chosen. */
import { groupOf } from '../../materials';
import { phrase } from '../../units';
import { colourOf, type SheetQuery } from '../draft';
import { type Decision, SHEET, when } from './decision';

export const SHEET_QUERY: readonly Decision<object, SheetQuery>[] = [
  {
    id: 'sheet-for-fabric-group',
    field: 'temperature',
    rank: 'usual',
    decide: ({ product, fabric }) => {
      const group = groupOf(fabric);
      return when(
        product.overrides.some((override) => override.fabricGroup === group),
        () => ({ set: { group }, source: SHEET, says: phrase`The sheet of ${product.name} has settings of its own for ${group}.` }),
      );
    },
  },
  {
    id: 'sheet-for-colour-group',
    field: 'temperature',
    rank: 'usual',
    decide: ({ product, print }) => {
      const colour = colourOf(print);
      const group = product.colours.find((colourGroup) => colourGroup.name === colour)?.group;
      return when(group !== undefined && product.overrides.some((override) => override.colourGroup === group), () => ({
        set: { colour },
        source: SHEET,
        says: phrase`The sheet of ${product.name} has settings of its own for ${group ?? ''} colours; ${colour ?? ''} is one.`,
      }));
    },
  },
  {
    id: 'sheet-alternative',
    field: 'temperature',
    rank: 'operator',
    decide: ({ print, product }) => {
      const name = print.choices.alternative;
      return when(
        product.alternatives.some((alternative) => alternative.name === name),
        () => ({
          set: { alternative: name },
          source: 'operator',
          says: phrase`Chosen for this print: the sheet’s own alternative, ${name ?? ''}.`,
        }),
      );
    },
  },
];
