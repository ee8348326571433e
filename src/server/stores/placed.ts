/** Where prints came to lie, measured after pressing: kept as amendments, read together as habits. */
import { eq } from 'drizzle-orm';
import { type OffPlace, offPlaceText, type PlacementBias, placementBias, readOffPlace } from '../../core/log';
import { amendments, pressings } from '../db/schema';
import { notFound } from '../refusal';
import { addAmendment, findPressing, type Logged } from './pressings';
import type { Db } from './versioned';

/** Notes where a print lies; the same note sent twice is one. @throws {Refusal} 404 no such pressing */
export function notePlaced(db: Db, pressingId: string, id: string, { by, ...off }: OffPlace & { by: string }): Logged {
  const pressing = findPressing(db, pressingId);
  if (!pressing) throw notFound('pressing', pressingId);
  const before = pressing.amendments.filter((amendment) => amendment.field === 'placement').at(-1);
  const why = 'measured after pressing';
  addAmendment(db, { id, pressingId, field: 'placement', from: before?.to ?? '', to: offPlaceText(off), by, why, at: Date.now() });
  return findPressing(db, pressingId) ?? pressing;
}

/** The last measure of every pressing that was measured and still counts, by who pressed it and where. */
export function placementBiases(db: Db): PlacementBias[] {
  const rows = db
    .select({ pressing: pressings.doc, later: amendments.doc })
    .from(amendments)
    .innerJoin(pressings, eq(pressings.id, amendments.pressingId))
    .orderBy(amendments.at)
    .all();
  const withdrawn = new Set<string>();
  const last = new Map<string, { operator: string; position: string } & OffPlace>();
  for (const { pressing, later } of rows) {
    const { operator, position } = pressing;
    const off = later.field === 'placement' ? readOffPlace(later.to) : null;
    if (off) last.set(later.pressingId, { operator, position, ...off });
    if (later.field === 'standing') {
      if (later.to === 'withdrawn') withdrawn.add(later.pressingId);
      else withdrawn.delete(later.pressingId);
    }
  }
  return placementBias([...last].filter(([id]) => !withdrawn.has(id)).map(([, one]) => one));
}
