import { lazy, Suspense } from 'react';

const FirstSteps = lazy(() => import('./FirstSteps'));

/** The first steps, fetched only by a house that still has them to go. */
export const BeginHere = () => (
  <Suspense>
    <FirstSteps />
  </Suspense>
);
