/** As many pressings as a shop has after years, straight into its database. */
import type { Database } from 'better-sqlite3';
import { SPOIL_REASONS } from '../src/core/run';

const pick = <T>(all: readonly T[], n: number): T => all[n % all.length] as T;
const BLANKS = ['guide tee', 'crew tee', 'canvas tote', 'observer cap', 'wooden tag', 'wall tile'];
const PRODUCTS = [
  'Wren Stretch',
  'Dunlin Solid',
  'Curlew Two-Sheet',
  'Heron Hot Split',
  'Kittiwake Clear',
  'Tern Full Colour',
  'Marl Rise',
];
const FABRICS = ['heather jersey', 'cotton jersey', 'fleece', 'glass', 'basswood'];
const PRESSES = ['Swing-away', 'Old clamshell', 'Cap press'];

/**
 * Writes pressings from one number to another, a few of them spoiled, a few with a note.
 *
 * @param cardHash of a card that is there
 */
export function fillPressings(sqlite: Database, from: number, to: number, cardHash = 'a'.repeat(64)): void {
  const insert = sqlite.prepare(
    'INSERT INTO pressings (id, order_id, line_id, print_key, outcome, fabric, product, press, ended_at, words, doc) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
  );

  sqlite.transaction(() => {
    for (let i = from; i < to; i++) {
      const id = `00000000-0000-4000-8000-${i.toString(16).padStart(12, '0')}`;
      const spoiled = i % 17 === 0;
      const [blankName, productName, fabricName, pressName] = [
        pick(BLANKS, i * 7),
        pick(PRODUCTS, i * 5 + (i >> 4)),
        pick(FABRICS, i * 3),
        pick(PRESSES, i >> 3),
      ];
      const orderName = `Order ${i >> 4} of night ${(i >> 9) % 900}`;
      const note = i % 1013 === 0 ? 'sat low beside the seam' : '';
      const reason = spoiled ? pick(SPOIL_REASONS, i) : null;
      const endedAt = 1_700_000_000_000 + i * 41_000;
      const doc = {
        ...{
          id,
          runId: `run-${i >> 3}`,
          orderId: `order-${i >> 4}`,
          orderName,
          lineId: 'line',
          printKey: 'a',
          piece: i % 16,
          person: null,
          cardHash,
        },
        ...{
          blankName,
          fabricName,
          size: 'M',
          productName,
          layerNames: [productName],
          pressName,
          position: 'full front',
          artName: 'star',
          setC: 140,
          lowerC: null,
          timeS: 9,
        },
        ...{
          pressureBand: 'medium',
          peel: 'warm',
          pressedS: 9.2,
          closings: [],
          outcome: spoiled ? 'spoiled' : 'good',
          reason,
          laidBack: 0,
          note,
          operator: 'QA',
        },
        ...{ roomC: 21, humidityPercent: 45, startedAt: endedAt - 60_000, endedAt },
      };
      const words = ` ${[orderName, blankName, fabricName, 'm', productName, pressName, doc.outcome, reason ?? '', note]
        .join(' ')
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, ' ')} `;
      insert.run(id, doc.orderId, 'line', 'a', doc.outcome, fabricName, productName, pressName, endedAt, words, JSON.stringify(doc));
    }
  })();
}
