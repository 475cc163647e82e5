import type { z } from 'zod';
import { createDocument, type ZodOpenApiOperationObject, type ZodOpenApiPathsObject } from 'zod-openapi';
import type { Endpoint } from '@/contract/endpoint';
import { endpointRoles } from '@/contract/endpointRoles';
import { endpointGroups } from '@/contract/endpoints';
import { errorReply } from '@/contract/errors';
import { fileRoutes } from '@/contract/fileRoutes';
import type { Needed } from '@/contract/roles';
import type { EndpointName } from '@/contract/routes';
import { describeFields, fieldWords, type JsonSchema } from './fields';
import examples from './examples.json';

const json = (schema: Endpoint['reply'], example?: unknown) => ({
  content: { 'application/json': { schema, ...(example !== undefined && { example }) } },
});

/** What is asked of an operation to show it, and what is answered: run by the tests. */
interface Example {
  request?: unknown;
  reply?: unknown;
}

/** Who may ask, where a house knows its people. */
const NEEDS: Record<Needed, string> = {
  anyone: 'Anyone may ask.',
  secret: 'Whoever holds the secret may ask.',
  reader: 'For readers, helpers and keepers.',
  helper: 'For helpers and keepers.',
  keeper: 'For keepers.',
};

const FAILED = { description: 'Refused or failed: what was wrong, and with which field.', ...json(errorReply) };

function operationOf(name: EndpointName, endpoint: Endpoint, tag: string): ZodOpenApiOperationObject {
  const { summary, params, query, body, reply, status = 200 } = endpoint;
  const example = (examples as Record<string, Example>)[name];
  return {
    ...{ operationId: name, tags: [tag], summary, description: NEEDS[endpointRoles[name]] },
    ...requestParams(params, query),
    ...(body && { requestBody: { required: true, ...json(body, example?.request) } }),
    responses: { [String(status)]: { description: 'Done.', ...json(reply, example?.reply) }, default: FAILED },
  };
}

const requestParams = (path?: z.ZodObject, query?: z.ZodObject) =>
  (path ?? query) && { requestParams: { ...(path && { path }), ...(query && { query }) } };

function fileOperation(name: string, route: (typeof fileRoutes)[keyof typeof fileRoutes]): ZodOpenApiOperationObject {
  const { summary, role, answers, path } = route;
  const binary = { schema: { type: 'string' as const, format: 'binary' } };
  const parameters = [...path.matchAll(/:(\w+)/g)].map(([, each = '']) => ({
    ...{ name: each, in: 'path' as const, required: true, schema: { type: 'string' as const } },
  }));
  return {
    ...{ operationId: name, tags: ['Files'], summary, description: NEEDS[role], parameters },
    ...('query' in route && requestParams(undefined, route.query)),
    ...('takes' in route && { requestBody: { required: true, content: { [route.takes]: binary } } }),
    responses: {
      '200': {
        description: 'The file.',
        content: Object.fromEntries(answers.map((type) => [type, type === 'application/json' ? {} : binary])),
      },
      default: FAILED,
    },
  };
}

/** The OpenAPI document, made from the same schemas by which the server parses. */
export function openApiDocument(version: string) {
  const paths: ZodOpenApiPathsObject = {};
  const add = (path: string, method: string, operation: ZodOpenApiOperationObject) => {
    const inBraces = path.replace(/:(\w+)/g, '{$1}');
    paths[inBraces] = { ...paths[inBraces], [method]: operation };
  };
  for (const { tag, endpoints } of endpointGroups) {
    for (const [name, endpoint] of Object.entries(endpoints) as [EndpointName, Endpoint][])
      add(endpoint.path, endpoint.method, operationOf(name, endpoint, tag));
  }
  for (const [name, route] of Object.entries(fileRoutes)) add(route.path, route.method, fileOperation(name, route));
  const document = createDocument({
    openapi: '3.1.0',
    info: {
      title: 'Verdant Burrow',
      version,
      license: { name: 'MIT', identifier: 'MIT' },
      description:
        'Records and computation for keepers of invertebrates. Names of fields end in their unit: lengths are in millimetres (Mm), masses in grams (G), temperatures in degrees Celsius (C), shares in percent (Pct). A day is written YYYY-MM-DD and is local; an instant is ISO 8601 in UTC. A refusal names each field and what would be right.',
    },
    tags: [...endpointGroups.map(({ tag, about }) => ({ name: tag, description: about })), FILES],
    paths,
  });
  describeDocument(document as unknown as DescribedDocument);
  return document;
}

const FILES = {
  name: 'Files',
  description: 'Photos, paper, calendars, tables, backups, and what happens, as it happens.',
};

type Content = Record<string, { schema?: JsonSchema }>;
interface DescribedOperation {
  parameters?: { name: string; description?: string; schema?: JsonSchema }[];
  requestBody?: { content: Content };
  responses: Record<string, { content?: Content }>;
}
interface DescribedDocument {
  paths: Record<string, Record<string, DescribedOperation>>;
  components?: { schemas?: Record<string, JsonSchema> };
}

/** Says of every field what it is. @throws Error where one is not described: a field without a sentence is not shipped. */
function describeDocument({ paths, components }: DescribedDocument): void {
  const operations = Object.values(paths).flatMap((each) => Object.values(each));
  const contents = operations.flatMap(({ requestBody, responses }) => [
    requestBody?.content,
    ...Object.values(responses).map(({ content }) => content),
  ]);
  const schemas = [
    ...Object.values(components?.schemas ?? {}),
    ...contents.flatMap((content) => Object.values(content ?? {}).flatMap(({ schema }) => schema ?? [])),
  ];
  const parameters = operations.flatMap((each) => each.parameters ?? []);
  for (const each of parameters) each.description ??= fieldWords(each.name, each.schema ?? {}) ?? '';
  const missing = [
    ...schemas.flatMap(describeFields),
    ...parameters.flatMap(({ name, description }) => (description === '' ? [name] : [])),
  ];
  if (missing.length > 0)
    throw new Error(`Without a sentence in openapi/fields.json: ${[...new Set(missing)].join(', ')}.`);
}
