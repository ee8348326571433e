/**
 * What measuring devices say, line by line, and what is to be believed of it.
 *
 * A gateway sends one JSON object a line. The app only listens: nothing is ever sent back, and no device is controlled.
 * Times are the app’s own: a gateway’s clock is shown, never trusted.
 */
import { z } from 'zod';
import { isSettled } from './survey';

const Device = z.string().regex(/^[a-z0-9][a-z0-9-]{0,39}$/, 'a device’s name is small letters, figures and hyphens');
const Degrees = z.number().min(-40).max(500);

const DeviceMessageSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('press'),
    device: Device,
    /** Which press of the shop it is. */
    pressId: z.string().max(64),
    at: z.number(),
    setC: Degrees,
    readoutC: Degrees,
    state: z.enum(['off', 'menu', 'heating', 'ready', 'closed']),
    leftS: z.number().min(0).max(3600).nullable(),
  }),
  z.object({
    kind: z.enum(['probe', 'gun']),
    device: Device,
    at: z.number(),
    readC: Degrees,
    /** The device’s own word that it has come to rest. */
    steady: z.boolean(),
    /** A stand-in that ships with the app. */
    simulated: z.boolean().optional(),
  }),
]);
export type DeviceMessage = z.infer<typeof DeviceMessageSchema>;

/** No line is longer. */
export const LONGEST_LINE = 2000;
/** A device that says nothing for so long is silent, ms. */
const SILENT_AFTER_MS = 5000;
/** Readings are kept this often and this long for telling whether one has come to rest, ms. */
const KEEP_EVERY_MS = 250;
const KEEP_FOR_MS = 60_000;
/** A gateway’s clock that moves against ours by more than this has jumped, ms. */
const CLOCK_JUMP_MS = 10_000;
/** More devices than this are one device going mad. */
const MOST_DEVICES = 40;

/** A line as a message, or why it is none. */
export function readDeviceLine(line: string): { message: DeviceMessage } | { nonsense: string; device: string | null } {
  if (line.length > LONGEST_LINE) return { nonsense: 'a line too long', device: null };
  let raw: unknown;
  try {
    raw = JSON.parse(line);
  } catch {
    return { nonsense: 'not JSON', device: null };
  }
  const parsed = DeviceMessageSchema.safeParse(raw);
  if (parsed.success) return { message: parsed.data };
  const named = (raw as { device?: unknown } | null)?.device;
  const issue = parsed.error.issues[0];
  return {
    nonsense: `${issue?.path.join('.') ?? ''}: ${issue?.message ?? 'not a message'}`,
    device: typeof named === 'string' ? named.slice(0, 40) : null,
  };
}

export interface DeviceView {
  device: string;
  kind: DeviceMessage['kind'] | 'unknown';
  state: 'live' | 'silent' | 'nonsense' | 'clock jumped';
  /** What was wrong last; empty when nothing was. */
  fault: string;
  /** Null unless it is live: what cannot be believed is no reading. */
  reading: { readC: number; steady: boolean } | null;
  /** Which press it said it reads; stays when the device falls silent. */
  pressId: string | null;
  press: { setC: number; readoutC: number; state: string; leftS: number | null } | null;
  simulated: boolean;
}

interface Heard {
  kind: DeviceView['kind'];
  last: DeviceMessage | null;
  heardAt: number;
  fault: string;
  jumped: boolean;
  /** Our clock minus the gateway’s, ms. */
  skewMs: number | null;
  history: { at: number; readC: number }[];
}

function stateOf({ heardAt, fault, jumped }: Heard, now: number): DeviceView['state'] {
  if (now - heardAt > SILENT_AFTER_MS || now < heardAt - CLOCK_JUMP_MS) return 'silent';
  if (fault) return 'nonsense';
  return jumped ? 'clock jumped' : 'live';
}

/** What every device said last. Pure but for its own memory: the clock is passed in. */
export class DeviceBoard {
  private readonly heard = new Map<string, Heard>();

  /** Takes one line. @returns the name of the device that said something that can be read; null: it is nonsense, or there is no room for one more */
  hear(line: string, now: number): string | null {
    const read = readDeviceLine(line);
    if ('nonsense' in read) {
      const heard = this.find(read.device !== null && Device.safeParse(read.device).success ? read.device : 'unknown', now);
      if (heard) {
        heard.fault = read.nonsense;
        heard.heardAt = now;
      }
      return null;
    }
    const { message } = read;
    const one = this.find(message.device, now);
    if (!one) return null;
    const skewMs = now - message.at;
    one.jumped = one.skewMs !== null && Math.abs(skewMs - one.skewMs) > CLOCK_JUMP_MS;
    one.skewMs = skewMs;
    one.kind = message.kind;
    one.last = message;
    one.heardAt = now;
    one.fault = '';
    if (message.kind !== 'press') this.remember(one, now, message.readC);
    return message.device;
  }

  private find(name: string, now: number): Heard | null {
    const known = this.heard.get(name);
    if (known) return known;
    if (this.heard.size >= MOST_DEVICES && !this.makeSpace(now)) return null;
    const fresh: Heard = { kind: 'unknown', last: null, heardAt: 0, fault: '', jumped: false, skewMs: null, history: [] };
    this.heard.set(name, fresh);
    return fresh;
  }

  /** Lets go of a device that never said anything that can be read, else of the one that is silent longest. */
  private makeSpace(now: number): boolean {
    const all = [...this.heard].sort(([, a], [, b]) => a.heardAt - b.heardAt);
    const gone = all.find(([, { last }]) => last === null) ?? all.find(([, { heardAt }]) => now - heardAt > SILENT_AFTER_MS);
    return gone !== undefined && this.heard.delete(gone[0]);
  }

  private remember(heard: Heard, now: number, readC: number): void {
    const last = heard.history.at(-1);
    // a clock set back makes what was kept worthless
    if (last && last.at > now) heard.history = [];
    if (last && now - last.at < KEEP_EVERY_MS && last.at <= now) return;
    heard.history.push({ at: now, readC });
    while ((heard.history[0]?.at ?? now) < now - KEEP_FOR_MS) heard.history.shift();
  }

  view(now: number): DeviceView[] {
    return [...this.heard.entries()].map(([device, one]) => {
      const state = stateOf(one, now);
      const { last } = one;
      const live = state === 'live' && last !== null;
      const readout = last?.kind === 'press' ? last : null;
      return {
        device,
        kind: one.kind,
        state,
        fault: one.fault,
        reading: live && last.kind !== 'press' ? { readC: last.readC, steady: last.steady || isSettled(one.history, now) } : null,
        pressId: readout?.pressId ?? null,
        press: live && readout ? { setC: readout.setC, readoutC: readout.readoutC, state: readout.state, leftS: readout.leftS } : null,
        simulated: last !== null && last.kind !== 'press' && last.simulated === true,
      };
    });
  }
}
