/** The wire as a stranger meets it: the documented call works as printed, and bad bodies are refused in words. */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, ownTest, test } from './shop';

const documented = () => /```sh\n([\s\S]*?)```/.exec(readFileSync('docs/api.md', 'utf8'))?.[1] ?? '';
const documentedBody = () => JSON.parse(/-d '([\s\S]*?)' \|/.exec(documented())?.[1] ?? '{}');

ownTest('the documented curl prints what the document says', async ({ shop }) => {
  const printed = execFileSync('bash', ['-c', documented().replaceAll('http://127.0.0.1:4321', shop.address)], { encoding: 'utf8' });
  expect(printed.trim()).toBe(/It prints `(.*?)`/.exec(readFileSync('docs/api.md', 'utf8'))?.[1]);
});

test('what cannot be is named by its field; nothing else is said of our insides', async ({ request }) => {
  const body = documentedBody();
  const post = (data: unknown) => request.post('/api/v1/compute/card', { data: data as object });
  const fabric = (composition: object[]) => ({ ...body, fabric: { ...body.fabric, composition } });
  const [product] = body.products;
  const withStage = (change: object) => ({ ...body, products: [{ ...product, stages: [{ ...product.stages[0], ...change }] }] });
  const cases: [string, unknown, string, RegExp][] = [
    ['a product without stages', { ...body, products: [{ ...product, stages: [] }] }, 'products.0.stages', /needs a press stage/],
    [
      'not 100 %',
      fabric([
        { fibre: 'cotton', percent: 60 },
        { fibre: 'viscose', percent: 30 },
      ]),
      'fabric.composition',
      /add up to 90 %/,
    ],
    ['an unknown fibre', fabric([{ fibre: 'moonlight', percent: 100 }]), 'fabric.composition.0.fibre', /cotton/],
    [
      'minimum over maximum',
      withStage({ tempC: { form: 'range', min: 170, max: 150 } }),
      'products.0.stages.0.tempC.min',
      /minimum 170 °C is over the maximum 150 °C/,
    ],
    ['a negative time', withStage({ timeS: { form: 'range', min: -4, max: 9 } }), 'products.0.stages.0.timeS.min', /Below 1 s/],
    ['a platen at 2,000 °C', { ...body, press: { ...body.press, set: { ...body.press.set, maxC: 2000 } } }, 'press.set.maxC', /260/],
    ['markup in a name', { ...body, blank: { ...body.blank, name: '<img onerror=x>' } }, 'blank.name', /cannot hold/],
    ['no art', { ...body, print: undefined }, 'print', /missing/],
    ['text for a number', { ...body, print: { ...body.print, widthMm: 'wide' } }, 'print.widthMm', /must be a number/],
  ];
  for (const [name, data, field, words] of cases) {
    const reply = await post(data);
    expect(reply.status(), name).toBe(422);
    const problem = await reply.json();
    expect(
      problem.errors.map((e: { field: string }) => e.field),
      name,
    ).toContain(field);
    expect(problem.errors.find((e: { field: string }) => e.field === field).message, name).toMatch(words);
    expect(JSON.stringify(problem)).not.toMatch(/node_modules|\.ts|at Object/);
  }
});

ownTest('twenty megabytes, broken JSON, a wrong method and an unknown address', async ({ request, shop }) => {
  const huge = await request.post('/api/v1/compute/card', {
    data: Buffer.alloc(20_000_000, 32),
    headers: { 'content-type': 'application/json' },
  });
  expect(huge.status()).toBe(413);
  const broken = await request.post('/api/v1/compute/card', {
    data: Buffer.from('{"size": '),
    headers: { 'content-type': 'application/json' },
  });
  expect([broken.status(), (await broken.json()).title]).toEqual([400, 'Broken JSON']);
  expect((await request.delete('/api/v1/compute/card')).status()).toBe(405);
  expect((await request.get('/api/v1/attic')).headers()['content-type']).toBe('application/problem+json');
  expect((await request.get(`${shop.address}/api/v1/health`)).status()).toBe(200);
});

test('OpenAPI 3.1 describes every address, and its card schema takes a real card', async ({ request }) => {
  const description = await (await request.get('/api/v1/openapi.json')).json();
  expect(description.openapi).toBe('3.1.0');
  expect(Object.keys(description.paths)).toEqual(
    expect.arrayContaining(['/api/v1/compute/card', '/api/v1/orders/{id}', '/api/v1/runs/{id}/events/{eventId}', '/api/v1/pressings']),
  );
  const { schema } = description.paths['/api/v1/compute/card'].post.responses['200'].content['application/json'];
  const reply = await (await request.post('/api/v1/compute/card', { data: documentedBody() })).json();
  // this one is pressed at one heat: nothing is turned between its closings
  const known = Object.keys(schema.properties.card.properties).filter((key) => key !== 'turning');
  expect(Object.keys(reply.card).sort()).toEqual(known.sort());
  expect(Object.keys(reply.card)).toEqual(expect.arrayContaining(schema.properties.card.required));
});
