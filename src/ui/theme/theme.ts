import { createTheme } from '@rneui/themed/dist/config';
import { DAY, NIGHT, fonts, radius, space, target, type, type Palette } from './tokens';

declare module '@rneui/base/dist/helpers/colors' {
  // Our palette stands beside the colours that React Native Elements knows.
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type
  export interface Colors extends Palette {}
}

/** The names under which React Native Elements looks for the same colours. */
const elements = (palette: Palette) => ({
  ...palette,
  primary: palette.good,
  secondary: palette.accent,
  background: palette.ground,
  white: palette.raised,
  black: palette.ink,
  grey0: palette.ink,
  grey1: palette.inkSoft,
  grey2: palette.inkSoft,
  grey3: palette.inkSoft,
  grey4: palette.line,
  grey5: palette.resting,
  searchBg: palette.raised,
  success: palette.good,
  error: palette.clay,
  warning: palette.amber,
  divider: palette.line,
});

/** How React Native Elements' components look here; what a screen sets itself goes on top. */
export function themeFor(mode: 'day' | 'night') {
  const palette = mode === 'night' ? NIGHT : DAY;
  return createTheme({
    mode: mode === 'night' ? 'dark' : 'light',
    lightColors: elements(DAY),
    darkColors: elements(NIGHT),
    components: {
      Text: { style: { fontFamily: fonts.text, fontSize: type.body, color: palette.ink } },
      Button: {
        // What shows the focus stands round it.
        containerStyle: { overflow: 'visible' },
        buttonStyle: {
          minHeight: target,
          borderRadius: radius.m,
          paddingHorizontal: space.m,
          paddingVertical: space.m,
        },
        titleStyle: { fontFamily: fonts.bold, fontSize: type.strong },
        disabledStyle: { backgroundColor: palette.resting },
        disabledTitleStyle: { color: palette.inkSoft },
      },
      Chip: { containerStyle: { overflow: 'visible' } },
      Input: {
        containerStyle: { paddingHorizontal: 0 },
        inputContainerStyle: {
          borderWidth: 2,
          borderBottomWidth: 2,
          borderColor: palette.ink,
          borderRadius: radius.s,
          backgroundColor: palette.raised,
          paddingHorizontal: space.m,
          minHeight: target,
        },
        inputStyle: {
          fontFamily: fonts.text,
          fontSize: type.strong,
          color: palette.ink,
          minHeight: target,
          outlineWidth: 0,
          // The frame round the field shows the focus.
          outlineStyle: 'none' as never,
        },
        labelStyle: {
          fontFamily: fonts.bold,
          fontSize: type.body,
          color: palette.ink,
          fontWeight: 'normal',
          marginBottom: space.xs,
        },
        errorStyle: {
          fontFamily: fonts.bold,
          fontSize: type.small,
          color: palette.clay,
          margin: 0,
          marginTop: space.xs,
        },
      },
    },
  });
}
