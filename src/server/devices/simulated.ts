/** The stand-in gateway of the demo: two presses that heat and droop, and a probe that is held where it is told. It speaks the same lines a real one would. */

import { connect } from 'node:net';
import type { z } from 'zod';
import type { HandSchema } from '../../contract/schemas';
import {
  closed,
  coldPress,
  infraredReading,
  instrumentError,
  type SimulatedPressFacts,
  type SimulatedPressState,
  simulatedSurface,
  simulatedWord,
  stepped,
} from '../../core/press';
import { notFound } from '../refusal';
import { shop } from '../shop';
import { readRail } from '../stores/rail';

const TICK_MS = 500;
const AGAIN_MS = 2000;
/** A probe put on metal comes to rest within some seconds: this share of the way each tick. */
const SETTLES = 0.55;
const STEADY_AFTER = 6;

const FACTS: Record<string, SimulatedPressFacts> = {
  'press-clamshell': {
    heater: { powerW: 1400, massKg: 8, lossWK: null },
    platen: { widthMm: 380, heightMm: 380 },
    offsetK: -2,
    corners: [32, 1.5, 0.5, 1],
    roomC: 21,
  },
  'press-swing': {
    heater: { powerW: 2000, massKg: 12, lossWK: null },
    platen: { widthMm: 406, heightMm: 508 },
    offsetK: 5,
    corners: [1, 2, 0.5, 1.5],
    roomC: 21,
  },
};
const STARTS_AT_C = ((300 - 32) * 5) / 9;

export type Hand = z.output<typeof HandSchema>;

interface Simulation {
  presses: Map<string, SimulatedPressState>;
  hand: Hand;
  probeC: number;
  held: number;
}
const HELD = Symbol.for('tidy-beacon.simulation');
type Holder = { [HELD]?: Simulation };

/** A gun as it comes from its box, pointed at a dark coating. */
const GUN = { emissivitySet: 0.95, emissivity: 0.9, roomC: 21 } as const;

/** What runs do with each press now: the stand-in is set and closed as a hand at the press would. */
function pressesAtWork(): Map<string, { setC: number; closed: boolean; timeS: number }> {
  try {
    const rail = readRail(shop().db, Date.now());
    const timeS = (id: string) =>
      rail.runs.filter((run) => run.pressId === id).flatMap((run) => run.clocks.filter(({ phase }) => phase === 'closed'))[0]?.timeS ?? 0;
    return new Map(
      rail.presses.flatMap((press) =>
        press.setC === null ? [] : [[press.id, { setC: press.setC, closed: press.state === 'closed', timeS: timeS(press.id) }] as const],
      ),
    );
  } catch {
    // a shop that cannot be read is said elsewhere; the stand-in goes on as it was
    return new Map();
  }
}

/** The press as the hands have just left it: set to the run’s value; losing heat at the moment it is closed. */
function asWorked(
  facts: SimulatedPressFacts,
  state: SimulatedPressState,
  work: { setC: number; closed: boolean; timeS: number } | undefined,
): SimulatedPressState {
  if (!work) return { ...state, leftS: null };
  const set = { ...state, setC: work.setC };
  if (!work.closed) return { ...set, leftS: null };
  return state.leftS === null ? closed(facts, set, Math.max(1, work.timeS)) : set;
}

/** Both presses hot, the probe in the air. */
const begun = (): Simulation => ({
  presses: new Map(Object.entries(FACTS).map(([id, facts]) => [id, { ...coldPress(facts, STARTS_AT_C), sensorC: STARTS_AT_C }])),
  hand: { pressId: 'press-clamshell', xMm: 0, yMm: 0, setC: STARTS_AT_C },
  probeC: 21,
  held: 0,
});

/** Starts the stand-in when the demo shop is served; it connects to the app’s own port and comes again when it is cut off. */
export function simulateDevices(): void {
  const holder = globalThis as Holder;
  const port = Number(process.env.TIDY_BEACON_DEVICES ?? 0);
  if (holder[HELD] || !port || !process.env.TIDY_BEACON_DEMO) return;
  const simulation = begun();
  holder[HELD] = simulation;
  // its common error is its own for good, its scatter afresh each time
  const { commonK, scatterK } = instrumentError({ kind: 'probe' });
  const chance = () => Math.sqrt(-2 * Math.log(1 - Math.random())) * Math.cos(2 * Math.PI * Math.random());
  const common = commonK * chance() * 0.5;
  let scatter = scatterK * chance();
  const gun = instrumentError({ kind: 'infrared', emissivitySet: GUN.emissivitySet });
  const [gunCommon, gunScatter] = [gun.commonK * chance() * 0.5, gun.scatterK];
  const dial = () => {
    const socket = connect(port, '127.0.0.1');
    const say = (message: object) => socket.writable && socket.write(`${JSON.stringify({ at: Date.now(), ...message })}\n`);
    const beat = setInterval(() => {
      const atWork = pressesAtWork();
      for (const [pressId, state] of simulation.presses) {
        const facts = FACTS[pressId];
        if (!facts) continue;
        const next = stepped(facts, asWorked(facts, state, atWork.get(pressId)), TICK_MS / 1000);
        simulation.presses.set(pressId, next);
        const shown = { setC: next.setC, readoutC: Math.round(next.sensorC * 10) / 10, state: simulatedWord(next), leftS: next.leftS };
        say({ kind: 'press', device: `readout-${pressId.replace('press-', '')}`, pressId, ...shown });
      }
      const facts = FACTS[simulation.hand.pressId];
      const state = simulation.presses.get(simulation.hand.pressId);
      if (!facts || !state) return;
      if (simulation.held === 0) scatter = scatterK * chance();
      simulation.held++;
      const trueC = simulatedSurface(facts, state, simulation.hand) + common + scatter;
      simulation.probeC += SETTLES * (trueC - simulation.probeC);
      const readC = Math.round(simulation.probeC * 10) / 10;
      say({ kind: 'probe', device: 'probe-1', readC, steady: simulation.held > STEADY_AFTER, simulated: true });
      const shown = infraredReading(simulatedSurface(facts, state, simulation.hand) + gunCommon + gunScatter * chance(), GUN);
      say({ kind: 'gun', device: 'gun-1', readC: Math.round(shown * 10) / 10, steady: simulation.held > 2, simulated: true });
    }, TICK_MS);
    beat.unref();
    socket.unref();
    socket.on('error', () => undefined);
    socket.on('close', () => {
      clearInterval(beat);
      setTimeout(dial, AGAIN_MS).unref();
    });
  };
  setTimeout(dial, TICK_MS).unref();
}

/**
 * Moves the stand-in’s hand: where its probe is held, and what its press is set to.
 * @throws {Refusal} 404 nothing is simulated, or not that press
 */
export function moveHand(hand: Hand): Hand {
  const simulation = (globalThis as Holder)[HELD];
  const state = simulation?.presses.get(hand.pressId);
  if (!simulation || !state) throw notFound('simulated press', hand.pressId);
  const moved = simulation.hand.xMm !== hand.xMm || simulation.hand.yMm !== hand.yMm || simulation.hand.pressId !== hand.pressId;
  if (moved) simulation.held = 0;
  simulation.hand = hand;
  // a stand-in need not be waited for: it is at its new setting at once
  if (state.setC !== hand.setC) simulation.presses.set(hand.pressId, { ...state, setC: hand.setC, sensorC: hand.setC });
  return hand;
}
