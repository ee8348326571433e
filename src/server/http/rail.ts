/** The rail over the wire: worked out once for everybody who asks before something changes. */
import type { APIRoute } from 'astro';
import { changesSoFar } from '../announce';
import { deviceReply } from '../devices/listener';
import { shop } from '../shop';
import { perShop } from '../stores/perShop';
import { GOOD_FOR_MS, type LiveOf, readRail } from '../stores/rail';
import { outgoing } from './answer';
import { answerTo } from './endpoint';

/** What each press's panel says this moment, where a device tells it. */
function panelNow(at: number): LiveOf {
  const { devices } = deviceReply();
  return (pressId) => {
    const readoutC = devices.find((device) => device.pressId === pressId)?.press?.readoutC;
    return typeof readoutC === 'number' ? { readoutC: Math.round(readoutC * 10) / 10, at } : null;
  };
}

const memoryOf = perShop(() => ({ last: null as { mark: string; at: number; rest: string } | null }));

export const railReply: APIRoute = ({ request }) => {
  try {
    const { db, sqlite, now } = shop();
    const holder = memoryOf(db);
    const mark = `${changesSoFar()} ${sqlite.pragma('data_version', { simple: true })}`;
    const at = now();
    if (holder.last?.mark !== mark || at - holder.last.at > GOOD_FOR_MS) {
      const { text } = outgoing('rail', readRail(db, at, panelNow(at)));
      holder.last = { mark, at, rest: text.replace(/^\{"now":\d+,/, '') };
    }
    return new Response(`{"now":${at},${holder.last.rest}`, {
      headers: { 'content-type': 'application/json', 'cache-control': 'no-store' },
    });
  } catch (error) {
    return answerTo(error, request);
  }
};
