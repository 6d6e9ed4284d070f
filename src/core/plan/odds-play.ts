import { PLAN_ODDS } from '@/data/plan';
import type { Compiled, LagN, WetN } from './compile';
import { NORMALS, placesOf, spreadTable } from './normal-table';
import { BATCH, drawnFilms, type DrawnFilms } from './odds-films';
import { PLAN_CLOCKS, type PlanProblem } from './problem';
import { MINUTE_MS, simHours, type SimHours } from './sim-hours';
import { stageDose } from './stage-dose';

/** A work as the plan has it. */
export interface PlannedPlace {
  /** Place in the problem's works. */
  i: number;
  window: number;
  startMs: number;
}

/** The same as it is played. */
interface Played {
  i: number;
  home: number;
  /** Minute of its window at which it was planned. */
  minute: number;
  minutes: number;
  lags: LagN[];
  /** The only wait, when it is the most common one: for touch-dry of an oil film laid by another work. */
  only: LagN | null;
  /** Its hours are asked for later, not only the dose at its end. */
  keeps: boolean;
  into: WetN[];
}

/** A work is begun in a session when at least this part of it fits into the hours; then he stays for the rest of it. */
const LEAST_PART = 0.5;
/** With less than this left of the hours, min, nothing is begun any more. */
const GOING_HOME = 7.5;
const OIL = PLAN_CLOCKS.indexOf('oil');
const NOTHING = new Int32Array(BATCH);
/** Two works end to end are ready for each other, rounding or not; min. */
const JUST = 0.01;

/**
 * Plays scenarios of a plan, a batch at a time. The painter works in the planned order, never before the planned hour
 * and never before what lies below is seen to be ready at a session; what is not ready goes to the next session with
 * room; paint that has closed is waited for until it is touch-dry. He does not foresee. A work that runs long is
 * finished where at least half of it fits, so on the whole the hours are neither stretched nor wasted.
 *
 * All lists hold BATCH scenarios of one thing after the other. The methods take what they use into local names: they
 * run some million times.
 */
export class Player {
  readonly windows: number;
  readonly opens: Float64Array;
  private readonly hours: SimHours;
  private readonly fill: (out: Int32Array) => void;
  private readonly films: DrawnFilms;
  private readonly works: Played[];
  private readonly normal = NORMALS();
  private readonly stray: Float32Array;
  /** Where each work ended: its window (all of them: never), the minute after it opened; and where it began. */
  private readonly endWindow: Uint16Array;
  private readonly endMinute: Float32Array;
  private readonly startMinute: Float32Array;
  /** Dose of the oil clock at the end of each work; Infinity where it never was. */
  private readonly endDose: Float32Array;
  /** Minutes used of each window, and where to look on from one in which nothing is begun any more. */
  private readonly used: Float32Array;
  private readonly next: Uint16Array;
  private readonly every: Uint16Array;
  private readonly full: Float64Array;
  /** How much longer than estimated work takes in each window. */
  private readonly pace: Float32Array;
  /** When the work at hand is ready: a window, and minutes after it opens. */
  private readonly readyWindow = new Int32Array(BATCH);
  private readonly readyMinute = new Float64Array(BATCH);
  private readonly waited = new Float64Array(BATCH);
  private readonly places = new Int32Array(BATCH);

