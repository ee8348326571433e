/** Runs as the tests play them: a warm peel, a cold one, two sheets with a layer under them, two sheets with a cold peel. */
import { MACHINE_VERSION, type PlannedStage, type RunPlan } from '../index';

const BY: Record<string, PlannedStage['by']> = {
  press: 'press',
  'pre-press': 'press',
  marry: 'press',
  tack: 'press',
  finish: 'press',
  wait: 'clock',
};

/** Stages by their kinds and seconds. */
const stages = (...list: [kind: string, timeS: number][]): PlannedStage[] =>
  list.map(([kind, timeS]) => ({ kind, by: BY[kind] ?? 'hands', timeS }));

const cooled = (timeS: number): RunPlan => ({
  pieces: 3,
  perClosing: 1,
  machine: MACHINE_VERSION,
  stages: stages(['load', 15], ['pre-press', 5], ['place', 25], ['press', 9], ['wait', timeS], ['peel', 4], ['inspect', 6]),
});
export const WARM = cooled(30);
export const COLD = cooled(150);

export const MARRIED: RunPlan = {
  pieces: 1,
  perClosing: 1,
  machine: MACHINE_VERSION,
  stages: stages(
    ['marry', 60],
    ['peel', 8],
    ['load', 15],
    ['pre-press', 5],
    ['place', 25],
    ['tack', 3],
    ['peel', 4],
    ['press', 20],
    ['peel', 4],
    ['finish', 10],
    ['inspect', 6],
  ),
};

export const TWO_SHEET: RunPlan = {
  pieces: 2,
  perClosing: 1,
  machine: MACHINE_VERSION,
  stages: stages(
    ['marry', 60],
    ['peel', 8],
    ['trim', 20],
    ['load', 15],
    ['place', 25],
    ['press', 20],
    ['wait', 150],
    ['peel', 4],
    ['finish', 10],
    ['inspect', 6],
  ),
};

let serial = 0;
/** An id that no other event has. */
export const uuid = () => `00000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`;

/** Two sheets married at 160 °C and pressed at 140: a small platen with a known heater, whose face is 6 K over its panel. */
export const HEATED: RunPlan = {
  pieces: 2,
  perClosing: 1,
  machine: MACHINE_VERSION,
  stages: stages(['marry', 60], ['peel', 8], ['load', 10], ['press', 20], ['wait', 150], ['peel', 4], ['inspect', 6]).map((stage) =>
    stage.by === 'press' ? { ...stage, setC: stage.kind === 'marry' ? 160 : 140 } : stage,
  ),
  heat: { offsetK: 6, heater: { powerW: 1000, massKg: 2.5, lossWK: 2 }, roomC: 20 },
};
