/** Where each endpoint is to be found. The schemas are in `endpoints`: a page that only calls them need not load those. */
export const routes = {
  health: { method: 'get', path: '/api/health' },
  profiles: { method: 'get', path: '/api/profiles' },
  species: { method: 'get', path: '/api/species' },
  shelves: { method: 'get', path: '/api/shelves' },
  addShelf: { method: 'post', path: '/api/shelves' },
  homes: { method: 'get', path: '/api/homes' },
  addHome: { method: 'post', path: '/api/homes' },
  changeHome: { method: 'patch', path: '/api/homes/:id' },
  residents: { method: 'get', path: '/api/residents' },
  takeIn: { method: 'post', path: '/api/residents' },
  history: { method: 'get', path: '/api/residents/:id/entries' },
  addEntry: { method: 'post', path: '/api/entries' },
  undoEntry: { method: 'post', path: '/api/entries/:id/undo' },
  round: { method: 'get', path: '/api/round' },
  fit: { method: 'post', path: '/api/compute/fit' },
  rankHomes: { method: 'post', path: '/api/compute/rank-homes' },
} as const;

export type EndpointName = keyof typeof routes;
