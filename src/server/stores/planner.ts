/** The plan of an import: every change named and counted before one is made, then all of them in one transaction. */
import { isDeepStrictEqual } from 'node:util';
import { eq, sql } from 'drizzle-orm';
import type { ImportReply } from '../../contract/schemas';
import { Faults, PRESSING_READER } from '../../core/formats';
import type { Amendment, Pressing } from '../../core/log';
import { OlderSheet, type Product, withRevision } from '../../core/sheet';
import { amendments, orders, pressings } from '../db/schema';
import { DOCS, type DocKind, type Docs } from './docTables';
import { type Db, write } from './perShop';
import { addAmendment, addPressing } from './pressings';
import { read, textOf } from './readable';
import { addAll, put, rowColumns } from './versioned';

type Change = ImportReply['changes'][number];
export type What = Change['what'];

/** What a file would do, and how to do it. */
export interface Plan {
  changes: Change[];
  counts: ImportReply['counts'];
  same: number;
  faults: Faults;
  apply: () => void;
}

/** Fields in which two documents differ. */
const fieldsOf = (before: object, after: object): string[] =>
  [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
    (field) => !isDeepStrictEqual((before as Record<string, unknown>)[field], (after as Record<string, unknown>)[field]),
  );

/** Changes told by name; all of them are counted. */
const MOST_NAMED = 200;

interface Stored {
  version: number;
  /** Null: it cannot be read, and what comes in takes its place. */
  doc: Docs[DocKind] | null;
}
type NewRow = { doc: { id: string }; columns: object };

export class Planner {
  readonly faults = new Faults();
  same = 0;
  private readonly changes: Change[] = [];
  private readonly counted = new Map<string, ImportReply['counts'][number]>();
  private readonly writes: (() => unknown)[] = [];
  private readonly stored = new Map<DocKind, Map<string, Stored>>();
  private readonly added = new Map<DocKind, NewRow[]>();
  constructor(private readonly db: Db) {}

  /** Names and counts a change, and notes how it is made. */
  change(change: Change, apply: (() => unknown) | null): void {
    if (this.changes.length < MOST_NAMED) this.changes.push(change);
    const key = `${change.kind} ${change.what}`;
    const count = this.counted.get(key) ?? { kind: change.kind, what: change.what, n: 0 };
    count.n++;
    this.counted.set(key, count);
    if (apply) this.writes.push(apply);
  }

  fault(line: number, field: string, message: string): void {
    this.faults.add({ line, field, message });
  }

  /** Every document of a kind as it is now, read once. */
  private rowsOf(kind: DocKind): Map<string, Stored> {
    const known = this.stored.get(kind);
    if (known) return known;
    const { table, schema } = DOCS[kind];
    const rows = new Map(
      (this.db.select(rowColumns(kind)).from(table).all() as { id: string; version: number; text: string }[]).map(
        ({ id, version, text }) => {
          const result = read<Docs[DocKind]>(schema, text);
          return [id, { version, doc: 'doc' in result ? result.doc : null }];
        },
      ),
    );
    this.stored.set(kind, rows);
    return rows;
  }

  /** Whether a document of a kind is there already. */
  has(kind: DocKind, id: string): boolean {
    return this.rowsOf(kind).has(id);
  }

  /** A document that is there and can be read. */
  storedDoc<K extends DocKind>(kind: K, id: string): Docs[K] | null {
    return (this.rowsOf(kind).get(id)?.doc as Docs[K] | null | undefined) ?? null;
  }

  /** New documents of a kind are written together, where the first of them would have been. */
  private add(kind: DocKind, row: NewRow): void {
    const known = this.added.get(kind);
    if (known) return void known.push(row);
    const rows = [row];
    this.added.set(kind, rows);
    this.writes.push(() => addAll(this.db, kind, rows));
  }

  /** A document with a version: added, changed or as it is. */
  document<K extends DocKind>(kind: K, doc: Docs[K] & { name?: string }, place: number): void {
    const { what: called } = DOCS[kind];
    const row = this.rowsOf(kind).get(doc.id);
    const columns = kind === 'orders' ? { due: (doc as Docs['orders']).due, removedAt: null } : {};
    const change = (what: What, fields: string[]): Change => ({ kind: called, id: doc.id, name: doc.name ?? 'House rules', what, fields });
    if (!row) {
      this.change(change('added', []), null);
      this.add(kind, { doc, columns });
      return;
    }
    let next = doc as Docs[K];
    if (kind === 'products' && row.doc) {
      try {
        next = withRevision(row.doc as Product, doc as unknown as Product) as Docs[K];
      } catch (error) {
        if (!(error instanceof OlderSheet)) throw error;
        this.fault(place, 'sheet_date', error.message);
        return;
      }
    }
    if (isDeepStrictEqual(row.doc, next)) {
      this.same++;
      return;
    }
    this.change(change('changed', row.doc ? fieldsOf(row.doc, next) : ['it could not be read']), () =>
      put(this.db, kind, next, row.version, columns),
    );
  }

  /** An order that is taken off the bench. */
  takenOff(id: string, at: number, name: string): void {
    const row = this.db.select({ removedAt: orders.removedAt }).from(orders).where(eq(orders.id, id)).get();
    if (row?.removedAt) {
      this.same++;
      return;
    }
    this.change({ kind: 'order', id, name, what: 'taken off', fields: [] }, () =>
      this.db
        .update(orders)
        .set({ removedAt: at, version: sql`${orders.version} + 1` })
        .where(eq(orders.id, id))
        .run(),
    );
  }

  /** A pressing: added once, never changed. */
  pressing(doc: Pressing, place: number, hasRun: boolean): void {
    const row = this.db
      .select({ text: textOf(pressings.doc) })
      .from(pressings)
      .where(eq(pressings.id, doc.id))
      .get();
    if (!row) {
      this.change({ kind: 'pressing', id: doc.id, name: `${doc.orderName}, piece ${doc.piece}`, what: 'added', fields: [] }, () =>
        addPressing(this.db, doc, hasRun),
      );
      return;
    }
    const result = read<Pressing>(PRESSING_READER, row.text);
    const known = 'doc' in result ? result.doc : null;
    // a list does not hold the closings and rounds its figures: only what contradicts the record is a fault
    if (known?.outcome !== doc.outcome || known.endedAt !== doc.endedAt || known.productName !== doc.productName)
      this.fault(place, 'pressing', `Pressing ${doc.id} is in the log already and reads otherwise. A pressing is written once.`);
    else this.same++;
  }

  /** A later fact about a pressing: added once. */
  amendment(doc: Amendment, place: number, name: string): void {
    const known = this.db
      .select({ pressingId: amendments.pressingId, to: amendments.to })
      .from(amendments)
      .where(eq(amendments.id, doc.id))
      .get();
    if (known && (known.pressingId !== doc.pressingId || known.to !== doc.to))
      this.fault(place, 'amendments', `Amendment ${doc.id} is in the log already and reads otherwise.`);
    else if (known) this.same++;
    else {
      const what = doc.field === 'standing' && doc.to === 'withdrawn' ? 'withdrawn' : 'changed';
      this.change({ kind: 'pressing', id: doc.pressingId, name, what, fields: [doc.field] }, () => addAmendment(this.db, doc));
    }
  }

  plan(): Plan {
    return {
      changes: this.changes,
      counts: [...this.counted.values()],
      same: this.same,
      faults: this.faults,
      apply: () =>
        write(this.db, () => {
          for (const apply of this.writes) apply();
        }),
    };
  }
}
