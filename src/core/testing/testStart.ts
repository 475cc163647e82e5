/** The instant, in UTC, at which the day of every test begins, unless its own story says otherwise. */
export const testStart = (): string => process.env.VB_TEST_NOW ?? '2026-03-14T18:00:00Z';
