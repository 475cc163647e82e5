import { createElement, lazy, useState, type ComponentType } from 'react';
import type * as formScreens from './formScreens';
import type * as wallScreens from './wallScreens';

/** Screens that are loaded together, once. */
interface Part<Screens> {
  load: () => Promise<Screens>;
  loaded: Screens | undefined;
}

function part<Screens>(fetch: () => Promise<Screens>): Part<Screens> {
  const it: Part<Screens> = { load: async () => (it.loaded ??= await fetch()), loaded: undefined };
  return it;
}

const forms = part<typeof formScreens>(() => import('./formScreens'));
const wall = part<typeof wallScreens>(() => import('./wallScreens'));

/** Fetches them when the first screen is shown and the page has nothing else to do: the first of them opens at once then. */
export function fetchWhenIdle(): () => void {
  const fetch = () =>
    void Promise.all([forms.load(), wall.load()])
      .then(([{ stayInstalled }]) => stayInstalled())
      .catch(() => undefined);
  const idle = window.requestIdleCallback?.(fetch, { timeout: 20_000 });
  return () => (idle === undefined ? undefined : window.cancelIdleCallback(idle));
}

/**
 * A screen that is fetched when it is first opened, and drawn at once where that has happened: what React once had to wait
 * for it shows no sooner than 300 ms later, also when it was there long before.
 */
function from<Screens, Props extends object>(
  of: Part<Screens>,
  pick: (screens: Screens) => ComponentType<Props>,
): ComponentType<Props> {
  const Fetched = lazy(async () => ({ default: pick(await of.load()) }));
  return function Later(props: Props) {
    // Chosen once: another one would begin anew.
    const [screen] = useState(() => (of.loaded ? pick(of.loaded) : (Fetched as ComponentType<Props>)));
    return createElement(screen, props);
  };
}
const later = <Props extends object>(pick: (all: typeof formScreens) => ComponentType<Props>) => from(forms, pick);

export const HousePane = from(wall, (all) => all.HousePane);
export const WallPanes = from(wall, (all) => all.WallPanes);
export const WallScreen = from(wall, (all) => all.WallScreen);
export const AddHomeScreen = later((all) => all.AddHomeScreen);
export const BoxesScreen = later((all) => all.BoxesScreen);
export const BuildScreen = later((all) => all.BuildScreen);
export const CompareScreen = later((all) => all.CompareScreen);
export const HomeScreen = later((all) => all.HomeScreen);
/** Stands beside a list, not a screen of its own. */
export const YearPane = later((all) => all.YearPane);
export const AwayScreen = later((all) => all.AwayScreen);
export const KeepersScreen = later((all) => all.KeepersScreen);
export const MoveScreen = later((all) => all.MoveScreen);
export const SitterScreen = later((all) => all.SitterScreen);
export const ItemScreen = later((all) => all.ItemScreen);
export const OrdersScreen = later((all) => all.OrdersScreen);
export const BackupScreen = later((all) => all.BackupScreen);
export const LateBackup = later((all) => all.LateBackup);
export const Unworkable = later((all) => all.Unworkable);
export const KeptHere = later((all) => all.KeptHere);
export const ScoresScreen = later((all) => all.ScoresScreen);
export const ResidentsScreen = later((all) => all.ResidentsScreen);
export const EditHomeScreen = later((all) => all.EditHomeScreen);
export const KeptAsScreen = later((all) => all.KeptAsScreen);
export const MaterialScreen = later((all) => all.MaterialScreen);
export const ProfileScreen = later((all) => all.ProfileScreen);
export const ProfilesScreen = later((all) => all.ProfilesScreen);
export const RestScreen = later((all) => all.RestScreen);
export const SeasonsScreen = later((all) => all.SeasonsScreen);
export const StoreScreen = later((all) => all.StoreScreen);
export const TakeInScreen = later((all) => all.TakeInScreen);
export const AirScreen = later((all) => all.AirScreen);
export const ImportScreen = later((all) => all.ImportScreen);
export const ProbesScreen = later((all) => all.ProbesScreen);
export const ReadingsScreen = later((all) => all.ReadingsScreen);
export const BulkScreen = later((all) => all.BulkScreen);
export const StillScreen = later((all) => all.StillScreen);
export const CardScreen = later((all) => all.CardScreen);
export const EmergencyScreen = later((all) => all.EmergencyScreen);
export const HandbookScreen = later((all) => all.HandbookScreen);
export const OwnCardScreen = later((all) => all.OwnCardScreen);
export const PapersScreen = later((all) => all.PapersScreen);
export const SchoolsScreen = later((all) => all.SchoolsScreen);
export const GroundScreen = later((all) => all.GroundScreen);
export const TrainerScreen = later((all) => all.TrainerScreen);
export const TroubleScreen = later((all) => all.TroubleScreen);
export const ResidentScreen = later((all) => all.ResidentScreen);
export const KeeperScreen = later((all) => all.KeeperScreen);
export const RoomScreen = later((all) => all.RoomScreen);
export const ListsScreen = later((all) => all.ListsScreen);
export const SettingsScreen = later((all) => all.SettingsScreen);
export const ShelvesScreen = later((all) => all.ShelvesScreen);
export const WhoScreen = later((all) => all.WhoScreen);
export const LabelsScreen = later((all) => all.LabelsScreen);
export const PrinterScreen = later((all) => all.PrinterScreen);
export const ScanScreen = later((all) => all.ScanScreen);
export const RoundTools = later((all) => all.RoundTools);
export const NoPageScreen = later((all) => all.NoPageScreen);
export const PaperScreen = later((all) => all.PaperScreen);
export const LifeScreen = later((all) => all.LifeScreen);
export const DoorScreen = later((all) => all.DoorScreen);
export const PeopleScreen = later((all) => all.PeopleScreen);
export const PersonScreen = later((all) => all.PersonScreen);
export const OwnAccessScreen = later((all) => all.OwnAccessScreen);
export const AccessLogScreen = later((all) => all.AccessLogScreen);
export const PairScreen = later((all) => all.PairScreen);
export const IdleLock = later((all) => all.IdleLock);
