import type { Database } from '../storage/database';
import { emptyDatabase } from './databases';
import { startServer, type TestServer } from './server';

/** Starts a server on an empty database before the tests of a `describe`, hands it over, and ends both after them. */
export function onEmptyServer(use: (server: TestServer) => void): void {
  let database: Database;
  let server: TestServer;
  beforeAll(async () => {
    database = await emptyDatabase();
    server = await startServer(database);
    use(server);
  }, 60_000);
  afterAll(async () => {
    await server.close();
    await database.close();
  });
}
