/**
 * Listens for gateways on this machine: one JSON object a line over TCP, as docs/devices.md describes. Nothing is ever
 * sent back. What they say is told to open pages at most four times a second; none of it is stored.
 */
import { createServer, type Server, type Socket } from 'node:net';
import { DeviceBoard, type DeviceView, LONGEST_LINE } from '../../core/press';
import { announceDevices } from '../announce';
import { log } from '../log';

const TELL_EVERY_MS = 250;
/** A gateway that says nothing for so long is let go, ms; it may come again. */
const IDLE_MS = 120_000;
const MOST_GATEWAYS = 16;
/** Lines a gateway may say in one turn, and how long a turn is, ms: four hundred a second are ten times what a room full of presses says. */
const MOST_A_TURN = 100;
const TURN_MS = 250;
/** One that has said nothing that can be read by then is none, ms. */
const PROVES_WITHIN_MS = 10_000;
/** Names one gateway may speak for. */
const MOST_NAMES = 16;

interface Listener {
  board: DeviceBoard;
  server: Server;
  port: number | null;
}
const HELD = Symbol.for('tidy-beacon.devices');
type Holder = { [HELD]?: Listener };

/** A connection, as long as it is open. */
interface Gateway {
  socket: Socket;
  /** What it said last that could be read, ms; 0: nothing yet. */
  heardAt: number;
  openedAt: number;
  names: Set<string>;
}

/** Lines of a socket, whatever way they are cut up; one that never ends is given up until its end. A flood is read at the pace of a gateway. */
function onLines(socket: Socket, take: (line: string) => void): void {
  let rest = '';
  let skipping = false;
  let left = MOST_A_TURN;
  const turn = setInterval(() => {
    left = MOST_A_TURN;
    socket.resume();
  }, TURN_MS).unref();
  socket.once('close', () => clearInterval(turn));
  socket.setEncoding('utf8');
  socket.on('data', (chunk: string) => {
    const parts = (rest + chunk).split('\n');
    rest = parts.pop() ?? '';
    for (const part of parts) {
      // of what comes at once beyond a turn only the newest would be shown anyway
      if (!skipping && part.trim() !== '' && left > 0) take(part);
      left--;
      skipping = false;
    }
    if (rest.length > LONGEST_LINE) {
      if (!skipping) take(rest);
      rest = '';
      skipping = true;
    }
    if (left <= 0) socket.pause();
  });
}

/** Room for one more connection: one that never proved itself goes first, then the one that is silent longest. */
function makeSpace(gateways: Set<Gateway>): void {
  if (gateways.size < MOST_GATEWAYS) return;
  const [first] = [...gateways].sort((x, y) => x.heardAt - y.heardAt || x.openedAt - y.openedAt);
  if (!first) return;
  gateways.delete(first);
  first.socket.destroy();
}

/**
 * Takes a connection. A gateway speaks JSON from its first sign on; a web page that is made to speak to this port begins with
 * the words of its own protocol, and is cut off at them.
 */
function admit(gateways: Set<Gateway>, socket: Socket, board: DeviceBoard): void {
  makeSpace(gateways);
  const gateway: Gateway = { socket, heardAt: 0, openedAt: Date.now(), names: new Set() };
  gateways.add(gateway);
  const proves = setTimeout(() => gateway.heardAt === 0 && socket.destroy(), PROVES_WITHIN_MS).unref();
  socket.once('close', () => {
    clearTimeout(proves);
    gateways.delete(gateway);
  });
  socket.setTimeout(IDLE_MS, () => socket.destroy());
  socket.on('error', (error) => log.info({ error: error.message }, 'a gateway was lost'));
  onLines(socket, (line) => {
    if (socket.destroyed) return;
    if (gateway.heardAt === 0 && !line.trimStart().startsWith('{')) {
      log.warn('something that is no gateway spoke to the port of devices and was cut off');
      socket.destroy();
      return;
    }
    const name = board.hear(line, Date.now());
    if (name === null) return;
    gateway.heardAt = Date.now();
    gateway.names.add(name);
    if (gateway.names.size > MOST_NAMES) socket.destroy();
  });
}

/** Begins to listen, once a process, on the port in `TIDY_BEACON_DEVICES`; empty or 0: not at all. A taken port is said in the log and harms nothing. */
export function listenToDevices(): void {
  const holder = globalThis as Holder;
  const port = Number(process.env.TIDY_BEACON_DEVICES ?? 0);
  if (holder[HELD] || !port) return;
  const board = new DeviceBoard();
  const gateways = new Set<Gateway>();
  const server = createServer((socket) => admit(gateways, socket, board));
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
