import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CLOTHS, passage, pieceOf, under } from '../../../test/columns';
import { runs } from '../../../test/runs';
import { COVER_SHEETS, contactResistance, type Passage, type Piece, type Scene, SceneSchema, sceneOf, solve } from './index';
import { seriesOf } from './piece';
import { PieceSchema } from './pieceSchema';

const names = (scene: Scene) => scene.stages.map(({ name }) => name);
const stage = (scene: Scene, name: string) => {
  const found = scene.stages.find((stage) => stage.name === name);
  if (!found) throw new TypeError(`no ${name}`);
  return found;
};
const roles = (keys: readonly string[]) => keys.map((key) => key.replace(/^\d+ /, ''));
const finish = { surfaceC: 145, timeS: 5, cover: { role: 'cover' as const, ...COVER_SHEETS.paper } };

const pieces: fc.Arbitrary<Piece> = fc
  .record({
    cloth: fc.constantFrom(...(Object.keys(CLOTHS) as (keyof typeof CLOTHS)[])),
    cover: fc.boolean(),
    damp: fc.boolean(),
    pillow: fc.boolean(),
    lowerC: fc.constantFrom(null, 120),
    droop: fc.constantFrom(null, { capacityJm2K: 40_000, recoveryWm2K: 300 }),
  })
  .map(({ pillow, cloth, ...over }) => (pillow ? under(pieceOf(cloth, over), 'pillow') : pieceOf(cloth, over)));
const passages: fc.Arbitrary<Passage> = fc.record({
  surfaceC: fc.integer({ min: 100, max: 200 }),
  timeS: fc.integer({ min: 1, max: 40 }),
  prePressS: fc.constantFrom(0, 4),
  finish: fc.constantFrom(null, finish),
  cooling: fc.constantFrom(null, ...(['air', 'table', 'base', 'weight'] as const).map((where) => ({ where, forS: 30 }))),
});

describe('the scene of a piece', () => {
  it('is one that can be solved, for any piece and passage, in the art and beside it', () => {
    fc.assert(
      fc.property(pieces, passages, fc.constantFrom('art' as const, 'bare' as const), (piece, own, column) => {
        const scene = sceneOf(piece, own, column);
        expect(SceneSchema.safeParse(scene).error).toBeUndefined();
        const run = solve(scene, { resolution: 0.3, toleranceK: 0.5 });
        expect(run.stages.map(({ name }) => name)).toEqual(names(scene));
        expect(run.stages.at(-1)?.toS).toBeCloseTo(scene.stages.reduce((sum, { durationS }) => sum + durationS, 0));
      }),
      runs(240),
    );
  });
  it('goes load, pre-press, place, press, peel, finish, cool', () => {
    const scene = sceneOf(pieceOf('cotton jersey'), passage({ prePressS: 5, finish, cooling: { where: 'table', forS: 60 } }), 'art');
    expect(names(scene)).toEqual(['load', 'pre-press', 'place', 'press', 'peel', 'finish', 'cool on a table']);
    expect(names(sceneOf(pieceOf('cotton jersey'), passage(), 'art'))).toEqual(['load', 'place', 'press']);
  });
  it('the transfer is not there before it is placed; its carrier is gone at the finish, the film is not', () => {
    const scene = sceneOf(pieceOf('cotton jersey', { cover: true }), passage({ prePressS: 5, finish }), 'art');
    expect(roles(stage(scene, 'pre-press').stack)).toEqual(['fabric', 'pad']);
    expect(roles(stage(scene, 'press').stack)).toEqual(['cover', 'carrier', 'transfer', 'fabric', 'pad']);
    expect(roles(stage(scene, 'finish').stack)).toEqual(['finish cover', 'transfer', 'fabric', 'pad']);
  });
  it('beside the art lies neither carrier nor film, but the cover does', () => {
    const scene = sceneOf(pieceOf('cotton jersey', { cover: true }), passage(), 'bare');
    expect(roles(stage(scene, 'press').stack)).toEqual(['cover', 'fabric', 'pad']);
  });
  it('contacts are firm while the press is shut, loose where things only lie on each other', () => {
    const scene = sceneOf(pieceOf('cotton jersey'), passage(), 'art');
    for (const contact of stage(scene, 'press').contacts) expect(contact).toBeCloseTo(contactResistance(20), 12);
    expect(stage(scene, 'place').contacts[0]).toBeGreaterThan(10 * contactResistance(20));
  });
});

describe('pieces one after another', () => {
  it('share one base and nothing else', () => {
    const scene = seriesOf(pieceOf('cotton jersey'), passage({ prePressS: 3 }), 3, 10);
    expect(SceneSchema.safeParse(scene).success).toBe(true);
    expect(scene.layers.filter(({ key }) => key.endsWith('pad'))).toHaveLength(1);
    expect(scene.layers.filter(({ key }) => key.endsWith('fabric'))).toHaveLength(3);
    expect(names(scene).filter((name) => name.startsWith('rest'))).toEqual(['rest 1', 'rest 2']);
  });
});

describe('a piece that cannot be', () => {
  const faults = (stack: Piece['stack']) =>
    PieceSchema.safeParse({ ...pieceOf('cotton jersey'), stack }).error?.issues.map(({ message }) => message);
  const [carrier, film, cloth, pad] = pieceOf('cotton jersey').stack as [
    Piece['stack'][0],
    Piece['stack'][0],
    Piece['stack'][0],
    Piece['stack'][0],
  ];
  it('has a pad over the cloth, or a cover under it, or nothing to press on', () => {
    expect(faults([pad, carrier, film, cloth])?.[0]).toMatch(/base pad lies on the base/);
    expect(faults([carrier, film, cloth, { role: 'cover', ...COVER_SHEETS.ptfe }])?.[0]).toMatch(/belongs above/);
    expect(faults([carrier, film])?.[0]).toMatch(/nothing to press on/);
    expect(faults([])?.[0]).toMatch(/needs a layer/);
    expect(faults([carrier, film, cloth, pad])).toBeUndefined();
  });
});
