/** A piece and its passage through the press, as a scene: what lies where, for how long, in the art and on the bare face beside it. */
import { AIR_WM2K, BASE_PLATE_JM2K, contactResistance, LOOSE_KPA, ON_BASE, RACK_WM2K, TABLE, WEIGHT } from './layers';
import type { Passage, Piece, Role, StackLayer } from './pieceSchema';
import type { HeatLayer, HeatStage, Probe, Scene, Side } from './scene';

/** Hands between the closings, s. */
const LOAD_S = 15;
const PLACE_S = 25;
const LIFT_S = 4;

const TRANSFER: readonly Role[] = ['carrier', 'transfer'];

const keyed = (piece: Piece) => piece.stack.map((layer, i) => ({ ...layer, key: `${i + 1} ${layer.role}` }));
type Keyed = ReturnType<typeof keyed>[number];

const asLayer = (
  { key, name, k, rho, c, thicknessMm, waterKgM2 = 0 }: Keyed | (StackLayer & { key: string }),
  startC: number,
): HeatLayer => ({
  key,
  name,
  k,
  rho,
  c,
  thicknessMm,
  startC,
  waterKgM2,
});

const PLACES = { air: 'in air', rack: 'on a rack' } as const;

const air = (roomC: number, lossWm2K: number = AIR_WM2K): Side => ({ kind: 'air', roomC, lossWm2K });

/** The plate or the heated platen under a piece, touched so well. */
const underneath = ({ lowerC, baseC, roomC }: Piece, contact: number): Side =>
  lowerC !== null
    ? { kind: 'held', tempC: lowerC, contact }
    : { kind: 'body', key: 'base plate', startC: baseC, capacityJm2K: BASE_PLATE_JM2K, towardsC: roomC, recoveryWm2K: AIR_WM2K, contact };

/** Stages of one piece, told in order: what was pressed together hangs together from then on. */
class StageList {
  readonly stages: HeatStage[] = [];
  private readonly firm = new Set<string>();
  private readonly pressed: number;
  private readonly loose = contactResistance(LOOSE_KPA);
  private closings = 0;

  constructor(
    private readonly piece: Piece,
    /** Names the platens of this piece. */
    private readonly keyOf: (key: string) => string,
    private readonly resting: Side,
  ) {
    this.pressed = contactResistance(piece.contactKPa);
  }

  shut(name: string, surfaceC: number, durationS: number, stack: readonly Keyed[]): void {
    const bottom = underneath(this.piece, this.pressed);
    this.add(name, durationS, stack, { top: this.platen(surfaceC), bottom, pressureKPa: this.piece.contactKPa });
  }

  /** Open to the air above. @param under what it lies on; nothing said: on the base */
  open(name: string, durationS: number, stack: readonly Keyed[], under: Side = this.resting): void {
    this.add(name, durationS, stack, { top: air(this.piece.roomC), bottom: under, pressureKPa: 0 });
  }

  private add(name: string, durationS: number, stack: readonly Keyed[], sides: Pick<HeatStage, 'top' | 'bottom' | 'pressureKPa'>): void {
    const contacts = this.contacts(stack, sides.pressureKPa > 0);
    this.stages.push({ name, durationS, stack: stack.map(({ key }) => key), turned: [], contacts, ...sides });
  }

  private platen(surfaceC: number): Side {
    const { droop } = this.piece;
    const contact = this.pressed;
    this.closings++;
    return droop
      ? { kind: 'body', key: this.keyOf(`platen ${this.closings}`), startC: surfaceC, towardsC: surfaceC, contact, ...droop }
      : { kind: 'held', tempC: surfaceC, contact };
  }

  /** Contacts of a stack: pressed ones, ones that were pressed together before and hang together since, and loose ones. */
  private contacts(stack: readonly Keyed[], isPressed: boolean): number[] {
    return stack.slice(1).map((below, i) => {
      const above = stack[i] as Keyed;
      const joint = `${above.key}|${below.key}`;
      if (isPressed) this.firm.add(joint);
      const still = ON_BASE.includes(above.role) || (this.firm.has(joint) && !ON_BASE.includes(below.role));
      return isPressed || still ? this.pressed : this.loose;
    });
  }
}

/**
 * Lets a piece cool where it is laid.
 *
 * @param left what is left of the piece by then
 * @returns layers that came in with the place, and where they start, °C
 */
function cool(
  list: StageList,
  { where, forS, under }: NonNullable<Passage['cooling']>,
  { left, base, roomC, keyOf }: { left: readonly Keyed[]; base: readonly Keyed[]; roomC: number; keyOf: (key: string) => string },
): HeatLayer[] {
  if (where === 'base') {
    list.open('cool on the base', forS, [...left, ...base]);
    return [];
  }
  const back = under ? [{ ...under, role: 'fabric' as const, key: keyOf('back') }] : [];
  const hanging = [...left, ...back];
  const came = back.map((layer) => asLayer(layer, roomC));
  if (where === 'air' || where === 'rack') {
    list.open(`cool ${PLACES[where]}`, forS, hanging, air(roomC, where === 'rack' ? RACK_WM2K : AIR_WM2K));
    return came;
  }
  const table = { ...TABLE, role: 'underlay' as const, key: keyOf('table') };
  const weight = where === 'weight' ? [{ ...WEIGHT, role: 'cover' as const, key: keyOf('weight') }] : [];
  const name = where === 'weight' ? 'cool under a weight' : 'cool on a table';
  list.open(name, forS, [...weight, ...hanging, table], air(roomC));
  return [...came, asLayer(table, roomC), ...weight.map((layer) => asLayer(layer, roomC))];
}

