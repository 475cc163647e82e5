import net, { type AddressInfo } from 'node:net';
import Aedes, { type Client } from 'aedes';
import { connect, type MqttClient } from 'mqtt';
import { deviceReadings } from '@/contract/readings';
import { fieldMessages } from '@/contract/errors';
import type { Clock } from '../clock';
import { Problem } from '../http/problem';
import type { Database } from '../storage/database';
import { findProbeOfDigest } from '../storage/probes';
import { digestOf } from '../secrets';
import { takeReadings } from './takeReadings';

/** Devices publish here what they would post to /api/readings; the password of the connection is their token. */
export const READINGS_TOPIC = 'burrow/readings';
/** Behind a broker of one's own devices share a connection: there the token is part of the topic. */
const TOPIC_WITH_TOKEN = /^burrow\/([A-Za-z0-9_-]{20,64})\/readings$/;
const LARGEST_PAYLOAD = 256_000;

interface Deps {
  database: Database;
  clock: Clock;
}

export interface Mqtt {
  port: number | null;
  close: () => Promise<void>;
}

interface KnownClient extends Client {
  token?: string;
}

/** Takes one message in. What is wrong with it is logged: MQTT has no answer to give. */
async function take(deps: Deps, token: string | undefined, payload: Buffer): Promise<void> {
  try {
    if (payload.length > LARGEST_PAYLOAD) throw new Problem('too-large', 'The message is too large.');
    const parsed = deviceReadings.safeParse(JSON.parse(payload.toString('utf8')));
    if (!parsed.success) throw new Problem('invalid', 'A field needs another value.', fieldMessages(parsed.error));
    await takeReadings(deps, token, parsed.data);
  } catch (error) {
    const why =
      error instanceof Problem
        ? [error.message, ...(error.fields ?? []).map((each) => `${each.path}: ${each.message}`)]
        : ['The message is not JSON.'];
    console.error(`MQTT: a reading was refused. ${why.join(' ')}`);
  }
}

/** A broker that ships with the program, on this computer only: a device comes in with its token as password. */
export async function startBroker(deps: Deps, port: number, host = '127.0.0.1'): Promise<Mqtt> {
  const broker = new Aedes({
    authenticate: (client, _user, password, done) => {
      const token = password?.toString() ?? '';
      findProbeOfDigest(deps.database, digestOf(token)).then(
        (probeId) => {
          if (probeId) (client as KnownClient).token = token;
          done(null, probeId !== undefined);
        },
        () => done(null, false),
      );
    },
    // A device may write readings, and nothing else; nobody listens in.
    authorizePublish: (_client, packet, done) =>
      done(packet.topic === READINGS_TOPIC ? null : new Error(`Publish to ${READINGS_TOPIC}.`)),
    authorizeSubscribe: (_client, _subscription, done) => done(null, null),
  });
  broker.on('publish', (packet, client) => {
    if (client && packet.topic === READINGS_TOPIC) {
      void take(deps, (client as KnownClient).token, Buffer.from(packet.payload));
    }
  });
  const server = net.createServer(broker.handle);
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, resolve);
  });
  return {
    port: (server.address() as AddressInfo).port,
    close: () => new Promise((resolve) => broker.close(() => server.close(() => resolve()))),
  };
}

/** Listens on a broker that is there already. */
export function listenOn(deps: Deps, url: string): Mqtt {
  const client: MqttClient = connect(url);
  client.on('connect', () => client.subscribe('burrow/+/readings'));
  client.on('error', (error) => console.error(`MQTT: ${error.message}`));
  client.on('message', (topic, payload) => void take(deps, TOPIC_WITH_TOKEN.exec(topic)?.[1], payload));
  return { port: null, close: () => client.endAsync() };
}
