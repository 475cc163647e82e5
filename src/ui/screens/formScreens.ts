/** The screens that are not met on the daily walk, loaded together and only when one is opened: what they share would else load with the first screen. */
export { AddHomeScreen } from './AddHomeScreen';
export { AirScreen } from './AirScreen';
export { BoxesScreen } from './BoxesScreen';
export { BuildScreen } from './BuildScreen';
export { CompareScreen } from './CompareScreen';
export { EditHomeScreen } from './EditHomeScreen';
export { ImportScreen } from './ImportScreen';
export { KeptAsScreen } from './KeptAsScreen';
export { MaterialScreen } from './MaterialScreen';
export { NextMoult } from '../residents/NextMoult';
export { ProbesScreen } from './ProbesScreen';
export { ProfileScreen } from './ProfileScreen';
export { ProfilesScreen } from './ProfilesScreen';
export { ReadingsScreen } from './ReadingsScreen';
export { StoreScreen } from './StoreScreen';
export { TakeInScreen } from './TakeInScreen';
