/** One device that sends a thousand lines a second for a minute: what pages are told, what memory and other requests feel of it. */
import { readFileSync } from 'node:fs';
import { connect } from 'node:net';
import { Shop } from '../e2e/shop';

const SECONDS = 60;
const WARM_UP = 15;
const PER_SECOND = 1000;

const shop = await Shop.open();
const socket = connect(shop.devicePort, '127.0.0.1');
await new Promise((done) => socket.once('connect', done));

let updates = 0;
const stream = await fetch(`${shop.address}/api/v1/rail/stream`);
const reader = stream.body?.pipeThrough(new TextDecoderStream()).getReader();
void (async () => {
  for (;;) {
    const { value, done } = (await reader?.read()) ?? { done: true, value: '' };
    if (done) return;
    updates += value.split('event: devices').length - 1;
  }
})();

let sent = 0;
const begun = performance.now();
const flood = setInterval(() => {
  const due = Math.floor(((performance.now() - begun) / 1000) * PER_SECOND);
  let lines = '';
  for (; sent < due; sent++)
    lines += `${JSON.stringify({ kind: 'press', device: 'flood-1', pressId: 'press-cap', at: Date.now(), setC: 150, readoutC: 140 + (sent % 20), state: 'ready', leftS: null })}\n`;
  socket.write(lines);
}, 10);

const memory = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${shop.pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
const times: number[] = [];
const sizes: number[] = [];
let updatesAtWarm = 0;
while (performance.now() - begun < SECONDS * 1000) {
  const start = performance.now();
  const reply = await fetch(`${shop.address}/api/v1/presses`);
  await reply.arrayBuffer();
  const now = performance.now();
  if (now - begun > WARM_UP * 1000) {
    times.push(now - start);
    sizes.push(memory());
  } else updatesAtWarm = updates;
  await new Promise((done) => setTimeout(done, 50));
}
clearInterval(flood);
socket.destroy();
await reader?.cancel();
times.sort((a, b) => a - b);
const { records } = (await (await fetch(`${shop.address}/api/v1/presses/press-cap/records`)).json()) as { records: unknown[] };
console.log(
  `devices: ${sent} lines in ${SECONDS} s; ${((updates - updatesAtWarm) / (SECONDS - WARM_UP)).toFixed(1)} updates a second to a page (wanted: at most 4); ` +
    `memory ${Math.min(...sizes).toFixed(0)} to ${Math.max(...sizes).toFixed(0)} MB after ${WARM_UP} s (wanted: ±10); ` +
    `other requests, 99th percentile: ${(times[Math.floor(times.length * 0.99)] ?? 0).toFixed(1)} ms (wanted: at most 50); records stored: ${records.length}`,
);
await shop.close();
