import type { Express, Request, Response } from 'express';
import type { z } from 'zod';
import type { Endpoint } from '@/contract/endpoint';
import { endpoints } from '@/contract/endpoints';
import type { accessEndpoints } from '@/contract/endpointsOfAccess';
import { fieldMessages } from '@/contract/errors';
import type { EndpointName } from '@/contract/routes';
import { setToken, signatureOf, visitorOf, type Visitor } from '../access/visitor';
import { askedFor } from '../asking';
import { serialised } from './serialised';
import { invalidBy, Problem } from './problem';
import { readInSteps } from './readInSteps';
import { signed } from './signed';
import { complain } from '../log';

type Parsed<Schema> = Schema extends z.ZodType ? z.output<Schema> : undefined;
type Part<E, Key extends string> = E extends Record<Key, infer Schema> ? Parsed<Schema> : undefined;

/** What a handler gets: everything parsed, nothing raw. */
export interface Input<Name extends EndpointName> {
  params: Part<(typeof endpoints)[Name], 'params'>;
  query: Part<(typeof endpoints)[Name], 'query'>;
  body: Part<(typeof endpoints)[Name], 'body'>;
  /** What the header `Authorization: Bearer` carries. */
  token: string | undefined;
}

/** Who asks, for the few that answer by it. */
export interface Asking {
  visitor: Visitor;
  /** Looks who asks anew, where that has changed. */
  request: Request;
  /** Puts the token of a session into the browser, or takes it away. */
  keep: (token: string | null) => void;
}

/** Answers the same to everybody who may ask. */
export type Handler<Name extends EndpointName> = (input: Input<Name>) => Reply<Name> | Promise<Reply<Name>>;
/** Answers by who asks. */
export type AskedHandler<Name extends EndpointName> = (
  input: Input<Name>,
  asking: Asking,
) => Reply<Name> | Promise<Reply<Name>>;
type Reply<Name extends EndpointName> = z.input<(typeof endpoints)[Name]['reply']>;

export type Handlers = {
  [Name in EndpointName]: Name extends keyof typeof accessEndpoints ? AskedHandler<Name> : Handler<Name>;
};

/** Mounts every endpoint of the contract: parse what comes in, call its handler, parse what goes out. */
export function mount(app: Express, handlers: Handlers): void {
  for (const name of Object.keys(endpoints) as EndpointName[]) {
    const endpoint: Endpoint = endpoints[name];
    const handler = handlers[name] as (input: unknown, asking: Asking) => unknown;
    app[endpoint.method](endpoint.path, async (request: Request, response: Response) => {
      const visitor = visitorOf(request);
      const body = await parsePart(endpoint.body, request.body);
      const signature = signatureOf(visitor);
      const input = {
        params: await parsePart(endpoint.params, request.params, true),
        query: await parsePart(endpoint.query, request.query),
        body: signature === undefined ? body : signed(body, endpoint.signed, signature),
        token: /^Bearer (\S{1,200})$/.exec(request.headers.authorization ?? '')?.[1],
      };
      const keep = (token: string | null) => setToken(response, visitor, token);
      const gone = new AbortController();
      response.on('close', () => gone.abort());
      const asked = { signature, by: visitor.session?.id ?? visitor.address, signal: gone.signal };
      const answer = await askedFor(asked, () => handler(input, { visitor, request, keep }));
      const report = (why: string) => complain(`The reply of ${name} has not the shape it should have: ${why}`);
      const text = await serialised(endpoint.reply, answer, report);
      response
        .status(endpoint.status ?? 200)
        .type('json')
        .send(text);
    });
  }
}

async function parsePart(schema: z.ZodType | undefined, value: unknown, inPath = false): Promise<unknown> {
  if (!schema) return undefined;
  if (value === undefined) throw new Problem('invalid', 'A JSON body is needed (Content-Type: application/json).');
  const read = await readInSteps(schema, value);
  if (read.success) return read.data;
  // An id in the path that is no id cannot be the id of anything.
  if (inPath) throw new Problem('not-found', 'There is nothing with that id.', fieldMessages(read));
  throw invalidBy(read);
}
