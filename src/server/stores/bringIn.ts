/** A file brought into the shop, in a thread and with a connection of its own: read, planned, and if it is so wanted done, all of it or none. */

import type { ImportReply } from '../../contract/schemas';
import { NotAShop, type Progress } from '../../core/formats';
import type { ShelfKind } from '../../core/sheet';
import { migrationsFolder } from '../app';
import { openShop } from '../db';
import { Refusal } from '../refusal';
import type { ImportJob } from '../work/task';
import type { Db } from './perShop';
import type { Plan } from './planner';
import { planCsv, planJson, planPressingsCsv } from './shopImport';

/** Another program that is writing is waited for so long, ms: a worker may wait. */
const WAITS_MS = 10_000;

/** The text of a file: UTF-8 where it is that, else as older spreadsheets of the west write it. */
function textOfFile(bytes: Uint8Array): { text: string; notes: string[] } {
  const marked16 = (bytes[0] === 0xff && bytes[1] === 0xfe) || (bytes[0] === 0xfe && bytes[1] === 0xff);
  if (marked16) return { text: new TextDecoder(bytes[0] === 0xff ? 'utf-16le' : 'utf-16be').decode(bytes), notes: [] };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), notes: [] };
  } catch {
    return {
      text: new TextDecoder('windows-1252').decode(bytes),
      notes: ['This file is not in UTF-8; it was read as Windows-1252 (Latin-1). Look at its names: are letters with accents right?'],
    };
  }
}

function planOf(db: Db, { kind, json }: ImportJob, text: string, tell: (progress: Progress) => void): Plan {
  if (json) return planJson(db, text);
  if (kind === 'shop')
    throw new Refusal('wrong format', 'Not a shop', 'A whole shop comes in as JSON. For a CSV say what its rows are.', [
      { field: 'kind', message: 'a CSV is of one kind' },
    ]);
  const reading = kind === 'pressings' ? planPressingsCsv(db, text) : planCsv(db, kind as ShelfKind, text);
  for (;;) {
    const step = reading.next();
    if (step.done) return step.value;
    tell(step.value);
  }
}

/** @throws {Refusal} 422 the file as a whole is none of ours; 415 a CSV that does not say what its rows are */
export async function bringIn(path: string, job: ImportJob, tell: (progress: Progress) => void): Promise<ImportReply> {
  const { db, sqlite } = openShop(path, migrationsFolder());
  try {
    sqlite.pragma(`busy_timeout = ${WAITS_MS}`);
    const { text, notes } = textOfFile(job.bytes);
    const { changes, counts, same, faults, apply } = planOf(db, job, text, tell);
    const applied = job.apply && faults.count === 0;
    if (applied) apply();
    return { changes, counts, same, faults: faults.list, faultCount: faults.count, notes, applied };
  } catch (error) {
    if (error instanceof NotAShop) throw new Refusal('not valid', 'Not a shop', error.message, [{ field: 'file', message: error.message }]);
    throw error;
  } finally {
    sqlite.close();
  }
}
