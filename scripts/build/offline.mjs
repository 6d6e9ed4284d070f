/**
 * The service worker, by Workbox: after one visit every file of the app is kept by the browser, each screen's piece
 * and the workers' included, so that all of it works without the server. A new edition waits until the painter takes
 * it; nothing of the server's own (/api) is ever answered from what was kept.
 */
import { generateSW } from 'workbox-build';

/** The build puts a digest into these names: another content has another name. */
const HASHED = /[.-][0-9a-f]{20,}\.\w+$/;

export async function writeServiceWorker(dist) {
  const { count, size, warnings } = await generateSW({
    globDirectory: dist,
    globPatterns: ['**/*.{html,js,css,json,woff2,svg,png,webmanifest,txt}'],
    globIgnores: ['**/metadata.json', 'sw.js', 'workbox-*.js'],
    swDest: `${dist}/sw.js`,
    dontCacheBustURLsMatching: HASHED,
    maximumFileSizeToCacheInBytes: 5_000_000,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//, /^\/healthz$/],
    cleanupOutdatedCaches: true,
    clientsClaim: true,
    // Two editions must not share a page: the new one waits until it is asked for.
    skipWaiting: false,
    sourcemap: false,
    cacheId: 'tawny-hour',
  });
  if (warnings.length > 0) throw new Error(`The service worker: ${warnings.join(' ')}`);
  return { count, size };
}
