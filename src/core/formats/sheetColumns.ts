/** Columns of a transfer's sheet: every stage's figures as the sheet writes them, in °C and s, and its settings for groups. */
import { COVER_KINDS, FABRIC_GROUPS, PRESSURE_BANDS, SUBSTRATES } from '../materials';
import { type Figure, figureText, PEELS, type Product, readFigure, SHEET_C, SHEET_S, STAGE_KINDS, type StageKind } from '../sheet';
import type { Column, Draft } from './column';

type Stage = Product['stages'][number];
type Override = Product['overrides'][number];

const LIMITS = { tempC: { kind: 'temperature', unit: 'C', ...SHEET_C }, timeS: { kind: 'duration', unit: 's', ...SHEET_S } } as const;
type FigureField = keyof typeof LIMITS;

/** A figure as it stands in a cell, or what is wrong with it. */
function readCell(field: FigureField, cell: string): Figure | string {
  const { kind, ...limits } = LIMITS[field];
  const read = readFigure(kind, cell, { ...limits, sure: true });
  return read.state === 'ok' ? read.figure : read.message;
}
const cellOf = (field: FigureField, figure: Figure | undefined): string => (figure ? figureText(figure, LIMITS[field].unit) : '');

/** The draft's stage of a kind; one that is not there yet begins like the press stage. */
function stageIn(draft: Draft, kind: StageKind): Stage {
  const there = draft.stages.find((stage: Stage) => stage.kind === kind);
  if (there) return there;
  const { tempC: _, ...press } = draft.stages.find((stage: Stage) => stage.kind === 'press') as Stage;
  const fresh: Stage = { ...press, kind, cover: kind === 'finish' ? 'required' : 'avoid', peel: 'none' };
  draft.stages = [...draft.stages, fresh].sort((a: Stage, b: Stage) => STAGE_KINDS.indexOf(a.kind) - STAGE_KINDS.indexOf(b.kind));
  return fresh;
}

/** What stands before a column of a stage: nothing for the press stage. */
const prefix = (kind: StageKind): string => (kind === 'press' ? '' : `${kind.replace('-', '_')}_`);

function stageColumn(
  kind: StageKind,
  heading: string,
  path: string,
  get: (stage: Stage) => string,
  set: (stage: Stage, cell: string) => string | undefined,
): Column<Product> {
  return {
    heading: `${prefix(kind)}${heading}`,
    path: `${kind}.${path}`,
    get: (doc) => {
      const stage = doc.stages.find((stage) => stage.kind === kind);
      return stage ? get(stage) : '';
    },
    set: (draft, cell) => {
      // an empty cell of a stage that is not there says nothing
      if (cell === '' && !draft.stages.some((stage: Stage) => stage.kind === kind)) return undefined;
      return set(stageIn(draft, kind), cell);
    },
  };
}

/** The value a cell stands for, or what is wrong with it. */
function oneOf<T extends string>(values: readonly T[], cell: string): { is: T } | string {
  const is = values.find((value) => value === cell);
  return is === undefined ? `“${cell}” is not one of ${values.join(', ')}.` : { is };
}

function stageColumns(kind: StageKind): Column<Product>[] {
  const choice = <K extends 'cover' | 'coverKind' | 'peel'>(heading: string, key: K, values: readonly Stage[K][]) =>
    stageColumn(
      kind,
      heading,
      key,
      (stage) => stage[key],
      (stage, cell) => {
        const value = oneOf(values, cell);
        if (typeof value === 'string') return value;
        stage[key] = value.is;
        return undefined;
      },
    );
  const figure = (heading: string, field: FigureField) =>
    stageColumn(
      kind,
      heading,
      field,
      (stage) => cellOf(field, stage[field]),
      (stage, cell) => {
        // a stage may have no heat of its own; that a press and a marry need one its schema says
        if (cell === '' && field === 'tempC') return void delete stage.tempC;
        const read = readCell(field, cell);
        if (typeof read === 'string') return read;
        stage[field] = read;
        return undefined;
      },
    );
  return [
    figure('temp_c', 'tempC'),
    figure('time_s', 'timeS'),
    stageColumn(
      kind,
      'pressure',
      'pressure.asStated',
      ({ pressure }) => pressure.asStated,
      (stage, asStated) => {
        stage.pressure = { ...stage.pressure, asStated };
        return undefined;
      },
    ),
    stageColumn(
      kind,
      'pressure_band',
      'pressure.band',
      ({ pressure }) => pressure.band,
      (stage, cell) => {
        const band = oneOf(PRESSURE_BANDS, cell);
        if (typeof band === 'string') return band;
        stage.pressure = { ...stage.pressure, band: band.is };
        return undefined;
      },
    ),
    choice('peel', 'peel', PEELS),
    choice('cover', 'cover', ['required', 'allowed', 'avoid']),
    choice('cover_kind', 'coverKind', COVER_KINDS),
  ];
}

