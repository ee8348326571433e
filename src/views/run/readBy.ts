/** By what heat is read at this device: the instrument used last, its key, and what it tells this moment. */
import { READ_BY, type ReadBy } from '../../core/run';
import { remember, remembered } from '../../ui/browserMemory';
import { useRoute } from '../../ui/query';

/** One letter takes an instrument while a reading is typed. */
export const READ_KEYS: Record<ReadBy, string> = { panel: 'p', gun: 'g', probe: 'b', gauge: 'u' };
export const readByKey = (key: string): ReadBy | undefined => READ_BY.find((by) => READ_KEYS[by] === key.toLowerCase());

/** The instrument of the last reading of the heat here; the panel at first. */
export const usedLast = (): ReadBy => READ_BY.find((by) => by === remembered('read-by')) ?? 'panel';

export function rememberUsed(by: ReadBy): void {
  // pressure is read now and then, and no habit
  if (by !== 'gauge') remember('read-by', by);
}

/** What a gun or a probe in somebody's hand shows. */
export interface InHand {
  by: 'gun' | 'probe';
  device: string;
  readC: number;
  steady: boolean;
  simulated: boolean;
}

/** Guns and probes that tell what they read this moment: a real one before the demo’s stand-in, then one at rest first. */
export function useInHand(): InHand[] {
  const devices = useRoute('devices', {}).data?.devices ?? [];
  return devices
    .flatMap(({ kind, state, device, reading, simulated }): InHand[] =>
      (kind === 'gun' || kind === 'probe') && state === 'live' && reading ? [{ by: kind, device, simulated, ...reading }] : [],
    )
    .sort((a, b) => Number(a.simulated) - Number(b.simulated) || Number(b.steady) - Number(a.steady));
}
