import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bySimpleScheme, layer, pressed, readAt } from '../../../test/columns';
import { isWhole, runs } from '../../../test/runs';
import { erfcx } from '../numerics';
import { DRYING_C, LATENT_J_KG, type Scene, SceneSchema, solve } from './index';

const erf = (x: number): number => 1 - erfcx(x) * Math.exp(-x * x);
const TIMES = [0.2, 0.3, 0.5, 1, 2, 4, 8, 14, 20];
const probe = (key: string, at: 'top' | 'middle' | 'bottom') => ({ key: `${key} ${at}`, layer: key, at });
const FILM = { k: 0.2, rho: 1200, c: 1600 };
const JERSEY = { k: 0.07, rho: 450, c: 1340 };
const effusivityOf = ({ k, rho, c }: typeof FILM) => Math.sqrt(k * rho * c);
const insulated = { kind: 'air', roomC: 22, lossWm2K: 0 } as const;
const held = (tempC: number, contact = 0) => ({ kind: 'held', tempC, contact }) as const;

/** Largest difference from a closed form at the times of interest, K. */
function worst(scene: Scene, key: string, exact: (t: number) => number): number {
  const curve = solve(scene).curves[key];
  if (!curve) throw new TypeError(key);
  return Math.max(...TIMES.map((t) => Math.abs(readAt(curve, t) - exact(t))));
}

describe('heat against closed forms, from 0.2 s on, each within 0.1 K', () => {
  it('two half-spaces laid together: the contact takes one temperature at once, and keeps it', () => {
    const scene = pressed(
      [layer('hot', { ...FILM, thicknessMm: 60, startC: 150 }), layer('cold', { ...JERSEY, thicknessMm: 60 })],
      { contacts: [0], top: insulated, bottom: insulated, pressureKPa: 0 },
      [probe('hot', 'bottom'), probe('cold', 'top')],
    );
    const [a, b] = [effusivityOf(FILM), effusivityOf(JERSEY)];
    const contactC = (a * 150 + b * 22) / (a + b);
    expect(worst(scene, 'hot bottom', () => contactC)).toBeLessThan(0.1);
    expect(worst(scene, 'cold top', () => contactC)).toBeLessThan(0.1);
  });
  it('two half-spaces laid together: inside, an error function', () => {
    const thin = layer('face', { ...JERSEY, thicknessMm: 0.4 });
    const scene = pressed(
      [layer('hot', { ...FILM, thicknessMm: 60, startC: 150 }), thin, layer('deep', { ...JERSEY, thicknessMm: 60 })],
      { contacts: [0, 0], top: insulated, bottom: insulated, pressureKPa: 0 },
      [probe('face', 'bottom')],
    );
    const [a, b] = [effusivityOf(FILM), effusivityOf(JERSEY)];
    const contactC = (a * 150 + b * 22) / (a + b);
    const alpha = JERSEY.k / (JERSEY.rho * JERSEY.c);
    const exact = (t: number) => contactC + (22 - contactC) * erf(0.4e-3 / (2 * Math.sqrt(alpha * t)));
    expect(worst(scene, 'face bottom', exact)).toBeLessThan(0.1);
  });
  it.each([1e-4, 6e-4, 3e-3])('a half-space behind a resistance of %f m²K/W: erfc form at its face', (resistance) => {
    const scene = pressed(
      [layer('deep', { ...JERSEY, thicknessMm: 80 })],
      { top: held(150, resistance), bottom: insulated, pressureKPa: 0 },
      [probe('deep', 'top')],
    );
    const exact = (t: number) => 22 + 128 * (1 - erfcx(Math.sqrt(t) / (resistance * effusivityOf(JERSEY))));
    expect(worst(scene, 'deep top', exact)).toBeLessThan(0.1);
  });
  it('a slab between two fixed faces: a series', () => {
    const halves = [layer('upper', { ...JERSEY, thicknessMm: 0.6 }), layer('lower', { ...JERSEY, thicknessMm: 0.6 })];
    const scene = pressed(halves, { contacts: [0], top: held(150), bottom: held(45) }, [
      probe('upper', 'bottom'),
      probe('lower', 'middle'),
    ]);
    const alpha = JERSEY.k / (JERSEY.rho * JERSEY.c);
    const L = 1.2e-3;
    const exact = (x: number) => (t: number) => {
      let sum = 150 + ((45 - 150) * x) / L;
      for (let n = 1; n < 200; n++) {
        // coefficients of the start (22 °C) less the settled line, on sines
        const settled = (2 / (n * Math.PI)) * (150 - 22 - (45 - 22) * (-1) ** n);
        sum -= settled * Math.sin((n * Math.PI * x) / L) * Math.exp((-alpha * n * n * Math.PI * Math.PI * t) / (L * L));
      }
      return sum;
    };
    expect(worst(scene, 'upper bottom', exact(0.6e-3))).toBeLessThan(0.1);
    expect(worst(scene, 'lower middle', exact(0.9e-3))).toBeLessThan(0.1);
  });
  it('a thin plate cooling in air on both faces: one exponential', () => {
    const plate = layer('plate', { k: 200, rho: 2700, c: 900, thicknessMm: 1.1, startC: 150 });
    const air = { kind: 'air', roomC: 22, lossWm2K: 12 } as const;
    const scene = pressed([plate], { durationS: 600, top: air, bottom: air, pressureKPa: 0 }, [probe('plate', 'top')]);
    const exact = (t: number) => 22 + 128 * Math.exp((-24 * t) / (2700 * 900 * 1.1e-3));
    expect(worst(scene, 'plate top', exact)).toBeLessThan(0.1);
    const curve = solve(scene).curves['plate top'];
    expect(curve && readAt(curve, 600)).toBeCloseTo(exact(600), 1);
  });
  it('many layers with contacts, settled: a chain of resistances', () => {
    const layers = [
      layer('cover', { k: 0.25, thicknessMm: 0.13 }),
      layer('film', { ...FILM, thicknessMm: 0.1 }),
      layer('cloth', { ...JERSEY, thicknessMm: 0.4 }),
    ];
    const scene = pressed(layers, { durationS: 60, contacts: [1e-4, 2e-4], bottom: held(45, 3e-4) }, [
      probe('film', 'bottom'),
      probe('cloth', 'top'),
    ]);
    const parts = [1e-4, 0.13e-3 / 0.25, 1e-4, 0.1e-3 / 0.2, 2e-4, 0.4e-3 / 0.07, 3e-4];
    const total = parts.reduce((a, b) => a + b, 0);
    const after = (n: number) => 150 - ((150 - 45) * parts.slice(0, n).reduce((a, b) => a + b, 0)) / total;
    const { curves } = solve(scene);
    expect(curves['film bottom']?.tempC.at(-1)).toBeCloseTo(after(4), 1);
    expect(curves['cloth top']?.tempC.at(-1)).toBeCloseTo(after(5), 1);
  });
});

