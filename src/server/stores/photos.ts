/** Photos of pieces: small JPEGs by id, written once. What a camera writes beside the picture, its place above all, is not taken. */
import { eq } from 'drizzle-orm';
import { photos } from '../db/schema';
import { notFound, Refusal } from '../http/problem';
import type { Db } from './versioned';

/** Segments of applications, 0xe0 to 0xef; of them only those a picture is drawn by: its frame (JFIF), colours (ICC) and their transform. */
const isApplication = (marker: number): boolean => marker >= 0xe0 && marker <= 0xef;
const DRAWN_BY: readonly number[] = [0xe0, 0xe2, 0xee];
const COMMENT = 0xfe;
const START_OF_SCAN = 0xda;

/** Markers of a JPEG's segments up to the picture itself; null: it is no JPEG. @see ITU-T T.81 annex B */
function markersOf(bytes: Buffer): number[] | null {
  if (bytes.length < 4 || bytes.readUInt16BE(0) !== 0xffd8) return null;
  const markers: number[] = [];
  for (let at = 2; at + 4 <= bytes.length; at += 2 + bytes.readUInt16BE(at + 2)) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1] ?? 0;
    markers.push(marker);
    if (marker === START_OF_SCAN) return markers;
  }
  return null;
}

const refused = (message: string) => new Refusal(422, 'Not valid', message, [{ field: 'jpeg', message }]);

/** @throws {Refusal} 422 no JPEG, or one that still has metadata */
export function putPhoto(db: Db, id: string, jpeg: Buffer, now: number): void {
  const markers = markersOf(jpeg);
  if (!markers) throw refused('This is no JPEG picture.');
  if (markers.some((marker) => marker === COMMENT || (isApplication(marker) && !DRAWN_BY.includes(marker))))
    throw refused('This picture still holds what the camera wrote beside it, its place perhaps: take that off first.');
  db.insert(photos).values({ id, at: now, jpeg }).onConflictDoNothing().run();
}

/** @throws {Refusal} 404 */
export function readPhoto(db: Db, id: string): Buffer {
  const row = db.select({ jpeg: photos.jpeg }).from(photos).where(eq(photos.id, id)).get();
  if (!row) throw notFound('photo', id);
  return row.jpeg;
}
