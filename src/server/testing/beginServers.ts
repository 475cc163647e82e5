export { begin as default } from './standingServers';
