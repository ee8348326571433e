import { describe, expect, it } from 'vitest';
import { inputOf, MAPS, PRESSES } from '../../../test/trade/check';
import { resolve } from '../card';
import type { Obstruction } from '../materials';
import { clearanceOf, layOf, nudged, type Pose, type PoseInput, poseOf } from './pose';

const obstruction = (kind: Obstruction['kind'], heightMm: number): Obstruction => ({ kind, heightMm, at: [] });
const ZIPPED = { obstructions: [obstruction('zip', 4), obstruction('seam', 2)] };
const input = (change: Partial<Parameters<typeof inputOf>[0]> = {}): PoseInput =>
  inputOf({ says: 'a piece', on: 'cotton-tee', with: 'cut-film', item: { size: 'M' }, ...change });
const kinds = ({ inTheWay }: Pose) => inTheWay.map((inTheWay) => inTheWay.kind);

describe('how a piece is laid for its print', () => {
  it('threaded over the base, its collar off the back edge, with the room it may slip', () => {
    const pose = poseOf(input());
    expect([pose.loading, pose.tooWideToThread, pose.inTheWay]).toEqual(['threaded', false, []]);
    const lay = layOf(pose, undefined);
    expect(lay.yMm).toBeLessThan(-100);
    expect(clearanceOf(pose) ?? 0).toBeGreaterThan(9);
  });

  it('a house that lays flat has both layers under the heat, and the sides no longer bound the base', () => {
    const flat = poseOf(input({ rules: { loading: 'flat' } }));
    expect(flat.loading).toBe('flat');
    const small = poseOf(input({ on: 'youth-cotton-tee', item: { size: 'YS' } }));
    expect([small.loading, small.tooWideToThread]).toEqual(['flat', true]);
  });

  it('a zip and seams beside a left chest: the small platen leaves them free, a pillow sinks them, a pad lifts over them', () => {
    const pose = poseOf(input({ blank: ZIPPED, print: { position: 'left chest' } }));
    expect(kinds(pose)).toContain('zip');
    expect(pose.smaller).toEqual({ id: 'small', name: 'small platen' });
    expect([pose.plain.feasible, pose.pillow?.feasible, pose.pad?.feasible]).toEqual([false, true, true]);
    const small = poseOf(input({ blank: ZIPPED, print: { position: 'left chest' }, choices: { platenId: 'small' } }));
    expect([small.plain.feasible, small.pillow, small.smaller]).toEqual([true, null, null]);
  });

  it('a lay that somebody chose is judged as it is, and told what it lies on', () => {
    const chosen = poseOf(input({ print: { lay: { xMm: 0, yMm: 0, turn: 0 } } }));
    expect([chosen.chosen, chosen.plain.feasible, kinds(chosen)]).toEqual([true, false, ['collar']]);
    const good = poseOf(input({ print: { lay: { xMm: 0, yMm: -170, turn: 0 } } }));
    expect(good.plain.feasible).toBe(true);
  });

  it('a surveyed cold corner is kept off where that can be had', () => {
    // so large that in the middle of the platen it lies over the corner
    const piece = {
      on: 'metal-panel',
      with: 'hard-paper-smooth',
      item: { size: '380 × 460 mm' },
      print: { widthMm: 325, heightMm: 405 },
    } as const;
    const warm = poseOf(input({ ...piece, map: 'even' }));
    const cold = poseOf(input({ ...piece, map: 'coldCorner' }));
    expect([warm.plain.feasible, cold.plain.feasible]).toEqual([true, true]);
    const [spot] = MAPS.coldCorner.cold;
    const reaches = (pose: Pose) => {
      const { xMm, yMm } = layOf(pose, undefined);
      return Math.abs(xMm - (spot?.xMm ?? 0)) < 325 / 2 && Math.abs(yMm - (spot?.yMm ?? 0)) < 405 / 2;
    };
    expect([reaches(warm), reaches(cold)]).toEqual([true, false]);
  });

  it('on a cap press only the brim counts; an iron is held where the art is', () => {
    const cap = { on: 'canvas-cap', with: 'heat-glued-patch', item: { size: 'one size' }, print: { widthMm: 60, heightMm: 50 } } as const;
    const pose = poseOf(input({ ...cap, press: 'cap' }));
    expect([pose.plain.feasible, pose.inTheWay]).toEqual([true, []]);
    expect(clearanceOf(pose) ?? 0).toBeLessThan(8);
    expect(poseOf(input({ blank: ZIPPED, print: { position: 'left chest' }, press: 'iron' })).inTheWay).toEqual([]);
  });

  it('art moved by hand keeps the piece where it lies; what it runs into is told at once', () => {
    const piece = input({ print: { widthMm: 250, heightMm: 250 } });
    const pose = poseOf(piece);
    const near = nudged(piece, pose, { xMm: 4, yMm: 3 });
    expect([near?.fit.feasible, near?.placement.box.leftMm]).toEqual([true, -121]);
    const far = nudged(piece, pose, { xMm: 150, yMm: 0 });
    expect(far?.fit).toMatchObject({ feasible: false, art: 'larger than the platen' });
  });

  it('art moved over what the card lays under it is judged on that, not on the bare base', () => {
    const piece = input({ blank: ZIPPED, print: { position: 'left chest', widthMm: 80, heightMm: 80 } });
    const pose = poseOf(piece);
    expect([pose.plain.feasible, pose.pillow?.feasible]).toEqual([false, true]);
    expect(nudged(piece, pose, { xMm: 1, yMm: 1 })?.fit.feasible).toBe(false);
    expect(nudged(piece, pose, { xMm: 1, yMm: 1 }, 'pillow')?.fit.feasible).toBe(true);
  });

  it('stands on the card with its clearance; a piece that cannot be placed says why and is laid nowhere', () => {
    const card = resolve(inputOf({ says: 'a tee', on: 'cotton-tee', with: 'cut-film', item: { size: 'M' } }));
    expect(card.laid).toMatchObject({ loading: 'threaded', lay: { turn: 0 } });
    const nowhere = poseOf(input({ item: { size: 'ladies 12' } }));
    expect([nowhere.placement, nowhere.fault?.level]).toEqual([null, 'care']);
    expect(poseOf(input({ blank: { kind: 'vest' }, print: { position: 'sleeve' } })).fault?.level).toBe('hold');
    expect(PRESSES.true.swapPlatens).toHaveLength(1);
  });
});
