import { describe, expect, it } from 'vitest';
import { adhesive, NO_LIMITS, passage, pieceOf, readAt, under } from '../../../test/columns';
import {
  baseWarming,
  CARRIERS,
  dryingTime,
  type Passage,
  type Piece,
  peelClock,
  press,
  regainOf,
  sceneOf,
  series,
  solve,
  waterOf,
} from './index';

const glue = adhesive();
const pressed = (piece: Piece, over: Partial<Passage> = {}) => press(piece, passage(over), glue, NO_LIMITS);
/** The glue so many seconds after the press shut, °C. */
function glueAt(piece: Piece, afterS: number, over: Partial<Passage> = {}): number {
  const { art } = pressed(piece, over);
  const shut = art.stages.find(({ name }) => name === 'press');
  const curve = art.curves.glue;
  if (!shut || !curve) throw new TypeError('not pressed');
  return readAt(curve, shut.fromS + afterS);
}
/** Seconds after the press shut until the cloth under the art reaches a temperature. */
function reachedAfter(piece: Piece, targetC: number, at: 'face' | 'inside' = 'inside'): number {
  const { art } = pressed(piece, { timeS: 30 });
  const shut = art.stages.find(({ name }) => name === 'press');
  const curve = art.curves[at];
  if (!shut || !curve) throw new TypeError('not pressed');
  const i = curve.tempC.findIndex((t, n) => (curve.timeS[n] as number) > shut.fromS && t >= targetC);
  const [t0, t1] = [curve.timeS[i - 1] as number, curve.timeS[i] as number];
  const [c0, c1] = [curve.tempC[i - 1] as number, curve.tempC[i] as number];
  return t0 + ((t1 - t0) * (targetC - c0)) / (c1 - c0) - shut.fromS;
}

