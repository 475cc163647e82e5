import NoIconFont from './NoIconFont';

/** In place of the library's register of icon fonts: there is none here. */
const getIconType = () => NoIconFont;
export const registerCustomIconType = () => undefined;
export default getIconType;
