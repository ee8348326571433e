/** A run that follows another at the same press, over the demo shop: what it takes over, and what is looked at anew. */
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { beforeEach, describe, expect, it } from 'vitest';
import { cueOf, FOLLOWS_MS, factOf, gateOf, leadIn, type RunEvent, type RunFact } from '../../core/run';
import { openShop, type Shop } from '../db';
import { loadDemoShop } from './demoShop';
import { openRun } from './openedRun';
import { findOrder, putOrder } from './orders';
import { startRun, takeEvent } from './runs';

/** Nine in the morning of the day the test runs: what was measured long ago is known less well. */
const TODAY = new Date(new Date().setHours(9, 0, 0, 0));
const START = TODAY.getTime();
let shop: Shop;
beforeEach(() => {
  shop = openShop(':memory:', 'drizzle');
  loadDemoShop(shop.db, join(process.cwd(), 'demo'), TODAY);
});

const start = (id: string, lineId: string, at: number, orderId = 'order-guide-tees') =>
  startRun(shop.db, id, { orderId, lineId, operator: 'MB' }, at);

/** Goes by the cues of a run until it is over, after what is named first; answers when that was. */
function pressOut(id: string, at: number, ...first: RunFact[]): number {
  let now = at;
  const happen = (fact: RunFact) => takeEvent(shop.db, id, { ...fact, id: randomUUID(), at: now } as RunEvent, now);
  for (const fact of first) happen(fact);
  for (let opened = openRun(shop.db, id); !opened.state.done; opened = openRun(shop.db, id)) {
    const cue = cueOf(opened.plan, opened.state, now);
    now = cue.act ? now + 1000 : (cue.dueAt ?? now);
    if (cue.act) happen(factOf(cue, cue.act));
  }
  return now;
}
const looked = (...checks: string[]): RunFact[] => checks.map((check) => ({ kind: 'checked', check }));
const ALL = ['parcel', 'heat', 'pressure', 'base', 'warm', 'cover', 'mirror', 'tab', 'blank'];
const asked = (id: string) => {
  const opened = openRun(shop.db, id);
  return gateOf(opened.card, { pieces: opened.run.pieces, holding: opened.run.holds }).flatMap(({ key, holds }) => (holds ? [] : [key]));
};

describe('the next size of a print', () => {
  it('finds the set-up as it was left: only the transfers and the blanks are looked at again', () => {
    start('run-m', 'line-guide-m', START);
    const end = pressOut('run-m', START, ...looked(...ALL));
    start('run-l', 'line-guide-l', end + 60_000);
    expect(asked('run-m')).toEqual(expect.arrayContaining(['heat', 'warm', 'mirror']));
    expect(asked('run-l')).toEqual(['parcel', 'blank']);
    // and a third, from one that was itself not asked
    const { doc, version } = findOrder(shop.db, 'order-guide-tees');
    const third = doc.lines.map((line) => ({ ...line, id: `${line.id}-3`, size: 'XL' }));
    putOrder(shop.db, { ...doc, lines: [...doc.lines, ...third] }, version);
    const later = pressOut('run-l', end + 60_000, ...looked('parcel', 'blank'));
    start('run-xl', 'line-guide-l-3', later);
    expect(asked('run-xl')).toEqual(['parcel', 'blank']);
  });

  it('is set up anew after ten minutes, where nothing was looked at, and where no piece came to its end', () => {
    start('run-m', 'line-guide-m', START);
    const end = pressOut('run-m', START, ...looked(...ALL));
    start('run-late', 'line-guide-l', end + FOLLOWS_MS + 1);
    expect(openRun(shop.db, 'run-late').run.holds).toEqual([]);
    takeEvent(shop.db, 'run-late', { id: randomUUID(), at: end + FOLLOWS_MS + 2, kind: 'stopped' }, end + FOLLOWS_MS + 2);
    start('run-empty', 'line-guide-l', end + FOLLOWS_MS + 3);
    expect(openRun(shop.db, 'run-empty').run.holds).toEqual([]);
    const over = pressOut('run-empty', end + FOLLOWS_MS + 3, ...looked('heat', 'rest'));
    start('run-crew', 'line-crew-m', over, 'order-crew-tees');
    // the rest was passed over, so none of it holds
    expect(openRun(shop.db, 'run-crew').run.holds.filter((key) => key !== 'heat')).toEqual(['pull']);
  });

  it('the temperature is read again where the press was set otherwise meanwhile', () => {
    const { card } = start('run-m', 'line-guide-m', START);
    const end = pressOut('run-m', START, ...looked(...ALL), { kind: 'set temperature', tempC: card.set.tempC - 3 });
    start('run-l', 'line-guide-l', end);
    expect(asked('run-l')).toEqual(['parcel', 'heat', 'blank']);
  });

  it('holds nothing beside another run that is open at the press: nobody knows what that has set', () => {
    start('run-m', 'line-guide-m', START);
    const end = pressOut('run-m', START, ...looked(...ALL));
    start('run-crew', 'line-crew-m', end, 'order-crew-tees');
    start('run-l', 'line-guide-l', end);
    expect(openRun(shop.db, 'run-l').run.holds).toEqual([]);
  });

  it('starting the same run twice keeps what it took over', () => {
    start('run-m', 'line-guide-m', START);
    const end = pressOut('run-m', START, ...looked(...ALL));
    const first = start('run-l', 'line-guide-l', end);
    expect(start('run-l', 'line-guide-l', end + FOLLOWS_MS * 2).run).toEqual(first.run);
  });
});

