/** Transfer products: one supplier's sheet, as the shop holds it, with its settings by fabric and colour group and its earlier revisions. */
import { z } from 'zod';
import { FABRIC_GROUPS, type FabricGroup, FIBRE_IDS, Id, Name, RetiredOn, type Substrate, Words } from '../materials';
import { FAMILIES } from './families';
import { FAMILY_IDS, type FamilyId } from './family';
import { type Allowance, AllowanceSchema, allowedTemp, allowedTime, type Figure } from './figure';
import {
  type SheetStage,
  STAGE_KINDS,
  type StageChange,
  StageChangeSchema,
  type StageKind,
  type WrittenStage,
  WrittenStagesSchema,
} from './stage';
import { PEELS, TraitsSchema } from './traits';

/** Settings the sheet gives for a group of fabrics, a group of colours, or both together. */
const Override = StageChangeSchema.extend({ fabricGroup: z.enum(FABRIC_GROUPS).optional(), colourGroup: Name.optional() }).refine(
  (override) => override.fabricGroup !== undefined || override.colourGroup !== undefined,
  { message: 'Say for which fabrics or which colours these settings are.' },
);
export type Override = z.infer<typeof Override>;

/** A second way the sheet itself offers, such as lower heat for longer. */
const Alternative = z.object({ name: Name, changes: z.array(StageChangeSchema).min(1, 'What does it change?') });
export type Alternative = z.infer<typeof Alternative>;

const Source = z.object({ sheet: Words.min(1, 'Which sheet is this from?'), on: z.iso.date('Give the sheet’s date as year-month-day.') });

/** A sheet as it was before the current one. */
const Revision = z.object({
  source: Source,
  stages: WrittenStagesSchema,
  overrides: z.array(Override),
  alternatives: z.array(Alternative),
  care: Words,
});
export type Revision = z.infer<typeof Revision>;

const CHANGED = ['tempC', 'timeS', 'pressure', 'cover', 'coverKind', 'peel'] as const;
const groupsOf = (override: Override) => [override.fabricGroup ?? 'any fabric', override.colourGroup ?? 'any colour'].join(', ');
const covers = (wide: string | undefined, narrow: string | undefined) => wide === undefined || wide === narrow;

/** Two overrides that both hold for some piece, set the same figure, and neither is the more particular. */
function contradictions(overrides: readonly Override[]): { index: number; message: string }[] {
  return overrides.flatMap((override, index) =>
    overrides.slice(0, index).flatMap((other) => {
      const meet = (a?: string, b?: string) => a === undefined || b === undefined || a === b;
      if (
        override.stage !== other.stage ||
        !meet(override.fabricGroup, other.fabricGroup) ||
        !meet(override.colourGroup, other.colourGroup)
      )
        return [];
      const both = CHANGED.filter((key) => override[key] && other[key] && JSON.stringify(override[key]) !== JSON.stringify(other[key]));
      const same = override.fabricGroup === other.fabricGroup && override.colourGroup === other.colourGroup;
      const inside = (a: Override, b: Override) => covers(b.fabricGroup, a.fabricGroup) && covers(b.colourGroup, a.colourGroup);
      if (both.length === 0 || (!same && (inside(override, other) || inside(other, override)))) return [];
      const particular = overrides.some(
        (third) =>
          third.stage === override.stage &&
          third.fabricGroup === (override.fabricGroup ?? other.fabricGroup) &&
          third.colourGroup === (override.colourGroup ?? other.colourGroup) &&
          both.every((key) => third[key] !== undefined),
      );
      if (!same && particular) return [];
      return [
        {
          index,
          message: `Settings for ${groupsOf(override)} contradict those for ${groupsOf(other)} in the ${override.stage} stage: say which holds where both apply.`,
        },
      ];
    }),
  );
}

