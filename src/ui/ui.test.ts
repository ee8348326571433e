import { describe, expect, it, vi } from 'vitest';
import { didUndoably, saveUndoably, undoLast } from './acts';
import { dayText, dueText, isoDay, isoDayText, workText } from './days';
import { newId } from './newId';
import { fitted } from './photo';
import { axisTicks, onAxis, rampColour } from './ramp';

describe('days as the shop says them', () => {
  const today = new Date(2026, 10, 25, 18, 30);
  it.each([
    ['2026-11-25', 'today'],
    ['2026-11-26', 'tomorrow'],
    ['2026-11-30', 'in 5 days'],
    ['2026-11-24', '1 day late'],
    ['2026-11-20', '5 days late'],
    ['2027-01-01', 'in 37 days'],
  ])('%s is %s', (iso, words) => expect(dueText(iso, today)).toBe(words));
  it('does not slip a day over the clock change', () => {
    expect(dueText('2026-03-30', new Date(2026, 2, 28, 23, 59))).toBe('in 2 days');
  });
  it('writes days and work', () => {
    expect([dayText(today, today), isoDayText('2026-12-01', today), isoDay(today)]).toEqual(['Wed 25 Nov', 'Tue 1 Dec', '2026-11-25']);
    // far from now the year is told
    expect(isoDayText('2024-12-01', today)).toBe('1 Dec 2024');
    expect([workText(0.2), workText(23.5), workText(119), workText(2867)]).toEqual(['1 min', '24 min', '119 min', '48 h']);
  });
});

describe('ids', () => {
  it('are version 4 UUIDs and do not repeat', () => {
    const ids = Array.from({ length: 500 }, newId);
    for (const id of ids) expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    expect(new Set(ids).size).toBe(500);
  });
});

describe('the one temperature axis', () => {
  it('keeps everything inside itself and grows with temperature', () => {
    expect([onAxis(20), onAxis(90), onAxis(157.5), onAxis(225), onAxis(400)]).toEqual([0, 0, 0.5, 1, 1]);
  });
  it('has round ticks in either unit, all on the axis', () => {
    for (const unit of ['C', 'F'] as const) {
      for (const tick of axisTicks(unit)) {
        const shown = unit === 'F' ? tick.tempC * 1.8 + 32 : tick.tempC;
        expect(Math.round(shown)).toBe(Number(tick.text));
        expect(tick.tempC >= 90 && tick.tempC <= 225).toBe(true);
      }
    }
  });
  it('has a colour for every temperature, the same outside its ends', () => {
    expect(rampColour(90)).toBe('rgb(122, 146, 158)');
    expect(rampColour(160)).toBe('rgb(226, 138, 52)');
    expect(rampColour(-40)).toBe(rampColour(90));
    expect(rampColour(900)).toBe(rampColour(225));
  });
});

describe('the last undoable act', () => {
  it('is undone once; the next takes its place; a failed undo stays to be tried again', async () => {
    const undone: string[] = [];
    const act = (what: string) => ({ what, undo: async () => void undone.push(what) });
    didUndoably(act('line removed'));
    didUndoably(act('press changed'));
    await undoLast();
    await undoLast();
    expect(undone).toEqual(['press changed']);
    const failing = { what: 'house changed', undo: vi.fn(async () => Promise.reject(new Error('changed meanwhile'))) };
    didUndoably(failing);
    await expect(undoLast()).rejects.toThrow('changed meanwhile');
    await expect(undoLast()).rejects.toThrow('changed meanwhile');
    expect(failing.undo).toHaveBeenCalledTimes(2);
  });

  /** A save that comes back when it is told to, and its undo. */
  const saving = (what: string, undone: string[]) => {
    let resolve: () => void = () => {};
    let reject: (error: Error) => void = () => {};
    const back = new Promise<void>((yes, no) => {
      resolve = yes;
      reject = no;
    });
    const done = saveUndoably(what, async () => {
      await back;
      return async () => void undone.push(what);
    });
    return { resolve, reject, done };
  };
  it('asked for while a save is on its way undoes that save once it is back, and only once', async () => {
    const undone: string[] = [];
    didUndoably({ what: 'line removed', undo: async () => void undone.push('line removed') });
    const save = saving('press changed', undone);
    const undos = [undoLast(), undoLast()];
    await Promise.resolve();
    expect(undone).toEqual([]);
    save.resolve();
    await Promise.all([save.done, ...undos]);
    expect(undone).toEqual(['press changed']);
  });
  it('asked for while a save fails undoes nothing that was done before it', async () => {
    const undone: string[] = [];
    didUndoably({ what: 'line removed', undo: async () => void undone.push('line removed') });
    const save = saving('press changed', undone);
    const undo = undoLast();
    save.reject(new Error('the server is away'));
    await expect(save.done).rejects.toThrow('away');
    await undo;
    expect(undone).toEqual([]);
    await undoLast();
    expect(undone).toEqual(['line removed']);
  });
  it('waits for all of several saves and undoes the one that was begun last', async () => {
    const undone: string[] = [];
    const [first, second] = [saving('first', undone), saving('second', undone)];
    const undo = undoLast();
    second.resolve();
    await second.done;
    expect(undone).toEqual([]);
    first.resolve();
    await undo;
    expect(undone).toEqual(['second']);
  });
});

describe('a photo made small', () => {
  it.each([
    [4000, 3000, 1280, 960],
    [3000, 4000, 960, 1280],
    [640, 480, 640, 480],
    [5000, 1, 1280, 1],
  ])('%d × %d is kept as %d × %d', (width, height, w, h) => expect(fitted(width, height)).toEqual({ width: w, height: h }));
});
