/** What becomes of a step: the run after it, or why it cannot have happened. */
import type { RunState } from './state';

export type Applied = { state: 'ok'; run: RunState } | { state: 'refused'; message: string };

export const refused = (message: string): Applied => ({ state: 'refused', message });
export const ok = (run: RunState): Applied => ({ state: 'ok', run });
