import { lazy } from 'react';

const load = () => import('./formScreens');

export const AddHomeScreen = lazy(async () => ({ default: (await load()).AddHomeScreen }));
export const TakeInScreen = lazy(async () => ({ default: (await load()).TakeInScreen }));
