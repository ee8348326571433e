/** The stages of one piece, in order, each with who is busy, how long, and what lies between the platens. */

import { type Draft, layerName, layersOf, massOf, type PreparedInput, tackOf, thicknessOf } from '../draft';
import { CARRIERS, COVER_SHEETS, HARD_COLD_OVER_ROOM_K, PADS_OVER } from '../heat';
import type { SetValues } from '../judgement';
import { aidFor, type CoverKind, coverAid, isHard } from '../materials';
import { dwell } from '../press';
import type { Peel, Product } from '../sheet';
import { type Phrase, phrase, seconds } from '../units';
import { coolingTimeS, type Opened, peelSpan, spanWords } from './peelWait';
import type { Layer, Stage } from './schema';

/** An unhurried pair of hands, s. Drawn on the stage line and counted into the minutes; never judged on. */
const HANDS_S = { load: 15, place: 25, peel: 4, inspect: 6, trim: 20, rub: 8, turn: 10 } as const;

/** A wait longer than this is used for the next piece; only so much of it counts as this piece's own time, s. */
const WAIT_COUNTED_S = 45;
type StageContext = Omit<Layer, 'fresh'>;

/** Marks what was laid in since the stage before; the platens are part of the press. */
const freshen = (stack: StageContext[], before: StageContext[]): Layer[] =>
  stack.map((layer) => ({
    ...layer,
    fresh: !layer.role.endsWith('platen') && !before.some((b) => b.role === layer.role && b.name === layer.name),
  }));

function partsOf(input: PreparedInput, draft: Draft) {
  const { fabric, blank, item, aids } = input;
  const layer = (role: StageContext['role'], name: string, thicknessMm: number | null = null, hot = false): StageContext => ({
    role,
    name,
    thicknessMm,
    hot,
  });
  const hard = isHard(fabric);
  const cloth = layer('fabric', hard ? blank.name : fabric.name, hard ? thicknessOf(input) : fabric.thicknessMm);
  const own = (serves: Parameters<typeof aidFor>[1], fallback: string) => aidFor(aids, serves)?.aid.name ?? fallback;
  const under: StageContext[] = [];
  if (draft.loading === 'flat' || draft.loading === 'turned') under.push({ ...cloth, name: `${fabric.name}, back` });
  if (draft.protectFirst)
    under.push(
      layer('earlier print', item.before[0]?.productName ?? 'earlier print'),
      layer('cover', 'slip sheet', COVER_SHEETS.paper.thicknessMm),
    );
  if (draft.base === 'pillow') under.push(layer('pillow', own('pillow', 'pillow'), 8));
  if (draft.pad === 'foam behind') under.push(layer('pillow', own('foam', 'foam'), 8));
  if (draft.pad === 'felt under') under.push(layer('pad', own('felt', 'felt pad'), 4));
  const bed = draft.split
    ? []
    : [layer('pad', draft.base === 'firm pad' ? own('firm pad', 'firm pad') : 'base pad', draft.base === 'firm pad' ? 3 : 8)];
  const lower = layer('lower platen', 'lower platen', null, draft.split);
  const over: StageContext[] = [];
  if (draft.pad === 'soft pad over') over.push(layer('pad over', own('soft pad', 'soft pad'), PADS_OVER['soft pad over'].thicknessMm));
  if (draft.pad === 'foam over') over.push(layer('pad over', own('foam', 'foam'), PADS_OVER['foam over'].thicknessMm));
  return {
    upper: layer('upper platen', 'upper platen', null, true),
    over,
    sheet: (cover: CoverKind) => {
      const aid = coverAid(cover);
      const { name, thicknessMm } = COVER_SHEETS[cover];
      return layer('cover', aid ? own(aid, name) : name, thicknessMm);
    },
    carrier: (product: Product): StageContext[] =>
      product.carrier === 'none' ? [] : [layer('carrier', `${product.carrier} carrier`, CARRIERS[product.carrier].thicknessMm)],
    films: layersOf(input).map((named, i) => layer('transfer', layerName(named), (input.under[i] ?? input.product).filmMm)),
    adhesive: layer('adhesive', 'adhesive sheet', CARRIERS.paper.thicknessMm),
    cloth,
    below: [cloth, ...under, ...bed, lower],
    bed: [...bed, lower],
    freed: [cloth],
  };
}

type Plan = Omit<Stage, 'stack'> & { layers: StageContext[] };
const byHands = (kind: Stage['kind'], timeS: number, says: Stage['says'], layers: StageContext[]): Plan => ({
  kind,
  by: 'hands',
  timeS,
  setC: null,
  says,
  layers,
});
const byPress = (kind: Stage['kind'], timeS: number, setC: number, says: Stage['says'], layers: StageContext[]): Plan => ({
  kind,
  by: 'press',
  timeS,
  setC,
  says,
  layers,
});
const byClock = (kind: Stage['kind'], timeS: number, says: Stage['says'], layers: StageContext[]): Plan => ({
  kind,
  by: 'clock',
  timeS,
  setC: null,
  says,
  layers,
});

