/** What can be done, as people would ask for it: acts of the app, acts at each press, where each setting of the house stands, and what a word means. */
import { SCHOOLS } from '../house';
import type { Press } from '../press';
import { WORD_IDS, wordOf } from '../words';
import { type Findable, findable } from './entry';

const ACTS: readonly (readonly [title: string, href: string, also: string])[] = [
  ['New order', '/orders#new', 'start add job'],
  ['End of the day', '/day-end', 'close shop switch off left over'],
  ['Which transfer for this blank?', '/shelf/which', 'choose compare best'],
  ['Transfers on fabrics', '/shelf/matrix', 'table chart compatible'],
  ['Compare heat, time and pressure on the heat bench', '/heat-bench', 'simulate try model curve'],
  ['Practice', '/heat-bench?practice=1', 'learn train exercise'],
  ['Add a press', '/presses?new=1', 'new machine'],
  ['Add a transfer', '/shelf?kind=products', 'new product paper vinyl film'],
  ['Add a fabric', '/shelf/fabrics/new', 'new cloth material'],
  ['Add a blank', '/shelf/blanks/new', 'new shirt garment hat mug'],
  ['Add a parcel of transfers', '/shelf/parcels/new', 'new delivery stock arrived'],
  ['Add a tested setting', '/shelf/tested/new', 'new test wash'],
  ['Export or import the shelf', '/shelf', 'csv json file list spreadsheet'],
  ['Export the log', '/log', 'csv json file list spreadsheet history'],
  ['Spoiled pieces', '/log?q=spoiled', 'waste faults failed errors'],
  ['First hour, step by step', '/first-hour', 'begin set up start welcome'],
  ['Words and what they mean', '/words', 'glossary dictionary explain'],
  ['Make a backup', '/house#backup', 'save copy restore'],
];

const AT_A_PRESS: readonly (readonly [verb: string, view: string, also: string])[] = [
  ['Survey', '/presses/ID/survey', 'measure calibrate temperature map cold spot platen probe strips'],
  ['Quick check', '/presses?on=ID&check=1', 'measure temperature thermometer'],
  ['Pressure', '/presses?on=ID&view=Pressure', 'gauge dial air psi bar paper pull'],
  ['Warm-up', '/presses?on=ID&view=Warm-up', 'heating time ready'],
  ['Change', '/presses?on=ID&view=Facts', 'edit settings platen size'],
];

const SETTINGS: readonly (readonly [title: string, anchor: string, also: string])[] = [
  ['Units', 'units', 'celsius fahrenheit °c °f inch mm psi bar temperature length pressure'],
  ['Room temperature and humidity', 'units', 'climate damp weather'],
  ['Who presses here', 'people', 'initials operators staff names'],
  ['Pre-press, second press and the bump', 'people', 'seconds finger width'],
  ['Round a single figure of a sheet', 'allowances', 'tolerance'],
  ['Where prints go', 'places', 'placement position chest collar rules'],
  ['Install on this device', 'this-device', 'app icon home screen phone'],
  ['Light or dark', 'this-device', 'theme night colour contrast look'],
];

/** Everything that can be done or set, as things to be found. */
export const actEntries = (presses: readonly Pick<Press, 'id' | 'name'>[]): Findable[] => [
  ...ACTS.map(([title, href, also]) => findable('acts', href + title, { title, href, also })),
  ...presses.flatMap(({ id, name }) =>
    AT_A_PRESS.map(([verb, view, also]) =>
      findable('acts', `${verb} ${id}`, {
        title: `${verb}: ${name}`,
        detail: 'at the press',
        href: view.replace('ID', encodeURIComponent(id)),
        also,
      }),
    ),
  ),
  ...SETTINGS.map(([title, anchor, also]) => findable('settings', title, { title, href: `/house#${anchor}`, also })),
  ...WORD_IDS.map((id) => {
    const { word, means, also = '' } = wordOf(id);
    return findable('words', id, { title: word, detail: means.split('.')[0] ?? means, href: `/words#${id}`, also, weight: 0.5 });
  }),
  ...SCHOOLS.map(({ rule, question, answers }) =>
    findable('settings', rule, { title: question, href: `/house#rule-${rule}`, also: answers.map(({ text }) => text).join(' ') }),
  ),
];
