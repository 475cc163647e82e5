import alegreyaBold from '@fontsource/alegreya/files/alegreya-latin-700-normal.woff2';
import alegreyaItalic from '@fontsource/alegreya/files/alegreya-latin-700-italic.woff2';
import atkinson from '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff2';
import atkinsonBold from '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-700-normal.woff2';
import { fonts } from './tokens';

/** The four cuts the interface is set in; they ship with the app. */
export const fontFiles = {
  [fonts.text]: atkinson,
  [fonts.bold]: atkinsonBold,
  [fonts.name]: alegreyaItalic,
  [fonts.title]: alegreyaBold,
};
