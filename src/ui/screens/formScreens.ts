/** The screens with forms, loaded together and only when one is opened: what they share would else load with the first screen. */
export { AddHomeScreen } from './AddHomeScreen';
export { TakeInScreen } from './TakeInScreen';
