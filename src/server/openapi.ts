import { createDocument, type ZodOpenApiPathsObject } from 'zod-openapi';
import type { Endpoint } from '@/contract/endpoint';
import { endpoints } from '@/contract/endpoints';
import { errorReply } from '@/contract/errors';

const json = (schema: Endpoint['reply']) => ({ content: { 'application/json': { schema } } });

/** The OpenAPI document, made from the same schemas by which the server parses. */
export function openApiDocument(version: string) {
  const paths: ZodOpenApiPathsObject = {};
  for (const [operationId, endpoint] of Object.entries(endpoints) as [string, Endpoint][]) {
    const path = endpoint.path.replace(/:(\w+)/g, '{$1}');
    paths[path] = {
      ...paths[path],
      [endpoint.method]: {
        operationId,
        summary: endpoint.summary,
        ...((endpoint.params ?? endpoint.query) && {
          requestParams: {
            ...(endpoint.params && { path: endpoint.params }),
            ...(endpoint.query && { query: endpoint.query }),
          },
        }),
        ...(endpoint.body && { requestBody: { required: true, ...json(endpoint.body) } }),
        responses: {
          [String(endpoint.status ?? 200)]: { description: 'Done.', ...json(endpoint.reply) },
          default: { description: 'Refused or failed.', ...json(errorReply) },
        },
      },
    };
  }
  return createDocument({
    openapi: '3.1.0',
    info: {
      title: 'Verdant Burrow',
      version,
      description: 'Records and computation for keepers of invertebrates. Lengths are in millimetres, days are local.',
    },
    paths,
  });
}
