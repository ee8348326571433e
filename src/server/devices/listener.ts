/**
 * Listens for gateways on this machine: one JSON object a line over TCP, as docs/devices.md describes. Nothing is ever
 * sent back. What they say is told to open pages at most four times a second; none of it is stored.
 */
import { createServer, type Server, type Socket } from 'node:net';
import { DeviceBoard, type DeviceView, LONGEST_LINE } from '../../core/press';
import { announceDevices } from '../http/changes';
import { log } from '../http/log';

const TELL_EVERY_MS = 250;
/** A gateway that says nothing for so long is let go, ms; it may come again. */
const IDLE_MS = 120_000;
const MOST_GATEWAYS = 16;

interface Listener {
  board: DeviceBoard;
  server: Server;
  port: number | null;
}
const HELD = Symbol.for('tidy-beacon.devices');
type Holder = { [HELD]?: Listener };

/** Lines of a socket, whatever way they are cut up; one that never ends is given up until its end. */
function onLines(socket: Socket, take: (line: string) => void): void {
  let rest = '';
  let skipping = false;
  socket.setEncoding('utf8');
  socket.on('data', (chunk: string) => {
    const parts = (rest + chunk).split('\n');
    rest = parts.pop() ?? '';
    for (const part of parts) {
      if (!skipping && part.trim() !== '') take(part);
      skipping = false;
    }
    if (rest.length > LONGEST_LINE) {
      if (!skipping) take(rest);
      rest = '';
      skipping = true;
    }
  });
}

/** Begins to listen, once a process, on the port in `TIDY_BEACON_DEVICES`; empty or 0: not at all. A taken port is said in the log and harms nothing. */
export function listenToDevices(): void {
  const holder = globalThis as Holder;
  const port = Number(process.env.TIDY_BEACON_DEVICES ?? 0);
  if (holder[HELD] || !port) return;
  const board = new DeviceBoard();
  const server = createServer((socket) => {
    socket.setTimeout(IDLE_MS, () => socket.destroy());
    socket.on('error', (error) => log.info({ error: error.message }, 'a gateway was lost'));
    onLines(socket, (line) => board.hear(line, Date.now()));
  });
  server.maxConnections = MOST_GATEWAYS;
  const listener: Listener = { board, server, port: null };
  holder[HELD] = listener;
  server.on('error', (error) => log.warn({ port, error: error.message }, 'devices are not listened to'));
  server.listen(port, '127.0.0.1', () => {
    listener.port = port;
  });
  server.unref();
  let told = '';
  setInterval(() => {
    const view = JSON.stringify(board.view(Date.now()));
    if (view === told) return;
    told = view;
    announceDevices(view);
  }, TELL_EVERY_MS).unref();
}

/** What every device said last. */
export function deviceReply(): { port: number | null; devices: DeviceView[] } {
  const listener = (globalThis as Holder)[HELD];
  return { port: listener?.port ?? null, devices: listener?.board.view(Date.now()) ?? [] };
}
