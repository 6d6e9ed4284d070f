import { wrap, type Remote } from 'comlink';

/**
 * The one way to a worker: started when it is first asked, and where there are none, or one cannot be started, its jobs
 * are done in this thread.
 */
export interface Runner<Jobs> {
  /** Do a job; the worker's, or the same one here. */
  run<T>(job: (jobs: Remote<Jobs> | Jobs) => Promise<T> | T): Promise<T>;
  /** End the worker with whatever it is at; the next job begins in a new one. */
  stop(): void;
}

/**
 * @param start makes the worker; written where it is used, since the bundler looks for it there
 * @param here the same jobs for this thread, fetched only when no worker does them
 */
export function runner<Jobs extends object>(
  start: () => Worker,
  here: () => Promise<Jobs>,
): Runner<Jobs> {
  let held: { worker: Worker; remote: Remote<Jobs>; failed: Promise<null> } | null = null;
  const hold = () => {
    const worker = start();
    const failed = new Promise<null>((resolve) => {
      worker.addEventListener('error', () => resolve(null), { once: true });
    });
    held = { worker, remote: wrap<Jobs>(worker), failed };
    return held;
  };
  return {
    async run(job) {
      if (typeof Worker === 'undefined') return job(await here());
      const { remote, failed } = held ?? hold();
      // A worker that dies answers nothing; then the job is done here.
      return Promise.race([job(remote), failed.then(async () => job(await here()))]);
    },
    stop() {
      held?.worker.terminate();
      held = null;
    },
  };
}