/** `polyester press temp 132–142, time 6–8; bright colours press temp 150–154` */
const groupsText = (overrides: readonly Override[]): string =>
  overrides
    .map(({ fabricGroup, colourGroup, stage, tempC, timeS, pressure, cover, peel }) => {
      const figures = [
        ...(tempC ? [`temp ${cellOf('tempC', tempC)}`] : []),
        ...(timeS ? [`time ${cellOf('timeS', timeS)}`] : []),
        ...(pressure ? [`pressure ${pressure.band}`] : []),
        ...(cover ? [`cover ${cover}`] : []),
        ...(peel ? [`peel ${peel}`] : []),
      ];
      return `${[fabricGroup, colourGroup && `${colourGroup} colours`].filter(Boolean).join(' in ')} ${stage} ${figures.join(', ')}`;
    })
    .join('; ');

const GROUP = new RegExp(`^(?:(${FABRIC_GROUPS.join('|')})(?: in |(?= )))?(?:(.+?) colours)? ?(${STAGE_KINDS.join('|')}) (.*)$`);

const GROUP_FIGURES = /(temp|time|pressure|cover|peel) (.+?)(?=, (?:temp|time|pressure|cover|peel) |$)/g;

/** Puts one figure of a group where it belongs; in words what is wrong with it. */
function readGroupFigure(override: Draft, name: string, value: string): string | undefined {
  if (name === 'pressure') override.pressure = { asStated: value, band: value };
  else if (name === 'cover' || name === 'peel') override[name] = value;
  else {
    const field = name === 'temp' ? 'tempC' : 'timeS';
    const read = readCell(field, value);
    if (typeof read === 'string') return read;
    override[field] = read;
  }
  return undefined;
}

function readGroup(piece: string): Override | string {
  const [, fabricGroup, colourGroup, stage, figures = ''] = GROUP.exec(piece) ?? [];
  if (!stage || (!fabricGroup && !colourGroup))
    return `“${piece}” does not say for which fabrics or colours, and in which stage, as in “polyester press temp 132–142, time 6–8”.`;
  const override: Draft = { stage, ...(fabricGroup && { fabricGroup }), ...(colourGroup && { colourGroup }) };
  for (const [, name = '', value = ''] of figures.matchAll(GROUP_FIGURES)) {
    const wrong = readGroupFigure(override, name, value);
    if (wrong !== undefined) return `${piece}: ${wrong}`;
  }
  return override;
}

function readGroups(cell: string): Override[] | string {
  const found: Override[] = [];
  for (const piece of cell.split(';').map((word) => word.trim())) {
    if (piece === '') continue;
    const read = readGroup(piece);
    if (typeof read === 'string') return read;
    found.push(read);
  }
  return found;
}

const groups: Column<Product> = {
  heading: 'settings_for_groups',
  path: 'overrides',
  get: ({ overrides }) => groupsText(overrides),
  set: (draft, cell) => {
    const read = readGroups(cell);
    if (typeof read === 'string') return read;
    draft.overrides = read;
    return undefined;
  },
};

/** `pine = plain, gold = metallic`; a colour without a group is a group of its own. */
const colours: Column<Product> = {
  heading: 'colours',
  path: 'colours',
  get: (doc) => doc.colours.map(({ name, group }) => (name === group ? name : `${name} = ${group}`)).join(', '),
  set: (draft, cell) => {
    draft.colours = cell
      .split(',')
      .filter((part) => part.trim() !== '')
      .map((part) => {
        const [name = '', group = name] = part.split('=').map((half) => half.trim());
        return { name, group };
      });
    return undefined;
  },
};

/** Materials it goes on, and those it never holds on: `cloth; wood`. */
const materials = (heading: string, key: 'substrates' | 'never'): Column<Product> => ({
  heading,
  path: key,
  get: (doc) => (doc[key] ?? []).join('; '),
  set: (draft, cell) => {
    const named = cell
      .split(';')
      .map((word) => word.trim())
      .filter(Boolean);
    const unknown = named.find((word) => !(SUBSTRATES as readonly string[]).includes(word));
    if (unknown) return `“${unknown}” is no material. Known are ${SUBSTRATES.join(', ')}.`;
    // an empty cell leaves what the family says
    if (named.length > 0 || key in draft) draft[key] = named;
    return undefined;
  },
});

/** The press stage first, then the others in the order they are done. */
export const SHEET_COLUMNS: readonly Column<Product>[] = [
  ...stageColumns('press'),
  ...STAGE_KINDS.filter((kind) => kind !== 'press').flatMap(stageColumns),
  colours,
  groups,
  materials('goes_on', 'substrates'),
  materials('never_on', 'never'),
];