export const ProductSchema = z
  .object({
    id: Id,
    name: Name,
    maker: Name,
    familyId: z.enum(FAMILY_IDS),
    stages: WrittenStagesSchema,
    overrides: z.array(Override).max(60),
    alternatives: z.array(Alternative).max(10),
    /** Other peels the sheet allows beside the press stage's own. */
    otherPeels: z.array(z.enum(PEELS)).max(3),
    /** Colours it comes in, each with the group its settings go by; empty: not listed. */
    colours: z.array(z.object({ name: Name, group: Name })).max(200),
    ...TraitsSchema.shape,
    /** Fibres the sheet names; empty when it names none. */
    fibresAllowed: z.array(z.enum(FIBRE_IDS)),
    filmMm: z
      .number()
      .min(0.01, 'A transfer is at least 0.01 mm thick on the blank.')
      .max(5, 'A transfer is at most 5 mm thick on the blank.'),
    carrier: z.enum(['film', 'paper', 'none']),
    pricePerSheetMinor: z.number().int().min(0).max(1_000_000),
    /** How large a sheet, or a length of the roll, is that costs so much; absent: one print a sheet. */
    sheetSize: z
      .object({
        widthMm: z.number().min(10, 'A sheet is at least 1 cm wide.').max(5000, 'A sheet is at most 5 m wide.'),
        heightMm: z.number().min(10, 'A sheet is at least 1 cm long.').max(5000, 'A sheet is at most 5 m long.'),
      })
      .optional(),
    /** Hands' time to make one ready, minutes. */
    minutesToMake: z.number().min(0).max(240),
    source: Source,
    /** Newest first. */
    earlier: z.array(Revision).max(50),
    /** How far from a single figure of the sheet; absent: as for its family. */
    allowance: AllowanceSchema.optional(),
    care: Words,
    retiredOn: RetiredOn,
  })
  .superRefine((product, ctx) => {
    for (const { index, message } of contradictions(product.overrides))
      ctx.addIssue({ code: 'custom', path: ['overrides', index], message });
    product.overrides.forEach((override, i) => {
      if (override.colourGroup !== undefined && !product.colours.some((colour) => colour.group === override.colourGroup))
        ctx.addIssue({
          code: 'custom',
          path: ['overrides', i, 'colourGroup'],
          message: `No colour of this product is in the group “${override.colourGroup}”.`,
        });
    });
    const kinds = product.stages.map((stage) => stage.kind);
    const changes = [
      ...product.overrides.map((override, i) => ({ one: override, path: ['overrides', i, 'stage'] })),
      ...product.alternatives.flatMap((alternative, i) =>
        alternative.changes.map((change, j) => ({ one: change, path: ['alternatives', i, 'changes', j, 'stage'] })),
      ),
    ];
    for (const { one, path } of changes)
      if (!kinds.includes(one.stage) && !isNewPrePress(one))
        ctx.addIssue({ code: 'custom', path, message: `This product has no ${one.stage} stage.` });
    product.earlier.forEach((revision, i) => {
      const newer = i === 0 ? product.source.on : product.earlier[i - 1]?.source.on;
      if (newer !== undefined && revision.source.on > newer)
        ctx.addIssue({
          code: 'custom',
          path: ['earlier', i, 'source', 'on'],
          message: `The earlier sheet of ${revision.source.on} is newer than the one after it, of ${newer}.`,
        });
    });
  });
export type Product = z.infer<typeof ProductSchema>;

/** The stage of a kind as the sheet has it, or undefined. */
export const writtenStage = (product: Pick<Product, 'stages'>, kind: StageKind): WrittenStage | undefined =>
  product.stages.find((stage) => stage.kind === kind);

/** The press stage as the sheet has it; every product has one. @throws a product that never went through its schema */
export function writtenPress(product: Pick<Product, 'stages' | 'name'>): WrittenStage {
  const stage = writtenStage(product, 'press');
  if (!stage) throw new TypeError(`${product.name} has no press stage`);
  return stage;
}

/** Allowances a house has of its own, by family. */
export type Allowances = Partial<Record<FamilyId, Allowance>>;

/** How far a product may be from a single figure of its sheet: its own, else the house's for its family, else ours. */
export const allowanceOf = ({ allowance, familyId }: Pick<Product, 'allowance' | 'familyId'>, house: Allowances = {}): Allowance =>
  allowance ?? house[familyId] ?? FAMILIES[familyId].allowance;

/** How a transfer takes to a material: pressed on it every day, only after a test piece, or never. */
export type Fitness = 'usual' | 'test piece first' | 'never';

export function fitnessOn({ substrates, never, familyId }: Pick<Product, 'substrates' | 'never' | 'familyId'>, on: Substrate): Fitness {
  if (substrates.includes(on)) return 'usual';
  return (never ?? FAMILIES[familyId].never.on).includes(on) ? 'never' : 'test piece first';
}

/** What of a product changes when it is to take to a material otherwise. */
export function withFitness(
  product: Pick<Product, 'substrates' | 'never' | 'familyId'>,
  on: Substrate,
  fitness: Fitness,
): Pick<Product, 'substrates' | 'never'> {
  const without = (list: readonly Substrate[]) => list.filter((word) => word !== on);
  const [usual, never] = [without(product.substrates), without(product.never ?? FAMILIES[product.familyId].never.on)];
  return { substrates: fitness === 'usual' ? [...usual, on] : usual, never: fitness === 'never' ? [...never, on] : never };
}

/** Why a transfer never holds on a material: its family's reason, or that its own sheet rules it out. */
export const neverBecause = ({ familyId }: Pick<Product, 'familyId'>, on: Substrate): string => {
  const { never } = FAMILIES[familyId];
  return never.on.includes(on) ? never.because : 'its sheet rules it out';
};

/** What the sheet says for one piece, and from where. */
export interface SheetFor {
  stages: SheetStage[];
  /** Which of the sheet's particular settings were taken. */
  taken: { from: 'fabric group' | 'colour group' | 'fabric and colour group' | 'alternative'; name: string; stage: StageKind }[];
}

/** Settings for a group may bring a pre-press that the sheet has not in general. */
function isNewPrePress({ stage, timeS }: StageChange): boolean {
  return stage === 'pre-press' && timeS !== undefined;
}

