/** 200 backups with eight random bytes changed, and as many with their seal cut off and eight or one changed: which are put in place, and what can be read then. */

import { Shop } from '../e2e/shop';
import { SEAL_LENGTH } from '../src/server/proof';
import { unreadableAfter } from './bear';
import { chanceFrom } from './requests';

const TIMES = Number(process.env.TIMES ?? 200);
const chance = chanceFrom(Number(process.env.SEED ?? 5));
const shop = await Shop.open();
const sound = Buffer.from(await (await fetch(`${shop.address}/api/v1/backup`)).arrayBuffer());

/** Bytes with some of them changed, anywhere. */
function changed(bytes: Buffer, n: number): Buffer {
  const other = Buffer.from(bytes);
  for (let i = 0; i < n; i++) {
    const at = Math.floor(chance() * other.length);
    other[at] = ((other[at] ?? 0) + 1 + Math.floor(chance() * 255)) % 256;
  }
  return other;
}
const restore = async (bytes: Buffer) => {
  const reply = await fetch(`${shop.address}/api/v1/restore`, {
    method: 'PUT',
    headers: { origin: shop.address },
    body: new Uint8Array(bytes),
  });
  return { status: reply.status, body: (await reply.json()) as { sealed?: boolean; detail?: string } };
};

for (const [what, n, bytes] of [
  ['with eight bytes changed', 8, sound],
  ['with the seal cut off and eight bytes changed', 8, sound.subarray(0, sound.length - SEAL_LENGTH)],
  ['with the seal cut off and one byte changed', 1, sound.subarray(0, sound.length - SEAL_LENGTH)],
] as const) {
  const wrong: string[] = [];
  let [refused, taken] = [0, 0];
  for (let i = 0; i < TIMES; i++) {
    const { status, body } = await restore(changed(bytes, n));
    if (status === 422) refused++;
    else if (status !== 200) wrong.push(`${i} answers ${status}: ${body.detail}`);
    else {
      taken++;
      if (body.sealed !== false) wrong.push(`${i} is put in place unsaid`);
      wrong.push(...(await unreadableAfter(shop)).map((entry) => `after ${i} ${entry}`));
    }
  }
  console.log(
    `${TIMES} backups ${what}: ${refused} refused, ${taken} put in place and said to be without a seal; ${wrong.length === 0 ? 'nothing wrong' : wrong.join('; ')}`,
  );
}
for (const [what, bytes] of [
  ['one of before there were seals', sound.subarray(0, sound.length - SEAL_LENGTH)],
  ['the sound one', sound],
] as const) {
  const { status, body } = await restore(bytes);
  console.log(`${what}: ${status}, sealed ${body.sealed}, ${body.detail ?? ''}`);
}
await shop.close();
