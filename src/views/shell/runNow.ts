/** A run that is going on, as the rail tells it, and the way to it. */
import type { Rail } from '../../contract';
import { stationHref } from '../../core/log';

export type RunNow = Rail['runs'][number];

export const runHref = ({ orderId, lineId, runId }: RunNow): string => stationHref(orderId, 'run', { lineId, runId });
