/**
 * Requests that a server must bear: malformed ones, and ones that hold to the published description but go to its ends. Made
 * from the OpenAPI description and from what the shop holds, from a seed, so that a list can be asked again.
 */
import { openApi } from '../src/contract/openapi';

type Schema = Record<string, unknown>;
type Json = unknown;

export interface Asked {
  what: string;
  method: string;
  path: string;
  headers: Record<string, string>;
  body?: string;
}

/** Mulberry32: a small generator of numbers from a seed. */
export function chanceFrom(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

interface Operation {
  id: string;
  method: string;
  path: string;
  params: { name: string; in: string; schema: Schema }[];
  body: Schema | null;
}

function operations(): Operation[] {
  const list: Operation[] = [];
  for (const [path, methods] of Object.entries(openApi().paths))
    for (const [method, raw] of Object.entries(methods)) {
      const entry = raw as {
        operationId: string;
        parameters: { name: string; in: string; schema: Schema }[];
        requestBody?: { content: Record<string, { schema: Schema }> };
      };
      const body = entry.requestBody?.content['application/json']?.schema ?? null;
      list.push({ id: entry.operationId, method: method.toUpperCase(), path, params: entry.parameters, body });
    }
  return list;
}

/** Addresses that the description does not hold: lists, files, pages. */
const BESIDE = [
  ['POST', '/api/v1/import?kind=shop&apply=true'],
  ['POST', '/api/v1/import?kind=fabrics&apply=true'],
  ['POST', '/api/v1/import?kind=pressings&apply=false'],
  ['PUT', '/api/v1/restore'],
  ['PUT', '/api/v1/kept-copies/none/restore'],
  ['GET', '/api/v1/kept-copies'],
  ['GET', '/api/v1/pressings.csv'],
  ['GET', '/api/v1/pressings.json'],
  ['GET', '/api/v1/shop.json'],
  ['GET', '/api/v1/shop.schema.json'],
  ['GET', '/api/v1/openapi.json'],
  ['GET', '/api/v1/shelf/products.csv'],
  ['GET', '/api/v1/orders/order-guide-tees/card.pdf'],
  ['GET', '/api/v1/orders/order-guide-tees/guide.svg'],
  ['GET', '/api/v1/photos/00000000-0000-4000-8000-000000000000'],
  ['GET', '/'],
  ['GET', '/orders/order-guide-tees/card'],
  ['GET', '/log/none'],
] as const;

const ODD: Json[] = [
  null,
  true,
  '',
  ' ',
  0,
  -1,
  1e308,
  -1e308,
  0.1,
  2 ** 53,
  'NaN',
  [],
  {},
  [null],
  [[[[[]]]]],
  { constructor: {} },
  '\u0000',
  '\ud800',
  '🔥'.repeat(50),
  "'; DROP TABLE orders; --",
  '<script>alert(1)</script>',
  '../../../etc/passwd',
  'x'.repeat(100_000),
  '9'.repeat(400),
  '2026-02-31',
  '\u202e',
];

/** A maker of requests. */
export class Requests {
  private readonly ops = operations();
  constructor(
    private readonly chance: () => number,
    /** Documents of the shop by the operation that takes them, to be changed here and there. */
    private readonly known: Readonly<Record<string, readonly { params: Record<string, string>; body: Json }[]>>,
    /** Ids that are there. */
    private readonly ids: readonly string[],
  ) {}

  private int = (most: number): number => Math.floor(this.chance() * (most + 1));
  private pick = <T>(list: readonly T[]): T => list[Math.floor(this.chance() * list.length)] as T;

  /** A value that holds to a schema and goes to its ends. */
  // biome-ignore lint/complexity/noExcessiveCognitiveComplexity: every kind of schema makes its own values
  private valid(schema: Schema, depth = 0): Json {
    const any = (schema.anyOf ?? schema.oneOf) as Schema[] | undefined;
    if (any) return this.valid(this.pick(any), depth + 1);
    if (schema.allOf) return this.valid(this.pick(schema.allOf as Schema[]), depth + 1);
    if ('const' in schema) return schema.const;
    if (schema.enum) return this.pick(schema.enum as Json[]);
    const type = Array.isArray(schema.type) ? this.pick(schema.type as string[]) : schema.type;
    switch (type) {
      case 'object': {
        const properties = (schema.properties ?? {}) as Record<string, Schema>;
        const required = new Set((schema.required as string[] | undefined) ?? []);
        const out: Record<string, Json> = {};
        for (const [name, one] of Object.entries(properties))
          if (required.has(name) || this.chance() < 0.4) out[name] = this.valid(one, depth + 1);
        if (typeof schema.additionalProperties === 'object' && schema.propertyNames)
          for (let i = this.int(2); i > 0; i--)
            out[String(this.valid(schema.propertyNames as Schema, depth + 1))] = this.valid(
              schema.additionalProperties as Schema,
              depth + 1,
            );
        return out;
      }
      case 'array': {
        const [least, most] = [Number(schema.minItems ?? 0), Number(schema.maxItems ?? 6)];
        const n = this.chance() < 0.15 && depth < 4 ? Math.min(most, 60) : Math.min(most, least + this.int(3));
        return Array.from({ length: Math.max(least, n) }, () => this.valid((schema.items ?? {}) as Schema, depth + 1));
      }
      case 'string':
        return this.text(schema);
      case 'integer':
      case 'number':
        return this.figure(schema, type === 'integer');
      case 'boolean':
        return this.chance() < 0.5;
      case 'null':
        return null;
      default:
        return this.pick(ODD);
    }
  }

  private text(schema: Schema): string {
    const { format, pattern } = schema as { format?: string; pattern?: string };
    if (format === 'date') return this.pick(['2026-11-27', '1900-01-01', '9999-12-31', '2024-02-29']);
    if (format === 'uuid' || /\{8\}-/.test(pattern ?? '')) return `00000000-0000-4000-8000-${String(this.int(1e9)).padStart(12, '0')}`;
    if (pattern?.includes('{64}')) return 'a'.repeat(64);
    if (pattern?.includes('[a-z0-9]')) return this.chance() < 0.7 && this.ids.length > 0 ? this.pick(this.ids) : `id-${this.int(1e6)}`;
    const [least, most] = [Number(schema.minLength ?? 0), Math.min(2000, Number(schema.maxLength ?? 60))];
    return this.pick(['a', 'ö', '漢', '😀', ' x'])
      .repeat(most)
      .slice(0, Math.max(least, this.chance() < 0.3 ? most : this.int(Math.min(most, 20))));
  }

  private figure(schema: Schema, whole: boolean): number {
    const least = Number(schema.minimum ?? schema.exclusiveMinimum ?? -1e6);
    const most = Number(schema.maximum ?? schema.exclusiveMaximum ?? 1e12);
    const edge = this.chance();
    const value = edge < 0.25 ? least : edge < 0.5 ? most : least + this.chance() * Math.min(most - least, 1e6);
    const off = schema.exclusiveMinimum !== undefined && value === least ? 1e-6 : 0;
    return whole ? Math.min(most, Math.ceil(value + off)) : value + off;
  }

  /** The same with one part made odd, or taken away. */
  private spoiled(value: Json): Json {
    if (typeof value !== 'object' || value === null || this.chance() < 0.12) return this.pick(ODD);
    if (Array.isArray(value)) {
      if (value.length === 0) return [this.pick(ODD)];
      const i = this.int(value.length - 1);
      if (this.chance() < 0.1) return [...value, ...value];
      return value.map((entry, j) => (i === j ? this.spoiled(entry) : entry));
    }
    const keys = Object.keys(value);
    if (keys.length === 0) return this.pick(ODD);
    const key = this.pick(keys);
    const { [key]: old, ...rest } = value as Record<string, Json>;
    return this.chance() < 0.15 ? rest : { ...rest, [key]: this.spoiled(old) };
  }

  private address({ path, params }: Operation, given: Record<string, string>, odd: boolean): string {
    const filled = path.replace(/\{(\w+)\}/g, (_, name: string) => {
      if (odd && this.chance() < 0.3)
        return encodeURIComponent(
          wellFormed(String(this.pick(ODD.filter((candidate) => typeof candidate !== 'object')))).replace(/^(.{300}).*$/su, '$1') || '-',
        );
      const schema = params.find((param) => param.name === name)?.schema ?? {};
      return encodeURIComponent(wellFormed(given[name] ?? String(this.valid(schema))));
    });
    const query = params.filter((param) => param.in === 'query' && (odd || this.chance() < 0.5));
    const words = query.map(({ name, schema }) => {
      const value = odd && this.chance() < 0.5 ? this.pick(ODD) : this.valid(schema);
      return `${name}=${encodeURIComponent(wellFormed([...(typeof value === 'object' ? JSON.stringify(value) : String(value))].slice(0, 300).join('')))}`;
    });
    return words.length > 0 ? `${filled}?${words.join('&')}` : filled;
  }

  /** One request that holds to the description, to its ends. */
  extreme(): Asked {
    const op = this.pick(this.ops);
    const stored = this.known[op.id];
    const given = stored && this.chance() < 0.3 ? this.pick(stored) : null;
    const body = op.body ? (given?.body ?? this.valid(op.body)) : undefined;
    const ids = body && typeof body === 'object' && 'id' in body ? { id: String((body as { id: unknown }).id) } : {};
    const path = this.address(op, { ...ids, ...given?.params }, false);
    const headers: Record<string, string> = this.chance() < 0.4 ? { 'if-match': `"${1 + this.int(3)}"` } : {};
    return {
      what: op.id,
      method: op.method,
      path,
      headers: { ...headers, ...(body !== undefined && JSON_TYPE) },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    };
  }

  /** One request that does not. */
  malformed(): Asked {
    if (this.chance() < 0.1) return this.strange();
    const op = this.pick(this.ops);
    const stored = this.known[op.id];
    const given = stored && this.chance() < 0.6 ? this.pick(stored) : null;
    const whole = op.body ? (given?.body ?? this.valid(op.body)) : undefined;
    const path = this.address(op, given?.params ?? {}, this.chance() < 0.4);
    const headers: Record<string, string> =
      this.chance() < 0.2 ? { 'if-match': this.pick(['*', '"x"', '1e9', '"-1"', '"99999999999999999999"', 'W/"1"']) } : {};
    if (whole === undefined)
      return { what: op.id, method: this.chance() < 0.1 ? this.pick(['PATCH', 'OPTIONS', 'HEAD', 'DELETE']) : op.method, path, headers };
    return { what: op.id, method: op.method, path, headers: { ...headers, ...this.type() }, body: this.broken(this.spoiled(whole)) };
  }

  private type(): Record<string, string> {
    return this.chance() < 0.04 ? { 'content-type': this.pick(['text/plain', 'application/xml', '']) } : JSON_TYPE;
  }

  private broken(value: Json): string {
    const text = JSON.stringify(value) ?? 'undefined';
    const how = this.chance();
    if (how < 0.06) return text.slice(0, this.int(text.length));
    if (how < 0.09) return `${'['.repeat(20_000)}${']'.repeat(20_000)}`;
    if (how < 0.12) return `${'{"a":'.repeat(3000)}1${'}'.repeat(3000)}`;
    if (how < 0.14) return 'x'.repeat(1_200_000);
    return text;
  }

  /** Lists, files and pages asked for with what they are not. */
  private strange(): Asked {
    const [method, path] = this.pick(BESIDE);
    const odd = () => wellFormed(String(this.pick(ODD.filter((candidate) => typeof candidate !== 'object')))).slice(0, 200);
    const query =
      this.chance() < 0.5
        ? ''
        : `${path.includes('?') ? '&' : '?'}${this.pick(['q', 'line', 'print', 'from', 'kind', 'limit'])}=${encodeURIComponent(odd())}`;
    const address = path + query;
    if (method === 'GET') return { what: path, method, path: address, headers: {} };
    const csv = path.includes('fabrics') || path.includes('pressings');
    const body = path.includes('restore')
      ? 'no database '.repeat(this.int(500))
      : csv
        ? this.pick([
            '',
            'id,name\n',
            'id;name;mass_gsm\nfabric-x;x;1,5\n',
            `pressing,ended\n${odd()},${odd()}\n`,
            '"',
            `${odd()}\n`.repeat(50),
          ])
        : JSON.stringify(
            this.spoiled({
              format: 'tidy-beacon shop',
              version: 2,
              orders: [{ id: 'order-x' }],
              fabrics: [null],
              pressings: [{}],
              runs: [{ id: 'run-x' }],
            }),
          );
    return {
      what: path,
      method,
      path: address,
      headers: { 'content-type': path.includes('restore') ? 'application/octet-stream' : csv ? 'text/csv' : 'application/json' },
      body,
    };
  }
}

const JSON_TYPE = { 'content-type': 'application/json' };

/** Half a letter cannot stand in an address. */
const wellFormed = (text: string): string => Buffer.from(text, 'utf8').toString('utf8');
