import type { Certificate } from '../lan/speakingTls';
import type { Clock } from '../clock';
import type { Database } from '../storage/database';
import { simulateProbes } from './simulate';
import { complain } from '../log';

const LOOKS_EVERY_MS = 60_000;

/**
 * Starts what speaks to the server of itself: the simulated probes always, a broker for MQTT where a port is set, and a
 * listener on another broker where its address is. MQTT is loaded only when it is asked for.
 */
export async function startDevices(
  deps: { database: Database; clock: Clock },
  mqttPort: number | undefined,
  mqttUrl: string | undefined,
  { waits = false, secure }: { waits?: boolean; secure?: (() => Certificate) | undefined } = {},
): Promise<{ look: () => Promise<void>; stop: () => Promise<void> }> {
  let busy: Promise<void> = Promise.resolve();
  const look = () => {
    busy = busy
      .then(() => simulateProbes(deps))
      .catch((error: unknown) => complain('The simulated probes could not report.', error));
    return busy;
  };
  // What they have to tell of the last days follows while the first pages ask; a test finds it there.
  const first = look();
  if (waits) await first;
  const timer = setInterval(() => void look(), LOOKS_EVERY_MS);
  const mqtt = mqttPort === undefined && mqttUrl === undefined ? undefined : await import('./mqtt');
  const broker = mqttPort === undefined ? undefined : await mqtt?.startBroker(deps, mqttPort, secure);
  if (broker)
    console.log(
      `MQTT: devices may publish to port ${broker.port}${secure ? ', over TLS from the home network' : ' of this machine'}.`,
    );
  const listener = mqttUrl === undefined ? undefined : await mqtt?.listenOn(deps, mqttUrl);
  return {
    look,
    stop: async () => {
      clearInterval(timer);
      await busy;
      await broker?.close();
      await listener?.close();
    },
  };
}