/** What curves on the Heat bench are drawn with. */
const DRAWN = { resolution: 1, toleranceK: 0.03 } as const;

describe('damp cloth', () => {
  const share = (tempC: number) => {
    const u = Math.min(1, Math.max(0, (tempC - DRYING_C.from) / (DRYING_C.to - DRYING_C.from)));
    return 3 * u * u - 2 * u * u * u;
  };
  it.runIf(isWhole).each([
    ['cotton jersey', 0.4, 0.0144],
    ['damp fleece', 1.1, 0.045],
  ])(
    '%s agrees with a very fine run of the simplest scheme there is',
    (_, thicknessMm, waterKgM2) => {
      const scene = pressed(
        [
          layer('film', { ...FILM, thicknessMm: 0.2 }),
          layer('cloth', { ...JERSEY, thicknessMm, waterKgM2 }),
          layer('pad', { k: 0.1, rho: 450, c: 1300, thicknessMm: 2, startC: 45 }),
        ],
        { durationS: 4 },
        [probe('cloth', 'top')],
      );
      const times = [0.2, 0.5, 1, 1.5, 2, 3, 4];
      const byCells = (cellM: number) => bySimpleScheme(scene, 'cloth', times, cellM, share, LATENT_J_KG);
      const [coarse, fine] = [byCells(2.5e-5), byCells(1.25e-5)];
      // its error falls as the square of its cells: two runs give what a far finer one would
      const simple = fine.map((t, i) => t + (t - (coarse[i] as number)) / 3);
      const curve = solve(scene).curves['cloth top'];
      times.forEach((t, i) => {
        expect(curve && Math.abs(readAt(curve, t) - (simple[i] as number))).toBeLessThan(0.1);
      });
      // as it is drawn: a coarser run, and up to a tenth of a kelvin more where the curve is thinned
      const drawn = solve(scene, DRAWN).curves['cloth top'];
      times.forEach((t, i) => {
        if (t >= 0.5) expect(drawn && Math.abs(readAt(drawn, t) - (simple[i] as number))).toBeLessThan(0.15);
      });
    },
    60_000,
  );
  it('loses its water once: on a second heating it runs like dry cloth', () => {
    const layers = [layer('film', FILM), layer('cloth', { ...JERSEY, thicknessMm: 0.4, waterKgM2: 0.0144 })];
    const [first] = pressed(layers, { durationS: 30, bottom: insulated, pressureKPa: 0, top: held(150, 1e-4) }).stages;
    if (!first) throw new TypeError('stage');
    const air = { kind: 'air', roomC: 22, lossWm2K: 60 } as const;
    const scene = {
      layers,
      stages: [first, { ...first, name: 'cool', durationS: 600, top: air, bottom: air }, { ...first, name: 'again' }],
      probes: [],
    };
    const { stages, ends } = solve(scene);
    expect(ends.cloth?.waterKgM2).toBe(0);
    expect(stages[0]?.driedJ).toBeCloseTo(0.0144 * LATENT_J_KG, 6);
    expect(stages[2]?.driedJ).toBe(0);
  });
});

