import { useLine } from './events';
import { stayInstalled } from './installed';
import { useLog } from './log';

/** A browser's service workers, as far as a page sees them. */
class ServiceWorkers extends EventTarget {
  updates = 0;
  registered: string[] = [];
  constructor(readonly controller: object | null) {
    super();
  }
  async register(address: string) {
    this.registered.push(address);
    return { update: async () => void (this.updates += 1) };
  }
}

describe('a page that is kept on the device', () => {
  const { env } = process;
  const begun = async (controller: object | null) => {
    const workers = new ServiceWorkers(controller);
    Object.defineProperty(navigator, 'serviceWorker', { value: workers, configurable: true });
    useLog.setState({ notice: null });
    stayInstalled();
    await Promise.resolve();
    return workers;
  };
  beforeAll(() => void (process.env = { ...env, NODE_ENV: 'production' }));
  afterAll(() => void (process.env = env));
  const notice = () => useLog.getState().notice;

  it('tells of a newer version, and lets it in when it is asked to', async () => {
    const workers = await begun({});
    stayInstalled();
    expect(workers.registered).toEqual(['/sw.js']);
    workers.dispatchEvent(new Event('controllerchange'));
    expect(notice()).toMatchObject({ stays: true, action: { title: 'Load it' } });
  });

  it('says nothing of the first one that takes over', async () => {
    const workers = await begun(null);
    workers.dispatchEvent(new Event('controllerchange'));
    expect(notice()).toBeNull();
    workers.dispatchEvent(new Event('controllerchange'));
    expect(notice()).toMatchObject({ stays: true });
  });

  it('looks for one when the server is back', async () => {
    const workers = await begun({});
    useLine.setState({ isAway: true });
    expect(workers.updates).toBe(0);
    useLine.setState({ isAway: false });
    expect(workers.updates).toBe(1);
  });
});
