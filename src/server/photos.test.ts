/** Photos of pieces, over the endpoints and in a real database. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { ownShop, request, send } from '../../test/api';
import { GET, PUT } from '../pages/api/v1/photos/[id]';
import { shop } from './shop';
import { sweepPhotos } from './stores/photos';
import { startRun, takeEvent } from './stores/runs';

ownShop();

/** A JPEG by its segments alone: each a marker and so many bytes, then the scan. */
const jpeg = (...segments: [marker: number, bytes: number][]): Buffer =>
  Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    ...[...segments, [0xda, 6] as const].map(([marker, bytes]) =>
      Buffer.concat([Buffer.from([0xff, marker, (bytes + 2) >> 8, (bytes + 2) & 0xff]), Buffer.alloc(bytes, 7)]),
    ),
    Buffer.from([0xff, 0xd9]),
  ]);
const PLAIN = jpeg([0xe0, 14], [0xdb, 65]);

const put = (id: string, bytes: Buffer) =>
  send(PUT, `/photos/${id}`, { id }, { method: 'PUT', body: JSON.stringify({ jpeg: bytes.toString('base64') }) });

describe('a photo', () => {
  it('is kept as it came, once, and shown as a picture that may be kept for good', async () => {
    const id = randomUUID();
    expect(await put(id, PLAIN)).toMatchObject({ status: 200, body: { id } });
    expect(await put(id, PLAIN)).toMatchObject({ status: 200 });
    expect(await put(id, jpeg([0xe0, 20]))).toMatchObject({ status: 422, body: { errors: [{ message: 'used for another photo' }] } });
    const shown = await request(GET, `/photos/${id}`, { id });
    expect(shown.headers.get('content-type')).toBe('image/jpeg');
    expect(shown.headers.get('cache-control')).toContain('immutable');
    expect(Buffer.from(await shown.arrayBuffer()).equals(PLAIN)).toBe(true);
    expect(() => shop().sqlite.exec('UPDATE photos SET at = 1')).toThrow(/written once/);
  });

  it('that a step names is never let go; one that nobody names is, after a month', async () => {
    const [named, stray] = [randomUUID(), randomUUID()];
    await put(named, PLAIN);
    await put(stray, PLAIN);
    const { db, sqlite } = shop();
    startRun(db, 'run-photo', { orderId: 'order-crew-tees', lineId: 'line-crew-m', operator: 'QA' }, Date.now());
    takeEvent(db, 'run-photo', { id: randomUUID(), at: Date.now(), kind: 'photographed', piece: 1, photo: named }, Date.now());
    expect(sweepPhotos(db, Date.now() + 20 * 86_400_000)).toBe(0);
    expect(sweepPhotos(db, Date.now() + 31 * 86_400_000)).toBe(1);
    expect((await request(GET, `/photos/${stray}`, { id: stray })).status).toBe(404);
    expect((await request(GET, `/photos/${named}`, { id: named })).status).toBe(200);
    expect(() => sqlite.exec('DELETE FROM photos')).toThrow(/never deleted/);
  });

  it('that hides what the camera wrote behind its first scan, or behind its end, is refused', async () => {
    const segment = (marker: number, bytes: number) =>
      Buffer.concat([Buffer.from([0xff, marker, (bytes + 2) >> 8, (bytes + 2) & 0xff]), Buffer.alloc(bytes, 7)]);
    const body = PLAIN.subarray(0, -2);
    const end = Buffer.from([0xff, 0xd9]);
    // a picture of two scans, with stuffed bytes and a restart in its data
    const scans = Buffer.concat([
      body,
      Buffer.from([1, 0xff, 0, 2, 0xff, 0xd3, 5]),
      segment(0xc4, 30),
      segment(0xda, 6),
      Buffer.from([9]),
      end,
    ]);
    expect((await put(randomUUID(), scans)).status).toBe(200);
    expect((await put(randomUUID(), Buffer.concat([body, Buffer.from([1, 2]), segment(0xe1, 200), end]))).status).toBe(422);
    expect((await put(randomUUID(), Buffer.concat([PLAIN, Buffer.from('lat 48.1, lon 11.6')]))).status).toBe(422);
  });

  it('that still tells where it was taken, or is none, is refused by the field’s name', async () => {
    // camera's own, a news desk's, a comment
    for (const marker of [0xe1, 0xed, 0xfe]) expect((await put(randomUUID(), jpeg([0xe0, 14], [marker, 200]))).status).toBe(422);
    expect((await put(randomUUID(), jpeg([0xe0, 14], [0xe2, 200], [0xee, 12]))).status).toBe(200);
    const where = await put(randomUUID(), jpeg([0xe0, 14], [0xe1, 200]));
    expect(where).toMatchObject({
      status: 422,
      body: { errors: [{ field: 'jpeg', message: expect.stringContaining('its place perhaps') }] },
    });
    for (const bad of [Buffer.from('GIF89a, no JPEG'), Buffer.alloc(0), PLAIN.subarray(0, 30), Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 0])])
      expect((await put(randomUUID(), bad)).status).toBe(422);
    expect((await send(PUT, '/photos/7', { id: '7' }, { method: 'PUT', body: '{"jpeg":"####"}' })).status).toBe(422);
  });

  it('nobody kept is not found', async () => {
    const id = randomUUID();
    expect((await request(GET, `/photos/${id}`, { id })).status).toBe(404);
  });
});
