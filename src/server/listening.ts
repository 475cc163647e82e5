import type { RequestListener } from 'node:http';
import http from 'node:http';
import type { AddressInfo, Server } from 'node:net';
import QRCode from 'qrcode';
import { certificateFor, type ServerCertificate } from './lan/authority';
import { announce } from './lan/announce';
import { speakBoth, tuned } from './lan/listen';
import { houseNames, type HouseNames } from './lan/names';
import { houseAddress, theWay, trustAddress } from './lan/way';
import { complain } from './log';
import { isBeyond, type Settings } from './settings';

/** Shuts the door, and calls back when everybody is out. */
type Close = (done: () => void) => void;

const LOOPBACK = '127.0.0.1';
/** Names and days are looked at so often: a machine gets another address, a certificate ends. ms, chosen here */
const LOOKS_EVERY_MS = 5 * 60_000;

/**
 * Opens the door: on this machine alone, or to the home network over TLS.
 * @param title name and version of the program
 * @throws for an address beyond this machine where nobody can sign in
 */
export async function listen(
  app: RequestListener,
  wanted: Settings,
  title: string,
  store: string,
  setupCode: string | undefined,
  network: HomeNetwork | undefined,
): Promise<Close> {
  const close = network
    ? await onNetwork(app, wanted, network, title, store)
    : await onMachine(app, wanted, title, store, setupCode);
  if (setupCode !== undefined)
    console.log(`To set the house up from another machine, type this code there: ${setupCode}`);
  return close;
}

async function onMachine(
  app: RequestListener,
  { port, bind = LOOPBACK }: Settings,
  title: string,
  store: string,
  setupCode: string | undefined,
): Promise<Close> {
  if (isBeyond(bind) && setupCode !== undefined) {
    throw new Error(
      `VB_BIND=${bind} is beyond this machine, and nobody can sign in yet. Start without it, give yourself a password under ` +
        'People, and start again; or use bin/start --lan.',
    );
  }
  const server = http.createServer(app);
  tuned(server);
  await opened(server, port, bind);
  console.log(`${title} is ready at http://${bind}:${portOf(server)} on ${store}`);
  return (done) => {
    server.close(() => done());
    server.closeIdleConnections();
    // A browser keeps its connection open; after a moment it is cut.
    setTimeout(() => server.closeAllConnections(), 2000);
  };
}

/** The home network, before anybody is let in from there. */
export interface HomeNetwork {
  names: HouseNames;
  port: number;
  certificate: () => ServerCertificate;
  /** Looks at names and days again, and makes the certificate anew where they ask for it. */
  look: (show: (certificate: ServerCertificate) => void) => Promise<void>;
}

export async function homeNetwork({ certificates, hosts, port }: Settings): Promise<HomeNetwork> {
  const make = (names: HouseNames) => certificateFor(certificates, [...names.all, ...hosts], new Date());
  const names = houseNames();
  let certificate = await make(names);
  const network: HomeNetwork = {
    ...{ names, port, certificate: () => certificate },
    look: async (show) => {
      network.names = houseNames();
      const next = await make(network.names);
      if (next.cert !== certificate.cert) show(next);
      certificate = next;
    },
  };
  return network;
}

async function onNetwork(
  app: RequestListener,
  wanted: Settings,
  network: HomeNetwork,
  title: string,
  store: string,
): Promise<Close> {
  const { server, show, close } = speakBoth(app, theWay(network), network.certificate());
  await opened(server, wanted.port, wanted.bind ?? '0.0.0.0');
  network.port = portOf(server);
  const look = setInterval(() => {
    network
      .look(show)
      .catch((error: unknown) => complain('The certificate of the house could not be made anew.', error));
  }, LOOKS_EVERY_MS);
  look.unref();
  const { names, port } = network;
  const silence = wanted.announces
    ? announce(names, port, (error) => complain('The home network could not be told where the house is.', error))
    : () => undefined;
  console.log(`${title} is ready at http://${LOOPBACK}:${port} on ${store}`);
  console.log(
    `On the home network: ${houseAddress(network)}${wanted.announces ? ` or https://${names.name}:${port}` : ''}`,
  );
  console.log(`A phone trusts this house first: ${trustAddress(network)}`);
  console.log(await QRCode.toString(trustAddress(network), { type: 'utf8' }));
  console.log(`Compare the fingerprint there (SHA-256): ${network.certificate().fingerprint}`);
  return (done) => {
    clearInterval(look);
    silence();
    close(done);
  };
}

const portOf = (server: Server) => (server.address() as AddressInfo).port;

const opened = (server: Server, port: number, host: string): Promise<void> =>
  new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => {
      server.off('error', reject);
      resolve();
    });
  });