/** The wait before a peel, by the clock of where the piece is laid; none where it is peeled at once. */
function waitFor(
  { input, draft }: { input: PreparedInput; draft: Draft },
  peel: Peel,
  closing: Opened,
  layers: StageContext[],
  over: Phrase = phrase``,
): Plan[] {
  const span = peelSpan(input, draft, peel, closing);
  if (!span || span.fromS === 0) return [];
  return [
    {
      ...byClock('wait', span.fromS, phrase`Let it cool to ${peel}${over}: ${spanWords(span, draft)}`, layers),
      span: { ...span, ...(draft.coolsOn === 'base' && { onBase: true }) },
    },
  ];
}

/** A sheet married to its adhesive sheet: no blank in the press yet. */
function marrying(input: PreparedInput, draft: Draft, setC: number, parts: ReturnType<typeof partsOf>): Plan[] {
  const { product } = input;
  const { marry } = draft;
  if (!marry) return [];
  const timeS = dwell(input.press, marry.timeS.nominal);
  const sheets = [...parts.carrier(product), ...parts.films.slice(-1), parts.adhesive, ...parts.bed];
  const covered = marry.cover === 'avoid' ? sheets : [parts.sheet(marry.coverKind), ...sheets];
  return [
    byPress('marry', timeS, setC, phrase`Marry the sheets, ${seconds(timeS)}`, [parts.upper, ...covered]),
    ...(draft.rubMarried ? [byHands('rub', HANDS_S.rub, phrase`Rub the married sheet down under a cloth`, sheets)] : []),
    byHands('peel', HANDS_S.peel + 4, phrase`Part the sheets ${marry.peel}`, sheets),
  ];
}

/** Lower layers, each laid, tacked and freed of its carrier. */
function tacking(
  input: PreparedInput,
  draft: Draft,
  set: SetValues,
  parts: ReturnType<typeof partsOf>,
): { plan: Plan[]; films: StageContext[] } {
  const plan: Plan[] = [];
  let films: StageContext[] = [];
  draft.under.forEach(({ product, press: { peel } }, i) => {
    const film = parts.films.slice(i, i + 1);
    const onPlaten = [...parts.carrier(product), ...film, ...films];
    const cover = draft.cover ? [parts.sheet(draft.cover)] : [];
    plan.push(
      byHands('place', HANDS_S.place, phrase`Lay layer ${String(i + 1)}, ${film[0]?.name ?? product.name}`, [...onPlaten, ...parts.below]),
      byPress(
        'tack',
        tackOf(draft, i),
        set.tack[i] ?? set.press,
        draft.fullS[i] ? phrase`Press in full ${seconds(tackOf(draft, i))}` : phrase`Tack ${seconds(tackOf(draft, i))}`,
        [parts.upper, ...cover, ...onPlaten, ...parts.below],
      ),
    );
    const tack = { setC: set.tack[i] ?? set.press, lowerC: set.lower, timeS: tackOf(draft, i) };
    plan.push(...waitFor({ input, draft }, peel, tack, [...onPlaten, ...parts.freed]));
    if (peel !== 'none')
      plan.push(byHands('peel', HANDS_S.peel, phrase`Peel layer ${String(i + 1)}, ${peel}`, [...onPlaten, ...parts.freed]));
    films = [...film, ...films];
  });
  return { plan, films };
}

/** A mask over loose parts comes off again at its own heat. */
function liftingMask(input: PreparedInput, draft: Draft, set: SetValues, layers: StageContext[]): Plan[] {
  const { mask, peel, timeS } = draft;
  if (mask === null || mask === 'none' || peel !== 'none') return [];
  const wait = waitFor({ input, draft }, mask, { setC: set.press, lowerC: set.lower, timeS }, layers, phrase` under its mask`);
  return [...wait, byHands('peel', HANDS_S.peel, phrase`Lift the mask, ${mask}`, layers)];
}

/** A cover that stays on after the second press until it can be pulled. */
function pulling(input: PreparedInput, draft: Draft, set: SetValues, layers: StageContext[]): Plan[] {
  if (!draft.finish || draft.finish.pull === 'none') return [];
  const { cover, pull, timeS } = draft.finish;
  const wait = waitFor(
    { input, draft },
    pull,
    { setC: set.finish, lowerC: set.lower, timeS },
    layers,
    phrase` under the ${COVER_SHEETS[cover].name}`,
  );
  return [...wait, byHands('peel', HANDS_S.peel, phrase`Pull the ${COVER_SHEETS[cover].name}, ${pull}`, layers)];
}