describe('a trial', () => {
  const workshop = () => findOrder(shop.db, 'order-workshop').doc.lines[0]?.id ?? '';
  it('is taken over with the time it came to, on the same fabric; the run begins with that time set', () => {
    const { doc, version } = findOrder(shop.db, 'order-workshop');
    const again = doc.lines.map((line) => ({ ...line, id: `${line.id}-2`, count: 2 }));
    putOrder(shop.db, { ...doc, lines: [...doc.lines, ...again] }, version);
    const { card } = start('run-a', workshop(), START, 'order-workshop');
    const bestS = (card.set.trial?.fromS ?? 0) + (card.set.trial?.stepS ?? 0);
    expect(bestS).not.toBe(card.set.timeS);
    const end = pressOut('run-a', START, ...looked(...ALL), { kind: 'tried', timeS: bestS, looks: 'right' }, { kind: 'set', timeS: bestS });
    start('run-b', `${workshop()}-2`, end, 'order-workshop');
    const opened = openRun(shop.db, 'run-b');
    expect(opened.events).toMatchObject([{ kind: 'set', timeS: bestS }]);
    expect(opened.state.setS).toBe(bestS);
    const checks = gateOf(opened.card, { pieces: 2, holding: opened.run.holds });
    const all = { ...opened.state, checks: { parcel: null, blank: null } };
    expect(leadIn(opened.card, checks, all, opened.run.holds)).toBeNull();
    expect(leadIn(opened.card, checks, { ...all, setS: null })).toMatchObject({ state: 'trial' });
  });
});

describe('hands', () => {
  it('are known from their last run, and only theirs; nobody’s are unknown', () => {
    const before = startRun(shop.db, 'run-m', { orderId: 'order-guide-tees', lineId: 'line-guide-m', operator: 'QX' }, START);
    expect(before.run.pace).toBeNull();
    // every act of the hands takes half as long again as planned
    let now = START;
    for (let opened = before; !opened.state.done; opened = openRun(shop.db, 'run-m')) {
      const cue = cueOf(opened.plan, opened.state, now);
      if (!cue.act) {
        now = cue.dueAt ?? now;
        continue;
      }
      const stage = opened.plan.stages[cue.stage];
      now += stage?.by === 'hands' && cue.act !== 'opened' ? stage.timeS * 1500 : 1000;
      takeEvent(shop.db, 'run-m', { ...factOf(cue, cue.act), id: randomUUID(), at: now } as RunEvent, now);
    }
    const start = (id: string, operator: string, lineId = 'line-guide-l') =>
      startRun(shop.db, id, { orderId: 'order-guide-tees', lineId, operator }, now + 60_000);
    const known = start('run-l', 'QX');
    const { n = 0, sum = 0 } = known.run.pace ?? {};
    expect(n).toBeGreaterThan(5);
    expect(Math.exp(sum / n)).toBeCloseTo(1.5, 1);
    expect(known.state.pace).toEqual(known.run.pace);
    takeEvent(shop.db, 'run-l', { kind: 'stopped', id: randomUUID(), at: now + 61_000 }, now + 61_000);
    expect(start('run-other', 'QY').run.pace).toBeNull();
    takeEvent(shop.db, 'run-other', { kind: 'stopped', id: randomUUID(), at: now + 62_000 }, now + 62_000);
    expect(start('run-nobody', '').run.pace).toBeNull();
  });
});
