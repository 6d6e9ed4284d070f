import { Workbox } from 'workbox-window';
import { editionSeen } from '@/store/edition';
import type { Store } from '@/store/store';

let worker: Workbox | null = null;
let taking = false;
let reload = (): void => window.location.reload();

/** Tests look at what would be done. */
export function replaceReload(instead: () => void): void {
  reload = instead;
}

/**
 * Has the browser keep the whole app, and tells the store when a new edition waits. Once one is taken, this page is
 * read anew; other tabs are told, and reload when their painter says so.
 */
export function keepOffline(store: Store, create = (): Workbox => new Workbox('/sw.js')): void {
  if (!('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') return;
  worker = create();
  worker.addEventListener('waiting', () => store.dispatch(editionSeen('waiting')));
  worker.addEventListener('controlling', ({ isUpdate }) => {
    if (taking) reload();
    else if (isUpdate) store.dispatch(editionSeen('taken'));
  });
  // Without it the app works as before while the server is there.
  worker.register().catch(() => undefined);
}

/** The painter takes the new edition. */
export function takeEdition(): void {
  taking = true;
  if (worker) worker.messageSkipWaiting();
  else reload();
}