/** A pre-press that only a group's settings name: at the press's heat and pressure, bare. */
const newPrePress = (stages: readonly WrittenStage[], timeS: Figure): WrittenStage[] =>
  stages
    .filter(({ kind }) => kind === 'press')
    .map(({ tempC: _, ...press }) => ({ ...press, kind: 'pre-press', timeS, cover: 'avoid', peel: 'none', timer: 1 }));

function change(stages: WrittenStage[], { stage, tempC, timeS, pressure, cover, coverKind, peel }: StageChange): WrittenStage[] {
  const has = stages.some(({ kind }) => kind === stage);
  const all = has || stage !== 'pre-press' || !timeS ? stages : inOrder([...stages, ...newPrePress(stages, timeS)]);
  return all.map((otherStage) =>
    otherStage.kind === stage
      ? {
          ...otherStage,
          ...(tempC && { tempC }),
          ...(timeS && { timeS }),
          ...(pressure && { pressure }),
          ...(cover && { cover }),
          ...(coverKind && { coverKind }),
          ...(peel && { peel }),
        }
      : otherStage,
  );
}

const inOrder = (stages: WrittenStage[]): WrittenStage[] =>
  stages.sort((a, b) => STAGE_KINDS.indexOf(a.kind) - STAGE_KINDS.indexOf(b.kind));

/** Written stages with what their figures allow; a stage without a heat of its own is pressed at the press stage's. */
function allowed(stages: readonly WrittenStage[], allowance: Allowance): SheetStage[] {
  const pressC = stages.find(({ kind }) => kind === 'press')?.tempC;
  return stages.flatMap((stage) => {
    const tempC = stage.tempC ?? pressC;
    return tempC
      ? [{ ...stage, ownHeat: stage.tempC !== undefined, tempC: allowedTemp(tempC, allowance), timeS: allowedTime(stage.timeS, allowance) }]
      : [];
  });
}

const particular = (override: Override) => Number(override.fabricGroup !== undefined) + Number(override.colourGroup !== undefined);

/**
 * The sheet's settings for a fabric group and a colour: its own stages, then what it says for the group, for the colour,
 * for both together, and last an alternative of its own that was chosen. The more particular beats the more general.
 *
 * @param house allowances of the house's own round single figures
 */
export function sheetFor(
  product: Product,
  house: Allowances | undefined,
  piece: { group: FabricGroup | undefined; colour: string | undefined; alternative: string | undefined },
): SheetFor {
  const colourGroup = product.colours.find((colour) => colour.name === piece.colour)?.group;
  let stages = product.stages;
  const taken: SheetFor['taken'] = [];
  if (product.overrides.length > 0) {
    const fitting = product.overrides.filter(
      (override) => covers(override.fabricGroup, piece.group) && covers(override.colourGroup, colourGroup),
    );
    for (const override of fitting.sort((a, b) => particular(a) - particular(b))) {
      stages = change(stages, override);
      const from = particular(override) === 2 ? 'fabric and colour group' : override.fabricGroup ? 'fabric group' : 'colour group';
      taken.push({ from, name: [override.fabricGroup, override.colourGroup].filter(Boolean).join(', '), stage: override.stage });
    }
  }
  const alternative = product.alternatives.find((alternative) => alternative.name === piece.alternative);
  for (const override of alternative?.changes ?? []) {
    stages = change(stages, override);
    taken.push({ from: 'alternative', name: alternative?.name ?? '', stage: override.stage });
  }
  return { stages: allowed(stages, allowanceOf(product, house)), taken };
}

/** The general settings of one stage, without any group's or colour's; undefined: the sheet has no such stage. */
const stageOf = (product: Product, kind: StageKind, house?: Allowances): SheetStage | undefined =>
  allowed(product.stages, allowanceOf(product, house)).find((stage) => stage.kind === kind);

/** The general press stage. */
export function pressStage(product: Product, house?: Allowances): SheetStage {
  const stage = stageOf(product, 'press', house);
  if (!stage) throw new TypeError(`${product.name} has no press stage`);
  return stage;
}

/** A sheet that is older than the one the shelf holds. */
export class OlderSheet extends Error {
  override name = 'OlderSheet';
}

/**
 * A changed product with the sheet it replaces kept among its earlier ones, newest first.
 *
 * A change under the same sheet date is a correction and keeps nothing.
 *
 * @throws {OlderSheet} the new sheet is dated before the current one
 */
export function withRevision(before: Product, after: Product): Product {
  if (after.source.on < before.source.on)
    throw new OlderSheet(
      `The shelf holds the sheet of ${before.source.on}; this one is of ${after.source.on}, which is older. Check the date, or leave the newer one.`,
    );
  if (after.source.on === before.source.on) return after;
  const { source, stages, overrides, alternatives, care } = before;
  if (after.earlier.some((revision) => revision.source.on === source.on)) return after;
  return {
    ...after,
    earlier: [{ source, stages, overrides, alternatives, care }, ...after.earlier].sort((a, b) => b.source.on.localeCompare(a.source.on)),
  };
}
