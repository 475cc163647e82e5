import { preparedCluster } from '../storage/preparedCluster';

/** Makes the empty cluster once, before the test files ask for it side by side. */
export default function globalSetup(): void {
  preparedCluster();
}
