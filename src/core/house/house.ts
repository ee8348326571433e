/** House rules: the shop's choice where practice differs, the units and room it works in, and who works there. */
import { z } from 'zod';
import { ToldSchema } from '../firstHour';
import { Id, Initials, PRESSURE_BANDS } from '../materials';
import { HousePlacesSchema } from '../placement';
import { AllowanceSchema, CHOSEN_STAGES, FAMILY_IDS } from '../sheet';
import { HouseRulesSchema, STARTING_RULES } from './schools';

/** What is set otherwise by house rule for one press with one transfer, found in a run, with what spoke for it. */
const KEPT = z.object({
  pressId: Id,
  productId: Id,
  /** The closing it is of; absent: the press stage. */
  stage: z.enum(CHOSEN_STAGES).optional(),
  /** Day of the run. */
  on: z.iso.date(),
  /** Pieces that came out good so, and spoiled by what the heat does; none of either: kept by hand from a card. */
  good: z.number().int().min(0),
  spoiled: z.number().int().min(0),
});
export const HouseSettingSchema = z
  .discriminatedUnion('of', [
    /** s */
    KEPT.extend({ of: z.literal('time'), value: z.number() }),
    /** °C on the press’s readout. */
    KEPT.extend({ of: z.literal('temperature'), value: z.number() }),
    KEPT.extend({ of: z.literal('pressure'), value: z.enum(PRESSURE_BANDS) }),
  ])
  .refine(
    ({ of, stage, value }) => {
      const leastS = stage === 'pre-press' || stage === 'finish' ? 0 : 1;
      if (of === 'pressure') return true;
      return of === 'time' ? value >= leastS && value <= 3600 : value >= 20 && value <= 260;
    },
    { path: ['value'], message: 'A time is 1 to 3600 s, a temperature 20 to 260 °C; only a pre-press or a second press may be 0 s.' },
  );
export type HouseSetting = z.infer<typeof HouseSettingSchema>;
/** Settings of one kind. */
export type SettingOf<K extends HouseSetting['of']> = Extract<HouseSetting, { of: K }>;

export const HouseSchema = z.object({
  units: z.object({ temperature: z.enum(['C', 'F']), length: z.enum(['mm', 'in']), linePressure: z.enum(['bar', 'psi']) }),
  rules: HouseRulesSchema,
  figures: z.object({
    /** Width of the operator's own finger, mm. */
    fingerMm: z.number().min(8, 'A finger is at least 8 mm wide.').max(40, 'A finger is at most 40 mm wide.'),
    /** A pre-press by the house's own seconds; 0: none. */
    prePressS: z.number().min(0).max(30, 'A pre-press lasts 30 s at most.'),
    /** A second press by house rule, s. */
    finishS: z.number().min(1, 'A second press lasts a second at least.').max(60, 'A second press lasts a minute at most.'),
    /** What the bump school adds on an unmeasured press, K. */
    bumpK: z.number().min(0).max(20, 'A bump is at most 20 K. For more, measure the press.'),
    /** How far from a single figure of a sheet, by family; what is not in it is as usual. */
    allowances: z.partialRecord(z.enum(FAMILY_IDS), AllowanceSchema).optional(),
  }),
  /** Initials of those who press here. */
  operators: z.array(Initials.min(1, 'Initials cannot be empty.')).max(40),
  room: z.object({
    tempC: z.number().min(-5, 'The room is at least −5 °C.').max(50, 'The room is at most 50 °C.'),
    humidityPercent: z.number().min(0, 'Humidity runs from 0 to 100 %.').max(100, 'Humidity runs from 0 to 100 %.'),
  }),
  /** Position rules as this house has them; what is not in it is as usual. */
  places: HousePlacesSchema.optional(),
  /** One of a kind for each press with each transfer. */
  settings: z.array(HouseSettingSchema).max(500, 'At most 500 settings are kept.').optional(),
  /** What the log had taught of these until then, ms, was asked to be forgotten. */
  forgotten: z
    .array(z.object({ pressId: Id, productId: Id, until: z.number().int().min(0) }))
    .max(500)
    .optional(),
  /** How far its first hour is; absent: nothing was told of it. */
  firstHour: ToldSchema.optional(),
});
export type House = z.infer<typeof HouseSchema>;

/** Where a new shop starts; every one of these can be changed. */
export const STARTING_HOUSE: House = {
  units: { temperature: 'C', length: 'mm', linePressure: 'bar' },
  rules: STARTING_RULES,
  figures: { fingerMm: 18, prePressS: 5, finishS: 5, bumpK: 5 },
  operators: [],
  room: { tempC: 22, humidityPercent: 50 },
};

/** What a setting is kept for. */
export type SettingUse = Pick<HouseSetting, 'pressId' | 'productId' | 'of' | 'stage'>;

const sameUse = (a: SettingUse, b: SettingUse) =>
  a.pressId === b.pressId && a.productId === b.productId && a.of === b.of && a.stage === b.stage;

/** The house's own setting for a press with a transfer. */
export const houseSetting = <K extends HouseSetting['of']>(
  house: Pick<House, 'settings'>,
  use: SettingUse & { of: K },
): SettingOf<K> | null => (house.settings?.find((setting) => sameUse(setting, use)) as SettingOf<K> | undefined) ?? null;

/** The house without a setting. */
export const withoutSetting = (house: House, use: SettingUse): House => ({
  ...house,
  settings: (house.settings ?? []).filter((setting) => !sameUse(setting, use)),
});

/** The house with a setting, in the place of one it had for the same use. */
export function withSetting(house: House, setting: HouseSetting): House {
  const { settings = [], ...rest } = withoutSetting(house, setting);
  return { ...rest, settings: [...settings, setting] };
}
