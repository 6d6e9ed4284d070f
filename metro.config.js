const { getDefaultConfig } = require('expo/metro-config');
const { withPieces } = require('./scripts/metro/pieces');

const config = getDefaultConfig(__dirname);

/** React Native Elements can load a dozen icon fonts, none of which is installed; our icons are paths of @mdi/js. */
const ICON_FONTS =
  /^(@expo\/vector-icons|react-native-vector-icons|@react-native-vector-icons)(\/|$)/;

const resolve = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, moduleName, platform) =>
  ICON_FONTS.test(moduleName)
    ? { type: 'empty' }
    : (resolve ?? context.resolveRequest)(context, moduleName, platform);

module.exports = withPieces(config, {
  first: ['app/_layout.tsx', 'app/index.tsx'],
  kit: 'src/pieces/kit.ts',
});
