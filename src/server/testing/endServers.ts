export { end as default } from './standingServers';
