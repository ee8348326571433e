/** The port of devices against what is no gateway: a web page, silent connections, a flood. */
import { connect, createServer, type Socket } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { deviceReply, listenToDevices } from './listener';

let port = 0;
const open: Socket[] = [];
const dial = () =>
  new Promise<Socket>((done, fail) => {
    const socket = connect(port, '127.0.0.1', () => done(socket));
    socket.on('error', fail);
    socket.on('error', () => undefined);
    open.push(socket);
  });
const closed = (socket: Socket) => new Promise<void>((done) => (socket.destroyed ? done() : socket.once('close', () => done())));
const line = (device: string, readC = 150) => `${JSON.stringify({ kind: 'probe', device, at: Date.now(), readC, steady: true })}\n`;
/** Waits for something to become so, however slow the machine is. */
const until = async (so: () => boolean) => {
  while (!so()) await new Promise((go) => setTimeout(go, 10));
};
const names = () => deviceReply().devices.map(({ device }) => device);

beforeAll(async () => {
  const probe = createServer();
  await new Promise<void>((done) => probe.listen(0, '127.0.0.1', done));
  port = (probe.address() as { port: number }).port;
  await new Promise((done) => probe.close(done));
  process.env.TIDY_BEACON_DEVICES = String(port);
  listenToDevices();
  await until(() => deviceReply().port === port);
});
afterAll(() => {
  for (const socket of open) socket.destroy();
});

describe('the port of devices', () => {
  it('a web page that posts a reading to it is cut off at its first line, and nothing of it is shown', async () => {
    const page = await dial();
    page.write(
      `POST / HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nOrigin: http://elsewhere.example\r\nContent-Type: text/plain\r\n\r\n${line('from-a-page')}`,
    );
    await closed(page);
    expect(names()).not.toContain('from-a-page');
  });
  it('sixteen connections that say nothing do not keep a gateway out', async () => {
    for (let i = 0; i < 16; i++) await dial();
    const gateway = await dial();
    gateway.write(line('probe-late'));
    await until(() => names().includes('probe-late'));
    // and one that has proved itself is not the one that goes
    for (let i = 0; i < 20; i++) await dial();
    gateway.write(line('probe-still'));
    await until(() => names().includes('probe-still'));
  });
  it('a flood is read at the pace of a gateway', async () => {
    const flood = await dial();
    flood.write(line('flood-1').repeat(50_000));
    await until(() => names().includes('flood-1'));
    const other = await dial();
    other.write(line('probe-beside', 151));
    await until(() => names().includes('probe-beside'));
  });
});
