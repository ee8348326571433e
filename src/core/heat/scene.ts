/** A scene: layers, and the stages they go through in order, each with what lies above and below. Checked before anything is computed. */
import { z } from 'zod';

/** A figure within what a press can meet, named in what it says. */
export const figure = (low: number, high: number, what: string, unit: string) =>
  z
    .number({ error: `${what}: give a number.` })
    .min(low, `${what} under ${low} ${unit} cannot be reckoned with.`)
    .max(high, `${what} over ${high} ${unit} cannot be reckoned with.`);
const TempC = figure(-40, 300, 'A temperature', '°C');
export const Thickness = z
  .number({ error: 'A thickness: give a number.' })
  .min(0.002, 'A layer needs a thickness of at least 0.002 mm.')
  .max(200, 'A layer over 200 mm is not one that is pressed.');
const Key = z.string().min(1).max(60);

/** Most layers of a scene: a dozen pieces one after another. */
const MOST_LAYERS = 120;
const MOST_STAGES = 200;

const Layer = z.object({
  /** Stages name it by this. */
  key: Key,
  name: z.string().min(1).max(120),
  k: figure(0.005, 1000, 'A conductivity', 'W/mK'),
  rho: figure(5, 20_000, 'A density', 'kg/m³'),
  c: figure(50, 10_000, 'A heat capacity', 'J/kgK'),
  thicknessMm: Thickness,
  startC: TempC,
  /** Water it holds, kg/m². */
  waterKgM2: figure(0, 5, 'The water in a layer', 'kg/m²'),
});
export type HeatLayer = z.infer<typeof Layer>;

const Side = z.discriminatedUnion('kind', [
  /** Held at a temperature: a platen under control, or a heated base. */
  z.object({ kind: z.literal('held'), tempC: TempC, contact: figure(0, 10, 'A contact resistance', 'm²K/W') }),
  /**
   * A body of its own that gives way: a platen whose heater brings it back (W/m²K towards what it is set to), or a base plate
   * that stores what reaches it (0 W/m²K: nothing brings it back). Its temperature carries on to later stages under its key.
   */
  z.object({
    kind: z.literal('body'),
    key: Key,
    startC: TempC,
    capacityJm2K: figure(10, 1e7, 'A heat capacity', 'J/m²K'),
    towardsC: TempC,
    recoveryWm2K: figure(0, 1e6, 'A recovery', 'W/m²K'),
    contact: figure(0, 10, 'A contact resistance', 'm²K/W'),
  }),
  /** Open to the room. */
  z.object({ kind: z.literal('air'), roomC: TempC, lossWm2K: figure(0, 500, 'A loss to the air', 'W/m²K') }),
]);
export type Side = z.infer<typeof Side>;

const Stage = z.object({
  name: z.string().min(1).max(60),
  durationS: figure(0.05, 14_400, 'A time', 's'),
  /** Keys of layers, top to bottom. */
  stack: z
    .array(Key)
    .min(1, 'A stage needs a layer.')
    .max(MOST_LAYERS, `More than ${MOST_LAYERS} layers in one stage cannot be reckoned with.`),
  /** Of these, the ones that lie face down. */
  turned: z.array(Key).max(MOST_LAYERS),
  /** Resistance of the contact between each layer and the one below it, m²K/W: one fewer than layers. */
  contacts: z.array(figure(0, 10, 'A contact resistance', 'm²K/W')),
  top: Side,
  bottom: Side,
  /** Contact pressure while it lasts, kPa; 0: the press is open. */
  pressureKPa: figure(0, 500, 'A pressure', 'kPa'),
});
export type HeatStage = z.infer<typeof Stage>;

const PLACES = ['top', 'middle', 'bottom'] as const;
const Probe = z.object({ key: Key, layer: Key, at: z.enum(PLACES) });
export type Probe = z.infer<typeof Probe>;

export const SceneSchema = z
  .object({
    layers: z.array(Layer).min(1, 'A scene needs a layer.').max(MOST_LAYERS, `More than ${MOST_LAYERS} layers cannot be reckoned with.`),
    stages: z.array(Stage).min(1, 'A scene needs a stage.').max(MOST_STAGES, `More than ${MOST_STAGES} stages cannot be reckoned with.`),
    probes: z.array(Probe).max(20),
  })
  .superRefine((scene, ctx) => {
    const say = (path: (string | number)[], message: string) => ctx.addIssue({ code: 'custom', path, message });
    const keys = scene.layers.map((layer) => layer.key);
    keys.forEach((key, i) => {
      if (keys.indexOf(key) !== i) say(['layers', i, 'key'], `Two layers are called ${key}.`);
    });
    scene.stages.forEach((stage, i) => {
      stage.stack.forEach((key, j) => {
        if (!keys.includes(key)) say(['stages', i, 'stack', j], `The stage ${stage.name} has a layer ${key} that is not there.`);
        if (stage.stack.indexOf(key) !== j) say(['stages', i, 'stack', j], `The stage ${stage.name} has the layer ${key} twice.`);
      });
      stage.turned.forEach((key, j) => {
        if (!stage.stack.includes(key)) say(['stages', i, 'turned', j], `The stage ${stage.name} turns ${key}, which is not in it.`);
      });
      if (stage.contacts.length !== stage.stack.length - 1)
        say(
          ['stages', i, 'contacts'],
          `The stage ${stage.name} has ${stage.stack.length} layers, so it needs ${stage.stack.length - 1} contacts.`,
        );
      const { top, bottom } = stage;
      if (top.kind === 'body' && bottom.kind === 'body' && top.key === bottom.key)
        say(['stages', i, 'bottom', 'key'], `The stage ${stage.name} has the same body above and below.`);
      if (stage.pressureKPa > 0 && (top.kind === 'air' || bottom.kind === 'air'))
        say(['stages', i, 'pressureKPa'], `The stage ${stage.name} is pressed and open to the air at once.`);
    });
    scene.probes.forEach((probe, i) => {
      if (!keys.includes(probe.layer)) say(['probes', i, 'layer'], `A probe is in the layer ${probe.layer}, which is not there.`);
    });
  });
export type Scene = z.infer<typeof SceneSchema>;