/** Builds the stages of one piece; `pieceOf` names its own layers, so that many pieces can follow each other over one base. */
function stagesOf(piece: Piece, passage: Passage, column: 'art' | 'bare', pieceOf: (key: string) => string) {
  const { contactKPa, roomC, baseC } = piece;
  const { finish } = passage;
  const all = keyed(piece).map((layer) => (ON_BASE.includes(layer.role) ? layer : { ...layer, key: pieceOf(layer.key) }));
  const shown = column === 'art' ? all : all.filter(({ role }) => !TRANSFER.includes(role));
  const of = (keep: (layer: Keyed) => boolean) => shown.filter(keep);
  const base = of(({ role }) => ON_BASE.includes(role));
  const cloth = of(({ role }) => role === 'fabric');
  const over = of(({ role }) => role === 'pad over');
  const covers = of(({ role }) => role === 'cover');
  const transferLayers = of(({ role }) => TRANSFER.includes(role));
  const film = transferLayers.filter(({ role }) => role === 'transfer');
  const finishCover = finish?.cover ? [{ ...finish.cover, key: pieceOf('finish cover') }] : [];

  // a pad keeps its contact with the plate under it; cloth only lies on a heated platen
  const list = new StageList(piece, pieceOf, underneath(piece, contactResistance(base.length > 0 ? contactKPa : LOOSE_KPA)));
  const lying = [...cloth, ...base];
  list.open('load', LOAD_S, lying);
  if (passage.prePressS > 0) list.shut('pre-press', passage.surfaceC, passage.prePressS, [...over, ...lying]);
  list.open('place', PLACE_S, [...transferLayers, ...lying]);
  list.shut('press', passage.surfaceC, passage.timeS, [...over, ...covers, ...transferLayers, ...lying]);
  if (finish) {
    list.open('peel', LIFT_S, [...transferLayers, ...lying]);
    list.shut('finish', finish.surfaceC, finish.timeS, [...finishCover, ...film, ...lying]);
  }
  const left = [...(finish ? film : transferLayers), ...cloth];
  const cooling = passage.cooling ? cool(list, passage.cooling, { left, base, roomC, keyOf: pieceOf }) : [];
  const layers = [
    ...shown.map((layer) => asLayer(layer, ON_BASE.includes(layer.role) ? baseC : roomC)),
    ...finishCover.map((layer) => asLayer(layer, roomC)),
    ...cooling,
  ];
  return { layers, stages: list.stages, cloth, film };
}

/** Places a piece is watched at: the bond line, the cloth right under it or its own face, and its inside. */
function probesOf({ cloth, film }: { cloth: readonly Keyed[]; film: readonly Keyed[] }, prefix = ''): Probe[] {
  // of several films the topmost is the one this press is to set: those under it were tacked before
  const [face, glue] = [cloth[0], film[0]];
  return [
    ...(glue ? [{ key: `${prefix}glue`, layer: glue.key, at: 'bottom' as const }] : []),
    ...(face
      ? [
          { key: `${prefix}face`, layer: face.key, at: 'top' as const },
          { key: `${prefix}inside`, layer: face.key, at: 'bottom' as const },
        ]
      : []),
  ];
}

/**
 * The scene of one piece: loaded, pre-pressed if it is, the transfer placed, pressed, finished if it is, cooled if that is asked.
 *
 * @param column through the art, or through the bare cloth beside it
 * @returns probes `glue` (in the art), `face` (top of the cloth) and `inside` (its underside)
 */
export function sceneOf(piece: Piece, passage: Passage, column: 'art' | 'bare'): Scene {
  const built = stagesOf(piece, passage, column, (key) => key);
  return { layers: built.layers, stages: built.stages, probes: probesOf(built) };
}

/**
 * Pieces one after another over the same base, which keeps what each has left in it.
 *
 * @param restS between one piece's last stage and the next one's loading, s
 * @returns probes `1 glue`, `2 glue` and so on
 */
export function seriesOf(piece: Piece, passage: Passage, pieces: number, restS: number): Scene {
  const layers: HeatLayer[] = [];
  const stages: HeatStage[] = [];
  const probes: Probe[] = [];
  const base = keyed(piece).filter(({ role }) => ON_BASE.includes(role));
  for (let n = 1; n <= pieces; n++) {
    const built = stagesOf(piece, { ...passage, cooling: null }, 'art', (key) => `piece ${n} ${key}`);
    layers.push(...built.layers.filter(({ key }) => !layers.some((other) => other.key === key)));
    stages.push(...built.stages.map((stage) => ({ ...stage, name: `piece ${n} ${stage.name}` })));
    probes.push(...probesOf(built, `${n} `));
    const last = built.stages.at(-1);
    if (n < pieces && restS > 0 && base.length > 0 && last)
      stages.push({
        name: `rest ${n}`,
        durationS: restS,
        stack: base.map(({ key }) => key),
        turned: [],
        contacts: base.slice(1).map(() => contactResistance(piece.contactKPa)),
        top: air(piece.roomC),
        bottom: last.bottom,
        pressureKPa: 0,
      });
  }
  return { layers, stages, probes };
}
