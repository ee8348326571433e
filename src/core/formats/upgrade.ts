/** Documents of a shop from before layers, hard goods and schools, brought to today's shape. */
import { STARTING_HOUSE } from '../house';
import { FAMILIES, type FamilyId, productFromFamily } from '../sheet';
import { FIRST_PRINT } from './cardV1';

/** Raised when stored documents of the shelf, presses, house or orders change shape. */
export const DOCUMENT_VERSION = 3;

// biome-ignore lint/suspicious/noExplicitAny: documents of an older shape, read by the names they then had
type Old = Record<string, any>;

function fabric(old: Old): Old {
  const fibre = (old.composition as Old[])[0]?.fibre as string;
  const single = (old.composition as Old[]).length === 1;
  const substrate = single && fibre === 'leather' ? 'leather' : single && fibre === 'pu-leather' ? 'leather-look' : 'cloth';
  return { ...old, substrate, clear: false, ...(substrate === 'leather' && { leather: { undyed: false, tanning: 'unknown' } }) };
}

const blank = (old: Old): Old => ({
  ...old,
  thicknessSpreadMm: 0,
  obstructions: [],
  lined: false,
  printable: 'outside',
  lookedAt: 'the printed side',
  duty: 'laundered',
  notices: [],
  testPieces: [],
});

function product(old: Old): Old {
  const { press, finish, peel, cover, faceDown, mirroredBySupplier, forCoated, base, stretches, ...rest } = old;
  const { id: _, name: __, maker: ___, stages: ____, ...general } = productFromFamily(FAMILIES[old.familyId as FamilyId], '2000-01-01');
  const stage = (kind: string, own: Old) => ({ ...own, kind, coverKind: kind === 'finish' ? 'paper' : 'ptfe', timer: 1 });
  return {
    ...general,
    ...rest,
    base,
    stretches,
    facing: faceDown ? 'face down' : 'face up',
    mirroring: mirroredBySupplier ? 'by the supplier' : 'in the art',
    madeFor: forCoated ? ['water-repellent', 'silicone', 'back-coated'] : [],
    stages: [
      stage('press', { ...press, cover, peel }),
      ...(finish ? [stage('finish', { ...press, timeS: finish.timeS, cover: 'required', peel: 'none' })] : []),
    ],
  };
}

const press = ({ lowerHeated, ...old }: Old): Old => ({
  ...old,
  swapPlatens: [],
  lower: lowerHeated ? { minC: old.set.minC, maxC: old.set.maxC, offsetK: 0, spreadK: 8 } : null,
  timers: 1,
  opensItself: false,
});

const house = (old: Old): Old => ({
  ...STARTING_HOUSE,
  ...old,
  rules: { ...STARTING_HOUSE.rules, ...old.rules },
  figures: STARTING_HOUSE.figures,
  operators: [],
});

const order = (old: Old): Old => ({
  ...old,
  lines: (old.lines as Old[]).map(({ print: { productId, ...print }, pressId, ...line }) => ({
    ...line,
    prints: [
      {
        ...print,
        key: FIRST_PRINT,
        artKind: 'few flat colours',
        layers: [{ key: 'a', productId, over: [] }],
        embossed: false,
        looseParts: false,
        smallType: false,
        crossesSeam: false,
        pressId,
      },
    ],
    roster: [],
    perClosing: 1,
  })),
});

/** Kinds of documents that have changed shape since the first version. */
export const UPGRADED = ['fabrics', 'blanks', 'products', 'presses', 'house', 'orders'] as const;
type Upgraded = (typeof UPGRADED)[number];
type Upgrades = Readonly<Partial<Record<Upgraded, (old: Old) => Old>>>;

/** What brings each kind of document from version 1 to 2. */
const UPGRADES_TO_2: Upgrades = {
  fabrics: fabric,
  blanks: blank,
  products: product,
  presses: press,
  house,
  orders: order,
};

/** A range of before figures were kept as written; its nominal was the figure to begin with. */
const asWritten = ({ min, max, nominal }: Old): Old => ({ form: 'range', min, max, ...(nominal !== undefined && { start: nominal }) });
const writtenFigures = (old: Old): Old => ({
  ...old,
  ...(old.tempC && { tempC: asWritten(old.tempC) }),
  ...(old.timeS && { timeS: asWritten(old.timeS) }),
});
const writtenSheet = (sheet: Old): Old => ({
  ...sheet,
  stages: (sheet.stages as Old[]).map(writtenFigures),
  overrides: (sheet.overrides as Old[]).map(writtenFigures),
  alternatives: (sheet.alternatives as Old[]).map((way) => ({ ...way, changes: (way.changes as Old[]).map(writtenFigures) })),
});

/** What brings each kind of document from version 2 to 3. */
const UPGRADES_TO_3: Upgrades = {
  products: (old) => ({
    ...writtenSheet(old),
    earlier: (old.earlier as Old[]).map(writtenSheet),
    secondPress: FAMILIES[old.familyId as FamilyId].secondPress,
  }),
  house: (old) => {
    const { prePress } = old.rules as Old;
    return {
      ...old,
      rules: { ...old.rules, prePress: prePress === 'computed' ? prePress : 'seconds' },
      figures: { ...STARTING_HOUSE.figures, ...old.figures, prePressS: prePress === 'long' ? 10 : 5 },
    };
  },
};

/** A document of an older version in today's shape; it still goes through its schema. @throws it lacks what all of that version had */
export function upgraded(kind: Upgraded, version: number, old: Old): Old {
  const second = version < 2 ? (UPGRADES_TO_2[kind]?.(old) ?? old) : old;
  return version < 3 ? (UPGRADES_TO_3[kind]?.(second) ?? second) : second;
}
