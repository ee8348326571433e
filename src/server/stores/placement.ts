/** Placement, lays, print sizes and closings as the compute endpoints give them. */
import type { Body } from '../../contract/routes';
import { UnknownSize } from '../../core/materials';
import {
  bestFit,
  fillClosing,
  fitAt,
  NoSuchPanel,
  type Placement,
  type PlacementQuery,
  place,
  splitAfter,
  splitRun,
  threadedBetween,
} from '../../core/placement';
import { Refusal } from '../refusal';

/** @throws {Refusal} 422 the blank has no such panel, or the size is none that can be graded */
function placed(query: PlacementQuery): Placement {
  try {
    return place(query);
  } catch (error) {
    if (error instanceof NoSuchPanel)
      throw new Refusal('not valid', 'Not valid', error.message, [{ field: 'position', message: error.message }]);
    if (error instanceof UnknownSize)
      throw new Refusal('not valid', 'Not valid', error.message, [{ field: 'size', message: error.message }]);
    throw error;
  }
}

export function placementOf(query: Body<'computePlacement'>) {
  const { panel, outline, box, lay, because, squareTo, insideOut, findings } = placed(query);
  return { panel, outline: [...outline], box, lay, because, squareTo, insideOut, findings };
}

export function feasibilityOf(query: Body<'computeFeasibility'>) {
  const { platen, base, loading, under, lay, ...rest } = query;
  const { box, features, measures, panel } = placed(rest);
  const fit = {
    art: box,
    features,
    heated: platen,
    base: base ?? platen,
    threadedBetween: loading === 'threaded' ? threadedBetween(measures, panel) : null,
    under,
    bridges: query.crossesSeam,
    keepOff: [],
  };
  return { box, fit: lay ? fitAt(fit, lay) : bestFit(fit) };
}

export const sizeSplitOf = ({ sizes, share, mostMm, stepMm, after }: Body<'computeSizeSplit'>) =>
  after ? splitAfter(sizes, after, share, mostMm, stepMm) : splitRun(sizes, share, mostMm, stepMm);

export const closingOf = ({ room, piece, gapMm }: Body<'computeClosing'>) => ({ pieces: fillClosing(room, piece, gapMm) });
