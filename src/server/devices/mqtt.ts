import net, { type AddressInfo, type Socket } from 'node:net';
import Aedes, { type Client } from 'aedes';
import { connect, type MqttClient } from 'mqtt';
import { deviceReadings } from '@/contract/readings';
import type { Clock } from '../clock';
import { speakingTls, type Certificate } from '../lan/speakingTls';
import { invalidBy, Problem } from '../http/problem';
import type { Database } from '../storage/database';
import { findProbeOfDigest } from '../storage/probes';
import { readMeta, writeMeta } from '../storage/meta';
import { digestOf, newSecret } from '../secrets';
import { readingQueue } from './readingQueue';
import { complain } from '../log';

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

type Queue = ReturnType<typeof readingQueue>;
/**
 * Takes one message in; it is stored when this comes back. What is wrong with it is logged: MQTT has no answer to give, and
 * sent again it would be no better.
 * @throws what keeps the house from storing it: then it is not acknowledged, and its device sends it again
 */
async function take(queue: Queue, token: string | undefined, payload: Buffer): Promise<void> {
  try {
    if (payload.length > LARGEST_PAYLOAD) throw new Problem('too-large', 'The message is too large.');
    const parsed = deviceReadings.safeParse(JSON.parse(payload.toString('utf8')));
    if (!parsed.success) throw invalidBy(parsed.error);
    await queue(token, parsed.data);
  } catch (error) {
    // Where nothing is wrong with the message, it is taken when it is sent again.
    if (error instanceof Problem ? error.code === 'busy' : !(error instanceof SyntaxError)) throw error;
    const why =
      error instanceof Problem
        ? [error.message, ...(error.fields ?? []).map((each) => `${each.path}: ${each.message}`)]
        : ['The message is not JSON.'];
    complain(`MQTT: a reading was refused. ${why.join(' ')}`);
  }
}

/** Who connects says who he is within so long; who is silent for so long is cut, whatever it has promised. ms, chosen here */
const CONNECTS_WITHIN_MS = 10_000;
const SILENT_MS = 15 * 60_000;
const MOST_CLIENTS = 500;

/**
 * A broker that ships with the program: a device comes in with its token as password. On this machine in plain, and from the home
 * network over TLS alone.
 * @param secure the certificate of the house as it is now, where the home network is served
 */
export async function startBroker(deps: Deps, port: number, secure?: () => Certificate): Promise<Mqtt> {
  const queue = readingQueue(deps);
  const broker = new Aedes({
    connectTimeout: CONNECTS_WITHIN_MS,
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
    // A device may write readings, and nothing else; nobody listens in. The broker acknowledges after this: what it has
    // acknowledged is stored.
    authorizePublish: (client, packet, done) => {
      if (packet.topic !== READINGS_TOPIC) return done(new Error(`Publish to ${READINGS_TOPIC}.`));
      const { token } = (client ?? {}) as Partial<KnownClient>;
      take(queue, token, Buffer.from(packet.payload)).then(() => done(null), notStored(done));
    },
    authorizeSubscribe: (_client, _subscription, done) => done(null, null),
  });
  const { handle } = broker;
  const open = (socket: Socket) => {
    socket.setTimeout(SILENT_MS, () => socket.destroy());
    handle(socket as never);
  };
  const server = secure ? speakingTls(secure, open) : net.createServer(open);
  server.maxConnections = MOST_CLIENTS;
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, secure ? '0.0.0.0' : '127.0.0.1', resolve);
  });
  return {
    port: (server.address() as AddressInfo).port,
    close: () => new Promise((resolve) => broker.close(() => server.close(() => resolve()))),
  };
}

const notStored = (done: (error: Error) => void) => (error: unknown) => {
  complain('MQTT: a reading could not be stored.', error);
  done(error instanceof Error ? error : new Error(String(error)));
};

/**
 * Listens on a broker that is there already, as the same client each time: what it sent and nobody acknowledged it sends again.
 */
export async function listenOn(deps: Deps, url: string): Promise<Mqtt> {
  const queue = readingQueue(deps);
  const client: MqttClient = connect(url, { clientId: await clientId(deps.database), clean: false });
  client.on('connect', () => client.subscribe('burrow/+/readings', { qos: 1 }));
  client.on('error', (error) => complain(`MQTT: ${error.message}`));
  // Acknowledged when this calls back.
  client.handleMessage = (packet, done) => {
    const token = TOPIC_WITH_TOKEN.exec(packet.topic)?.[1];
    const again = (error: Error) => {
      done(error);
      // A broker sends again what was not acknowledged when its client comes back.
      client.stream.destroy();
    };
    take(queue, token, Buffer.from(packet.payload)).then(() => done(), notStored(again));
  };
  return { port: null, close: () => client.endAsync() };
}

const CLIENT_KEY = 'mqttClient';

/** The name of this house at a broker, made once: two houses on one broker do not drive each other out. */
async function clientId(database: Database): Promise<string> {
  const known = await readMeta(database, CLIENT_KEY);
  if (known) return known;
  const made = `burrow-${newSecret().slice(0, 16)}`;
  await writeMeta(database, CLIENT_KEY, made);
  return made;
}