describe('what the trade knows comes out', () => {
  it('a cover costs more kelvin at the glue at 5 s than at 15 s', () => {
    const loss = (t: number) =>
      glueAt(pieceOf('cotton jersey'), t, { timeS: 20 }) - glueAt(pieceOf('cotton jersey', { cover: true }), t, { timeS: 20 });
    expect(loss(5)).toBeGreaterThan(loss(15));
    expect(loss(15)).toBeGreaterThan(1);
  });
  it('damp cotton lags dry by a second or more at 100 °C, polyester hardly', () => {
    const lag = (cloth: 'cotton jersey' | 'polyester jersey') =>
      reachedAfter(pieceOf(cloth, { damp: true }), 100) - reachedAfter(pieceOf(cloth), 100);
    expect(lag('cotton jersey')).toBeGreaterThanOrEqual(1);
    expect(lag('polyester jersey')).toBeLessThan(0.2);
  });
  it('where the fifth piece has 0.95, the first on a cold base is under 0.9', () => {
    // a cold morning: shirts from the store-room, each pre-pressed, one after another
    const cold = pieceOf('cotton jersey', { baseC: 15, roomC: 15, damp: true });
    const usual = passage({ prePressS: 5 });
    const plain = series(cold, usual, glue, 5, 10);
    const fifth = plain.pieces[4]?.bond ?? Number.NaN;
    // the same adhesive, its scale set so that the fifth has 0.95
    const at95 = series(cold, usual, { ...glue, shift: 0.95 / fifth }, 5, 10);
    expect(at95.pieces[4]?.bond).toBeCloseTo(0.95, 6);
    expect(at95.pieces[0]?.bond).toBeLessThan(0.9);
    expect(at95.firstSound).toBeGreaterThan(1);
    for (let n = 1; n < 5; n++) expect(at95.pieces[n]?.bond).toBeGreaterThan(at95.pieces[n - 1]?.bond ?? 0);
    const wants = at95.pieces.map(({ wantsS }) => wantsS ?? Number.NaN);
    expect(wants[0]).toBeGreaterThan(10.3);
    expect(wants[4]).toBeCloseTo(10, 1);
  });
  it('a base shut empty long enough gives the first piece the bond of a warm one', () => {
    const cold = pieceOf('cotton jersey', { baseC: 20, roomC: 20 });
    const wish = pressed(pieceOf('cotton jersey', { baseC: 45, roomC: 20 })).read.bond;
    const warmS = baseWarming(cold, passage(), glue, wish);
    expect(warmS).toBeGreaterThan(5);
    expect(warmS).toBeLessThan(60);
    expect(baseWarming(pieceOf('cotton jersey'), passage(), glue, 0.9)).toBe(0);
  });
  it('at equal pressure the glue runs hotter over a pillow than over a cold pad', () => {
    const cold = pieceOf('cotton jersey', { baseC: 20 });
    for (const t of [5, 10, 20])
      expect(glueAt(under(cold, 'pillow'), t, { timeS: 25 })).toBeGreaterThan(glueAt(cold, t, { timeS: 25 }) + 0.2);
  });
  it('a pillow shuts out heat from below', () => {
    const warm = pieceOf('cotton jersey', { lowerC: 150, baseC: 150 });
    const onBase = { ...warm, stack: warm.stack.slice(0, -1) };
    const onPillow = under({ ...warm, stack: warm.stack }, 'pillow');
    expect(glueAt(onBase, 5)).toBeGreaterThan(
      glueAt({ ...onPillow, baseC: 22, stack: onPillow.stack.filter(({ role }) => role !== 'pad') }, 5) + 3,
    );
  });
  it('a jersey with its carrier is below 60 °C within 30 s in air, sooner on a table, never on a hot base', () => {
    const [air, table] = [
      peelClock(pieceOf('cotton jersey'), passage(), { where: 'air' }),
      peelClock(pieceOf('cotton jersey'), passage(), { where: 'table' }),
    ];
    expect(air.warmS).toBeLessThan(30);
    expect(air.warmS).toBeGreaterThan(10);
    expect(table.warmS).toBeLessThan(air.warmS ?? 0);
    expect(air.coldS).toBeGreaterThan(60);
    expect(air.coldS).toBeLessThan(180);
    const hot = pieceOf('cotton jersey', { lowerC: 120, baseC: 110 });
    expect(peelClock(hot, passage(), { where: 'base' })).toEqual({ warmS: null, warmUntilS: null, coldS: null });
  });
  it('10 mm of glass takes tens of minutes to cold', () => {
    const cold = peelClock(pieceOf('glass'), passage({ timeS: 120 }), { where: 'air' }).coldS;
    expect(cold).toBeGreaterThan(20 * 60);
    expect(cold).toBeLessThan(90 * 60);
  });
  it('with heat split from below, at the same bond, the bare face is 20 K cooler and the inside the hottest cloth', () => {
    const above = pieceOf('cotton jersey');
    const usual = press(above, passage(), glue, NO_LIMITS);
    const below = { ...above, stack: above.stack.slice(0, -1), lowerC: 175, baseC: 175 };
    // a cool upper platen takes its time: as long as such films allow
    const split = (surfaceC: number) => passage({ surfaceC, timeS: 16 });
    // the upper platen that gives the same bond, by halving
    let [low, high] = [40, 150];
    for (let n = 0; n < 30; n++) {
      const middle = (low + high) / 2;
      if (press(below, split(middle), glue, NO_LIMITS).read.bond < usual.read.bond) low = middle;
      else high = middle;
    }
    const both = press(below, split(high), glue, NO_LIMITS);
    expect(both.read.bond).toBeCloseTo(usual.read.bond, 3);
    expect(usual.read.faceC - both.read.faceC).toBeGreaterThanOrEqual(20);
    expect(both.read.insideC).toBeGreaterThan(both.read.faceC);
    expect(both.read.insideC).toBeGreaterThan(both.read.underC);
  });
  it('a pre-pressed shirt goes in dry and warm: it has a better bond than one left damp', () => {
    const damp = pieceOf('cotton jersey', { damp: true });
    const [left, prePressed] = [pressed(damp), pressed(damp, { prePressS: 8 })];
    expect(left.read.dampShare).toBe(1);
    expect(prePressed.read.dampShare).toBeLessThan(0.05);
    expect(prePressed.read.bond).toBeGreaterThan(left.read.bond + 0.05);
  });
  it('heat beyond a limit counts double for every 8 K: 15 s at the limit is 1', () => {
    const scene = { ...pieceOf('cotton jersey'), lowerC: 150, baseC: 150, roomC: 22 };
    const onBase = { ...scene, stack: scene.stack.slice(0, -1) };
    const face = (limit: number) =>
      press(onBase, passage({ timeS: 15 }), glue, { markC: limit, damageC: null, dyeC: null }).read.mark ?? Number.NaN;
    expect(face(150)).toBeGreaterThan(0.9);
    expect(face(150)).toBeLessThan(1.05);
    expect(face(142) / face(150)).toBeCloseTo(2, 6);
  });
  it('dye moves where a print lies on the cloth: the bare cloth beside it, though hotter, counts against harm alone', () => {
    const { read } = press(pieceOf('cotton jersey'), passage({ timeS: 15 }), glue, { markC: null, damageC: 120, dyeC: 120 });
    expect(read.dye).toBeGreaterThan(0);
    expect(read.damage).toBeGreaterThan((read.dye ?? 0) * 1.05);
  });
});