function prePressing(
  { fabric }: PreparedInput,
  draft: Draft,
  set: SetValues,
  { upper, over, below, sheet }: ReturnType<typeof partsOf>,
): Plan[] {
  const { prePressS, prePressCover } = draft;
  if (prePressS <= 0) return [];
  const how = prePressCover ? `under ${COVER_SHEETS[prePressCover].name}` : 'bare';
  const says = isHard(fabric) ? phrase`Warm the blank, ${seconds(prePressS)}` : phrase`Pre-press, ${how}, ${seconds(prePressS)}`;
  return [
    byPress('pre-press', prePressS, set.prePress, says, [upper, ...over, ...(prePressCover ? [sheet(prePressCover)] : []), ...below]),
  ];
}

function pressWords({ print }: PreparedInput, { spots, timeS }: Draft, spot: number): Phrase {
  if (spots > 1) return phrase`Spot ${String(spot)} of ${String(spots)}, ${seconds(timeS)}`;
  return print.embossed ? phrase`Press from the back, ${seconds(timeS)}` : phrase`Press ${seconds(timeS)}`;
}

/** The stages of one piece. Works on settled decisions; throws nothing. */
export function stagesOf(input: PreparedInput, draft: Draft, set: SetValues): Stage[] {
  const { product, fabric, blank, print } = input;
  const parts = partsOf(input, draft);
  const { below, freed, upper, over } = parts;
  const plan: Plan[] = marrying(input, draft, set.marry, parts);
  if (draft.trim !== 'nothing')
    plan.push(byHands('trim', HANDS_S.trim, draft.trim === 'two-up' ? phrase`Cut the sheets apart` : phrase`Trim the ${draft.trim}`, []));
  plan.push(byHands('load', HANDS_S.load, phrase`Load the ${blank.kind}`, below));
  plan.push(...prePressing(input, draft, set, parts));
  const { plan: tacks, films } = tacking(input, draft, set, parts);
  plan.push(...tacks);
  const top = parts.films.slice(-1);
  const onPlaten = [...parts.carrier(product), ...top, ...films];
  plan.push(byHands('place', HANDS_S.place, phrase`Place the ${films.length > 0 ? 'last layer' : 'transfer'}`, [...onPlaten, ...below]));
  const cover = draft.cover ? [parts.sheet(draft.cover)] : [];
  const turned = [parts.cloth, ...[...films].reverse(), ...top, ...parts.carrier(product), ...below.slice(1)];
  if (print.embossed)
    plan.push(
      byPress('tack', draft.embossTackS, set.press, phrase`Tack the film over it, ${seconds(draft.embossTackS)}`, [
        upper,
        ...over,
        ...cover,
        ...onPlaten,
        ...below,
      ]),
      byHands('turn over', HANDS_S.turn, phrase`Turn it over`, turned),
    );
  const pressed = [upper, ...over, ...cover, ...(print.embossed ? turned : [...onPlaten, ...below])];
  for (let spot = 1; spot <= draft.spots; spot++)
    plan.push(byPress('press', draft.timeS, set.press, pressWords(input, draft, spot), pressed));
  if (draft.rub) plan.push(byHands('rub', HANDS_S.rub, phrase`Rub it down under a cloth`, [...onPlaten, ...below]));
  const { peel } = draft;
  plan.push(...waitFor({ input, draft }, peel, { setC: set.press, lowerC: set.lower, timeS: draft.timeS }, [...onPlaten, ...freed]));
  if (peel !== 'none') plan.push(byHands('peel', HANDS_S.peel, phrase`Peel ${peel}`, [...onPlaten, ...freed]));
  plan.push(...liftingMask(input, draft, set, [...onPlaten, ...freed]));
  const done = [...top, ...films];
  if (draft.finish)
    plan.push(
      byPress(
        'finish',
        draft.finish.timeS,
        set.finish,
        phrase`Second press, ${seconds(draft.finish.timeS)}, under ${COVER_SHEETS[draft.finish.cover].name}`,
        [upper, parts.sheet(draft.finish.cover), ...done, ...below],
      ),
      ...pulling(input, draft, set, [parts.sheet(draft.finish.cover), ...done, ...freed]),
    );
  if (draft.weight && draft.coolsOn !== 'weight') {
    const coolS = coolingTimeS(massOf(input), set.press, input.house.room.tempC, HARD_COLD_OVER_ROOM_K);
    plan.push(byClock('cool', coolS, phrase`Cool under a weight`, [...done, ...freed]));
  }
  plan.push(
    byHands('inspect', HANDS_S.inspect, phrase`Look ${fabric.texture === 'smooth' ? 'along the edges' : 'into the texture'}`, [
      ...done,
      ...freed,
    ]),
  );
  return plan.map(({ layers, ...stage }, i) => ({ ...stage, stack: freshen(layers, plan[i - 1]?.layers ?? below) }));
}

/** Minutes of one piece at the press: hands and closings in full, a wait only as far as it is not used for the next piece. */
export const minutesOf = (stages: readonly Pick<Stage, 'by' | 'timeS'>[]): number =>
  stages.reduce((sum, stage) => sum + (stage.by === 'clock' ? Math.min(WAIT_COUNTED_S, stage.timeS) : stage.timeS), 0) / 60;
