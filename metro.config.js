const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

/** React Native Elements can load a dozen icon fonts; our icons are paths of @mdi/js, so none is needed. */
const ICON_FONTS =
  /^(@expo\/vector-icons|react-native-vector-icons|@react-native-vector-icons)(\/|$)/;

/** Zod carries its messages in some forty languages; ours are our own, in English. */
const ZOD_LOCALES = /[\\/]locales[\\/]index\.js$/;

/**
 * What packages carry along and the app never calls: Zod's reader and writer of JSON Schema and its
 * compiler, and the reader of SVG text.
 */
const NEVER_CALLED = [
  { module: './from-json-schema.js', of: '/zod/' },
  { module: './compile.js', of: '/zod/' },
  { module: './json-schema-generator.js', of: '/zod/' },
  { module: './json-schema-processors.js', of: '/zod/' },
  { module: '../core/json-schema-processors.js', of: '/zod/' },
  { module: './xml', of: '/react-native-svg/' },
];

/** Parts of Expo Router that no route of ours uses: stacks, tabs and the site map with their headers and icons. */
const ROUTER_UNUSED = new Set([
  './stack',
  './layouts/Tabs',
  './layouts/experimental-stack',
  './standard-navigation',
  './views/Sitemap',
  './views/useSitemap',
]);
const ROUTER_REPLACED = {
  '../layouts/StackClient': path.join(__dirname, 'scripts/metro/stack-client.js'),
  '../react-navigation/bottom-tabs': path.join(__dirname, 'scripts/metro/bottom-tabs.js'),
};
/** Every schema of Zod asks for these two; nobody asks them for anything. */
const ZOD_REPLACED = path.join(__dirname, 'scripts/metro/zod-json-schema.js');

const inRouter = (file) => /[\\/]expo-router[\\/]build[\\/]/.test(file);

const resolve = config.resolver.resolveRequest;
config.resolver.resolveRequest = (context, moduleName, platform) => {
  if (ICON_FONTS.test(moduleName)) return { type: 'empty' };
  if (ZOD_LOCALES.test(moduleName) && context.originModulePath.includes('/zod/')) {
    return context.resolveRequest(context, moduleName.replace('index.js', 'en.js'), platform);
  }
  if (/to-json-schema\.js$/.test(moduleName) && context.originModulePath.includes('/zod/'))
    return { type: 'sourceFile', filePath: ZOD_REPLACED };
  if (moduleName === 'color' && /[\\/]@rneui[\\/]/.test(context.originModulePath))
    return { type: 'sourceFile', filePath: path.join(__dirname, 'scripts/metro/color.js') };
  if (NEVER_CALLED.some((x) => x.module === moduleName && context.originModulePath.includes(x.of)))
    return { type: 'empty' };
  if (inRouter(context.originModulePath)) {
    if (ROUTER_UNUSED.has(moduleName)) return { type: 'empty' };
    if (ROUTER_REPLACED[moduleName])
      return { type: 'sourceFile', filePath: ROUTER_REPLACED[moduleName] };
  }
  return (resolve ?? context.resolveRequest)(context, moduleName, platform);
};

module.exports = config;
