/**
 * Loaded before the server in fault tests: ends the process at once, as a power cut would, at one point of storing a run's
 * event. `FAULT_AT` names the point, `FAULT_AFTER` how many events pass before it.
 *
 *     before the write → inside the transaction → after the commit, before the reply → during the reply
 */
import http from 'node:http';
import { createRequire } from 'node:module';

const { FAULT_AT: point, FAULT_AFTER: after = '0' } = process.env;
let passed = 0;
const end = () => process.kill(process.pid, 'SIGKILL');
const isEvent = (sql) => /insert into "run_events"/i.test(sql);

if (point === 'before' || point === 'inside') {
  const Database = createRequire(`${process.cwd()}/package.json`)('better-sqlite3');
  const { prepare } = Database.prototype;
  Database.prototype.prepare = function prepared(sql) {
    const statement = prepare.call(this, sql);
    if (!isEvent(sql)) return statement;
    const { run } = statement;
    statement.run = function ran(...values) {
      const now = passed++ >= Number(after);
      if (now && point === 'before') end();
      const result = run.apply(this, values);
      if (now) end();
      return result;
    };
    return statement;
  };
}

if (point === 'after' || point === 'during') {
  const { writeHead } = http.ServerResponse.prototype;
  http.ServerResponse.prototype.writeHead = function headed(...head) {
    const took = this.req?.method === 'PUT' && /\/events\//.test(this.req.url ?? '') && head[0] === 200;
    if (!took || passed++ < Number(after)) return writeHead.apply(this, head);
    if (point === 'after') end();
    const headers = writeHead.apply(this, head);
    // half of an answer, and no more
    this.socket?.write('HTTP/1.1 200 OK\r\ncontent-type: application/json\r\ncontent-length: 5000\r\n\r\n{"run":{"id":', end);
    return headers;
  };
}
