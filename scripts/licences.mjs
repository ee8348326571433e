// Writes THIRD_PARTY.md: every package that ships with the app, its version and its licence, from what is installed.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { HOME } from './setup.mjs';

const read = (file) => JSON.parse(readFileSync(file, 'utf8'));
/** As its package says it; one that says nothing by its licence file’s first line. */
function licenceOf({ license, licenses }, folder) {
  const said = typeof license === 'string' ? license : (license?.type ?? (licenses ?? []).map((one) => one.type).join(' or '));
  const file = readdirSync(folder).find((name) => /^licen[cs]e/i.test(name));
  return said || (file ? readFileSync(join(folder, file), 'utf8').trim().split('\n')[0] : 'not said');
}

/** What ships: the dependencies of the app and theirs, without what only builds or tests it. */
const shipped = Object.entries(read(join(HOME, 'package-lock.json')).packages)
  .filter(([path, { dev, devOptional, optional }]) => path.startsWith('node_modules/') && !dev && !devOptional && !optional)
  .map(([path]) => join(HOME, path))
  .filter((folder) => existsSync(join(folder, 'package.json')))
  .map((folder) => ({ folder, said: read(join(folder, 'package.json')) }))
  .map(({ folder, said }) => ({ name: said.name, version: said.version, licence: licenceOf(said, folder) }))
  .sort((a, b) => a.name.localeCompare(b.name) || a.version.localeCompare(b.version));

const byLicence = new Map();
for (const { licence } of shipped) byLicence.set(licence, (byLicence.get(licence) ?? 0) + 1);
const counts = [...byLicence].sort(([, a], [, b]) => b - a).map(([licence, n]) => `${licence} (${n})`);
const rows = shipped.map(({ name, version, licence }) => `| ${name} | ${version} | ${licence} |`);
writeFileSync(
  join(HOME, 'THIRD_PARTY.md'),
  `# What ships with Tidy Beacon, and under which licence\n\nWritten by \`npm run licences\`; each package carries its licence’s text in its own folder. In all: ${counts.join(', ')}.\n\n| package | version | licence |\n| --- | --- | --- |\n${rows.join('\n')}\n`,
);
console.log(`${shipped.length} packages: ${counts.join(', ')}`);