describe('how long until it is dry', () => {
  const mixture = (fibre: 'cotton' | 'polyester' | 'viscose') => [{ fibre, percent: 100 }];
  it('fleece wants longer than jersey, polyester nothing', () => {
    const [jersey, fleece, polyester] = (['cotton jersey', 'fleece', 'polyester jersey'] as const).map((cloth) =>
      dryingTime(pieceOf(cloth, { damp: true }), 150),
    );
    expect(fleece).toBeGreaterThan(2 * (jersey ?? 0));
    expect(jersey).toBeGreaterThan(1);
    expect(polyester).toBeLessThan(jersey ?? 0);
    expect(dryingTime(pieceOf('cotton jersey'), 150)).toBe(0);
    expect(dryingTime(pieceOf('fleece', { damp: true }), 85)).toBeNull();
  });
  it('a damp store-room lengthens it', () => {
    const water = (humidity: number) => waterOf(regainOf(mixture('cotton'), humidity), 280);
    const time = (humidity: number) => {
      const piece = pieceOf('fleece');
      const stack = piece.stack.map((layer) => (layer.role === 'fabric' ? { ...layer, waterKgM2: water(humidity) } : layer));
      return dryingTime({ ...piece, stack }, 150) ?? Number.NaN;
    };
    expect(time(85)).toBeGreaterThan(time(65) + 1);
    expect(time(65)).toBeGreaterThan(time(30));
  });
  it('a fibre holds its stated regain at 65 %, less when dry, about twice at 95 %', () => {
    expect(regainOf(mixture('cotton'), 65)).toBeCloseTo(0.08, 10);
    expect(regainOf(mixture('viscose'), 65)).toBeCloseTo(0.125, 10);
    expect(regainOf(mixture('cotton'), 0)).toBe(0);
    expect(regainOf(mixture('cotton'), 90) / 0.08).toBeGreaterThan(1.5);
    expect(regainOf(mixture('cotton'), 90) / 0.08).toBeLessThan(2);
  });
});

it('the carrier and the film stay one body as the piece cools: what was pressed together keeps its contact', () => {
  const scene = sceneOf(pieceOf('cotton jersey'), passage({ cooling: { where: 'air', forS: 60 } }), 'art');
  const [press, cool] = [scene.stages.find(({ name }) => name === 'press'), scene.stages.at(-1)];
  expect(cool?.contacts).toEqual(press?.contacts.slice(0, 2));
  expect(CARRIERS.film.thicknessMm).toBe(scene.layers.find(({ name }) => name === CARRIERS.film.name)?.thicknessMm);
  expect(solve(scene).stages).toHaveLength(4);
});
