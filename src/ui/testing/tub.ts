import type { Home } from '@/contract/records';

/** A tub of 25 cm a side with a little soil in it. */
export const tub = (code: string, change: Partial<Home> = {}): Home =>
  ({
    ...{ id: `home ${code}`, code, shelfId: 's', residentIds: [], substrateDepthMm: 20, furniture: [] },
    container: { shape: 'box', lengthMm: 250, widthMm: 250, heightMm: 300, lid: 'mesh', vents: [], walls: 'mesh' },
    ...change,
  }) as unknown as Home;