  constructor(
    private readonly problem: PlanProblem,
    private readonly of: Compiled,
    planned: PlannedPlace[],
    seed: number,
  ) {
    this.hours = simHours(problem, of);
    this.windows = this.hours.count;
    this.opens = this.hours.opens;
    this.fill = placesOf(seed);
    this.films = drawnFilms(problem, this.fill);
    this.stray = spreadTable(PLAN_ODDS.paceOwnSd);
    this.endWindow = new Uint16Array(of.n * BATCH);
    this.endMinute = new Float32Array(of.n * BATCH);
    this.startMinute = new Float32Array(of.n * BATCH);
    this.endDose = new Float32Array(of.n * BATCH);
    const cells = (this.windows + 1) * BATCH;
    this.used = new Float32Array(cells);
    this.next = new Uint16Array(cells);
    this.every = this.next.map((_, k) => Math.floor(k / BATCH) + 1);
    this.full = this.hours.minutes.map((m) => m - GOING_HOME);
    this.pace = new Float32Array(cells);
    const slotMinutes = of.slots.ms / MINUTE_MS;
    const asked = this.askedForHours();
    this.works = planned.map(({ i, window, startMs }): Played => {
      const lags = [...of.laid[i]!, ...of.lags[i]!];
      const into = of.wets[i]!;
      return {
        i,
        home: window,
        minute: (startMs - this.opens[window]!) / MINUTE_MS,
        minutes: of.length[i]! * slotMinutes,
        lags,
        only: lags.length === 1 && into.length === 0 && this.isPlain(lags[0]!) ? lags[0]! : null,
        keeps: asked.has(i),
        into,
      };
    });
  }

  /** Works whose beginning or end in hours something else goes by. */
  private askedForHours(): Set<number> {
    const { lags, wets, goals } = this.of;
    return new Set([
      ...lags
        .flat()
        .filter((lag) => !this.isPlain(lag))
        .map((lag) => lag.from),
      ...lags.flatMap((list) => (list.length > 1 ? list.map((lag) => lag.from) : [])),
      ...lags.flatMap((list, i) => (wets[i]!.length > 0 ? list.map((lag) => lag.from) : [])),
      ...this.of.laid.flatMap((list, i) =>
        list.length > 0 ? lags[i]!.map((lag) => lag.from) : [],
      ),
      ...wets.flat().map((wet) => wet.from),
      ...goals.flatMap((goal) => goal.ends.map((end) => end.from)),
    ]);
  }

  private isPlain(lag: LagN): boolean {
    return lag.from >= 0 && lag.lag.stage === 'touch-dry' && this.clockOf(lag) === OIL;
  }

  /** Draw and play a batch of scenarios. */
  play(): void {
    this.films.draw();
    this.drawPace();
    this.used.fill(0);
    this.next.set(this.every);
    for (const work of this.works) {
      if (work.only) {
        this.place(work, work.only.from, work.only.lag.film! * BATCH);
        continue;
      }
      this.readyWindow.set(NOTHING);
      this.readyMinute.set(NOTHING);
      for (const lag of work.lags) {
        if (lag.lag.stage === 'order') this.awaitEnd(lag.from);
        else this.awaitFilm(lag);
      }
      for (const { from } of work.into) if (from >= 0) this.awaitEnd(from);
      this.place(work, -1, 0);
    }
  }

  /** The window in which a work was done in scenario `d`; `windows` when it never was. */
  windowOf(i: number, d: number): number {
    return this.endWindow[i * BATCH + d]!;
  }

  /** When a painting is done in scenario `d`, ms. */
  finishMs(g: number, d: number): number {
    let finish = this.problem.nowMs;
    for (const end of this.of.goals[g]!.ends) {
      const at = this.endOfWait(end, d);
      if (at > finish) finish = at;
    }
    return finish;
  }

  private endOfWait(end: LagN, d: number): number {
    const { from, table, lag } = end;
    const dose = lag.stage === 'order' ? 0 : this.doseOf(end, d);
    if (from < 0) return table.timeOf(dose - lag.had);
    const done = this.endMs(from, d);
    return done === Infinity || lag.stage === 'order'
      ? done
      : table.timeOf(table.doseAt(done) + dose);
  }

  /** All works together run faster or slower, and one sitting against another. */
  private drawPace(): void {
    const { pace, stray, places, normal, windows } = this;
    const { paceSharedSd, paceOwnSd } = PLAN_ODDS;
    // The mean of a log-normal lies above its median: estimated minutes are meant as means.
    const mean = -(paceSharedSd ** 2 + paceOwnSd ** 2) / 2;
    this.fill(places);
    const all = Float32Array.from(places, (k) => Math.exp(mean + paceSharedSd * normal[k]!));
    for (let w = 0; w < windows; w++) {
      this.fill(places);
      for (let d = 0; d < BATCH; d++) pace[w * BATCH + d] = all[d]! * stray[places[d]!]!;
    }
  }

