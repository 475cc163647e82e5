import fs from 'node:fs';
import path from 'node:path';
import { endpoints } from '@/contract/endpoints';
import type { EndpointName } from '@/contract/routes';
import { TINY_JPEG } from '@/core/testing/tinyJpeg';
import { STEPS } from './examples/steps';
import { places, walked, type Example } from './examples/walk';
import { emptyHouse } from './house';

const FILE = path.join(__dirname, '../src/server/openapi/examples.json');

/** They need an authenticator: `e2e/people.spec.ts` has one. */
const WITH_A_KEY = ['passkeySignInOptions', 'passkeySignIn', 'newPasskeyOptions', 'addPasskey', 'removePasskey'];

/**
 * The examples of the API: each is asked here, in one house, from its first shelf to its door. Made anew with
 * `VB_WRITE_EXAMPLES=1 npx jest stories/apiExamples`.
 */
it('every operation has an example, which is answered as it is shown', async () => {
  const house = await emptyHouse('2026-03-14');
  const profile = house.granted(await house.get('/api/profiles/isopod-temperate'));
  const ownKind = { ...profile, id: 'isopods-of-ours', name: 'Isopods of ours' };
  const examples = await walked(house, STEPS, new Map<string, unknown>(Object.entries({ ownKind, jpeg: TINY_JPEG })));
  if (process.env.VB_WRITE_EXAMPLES === '1')
    fs.writeFileSync(FILE, `${JSON.stringify(Object.fromEntries(examples), null, 1)}\n`);
  const told = JSON.parse(fs.readFileSync(FILE, 'utf8')) as Record<EndpointName, Example>;
  expect(Object.keys(endpoints).filter((name) => !(name in told))).toEqual(WITH_A_KEY);
  for (const [name, { request, reply }] of examples) {
    const { body: bodySchema, reply: replySchema } = endpoints[name] as (typeof endpoints)['fit'];
    if (request !== undefined)
      expect([name, bodySchema.safeParse(told[name].request).error]).toEqual([name, undefined]);
    expect([name, replySchema.safeParse(told[name].reply).error]).toEqual([name, undefined]);
    // The same is there; how late it is, and what was drawn by lot, differs.
    expect([name, places(told[name].reply).sort()]).toEqual([name, places(reply).sort()]);
  }
}, 180_000);
