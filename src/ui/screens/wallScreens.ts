/** The first thing on a wide screen, and there alone: loaded by itself, without the screens that are opened from it. */
export { HousePane } from '../wall/HousePane';
export { WallPanes } from '../wall/WallPanes';
export { WallScreen } from '../wall/WallScreen';
