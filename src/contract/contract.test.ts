import { afterEach, describe, expect, it, vi } from 'vitest';
import { AwayError, call, ProblemError } from './index';
import { openApi } from './openapi';
import { API, PATHS } from './paths';
import { ROUTES } from './routes';

afterEach(() => vi.unstubAllGlobals());

/** Answers every call and keeps what was asked. */
function answer(status: number, body: unknown) {
  const asked: { url: string; init: RequestInit }[] = [];
  vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
    asked.push({ url, init });
    return new Response(typeof body === 'string' ? body : JSON.stringify(body), { status });
  });
  return asked;
}

describe('the typed client', () => {
  it('fills the path, leaves empty searches out, and sends the version it saw', async () => {
    const asked = answer(200, {});
    await call('order', { params: { id: 'a b/c' } });
    await call('pressings', { query: { q: '', outcome: 'good', limit: 5 } });
    await call('putHouse', { body: {} as never, ifMatch: 7 });
    expect(asked.map((entry) => entry.url)).toEqual([`${API}/orders/a%20b%2Fc`, `${API}/pressings?outcome=good&limit=5`, `${API}/house`]);
    expect(asked[2]?.init).toMatchObject({ method: 'PUT', headers: { 'if-match': '"7"', 'content-type': 'application/json' } });
  });
  it('throws a problem with its fields, and away when nobody answers', async () => {
    answer(422, {
      type: 'x',
      title: 'Not valid',
      status: 422,
      detail: 'Body: name: Give it a name.',
      errors: [{ field: 'name', message: 'Give it a name.' }],
    });
    const problem = await call('bench', {}).catch((error: unknown) => error);
    expect(problem).toBeInstanceOf(ProblemError);
    expect((problem as ProblemError).fields).toEqual({ name: 'Give it a name.' });
    vi.stubGlobal('fetch', async () => Promise.reject(new TypeError('network')));
    await expect(call('bench', {})).rejects.toBeInstanceOf(AwayError);
  });
  it('waits as long for what takes long as the server works on it, and gives up on the rest sooner', async () => {
    vi.useFakeTimers();
    vi.stubGlobal('fetch', (_: string, { signal }: RequestInit) => {
      return new Promise((__, fail) => signal?.addEventListener('abort', () => fail(new Error('aborted'))));
    });
    const gone: string[] = [];
    call('bench', {}).catch(() => gone.push('bench'));
    call('testedMatrix', { query: { press: 'p' } }).catch(() => gone.push('matrix'));
    await vi.advanceTimersByTimeAsync(119_000);
    expect(gone).toEqual(['bench']);
    await vi.advanceTimersByTimeAsync(12_000);
    expect(gone).toEqual(['bench', 'matrix']);
    vi.useRealTimers();
  });
  it('makes a problem of a reply that is none', async () => {
    answer(502, '<html>bad gateway</html>');
    await expect(call('bench', {})).rejects.toThrow('The server answered 502.');
  });
});

describe('OpenAPI', () => {
  it('has an operation for every route, with every path parameter and a problem reply', () => {
    const { paths, openapi } = openApi();
    expect(openapi).toBe('3.1.0');
    for (const [name, [method, path]] of Object.entries(PATHS)) {
      const operation = paths[API + path]?.[method.toLowerCase()] as {
        operationId: string;
        parameters: { name: string; in: string; required: boolean }[];
        requestBody?: object;
        responses: Record<string, object>;
      };
      expect(operation.operationId).toBe(name);
      for (const [, parameter] of path.matchAll(/\{(\w+)\}/g))
        expect(operation.parameters).toContainEqual(expect.objectContaining({ name: parameter, in: 'path', required: true }));
      expect(operation.responses).toHaveProperty('default');
      expect(Boolean(operation.requestBody)).toBe(method === 'PUT' || method === 'POST');
    }
    expect(Object.keys(ROUTES).sort()).toEqual(Object.keys(PATHS).sort());
  });
  it('is plain JSON: it survives being sent', () => {
    const description = openApi();
    expect(JSON.parse(JSON.stringify(description))).toEqual(description);
  });
});