  private clockOf({ lag }: LagN): number {
    return PLAN_CLOCKS.indexOf(lag.film === null ? 'wall' : this.problem.films[lag.film]!.clock);
  }

  private doseOf({ lag }: LagN, d: number): number {
    const { touch, through } = this.films;
    const f = lag.film! * BATCH + d;
    return stageDose(this.problem.constants, lag.stage, touch[f]!, through[f]!);
  }

  private endMs(i: number, d: number): number {
    const w = this.endWindow[i * BATCH + d]!;
    return w === this.windows
      ? Infinity
      : this.opens[w]! + MINUTE_MS * this.endMinute[i * BATCH + d]!;
  }

  /** No earlier than the end of another work. */
  private awaitEnd(from: number): void {
    const { endWindow, endMinute, readyWindow, readyMinute } = this;
    for (let d = 0; d < BATCH; d++) {
      const w = endWindow[from * BATCH + d]!;
      const minute = endMinute[from * BATCH + d]!;
      if (w > readyWindow[d]! || (w === readyWindow[d] && minute > readyMinute[d]!)) {
        readyWindow[d] = w;
        readyMinute[d] = minute;
      }
    }
  }

  /** No earlier than when a film has had its dose. */
  private awaitFilm(lag: LagN): void {
    const { endWindow, endMinute, readyWindow, readyMinute, windows } = this;
    const { open, close, perMinute, minutesPer, grid, cells } = this.hours;
    // Most waits are for touch-dry, whose doses are there as they were drawn.
    const plain = lag.lag.stage === 'touch-dry';
    if (!plain) for (let d = 0; d < BATCH; d++) this.waited[d] = this.doseOf(lag, d);
    const doses = plain ? this.films.touch : this.waited;
    const first = plain ? lag.lag.film! * BATCH : 0;
    const c = this.clockOf(lag);
    const row = c * windows;
    const cellRow = c * (cells + 1);
    const scale = this.hours.scale[c]!;
    const { from } = lag;
    const { had } = lag.lag;
    for (let d = 0; d < BATCH; d++) {
      let dose = doses[first + d]! - had;
      if (from >= 0) {
        const w = endWindow[from * BATCH + d]!;
        dose =
          w === windows
            ? Infinity
            : doses[first + d]! +
              open[row + w]! +
              perMinute[row + w]! * endMinute[from * BATCH + d]!;
      }
      let w = 0;
      let minute = 0;
      if (dose > 0) {
        const cell = dose * scale;
        if (cell < cells) {
          w = grid[cellRow + (cell | 0)]!;
          while (w < windows && close[row + w]! <= dose) w += 1;
        } else w = windows;
        if (w < windows) minute = (dose - open[row + w]!) * minutesPer[row + w]!;
      }
      if (w > readyWindow[d]! || (w === readyWindow[d] && minute > readyMinute[d]!)) {
        readyWindow[d] = w;
        readyMinute[d] = minute > 0 ? minute : 0;
      }
    }
  }