describe('order, energy and overshoot', () => {
  const smooth = (over: Partial<Scene['layers'][number]> = {}) =>
    pressed(
      [
        layer('film', { ...FILM, thicknessMm: 0.3, ...over }),
        layer('cloth', { ...JERSEY, thicknessMm: 0.5, ...over }),
        layer('pad', { k: 0.1, rho: 450, c: 1300, thicknessMm: 2, ...over }),
      ],
      { durationS: 3.2, top: held(150, 8e-4), bottom: held(45, 1e-3) },
      [probe('film', 'bottom'), probe('cloth', 'middle')],
    );
  const end = (scene: Scene, options: Parameters<typeof solve>[1]) =>
    solve(scene, options).curves['film bottom']?.tempC.at(-1) ?? Number.NaN;
  const order = (errors: number[]) => errors.slice(1).map((error, i) => Math.log2((errors[i] as number) / error));

  it('second order in space at a fixed step', () => {
    const at = [1, 2, 4, 32].map((resolution) => end(smooth(), { resolution, stepS: 0.01 }));
    const errors = at.slice(0, -1).map((t) => Math.abs(t - (at.at(-1) as number)));
    for (const observed of order(errors)) expect(observed).toBeGreaterThanOrEqual(1.9);
  });
  it('second order in time at a fixed step', () => {
    const at = [0.2, 0.1, 0.05, 0.001].map((stepS) => end(smooth(), { resolution: 1, stepS }));
    const errors = at.slice(0, -1).map((t) => Math.abs(t - (at.at(-1) as number)));
    for (const observed of order(errors)) expect(observed).toBeGreaterThanOrEqual(1.9);
  });

  const layers = fc.array(
    fc.record({
      k: fc.double({ min: 0.03, max: 2, noNaN: true }),
      rho: fc.double({ min: 100, max: 3000, noNaN: true }),
      c: fc.double({ min: 800, max: 2000, noNaN: true }),
      thicknessMm: fc.double({ min: 0.05, max: 8, noNaN: true }),
      startC: fc.integer({ min: 5, max: 60 }),
      water: fc.oneof(fc.constant(0), fc.double({ min: 0, max: 0.08, noNaN: true })),
    }),
    { minLength: 1, maxLength: 8 },
  );
  const stacks = fc.tuple(
    layers,
    fc.integer({ min: 100, max: 230 }),
    fc.integer({ min: 10, max: 200 }),
    fc.double({ min: 2e-5, max: 3e-3, noNaN: true }),
  );
  const sceneOfRandom = ([parts, topC, bottomC, contact]: typeof stacks extends fc.Arbitrary<infer T> ? T : never): Scene => {
    const all = parts.map(({ water, ...part }, i) => layer(`l${i}`, { ...part, waterKgM2: water }));
    return pressed(
      all,
      { durationS: 12, contacts: all.slice(1).map(() => contact), top: held(topC, contact), bottom: held(bottomC, contact) },
      [...all.flatMap(({ key }) => [probe(key, 'top'), probe(key, 'middle'), probe(key, 'bottom')])],
    );
  };

  it('heat in is heat out, stored and spent on drying, to a millionth; water gone is what the latent heat says', () => {
    fc.assert(
      fc.property(stacks, (random) => {
        const scene = sceneOfRandom(random);
        const { stages, ends } = solve(scene);
        const [stage] = stages;
        if (!stage) throw new TypeError('stage');
        const { inJ, outJ, gainedJ, driedJ } = stage;
        expect(Math.abs(inJ - outJ - gainedJ - driedJ)).toBeLessThanOrEqual(
          1e-6 * Math.max(Math.abs(inJ), Math.abs(outJ), Math.abs(gainedJ)),
        );
        const gone = scene.layers.reduce((sum, { key, waterKgM2 }) => sum + waterKgM2 - (ends[key]?.waterKgM2 ?? 0), 0);
        expect(Math.abs(gone * LATENT_J_KG - driedJ)).toBeLessThanOrEqual(1e-9 * Math.max(1, driedJ));
      }),
      { ...runs(600), seed: 5 },
    );
  });
  it('nothing runs hotter than the hottest or colder than the coldest it began with, by more than 0.05 K', () => {
    fc.assert(
      fc.property(stacks, (random) => {
        const scene = sceneOfRandom(random);
        const bounds = [...scene.layers.map(({ startC }) => startC), random[1], random[2]];
        for (const { tempC } of Object.values(solve(scene).curves)) {
          expect(Math.max(...tempC)).toBeLessThanOrEqual(Math.max(...bounds) + 0.05);
          expect(Math.min(...tempC)).toBeGreaterThanOrEqual(Math.min(...bounds) - 0.05);
        }
      }),
      { ...runs(2000), seed: 9 },
    );
  });
});

