const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
config.resolver.assetExts.push('woff2');

// React Native Elements asks for every icon font there is; this app draws its icons itself (src/ui/components/Icon).
const ICON_FONTS = /^(@react-native-vector-icons\/|react-native-vector-icons\/|@expo\/vector-icons)/;
const NO_ICON_FONT = path.join(__dirname, 'src/ui/stubs/NoIconFont.tsx');
const NO_ICON_TYPE = path.join(__dirname, 'src/ui/stubs/noIconType.ts');
// Its library of colours is larger than all that it does with them.
const SMALL_COLOR = path.join(__dirname, 'src/ui/stubs/smallColor.ts');
// Of the router's ways to lay out screens this app uses one, `Slot`: the others are a tenth of its first screen.
const OTHER_LAYOUTS = /^\.\/(layouts\/Tabs|layouts\/experimental-stack|stack)$|^\.\/stack-utils$/;
const OTHER_SCREENS =
  /^react-native-screens$|\/(createNativeStackNavigator|views\/Sitemap|react-navigation\/bottom-tabs|head)$/;
const NO_NAVIGATOR = path.join(__dirname, 'src/ui/stubs/noNavigator.ts');
// Ids are made at random (v4); of the other ways to make them none is used in the page.
const OTHER_IDS = /^\.\/(v[13567]\w*|parse|version|max|nil)\.js$/;
// Drawings are parts of the page, never text that is read as one; lists have no sections.
const OTHER_DRAWINGS = './xml';
const OTHER_LISTS = './exports/SectionList';
// Zod ships its messages in forty languages; ours are our own.
const ZOD_LOCALES = /[\\/]locales[\\/]index\.(c?js)$/;

// A second look finds 2 KB more to leave out of the first screen.
config.transformer.minifierConfig = {
  ...config.transformer.minifierConfig,
  compress: { ...config.transformer.minifierConfig.compress, passes: 2, ecma: 2020 },
};

config.resolver.resolveRequest = (context, name, platform) => {
  if (ICON_FONTS.test(name)) return { type: 'sourceFile', filePath: NO_ICON_FONT };
  if (name.endsWith('/getIconType') && context.originModulePath.includes('@rneui'))
    return { type: 'sourceFile', filePath: NO_ICON_TYPE };
  if (name === 'color') return { type: 'sourceFile', filePath: SMALL_COLOR };
  if (context.originModulePath.includes('expo-router/build')) {
    if (OTHER_LAYOUTS.test(name)) return { type: 'empty' };
    if (OTHER_SCREENS.test(name)) return { type: 'sourceFile', filePath: NO_NAVIGATOR };
  }
  if (context.originModulePath.includes('uuid/dist/esm-browser/index') && OTHER_IDS.test(name))
    return { type: 'empty' };
  if (name === OTHER_DRAWINGS && context.originModulePath.includes('react-native-svg/lib/module/ReactNativeSVG'))
    return { type: 'empty' };
  if (name === OTHER_LISTS && context.originModulePath.includes('react-native-web/dist/index'))
    return { type: 'empty' };
  const resolved = context.resolveRequest(context, name, platform);
  if (resolved.type === 'sourceFile' && resolved.filePath.includes('zod') && ZOD_LOCALES.test(resolved.filePath)) {
    return {
      ...resolved,
      filePath: path.join(
        path.dirname(resolved.filePath),
        path.extname(resolved.filePath) === '.cjs' ? 'en.cjs' : 'en.js',
      ),
    };
  }
  return resolved;
};

module.exports = config;