  /**
   * Put a work where it is ready and has room.
   * @param after the work whose oil film it waits for, `film` where the doses of that film begin; -1: it is ready when
   *   the lists say. Asked for here and not before, since it is nearly every work.
   */
  private place(
    { i, home, minute, minutes, into, keeps }: Played,
    after: number,
    film: number,
  ): void {
    const { next, used, pace, readyWindow, readyMinute, endWindow, endMinute, startMinute } = this;
    const { windows, opens, endDose, full } = this;
    const { touch } = this.films;
    const { minutes: rooms, open, close, perMinute, minutesPer, grid, cells } = this.hours;
    const scale = this.hours.scale[OIL]!;
    for (let d = 0; d < BATCH; d++) {
      let readyIn = readyWindow[d]!;
      let readyAt = readyMinute[d]!;
      if (after >= 0) {
        const dose = touch[film + d]! + endDose[after * BATCH + d]!;
        const cell = dose * scale;
        readyIn = windows;
        readyAt = 0;
        if (cell < cells) {
          readyIn = grid[cell | 0]!;
          while (readyIn < windows && close[readyIn]! <= dose) readyIn += 1;
          if (readyIn > home || (readyIn === home && dose > open[home]!))
            readyAt = Math.max(0, (dose - open[readyIn]!) * minutesPer[readyIn]!);
        }
      }
      let w = home > readyIn ? home : readyIn;
      let begins = 0;
      let needs = 0;
      let dried = into.length === 0;
      let closedAt = -1;
      for (;;) {
        if (w === windows) break;
        const spent = used[w * BATCH + d]!;
        // Nothing is begun here any more: on to where something may be.
        if (spent > full[w]!) {
          if (closedAt < 0) closedAt = w;
          w = next[w * BATCH + d]!;
          continue;
        }
        if (closedAt >= 0) {
          next[closedAt * BATCH + d] = w;
          closedAt = -1;
        }
        const ready = w === readyIn ? readyAt : 0;
        needs = minutes * pace[w * BATCH + d]!;
        begins = ready > spent ? ready : spent;
        if (w === home && minute > begins) begins = minute;
        // Not ready when he comes to it: he goes on with the rest, and looks again another day.
        const tooSoon = spent > 0 && ready > spent + JUST;
        const tooShort = rooms[w]! - begins < LEAST_PART * needs && (spent > 0 || ready > 0);
        if (tooSoon || tooShort) {
          w += 1;
          continue;
        }
        if (dried || this.caught(into, opens[w]! + MINUTE_MS * (begins + needs), d)) break;
        dried = true;
        w = this.waitUntilDry(into, w, d);
        readyIn = w;
        readyAt = readyMinute[d]!;
      }
      endWindow[i * BATCH + d] = w;
      if (w === windows) {
        endDose[i * BATCH + d] = Infinity;
        continue;
      }
      const over = begins + needs;
      endDose[i * BATCH + d] = open[w]! + perMinute[w]! * over;
      if (keeps) {
        startMinute[i * BATCH + d] = begins;
        endMinute[i * BATCH + d] = over;
      }
      used[w * BATCH + d] = over;
    }
  }

  private caught(into: WetN[], endsMs: number, d: number): boolean {
    const { touch } = this.films;
    const { openOverTouch } = this.problem.constants;
    return into.every(({ table, from, film, had }) => {
      const open = openOverTouch * touch[film * BATCH + d]!;
      if (from < 0) return endsMs <= table.timeOf(open - had);
      const w = this.endWindow[from * BATCH + d]!;
      if (w === this.windows) return true;
      const began = this.opens[w]! + MINUTE_MS * this.startMinute[from * BATCH + d]!;
      return endsMs <= table.timeOf(table.doseAt(began) + open);
    });
  }

  /** Missed: ready when all it was to go into is touch-dry. The window from which to look again. */
  private waitUntilDry(into: WetN[], from: number, d: number): number {
    const { touch } = this.films;
    const { opens, windows } = this;
    const dryMs = Math.max(
      ...into.map(({ table, from: before, film, had }) => {
        const dose = touch[film * BATCH + d]!;
        return table.timeOf(before < 0 ? dose - had : table.doseAt(this.endMs(before, d)) + dose);
      }),
    );
    let w = from;
    while (w < windows && opens[w]! + MINUTE_MS * this.hours.minutes[w]! <= dryMs) w += 1;
    this.readyWindow[d] = w;
    this.readyMinute[d] = w < windows ? Math.max(0, (dryMs - opens[w]!) / MINUTE_MS) : 0;
    return w;
  }
}
