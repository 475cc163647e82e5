import fs from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import type { NetworkFacts } from './access/deps';
import { doorOf } from './access/door';
import { limitSecrets, limitSignIn } from './access/limits';
import { ownAccessHandlers } from './access/own';
import { passkeysOf } from './access/passkeys';
import { peopleHandlers } from './access/people';
import type { SetupCode } from './access/setupCode';
import { signingInHandlers, stateTeller } from './access/signingIn';
import type { BackupKeeper } from './backup/keeping';
import { backupRoutes } from './backup/routes';
import { eventHub } from './events';
import { failures, jsonOnly, readableText } from './http/failures';
import { mount, type Handlers } from './http/mount';
import { ownHosts } from './http/ownHosts';
import { requestLog } from './http/requestLog';
import { readyAnswers } from './http/readyAnswers';
import { inThread } from './threads/pool';
import { aboutHandlers } from './resources/about';
import { backupHandlers } from './backup/handlers';
import { absenceHandlers, sheetPdfRoute } from './resources/absences';
import { airHandlers } from './resources/air';
import { calendarRoutes } from './resources/calendarFile';
import { computeHandlers } from './resources/compute';
import { computePlanHandlers } from './resources/computePlans';
import { computeClimateHandlers } from './resources/computeClimate';
import type { Deps } from './resources/deps';
import { entryHandlers } from './resources/entries';
import { exampleHandlers } from './resources/example';
import { lifeHandlers } from './resources/lives';
import { listHandlers } from './resources/lists';
import { mendingHandlers } from './resources/mending';
import { takingBackHandlers } from './resources/takingBack';
import { broodHandlers } from './resources/broods';
import { colonyHandlers } from './resources/colony';
import { feedingHandlers } from './resources/feeding';
import { schoolEffectHandlers } from './resources/schoolEffects';
import { schoolHandlers } from './resources/schools';
import { storeHandlers } from './resources/store';
import { labelHandlers, labelPdfRoute } from './resources/labels';
import { papersOfNowhere, simulatedPrinter, type LabelPrinter } from './devices/labelPrinter';
import { groupHandlers } from './resources/groups';
import { growthHandlers } from './resources/growth';
import { changesHandlers } from './resources/changes';
import { homeHandlers } from './resources/homes';
import { importHandlers } from './resources/imports';
import { keeperHandlers } from './resources/keepers';
import { materialHandlers } from './resources/materials';
import { moveHandlers } from './resources/moves';
import { entryPhotoRoute, photoRoute } from './resources/photos';
import { probeHandlers } from './resources/probes';
import { profileHandlers } from './resources/profiles';
import { identityHandlers } from './resources/identity';
import { residentHandlers } from './resources/residents';
import { restHandlers } from './resources/rests';
import { groundHandlers } from './resources/ground';
import { handbookHandlers } from './resources/handbook';
import { roomHandlers } from './resources/rooms';
import { roundHandlers } from './resources/round';
import { scoreHandlers } from './resources/scores';
import { seasonHandlers } from './resources/seasons';
import { shelfHandlers } from './resources/shelves';
import { trainingHandlers } from './resources/training';
import { troubleHandlers } from './resources/trouble';
import { paperRoute } from './paper/routes';
import { readPhoto } from './storage/homes';
import { darwinCoreRoute } from './tables/darwinCore';
import { tableRoute, tablesInRoute, tablesOutRoute } from './tables/routes';
import { webApp } from './webApp';

export interface AppOptions extends Deps {
  /** Where the built web app lies; left out, the server answers the API alone. */
  webFolder?: string | undefined;
  log?: boolean;
  /** Names beside those of this computer under which it answers: a network or a proxy brings keepers in. */
  hosts?: () => readonly string[];
  /** Whose forwarded headers count: addresses and networks of proxies. */
  proxies?: readonly string[];
  /** A proxy brings others to this machine: being at it lets nobody in. */
  isShared?: boolean | undefined;
  /** What the terminal shows to whoever sets the house up from elsewhere. */
  setupCode?: SetupCode | undefined;
  /** Where the home network finds the house; left out where it answers this machine alone. */
  network?: (() => NetworkFacts) | undefined;
  /** Makes backups and keeps them; left out, none are kept. */
  backups?: BackupKeeper | undefined;
  /** Prints labels; left out, a simulated one in a folder of its own. */
  labelPrinter?: LabelPrinter | undefined;
  /** What only tests may ask, given what tells the open pages of a new time and a new house. */
  testControls?: ((tell: () => void) => RequestHandler) | undefined;
  /** So often it looks whether today's round is to be worked out anew, before anybody asks; left out, it waits. ms */
  readyEveryMs?: number;
}