describe('a scene that cannot be', () => {
  const good = pressed([layer('film'), layer('cloth')]);
  const [stage] = good.stages;
  if (!stage) throw new TypeError('stage');
  const faults = (scene: unknown) => {
    const read = SceneSchema.safeParse(scene);
    return read.success ? [] : read.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`);
  };
  it.each([
    [
      'a layer of no thickness',
      { ...good, layers: [layer('film', { thicknessMm: 0 }), layer('cloth')] },
      'layers.0.thicknessMm',
      '0.002 mm',
    ],
    ['a negative thickness', { ...good, layers: [layer('film', { thicknessMm: -1 }), layer('cloth')] }, 'layers.0.thicknessMm', '0.002 mm'],
    ['ten thousand layers', { ...good, layers: Array.from({ length: 10_000 }, (_, i) => layer(`l${i}`)) }, 'layers', 'More than'],
    ['a press of a million seconds', { ...good, stages: [{ ...stage, durationS: 1e6 }] }, 'stages.0.durationS', 'over 14400 s'],
    ['a platen at 1,000 °C', { ...good, stages: [{ ...stage, top: held(1000) }] }, 'stages.0.top.tempC', 'over 300 °C'],
    ['a temperature that is no number', { ...good, stages: [{ ...stage, top: held(Number.NaN) }] }, 'stages.0.top.tempC', 'give a number'],
    ['words for a density', { ...good, layers: [{ ...layer('film'), rho: 'heavy' }, layer('cloth')] }, 'layers.0.rho', 'give a number'],
    ['a layer nobody knows', { ...good, stages: [{ ...stage, stack: ['film', 'velvet'] }] }, 'stages.0.stack.1', 'velvet'],
    ['a layer twice', { ...good, stages: [{ ...stage, stack: ['film', 'film'] }] }, 'stages.0.stack.1', 'twice'],
    ['a contact too few', { ...good, stages: [{ ...stage, contacts: [] }] }, 'stages.0.contacts', 'needs 1 contacts'],
    ['pressed and open at once', { ...good, stages: [{ ...stage, top: insulated }] }, 'stages.0.pressureKPa', 'at once'],
    ['a probe in nothing', { ...good, probes: [{ key: 'p', layer: 'velvet', at: 'top' }] }, 'probes.0.layer', 'velvet'],
  ])('%s is refused by field and reason', (_, scene, field, reason) => {
    const said = faults(scene);
    expect(said.some((word) => word.startsWith(`${field}: `) && word.includes(reason))).toBe(true);
  });
  it('a good one passes', () => {
    expect(faults(good)).toEqual([]);
  });
});
