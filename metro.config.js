const { getDefaultConfig } = require('expo/metro-config');
const { withPieces } = require('./scripts/metro/pieces');

const config = getDefaultConfig(__dirname);

/** React Native Elements can load a dozen icon fonts, none of which is installed; our icons are paths of @mdi/js. */
const ICON_FONTS =
  /^(@expo\/vector-icons|react-native-vector-icons|@react-native-vector-icons)(\/|$)/;

/**
 * Of packages that ship more than one form the one that is whole in a file: pdf-lib's modules ask tslib for a default
 * export that it does not have here, and the whole files are a third of the size.
 */
const WHOLE = {
  'pdf-lib': 'pdf-lib/dist/pdf-lib.esm.min.js',
  '@pdf-lib/fontkit': '@pdf-lib/fontkit/dist/fontkit.es.min.js',
};

const resolve = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, moduleName, platform) =>
  ICON_FONTS.test(moduleName)
    ? { type: 'empty' }
    : (resolve ?? context.resolveRequest)(context, WHOLE[moduleName] ?? moduleName, platform);

module.exports = withPieces(config, {
  first: ['app/_layout.tsx', 'app/index.tsx'],
  kit: 'src/pieces/kit.ts',
});