/** The whole server as a function of its storage and its clock. */
export function createApp(options: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        // react-native-web writes its style sheet into the page.
        directives: {
          'script-src': ["'self'"],
          'style-src': ["'self'", "'unsafe-inline'"],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  if (options.log) app.use(requestLog);
  app.set('trust proxy', options.proxies ?? false);
  app.use(ownHosts(options.hosts ?? (() => [])));
  const events = eventHub(options.database, options.clock);
  const isForTests = options.testControls !== undefined;
  const door = doorOf({ ...options, isForTests });
  door.sessions.onShut(events.shut);
  app.use(door.gate);
  app.use(
    ['setup', 'sign-in', 'unlock', 'pair', 'passkey', 'own'].map((each) => `/api/access/${each}`),
    limitSignIn(),
  );
  app.use(['/api/calendar', '/api/sitter', '/api/readings'], limitSecrets());
  const backups = backupRoutes(options, options.backups, events.tellWritten);
  app.get('/api/backup', backups.download);
  app.get('/api/backups/:name', backups.kept);
  app.post('/api/restore', backups.bringIn);
  app.get('/api/tables', tablesOutRoute(options));
  app.post('/api/tables', tablesInRoute(options, events.tellWritten));
  app.get('/api/darwin-core', darwinCoreRoute(options));
  // A list of 10,000 rows is larger than anything else that is sent.
  app.use('/api/lists', jsonOnly, express.json({ limit: '8mb', strict: false, verify: readableText }));
  // A photo in full size.
  app.use(
    /^\/api\/residents\/[^/]+\/photos$/,
    jsonOnly,
    express.json({ limit: '16mb', strict: false, verify: readableText }),
  );
  // A life of decades.
  app.use('/api/lives', jsonOnly, express.json({ limit: '16mb', strict: false, verify: readableText }));
  // The ids of every box of a large house.
  app.use('/api/label-prints', jsonOnly, express.json({ limit: '2mb', strict: false, verify: readableText }));
  app.use('/api', jsonOnly, express.json({ limit: '1mb', strict: false, verify: readableText }));
  app.get('/api/events', events.stream);
  app.use('/api', events.watch, compression());
  app.get('/api/homes/:id/photo', photoRoute(options, readPhoto));
  app.get('/api/entries/:id/photo', entryPhotoRoute(options));
  if (options.testControls) {
    const tell = () => {
      door.sessions.forget();
      events.tellTime();
      events.tellWritten();
    };
    app.use('/api/test', options.testControls(tell));
  }
  const calendar = calendarRoutes(options);
  app.get('/api/calendar/:file', calendar.bySecret);
  app.get('/api/keepers/:id/calendar.ics', calendar.byKeeper);
  app.get('/api/absences/:id/sheet.pdf', sheetPdfRoute(options));
  app.get('/api/label-prints/:file', labelPdfRoute(options));
  app.get('/api/paper/:file', paperRoute(options));
  app.get('/api/tables/:file', tableRoute(options));
  let document: Promise<string> | undefined;
  app.get('/api/openapi.json', async (_request, response) => {
    document ??= inThread('openApiText', options.version);
    response.type('application/json').send(await document);
  });
  const passkeys = passkeysOf(options);
  const access = { ...options, door, passkeys, stateOf: stateTeller({ door, passkeys }) };
  const handlers: Handlers = {
    ...signingInHandlers(access),
    ...ownAccessHandlers(access),
    ...peopleHandlers(access),
    ...aboutHandlers(options),
    ...backupHandlers(options, options.backups, backups.writing),
    ...shelfHandlers(options),
    ...homeHandlers(options),
    ...changesHandlers(options),
    ...residentHandlers(options),
    ...identityHandlers(options),
    ...entryHandlers(options),
    ...exampleHandlers(options),
    ...labelHandlers(options, options.labelPrinter ?? simulatedPrinter(papersOfNowhere())),
    ...lifeHandlers(options),
    ...listHandlers(options),
    ...mendingHandlers(options),
    ...takingBackHandlers(options),
    ...roundHandlers(options),
    ...computeHandlers(options),
    ...computeClimateHandlers(options),
    ...growthHandlers(options),
    ...colonyHandlers(options),
    ...restHandlers(options),
    ...broodHandlers(options),
    ...feedingHandlers(options),
    ...schoolHandlers(options),
    ...storeHandlers(options),
    ...groupHandlers(options),
    ...roomHandlers(options),
    ...airHandlers(options),
    ...probeHandlers(options),
    ...importHandlers(options),
    ...computePlanHandlers(options),
    ...moveHandlers(options),
    ...scoreHandlers(options),
    ...seasonHandlers(options),
    ...absenceHandlers(options),
    ...keeperHandlers(access),
    ...profileHandlers(options),
    ...materialHandlers(options),
    ...groundHandlers(),
    ...handbookHandlers(options),
    ...schoolEffectHandlers(options),
    ...troubleHandlers(options),
    ...trainingHandlers(options),
  };
  mount(app, { ...handlers, ...keptReady(handlers, options) });
  if (options.webFolder && fs.existsSync(path.join(options.webFolder, 'index.html')))
    app.use(webApp(options.webFolder));
  app.use(failures);
  return app;
}

/** What every page asks for when it opens, and what looks over the whole house, are worked out once for all of them. */
function keptReady(handlers: Handlers, options: AppOptions) {
  const { homes, residents, round, seasons, rests, broods, colonies, moultFacts } = handlers;
  const ready = readyAnswers(options);
  const kept = {
    homes: ready.kept(homes),
    residents: ready.kept(residents),
    round: ready.kept(round),
    seasons: ready.kept(seasons),
    rests: ready.kept(rests),
    broods: ready.kept(broods),
    colonies: ready.kept(colonies),
    moultFacts: ready.kept(moultFacts),
  };
  const none = { params: undefined, query: undefined, body: undefined, token: undefined };
  const opening = () => Promise.all([kept.round({ ...none, query: {} }), kept.homes(none), kept.residents(none)]);
  if (options.readyEveryMs !== undefined) ready.keepReady(opening, options.readyEveryMs);
  return kept;
}
