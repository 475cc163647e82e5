/** Where Jest keeps answers by itself: the preset of the interface looks for them elsewhere, and takes those of the core for left over. */
module.exports = {
  resolveSnapshotPath: (test, extension) => test.replace(/([^/]+)$/, `__snapshots__/$1${extension}`),
  resolveTestPath: (snapshot, extension) => snapshot.replace('__snapshots__/', '').slice(0, -extension.length),
  testPathForConsistencyCheck: 'src/core/growth/some.test.ts',
};
