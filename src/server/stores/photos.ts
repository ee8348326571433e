/** Photos of pieces: small JPEGs by id, written once. What a camera writes beside the picture, its place above all, is not taken. */
import { eq, sql } from 'drizzle-orm';
import { photos } from '../db/schema';
import { notFound, Refusal } from '../refusal';
import type { Db } from './perShop';

/** Segments of applications, 0xe0 to 0xef; of them only those a picture is drawn by: its frame (JFIF), colours (ICC) and their transform. */
const isApplication = (marker: number): boolean => marker >= 0xe0 && marker <= 0xef;
const DRAWN_BY: readonly number[] = [0xe0, 0xe2, 0xee];
const COMMENT = 0xfe;
const START_OF_SCAN = 0xda;

const isRestart = (marker: number): boolean => marker >= 0xd0 && marker <= 0xd7;
const END_OF_IMAGE = 0xd9;

/** Where the picture's own data after a scan ends: at the next marker that is no restart. */
function endOfScan(bytes: Buffer, from: number): number {
  let at = from;
  while (at + 1 < bytes.length && !(bytes[at] === 0xff && bytes[at + 1] !== 0 && !isRestart(bytes[at + 1] ?? 0))) at++;
  return at;
}

/** Markers of all of a JPEG's segments, to its end, after which nothing may follow; null: it is no JPEG. @see ITU-T T.81 annex B */
function markersOf(bytes: Buffer): number[] | null {
  if (bytes.length < 4 || bytes.readUInt16BE(0) !== 0xffd8) return null;
  const markers: number[] = [];
  for (let at = 2; at + 2 <= bytes.length; ) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1] ?? 0;
    if (marker === END_OF_IMAGE) return at + 2 === bytes.length ? markers : null;
    if (at + 4 > bytes.length) return null;
    markers.push(marker);
    at += 2 + bytes.readUInt16BE(at + 2);
    if (marker === START_OF_SCAN) at = endOfScan(bytes, at);
  }
  return null;
}

const refused = (message: string) => new Refusal('not valid', 'Not valid', message, [{ field: 'jpeg', message }]);

/** @throws {Refusal} 422 no JPEG, one that still has metadata, or an id that was used for another */
export function putPhoto(db: Db, id: string, jpeg: Buffer, now: number): void {
  const markers = markersOf(jpeg);
  if (!markers?.includes(START_OF_SCAN)) throw refused('This is no whole JPEG picture, or something hangs on behind it.');
  if (markers.some((marker) => marker === COMMENT || (isApplication(marker) && !DRAWN_BY.includes(marker))))
    throw refused('This picture still holds what the camera wrote beside it, its place perhaps: take that off first.');
  const known = db.select({ jpeg: photos.jpeg }).from(photos).where(eq(photos.id, id)).get();
  if (known && !known.jpeg.equals(jpeg))
    throw new Refusal('not valid', 'Not valid', 'This id was used for another photo.', [
      { field: 'id', message: 'used for another photo' },
    ]);
  if (!known) db.insert(photos).values({ id, at: now, jpeg }).run();
}

/** @throws {Refusal} 404 */
export function readPhoto(db: Db, id: string): Buffer {
  const row = db.select({ jpeg: photos.jpeg }).from(photos).where(eq(photos.id, id)).get();
  if (!row) throw notFound('photo', id);
  return row.jpeg;
}

/** A photo and the step that names it come apart; one that no step names by then is nobody's. */
const NAMED_WITHIN_MS = 30 * 86_400_000;

/** As the index of the migration has it. */
const PHOTO_OF_STEP = sql.raw("CASE WHEN json_valid(run_events.doc) THEN json_extract(run_events.doc, '$.photo') END");

/** Lets go of photos that no step names. @returns how many */
export const sweepPhotos = (db: Db, now: number): number =>
  db
    .delete(photos)
    .where(sql`${photos.at} < ${now - NAMED_WITHIN_MS} AND NOT EXISTS (SELECT 1 FROM run_events WHERE ${PHOTO_OF_STEP} = ${photos.id})`)
    .run().changes;
