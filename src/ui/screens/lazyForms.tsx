import { lazy } from 'react';

const load = () => import('./formScreens');

/** Fetches them when the walk is shown and the page has nothing else to do: the first of them opens at once then. */
export function fetchWhenIdle(): () => void {
  const idle = window.requestIdleCallback?.(() => void load().catch(() => undefined), { timeout: 20_000 });
  return () => (idle === undefined ? undefined : window.cancelIdleCallback(idle));
}

export const AddHomeScreen = lazy(async () => ({ default: (await load()).AddHomeScreen }));
export const BoxesScreen = lazy(async () => ({ default: (await load()).BoxesScreen }));
export const BuildScreen = lazy(async () => ({ default: (await load()).BuildScreen }));
export const CompareScreen = lazy(async () => ({ default: (await load()).CompareScreen }));
export const FeedingScreen = lazy(async () => ({ default: (await load()).FeedingScreen }));
export const HomeScreen = lazy(async () => ({ default: (await load()).HomeScreen }));
/** Stands beside a list, not a screen of its own. */
export const YearPane = lazy(async () => ({ default: (await load()).YearPane }));
export const AwayScreen = lazy(async () => ({ default: (await load()).AwayScreen }));
export const KeepersScreen = lazy(async () => ({ default: (await load()).KeepersScreen }));
export const MoveScreen = lazy(async () => ({ default: (await load()).MoveScreen }));
export const SitterScreen = lazy(async () => ({ default: (await load()).SitterScreen }));
export const ItemScreen = lazy(async () => ({ default: (await load()).ItemScreen }));
export const OrdersScreen = lazy(async () => ({ default: (await load()).OrdersScreen }));
export const EditHomeScreen = lazy(async () => ({ default: (await load()).EditHomeScreen }));
export const KeptAsScreen = lazy(async () => ({ default: (await load()).KeptAsScreen }));
export const MaterialScreen = lazy(async () => ({ default: (await load()).MaterialScreen }));
export const ProfileScreen = lazy(async () => ({ default: (await load()).ProfileScreen }));
export const ProfilesScreen = lazy(async () => ({ default: (await load()).ProfilesScreen }));
export const RestScreen = lazy(async () => ({ default: (await load()).RestScreen }));
export const SeasonsScreen = lazy(async () => ({ default: (await load()).SeasonsScreen }));
export const StoreScreen = lazy(async () => ({ default: (await load()).StoreScreen }));
export const TakeInScreen = lazy(async () => ({ default: (await load()).TakeInScreen }));
export const AirScreen = lazy(async () => ({ default: (await load()).AirScreen }));
export const ImportScreen = lazy(async () => ({ default: (await load()).ImportScreen }));
export const ProbesScreen = lazy(async () => ({ default: (await load()).ProbesScreen }));
export const ReadingsScreen = lazy(async () => ({ default: (await load()).ReadingsScreen }));
export const BulkScreen = lazy(async () => ({ default: (await load()).BulkScreen }));
export const StillScreen = lazy(async () => ({ default: (await load()).StillScreen }));
export const CardScreen = lazy(async () => ({ default: (await load()).CardScreen }));
export const EmergencyScreen = lazy(async () => ({ default: (await load()).EmergencyScreen }));
export const HandbookScreen = lazy(async () => ({ default: (await load()).HandbookScreen }));
export const OwnCardScreen = lazy(async () => ({ default: (await load()).OwnCardScreen }));
export const PapersScreen = lazy(async () => ({ default: (await load()).PapersScreen }));
export const SchoolsScreen = lazy(async () => ({ default: (await load()).SchoolsScreen }));
export const TrainerScreen = lazy(async () => ({ default: (await load()).TrainerScreen }));
export const TroubleScreen = lazy(async () => ({ default: (await load()).TroubleScreen }));
export const ResidentScreen = lazy(async () => ({ default: (await load()).ResidentScreen }));
