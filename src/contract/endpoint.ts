import type { z } from 'zod';

/** One route: what goes in, what comes out. The server answers by it, the client calls by it, OpenAPI shows it. */
export interface Endpoint {
  method: 'get' | 'post' | 'patch' | 'put' | 'delete';
  /** With `:name` for what stands in the path. */
  path: string;
  /**
   * Where in the body stands who writes it down; `*` for each of a list. Whoever is signed in signs there, whatever was sent.
   */
  signed?: readonly string[];
  summary: string;
  params?: z.ZodObject;
  query?: z.ZodObject;
  body?: z.ZodType;
  reply: z.ZodType;
  /** 201 where something new is made. */
  status?: 200 | 201;
}
