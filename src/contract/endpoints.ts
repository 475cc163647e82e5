import type { Endpoint } from './endpoint';
import { accessEndpoints } from './endpointsOfAccess';
import { airEndpoints } from './endpointsOfAir';
import { engineEndpoints } from './endpointsOfEngines';
import { lifeEndpoints } from './endpointsOfLives';
import { labelEndpoints } from './endpointsOfLabels';
import { handbookEndpoints } from './endpointsOfHandbook';
import { planEndpoints } from './endpointsOfPlans';
import { recordEndpoints } from './endpointsOfRecords';
import { storeEndpoints } from './endpointsOfStore';
import type { EndpointName } from './routes';

/** Every route of the server. */
export const endpoints = {
  ...accessEndpoints,
  ...recordEndpoints,
  ...airEndpoints,
  ...engineEndpoints,
  ...storeEndpoints,
  ...planEndpoints,
  ...handbookEndpoints,
  ...labelEndpoints,
  ...lifeEndpoints,
} as const satisfies Record<EndpointName, Endpoint>;
