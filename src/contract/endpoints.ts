import type { Endpoint } from './endpoint';
import { accessEndpoints } from './endpointsOfAccess';
import { airEndpoints } from './endpointsOfAir';
import { dataEndpoints } from './endpointsOfData';
import { engineEndpoints } from './endpointsOfEngines';
import { homeEndpoints } from './endpointsOfHomes';
import { lifeEndpoints } from './endpointsOfLives';
import { labelEndpoints } from './endpointsOfLabels';
import { handbookEndpoints } from './endpointsOfHandbook';
import { planEndpoints } from './endpointsOfPlans';
import { recordEndpoints } from './endpointsOfRecords';
import { storeEndpoints } from './endpointsOfStore';
import type { EndpointName } from './routes';

/** What belongs together, as it is told to those who write scripts. */
export const endpointGroups = [
  { tag: 'Access', about: 'Who comes in, by what, and as what.', endpoints: accessEndpoints },
  {
    tag: 'Data',
    about: 'Profiles, species, materials and boxes, as they ship and as keepers set them.',
    endpoints: dataEndpoints,
  },
  { tag: 'Homes', about: 'Shelves, and the homes on them.', endpoints: homeEndpoints },
  { tag: 'Records', about: 'Residents, and all that is written about them.', endpoints: recordEndpoints },
  { tag: 'Air', about: 'Rooms, the air of homes, probes and what they read.', endpoints: airEndpoints },
  { tag: 'Engines', about: 'What is computed from what is sent alone; nothing is kept.', endpoints: engineEndpoints },
  { tag: 'Store', about: 'Food: what there is, what is needed, what to order.', endpoints: storeEndpoints },
  { tag: 'Plans', about: 'The work ahead, moves, seasons, absences and keepers.', endpoints: planEndpoints },
  { tag: 'Handbook', about: 'Care cards, names, troubles, schools and training.', endpoints: handbookEndpoints },
  { tag: 'Labels', about: 'Labels for boxes.', endpoints: labelEndpoints },
  { tag: 'Lives', about: 'A life in whole, out and in.', endpoints: lifeEndpoints },
] as const;

/** Every route of the server. */
export const endpoints = {
  ...accessEndpoints,
  ...dataEndpoints,
  ...homeEndpoints,
  ...recordEndpoints,
  ...airEndpoints,
  ...engineEndpoints,
  ...storeEndpoints,
  ...planEndpoints,
  ...handbookEndpoints,
  ...labelEndpoints,
  ...lifeEndpoints,
} as const satisfies Record<EndpointName, Endpoint>;
