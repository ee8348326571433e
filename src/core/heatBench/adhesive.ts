/** The glue a query asks about. Without schemas: the heat worker loads it. */
import { type Adhesive, referenceFlow, type SolveOptions } from '../heat';
import type { HeatQuery } from './query';

/** The adhesive of a query, with the flow its supplier means worked out. */
export const adhesiveOfQuery = (
  { adhesive: { softenC, reference, shift } }: Pick<HeatQuery, 'adhesive'>,
  options: SolveOptions = {},
): Adhesive => ({ softenC, shift, referenceFlow: referenceFlow(reference, softenC, options) });
