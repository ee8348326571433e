/** OpenAPI 3.1, made from the route table, so that the description cannot drift from what is checked. */
import { z } from 'zod';
import { API, PATHS, type RouteName } from './paths';
import { TABLE } from './routes';
import { ProblemSchema } from './schemas';

const jsonSchema = (schema: z.ZodType, io: 'input' | 'output') =>
  z.toJSONSchema(schema, { io, unrepresentable: 'any', target: 'draft-2020-12' });

const parameters = (schema: z.ZodType, place: 'path' | 'query') => {
  const { properties = {}, required = [] } = jsonSchema(schema, 'input') as { properties?: Record<string, object>; required?: string[] };
  return Object.entries(properties).map(([name, property]) => ({
    name,
    in: place,
    required: place === 'path' || required.includes(name),
    schema: property,
  }));
};

const IF_MATCH = {
  name: 'If-Match',
  in: 'header',
  required: false,
  schema: { type: 'string' },
  description: 'The version last seen, as the ETag gave it. Needed to change what exists.',
};
const editable: readonly RouteName[] = ['putOrder', 'putPress', 'putHouse'];

function operation(name: RouteName) {
  const { summary, params, query, body, reply } = TABLE[name];
  const hasBody = !(body instanceof z.ZodUndefined);
  return {
    operationId: name,
    summary,
    parameters: [...parameters(params, 'path'), ...parameters(query, 'query'), ...(editable.includes(name) ? [IF_MATCH] : [])],
    ...(hasBody ? { requestBody: { required: true, content: { 'application/json': { schema: jsonSchema(body, 'input') } } } } : {}),
    responses: {
      200: { description: 'Done', content: { 'application/json': { schema: jsonSchema(reply, 'output') } } },
      default: {
        description: 'A problem, naming field and reason',
        content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
      },
    },
  };
}

/** The whole description as a plain object. */
export function openApi() {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const name of Object.keys(PATHS) as RouteName[]) {
    const [method, path] = PATHS[name];
    paths[`${API}${path}`] = { ...paths[`${API}${path}`], [method.toLowerCase()]: operation(name) };
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Tidy Beacon',
      version: '1',
      description: 'Quantities are °C, K, s, mm and kPa; instants are ms since the epoch, UTC; money is in minor units.',
    },
    paths,
    components: { schemas: { Problem: jsonSchema(ProblemSchema, 'output') } },
  };
}
