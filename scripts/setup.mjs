// Brings a fresh clone to where the app can run: packages, build, and Chromium for the journeys. Plain Node, no packages.
// Each part is skipped in a moment when what it would make is already there and still fits.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const HOME = dirname(dirname(fileURLToPath(import.meta.url)));
export const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium';

/** Runs a command with its output shown; exits with its code when it fails and `fatal` is not false. */
export function run(command, args, { fatal = true, env = {}, quiet = false } = {}) {
  const result = spawnSync(command, args, {
    cwd: HOME,
    stdio: quiet ? 'pipe' : 'inherit',
    encoding: 'utf8',
    env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1', ...env },
  });
  if (result.status !== 0 && fatal) {
    console.error(`\n${[command, ...args].join(' ')} failed. What it said stands above.`);
    process.exit(result.status ?? 1);
  }
  return result;
}

/** Runs a command beside others, and prints what it said in one piece under its words once it has ended. @returns whether it went well */
export function runBeside(words, command, args, env = {}) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: HOME, env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1', ...env } });
    let said = '';
    for (const stream of [child.stdout, child.stderr])
      stream.setEncoding('utf8').on('data', (chunk) => {
        said += chunk;
      });
    child.on('error', (error) => {
      said += `${error.message}\n`;
    });
    child.on('close', (code) => {
      console.log(`\n── ${words}\n${said.trimEnd()}`);
      done(code === 0);
    });
  });
}

/** What is checked without running the app; each counts as one. The first three are what is asked for while one works. */
const STATIC = [
  ['lint', 'biome', ['check', '--error-on-warnings']],
  ['types', 'astro', ['check', '--minimumFailingSeverity', 'hint']],
  ['structure', 'depcruise', ['src', '--config', '.dependency-cruiser.mjs']],
  ['unused code', 'knip', []],
  ['each shape declared once', 'tsx', ['scripts/declaredTwice.ts']],
];

const WHILE_YOU_WORK = 3;

/** One after the other, for each takes little more than one core. @returns words of each, and whether it holds */
export async function staticChecks({ all } = { all: true }) {
  const results = [];
  for (const [words, command, args] of all ? STATIC : STATIC.slice(0, WHILE_YOU_WORK))
    results.push([words, await runBeside(words, bin(command), args)]);
  return results;
}

/** A package's own command in node_modules. */
export const bin = (name) => join(HOME, 'node_modules', '.bin', name);

function hashOf(paths) {
  const hash = createHash('sha256');
  const visit = (path) => {
    for (const entry of readdirSync(join(HOME, path), { withFileTypes: true }).sort((a, b) => (a.name < b.name ? -1 : 1))) {
      const child = `${path}/${entry.name}`;
      if (entry.isDirectory()) visit(child);
      else if (!/\.test\.tsx?$/.test(entry.name)) hash.update(child).update(readFileSync(join(HOME, child)));
    }
  };
  for (const path of paths) {
    if (path.endsWith('/')) visit(path.slice(0, -1));
    else hash.update(path).update(readFileSync(join(HOME, path)));
  }
  return hash.digest('hex');
}

const stamped = (file, stamp) => existsSync(file) && readFileSync(file, 'utf8') === stamp;

/** npm ci, once for each lock file. The database driver is compiled here, from source: allow four minutes the first time. */
export function ensureInstalled() {
  const stampFile = join(HOME, 'node_modules', '.tidy-beacon-installed');
  const stamp = hashOf(['package-lock.json']) + process.version;
  if (stamped(stampFile, stamp)) return;
  console.log('Installing packages (the database driver is compiled once; this can take some minutes) …');
  // compile against the headers that came with this Node, where they are there, rather than fetching them
  const prefix = dirname(dirname(process.execPath));
  const headers = existsSync(join(prefix, 'include', 'node', 'node.h')) ? { npm_config_nodedir: prefix } : {};
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { env: { npm_config_build_from_source: 'true', ...headers } });
  writeFileSync(stampFile, stamp);
}

/** The production build, once for each state of the sources. */
export function ensureBuilt() {
  const stampFile = join(HOME, 'dist', '.built-from');
  const stamp = hashOf(['src/', 'public/', 'astro.config.mjs', 'scripts/worker.mjs', 'package-lock.json', 'tsconfig.json']);
  if (stamped(stampFile, stamp)) return;
  console.log('Building …');
  run(bin('astro'), ['build']);
  mkdirSync(dirname(stampFile), { recursive: true });
  writeFileSync(stampFile, stamp);
}

/** Debian's Chromium, for the journeys. */
export function ensureChromium() {
  if (existsSync(CHROMIUM)) return;
  console.log('Installing Chromium from the system’s packages …');
  const root = process.getuid?.() === 0;
  const apt = (...args) =>
    run(root ? 'apt-get' : 'sudo', [...(root ? [] : ['-n', 'apt-get']), ...args], { env: { DEBIAN_FRONTEND: 'noninteractive' } });
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', 'chromium');
}
