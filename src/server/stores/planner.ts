/** The plan of an import: every change named before one is made, then all of them in one transaction. */
import { isDeepStrictEqual } from 'node:util';
import { eq } from 'drizzle-orm';
import type { ImportReply } from '../../contract/schemas';
import { type LineFault, readPressing } from '../../core/formats';
import type { Pressing } from '../../core/log';
import { OlderSheet, type Product, withRevision } from '../../core/materials';
import { orders, pressings } from '../db/schema';
import { DOCS, type DocKind } from './docTables';
import { addPressing } from './pressings';
import { addAll, type Db, put } from './versioned';

type Change = ImportReply['changes'][number];

/** What a file would do, and how to do it. */
export interface Plan {
  changes: Change[];
  same: number;
  faults: LineFault[];
  apply: () => void;
}

const NAMED: Record<DocKind | 'orders', string> = {
  fabrics: 'fabric',
  blanks: 'blank',
  products: 'transfer',
  aids: 'cover or pad',
  presses: 'press',
  orders: 'order',
};

/** Fields in which two documents differ. */
export const fieldsOf = (before: object, after: object): string[] =>
  [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
    (field) => !isDeepStrictEqual((before as Record<string, unknown>)[field], (after as Record<string, unknown>)[field]),
  );

type Table = (typeof DOCS)[DocKind] | typeof orders;
type Row = { doc: { id: string }; version: number };
type NewRow = { doc: { id: string }; columns: object };

export class Planner {
  readonly changes: Change[] = [];
  readonly faults: LineFault[] = [];
  readonly writes: (() => unknown)[] = [];
  same = 0;
  private readonly known = new Map<Table, Map<string, Row>>();
  private readonly added = new Map<Table, NewRow[]>();
  constructor(private readonly db: Db) {}

  /** Every document of a table as it is now, read once. */
  private rowsOf(table: Table): Map<string, Row> {
    const read = this.known.get(table);
    if (read) return read;
    const rows = new Map((this.db.select().from(table).all() as Row[]).map((row) => [row.doc.id, row]));
    this.known.set(table, rows);
    return rows;
  }

  /** New documents of a table are written together, where the first of them would have been. */
  private add(table: Table, row: NewRow, what: string): void {
    const known = this.added.get(table);
    if (known) return void known.push(row);
    const rows = [row];
    this.added.set(table, rows);
    this.writes.push(() => addAll(this.db, table, rows, what));
  }

  /** A document with a version: added, changed or as it is. */
  document(kind: DocKind | 'orders', doc: { id: string; name: string }, place: number): void {
    const table = kind === 'orders' ? orders : DOCS[kind];
    const row = this.rowsOf(table).get(doc.id);
    const columns = kind === 'orders' ? { due: (doc as unknown as { due: string }).due, removedAt: null } : {};
    const change = (what: Change['what'], fields: string[]): Change => ({ kind: NAMED[kind], id: doc.id, name: doc.name, what, fields });
    if (!row) {
      this.changes.push(change('added', []));
      this.add(table, { doc, columns }, NAMED[kind]);
      return;
    }
    let next = doc;
    if (kind === 'products') {
      try {
        next = withRevision(row.doc as Product, doc as unknown as Product);
      } catch (error) {
        if (!(error instanceof OlderSheet)) throw error;
        this.faults.push({ line: place, field: 'sheet_date', message: error.message });
        return;
      }
    }
    if (isDeepStrictEqual(row.doc, next)) {
      this.same++;
      return;
    }
    this.changes.push(change('changed', fieldsOf(row.doc, next)));
    this.writes.push(() => put(this.db, table, next, row.version, NAMED[kind], columns));
  }

  /** A pressing: added once, never changed. */
  pressing(doc: Pressing, place: number, runsHere: ReadonlySet<string>): void {
    const row = this.db.select({ doc: pressings.doc }).from(pressings).where(eq(pressings.id, doc.id)).get();
    if (!row) {
      this.changes.push({ kind: 'pressing', id: doc.id, name: `${doc.orderName}, piece ${doc.piece}`, what: 'added', fields: [] });
      this.writes.push(() => addPressing(this.db, doc, runsHere.has(doc.runId)));
      return;
    }
    const known = readPressing(row.doc);
    // a list does not hold the closings and rounds its figures: only what contradicts the record is a fault
    if (known.outcome !== doc.outcome || known.endedAt !== doc.endedAt || known.productName !== doc.productName)
      this.faults.push({
        line: place,
        field: 'pressing',
        message: `Pressing ${doc.id} is in the log already and reads otherwise. A pressing is written once.`,
      });
    else this.same++;
  }

  plan(): Plan {
    return {
      changes: this.changes,
      same: this.same,
      faults: this.faults.sort((a, b) => a.line - b.line),
      apply: () =>
        this.db.transaction(
          () => {
            for (const write of this.writes) write();
          },
          { behavior: 'immediate' },
        ),
    };
  }
}
