/** The end of the day: what is left is told as it is, and a backup is due by what was pressed since the last. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { ownShop, request, send } from '../../test/api';
import { cueOf, factOf, type RunEvent, type RunState } from '../core/run';
import * as backupRoute from '../pages/api/v1/backup';
import * as dayEndRoute from '../pages/api/v1/day-end';
import { shop } from './shop';
import { dayEnd, noteBackup } from './stores/dayEnd';
import { startRun, takeEvent } from './stores/runs';

ownShop();

const HOUR = 3_600_000;

/** Presses a line by its cues until something is so; when that was. */
function pressUntil(isSo: (state: RunState, now: number) => boolean, from: number): number {
  const { db } = shop();
  let opened = startRun(db, 'run-eve', { orderId: 'order-guide-tees', lineId: 'line-guide-m', operator: 'QA' }, from);
  let now = from;
  for (let i = 0; i < 100; i++) {
    if (isSo(opened.state, now)) return now;
    const cue = cueOf(opened.plan, opened.state, now);
    const act = cue.act ?? cue.early;
    if (!act) throw new Error(`no way on from ${cue.verb}`);
    now += 5000;
    opened = takeEvent(db, 'run-eve', { ...factOf(cue, act), id: randomUUID(), at: now } as RunEvent, now);
  }
  throw new Error('it never was so');
}
const cools = ({ active }: RunState, now: number) => active.some(({ phase, dueAt }) => phase === 'cooling' && (dueAt ?? 0) > now);

describe('the end of the day', () => {
  it('tells what lies, cools and waits at a press, and that the press was used', () => {
    const at = new Date().setHours(16, 0, 0, 0);
    const used = (now: number) => dayEnd(shop().db, now).presses.filter(({ isUsed }) => isUsed);
    expect(dayEnd(shop().db, at).runs).toEqual([]);
    expect(used(at)).toEqual([]);
    const now = pressUntil(cools, at);
    const { runs } = dayEnd(shop().db, now);
    expect(runs).toMatchObject([{ runId: 'run-eve', orderId: 'order-guide-tees', left: { waiting: [] } }]);
    const left = runs[0]?.left;
    expect(left?.cooling.flatMap(({ pieces }) => pieces)).toContain(1);
    expect((left?.onPress.length ?? 0) + (left?.cooling.length ?? 0) + (left?.waiting.length ?? 0) + (left?.notBegun ?? 0)).toBe(7);
    expect(used(now)).toMatchObject([{ id: 'press-swing', lastAt: null }]);
    // an hour on it has cooled, and waits for its peel
    expect(dayEnd(shop().db, now + HOUR).runs[0]?.left).toMatchObject({ cooling: [], waiting: expect.arrayContaining([1]) });
    const looked = pressUntil(({ results }) => results.length > 0, now);
    expect(used(looked)).toMatchObject([{ id: 'press-swing', lastAt: looked }]);
    expect(used(looked + 24 * HOUR)).toMatchObject([{ lastAt: null }]);
  });

  it('a backup is due when none was taken, or the last is of another day and something was pressed since', async () => {
    const { db } = shop();
    const now = Date.now();
    expect(dayEnd(db, now).backup).toMatchObject({ at: null, isDue: true });
    // one that is cut off on its way was not taken
    const cut = (await request(backupRoute.GET, '/backup')).body?.getReader();
    await cut?.read();
    await cut?.cancel();
    expect(dayEnd(db, now).backup).toMatchObject({ at: null, isDue: true });
    const reply = await request(backupRoute.GET, '/backup');
    await reply.arrayBuffer();
    const taken = (await send(dayEndRoute.GET, '/day-end')).body.backup;
    expect(taken).toMatchObject({ pressedSince: 0, isDue: false });
    expect(Math.abs(taken.at - now)).toBeLessThan(60_000);
    // a day later with nothing pressed none is due
    expect(dayEnd(db, now + 48 * HOUR).backup.isDue).toBe(false);
    noteBackup(db, now - 365 * 24 * HOUR);
    expect(dayEnd(db, now).backup).toMatchObject({ at: taken.at });
  });

  it('names what is late or due by tomorrow, and nothing else', () => {
    const { db } = shop();
    const now = Date.now();
    const { next } = dayEnd(db, now + 3 * 24 * HOUR);
    const sooner = dayEnd(db, now - 30 * 24 * HOUR).next;
    expect(next.length).toBeGreaterThan(0);
    expect(next.every(({ left }) => left > 0)).toBe(true);
    expect(sooner.length).toBeLessThan(next.length);
  });
});
