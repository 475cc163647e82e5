import { v4 as newId } from 'uuid';
import type { z } from 'zod';
import type { endpoints } from '@/contract/endpoints';
import type { ErrorReply, FieldMessage } from '@/contract/errors';
import { routes, type EndpointName } from '@/contract/routes';
import { formatLength } from '@/core/measure/length';
import { usePreferences } from './preferences';

type In<E, Key extends string> =
  E extends Record<Key, infer Schema>
    ? Schema extends z.ZodType
      ? { [K in Key]: z.input<Schema> }
      : unknown
    : unknown;
type Arguments<Name extends EndpointName> = In<(typeof endpoints)[Name], 'params'> &
  In<(typeof endpoints)[Name], 'query'> &
  In<(typeof endpoints)[Name], 'body'>;
type Reply<Name extends EndpointName> = z.output<(typeof endpoints)[Name]['reply']>;

/** Why a call, or what was to go with it, did not do what was asked, in words for the person who asked. */
export class CallFailed extends Error {
  constructor(
    message: string,
    readonly fields: FieldMessage[] = [],
    /** Nobody answered: what was sent may be sent again. */
    readonly isAway = false,
    /** Of what was answered; 0 where nobody did. */
    readonly status = 0,
  ) {
    super(message);
    this.name = 'CallFailed';
  }
}

let hearRefused: () => void = () => undefined;
/** Is told whenever the server says that nobody is signed in here, or the session is locked. */
export const onRefused = (hear: () => void): void => void (hearRefused = hear);

/** Names this page to the server, which tells the others what it has written, and not this one. */
export const PAGE = newId();

/** Calls one endpoint of the contract. @throws CallFailed with what the server said, or that it did not answer. */
export async function call<Name extends EndpointName>(name: Name, input: Arguments<Name>): Promise<Reply<Name>> {
  const route = routes[name];
  const { params = {}, query = {}, body } = input as { params?: object; query?: object; body?: unknown };
  const path = route.path.replace(/:(\w+)/g, (_, key: string) =>
    encodeURIComponent(String((params as Record<string, unknown>)[key])),
  );
  const search = new URLSearchParams(
    Object.entries(query).flatMap(([key, value]) => (value === undefined ? [] : [[key, String(value)]])),
  ).toString();
  return send<Reply<Name>>(
    `${path}${search && `?${search}`}`,
    route.method,
    body === undefined ? undefined : { type: 'application/json', body: JSON.stringify(body) },
  );
}

/** Asks an address of the server. @throws CallFailed as `call` does */
export async function send<Answer>(
  address: string,
  method: string,
  sent?: { type: string; body: BodyInit },
): Promise<Answer> {
  const response = await fetch(address, {
    method: method.toUpperCase(),
    // Also without a body: so the server knows that no form of another page sent it.
    headers: { 'X-Page': PAGE, 'Content-Type': sent?.type ?? 'application/json' },
    ...(sent && { body: sent.body }),
  }).catch(() => {
    throw new CallFailed('The server does not answer. Nothing was saved; try again when it is back.', [], true);
  });
  const answer: unknown = await response.json().catch(() => undefined);
  // The server has parsed what it sends by the same schemas; to parse it again would load them on every phone.
  if (response.ok && answer !== undefined) return answer as Answer;
  if (response.status === 401) hearRefused();
  const refusal = (answer as Partial<ErrorReply> | undefined)?.error;
  if (!refusal)
    throw new CallFailed(`The server answered ${response.status}. Nothing was saved.`, [], false, response.status);
  const inUnit = ({ path, message }: FieldMessage) => ({ path, message: inOwnUnit(message) });
  throw new CallFailed(inOwnUnit(refusal.message), refusal.fields?.map(inUnit), false, response.status);
}

/** What the server says of lengths is in millimetres; a keeper who thinks in another unit is told in that. */
function inOwnUnit(message: string): string {
  const unit = usePreferences.getState().lengthUnit;
  if (unit === 'mm') return message;
  return message.replace(/(\d+(?:\.\d+)?) mm\b/g, (_, mm: string) => formatLength(Number(mm), unit));
}
