import { PLAN_ODDS } from '@/data/plan';
import type { Compiled } from './compile';
import type { WaitN, WetN } from './waits';
import { NORMALS, placesOf, spreadTable } from './normal-table';
import { BATCH, PLACES, drawnFilms, type DrawnFilms } from './odds-films';
import { PLAN_CLOCKS, type Lag, type PlanHabits, type PlanProblem } from './problem';
import { simHours, TICK_MASK, TICK_MS, TICKS, WINDOW_BITS, type SimHours } from './sim-hours';
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
  /** Tick of its window at which it was planned, and how many it is thought to take. */
  tick: number;
  ticks: number;
  lags: WaitN[];
  into: WetN[];
  /** The sittings in which it is done over, and how many places of the table of normals stand for that. */
  over: { places: number; again: Played[] } | null;
}

/** Two works end to end are ready for each other, rounding or not; ticks. */
const JUST = 1;

const later = (a: number, b: number): number => (a > b ? a : b);

/**
 * Plays scenarios of a plan, a batch at a time. The painter works in the planned order, never before the planned hour
 * and never before what lies below is seen to be ready at a session; what is not ready goes to the next session with
 * room; paint that has closed is waited for until it is touch-dry. He does not foresee. A work that runs long is
 * finished where at least half of it fits, so on the whole the hours are neither stretched nor wasted.
 *
 * All lists hold BATCH scenarios of one thing after the other; moments are whole numbers (see sim-hours). The methods
 * take what they use into local names: they run some million times.
 */
export class Player {
  /** How many windows there are; also the one that means never. */
  readonly windows: number;
  readonly opens: Float64Array;
  private readonly hours: SimHours;
  private readonly fill: (out: Int32Array) => void;
  private readonly films: DrawnFilms;
  private readonly works: Played[];
  private readonly normal = NORMALS();
  private readonly habits: PlanHabits;
  private readonly stray: Float32Array;
  /** Scenarios of the batch in which something by chance is so. */
  private readonly so = new Uint8Array(BATCH);
  /** When each work began and ended. */
  private readonly startAt: Int32Array;
  private readonly endAt: Int32Array;
  /** Ticks used of each window; where nothing is begun in it any more, ~w of the window to go to instead. */
  private readonly used: Int32Array;
  private readonly unused: Int32Array;
  /** Ticks from which on nothing is begun. */
  private readonly full: Int32Array;
  /** How much longer than estimated work takes in each window. */
  private readonly pace: Float32Array;
  /** When the work at hand is ready. */
  private readonly readyAt = new Int32Array(BATCH);
  private readonly doses = new Float32Array(BATCH);
  private readonly places = new Int32Array(PLACES);

  constructor(
    private readonly problem: PlanProblem,
    private readonly of: Compiled,
    planned: PlannedPlace[],
    seed: number,
    part: number,
  ) {
    this.habits = problem.habits ?? {
      ownSd: PLAN_ODDS.paceOwnSd,
      sharedSd: PLAN_ODDS.paceSharedSd,
      hold: 1,
    };
    this.stray = spreadTable(this.habits.ownSd);
    this.hours = simHours(problem, of);
    this.windows = this.hours.count;
    this.opens = this.hours.opens;
    this.fill = placesOf(seed, part);
    this.films = drawnFilms(problem, this.fill);
    this.startAt = new Int32Array(of.n * BATCH);
    // What the plan has no place for never ends.
    this.endAt = new Int32Array(of.n * BATCH).fill(this.windows << WINDOW_BITS);
    const cells = this.hours.row * BATCH;
    this.used = new Int32Array(cells);
    this.full = this.hours.ticks.map((t) => t - PLAN_ODDS.goingHomeMinutes * TICKS);
    this.unused = this.used.map((_, k) => {
      const w = Math.floor(k / BATCH);
      return this.full[w]! >= 0 ? 0 : ~(w + 1);
    });
    this.pace = new Float32Array(cells);
    const slotTicks = of.slots.ms / TICK_MS;
    this.works = planned.map(({ i, window, startMs }): Played => ({
      i,
      home: window,
      tick: Math.round((startMs - this.opens[window]!) / TICK_MS),
      ticks: of.length[i]! * slotTicks,
      lags: [...of.laid[i]!, ...of.lags[i]!],
      into: of.wets[i]!,
      over: this.overOf(i, window, of.length[i]! * slotTicks),
    }));
  }

  /** Draw and play a batch of scenarios. */
  play(): void {
    this.films.draw();
    this.drawPace();
    this.used.set(this.unused);
    this.missHours();
    for (const work of this.works) {
      this.await(work.lags);
      for (const { from } of work.into) if (from >= 0) this.awaitEnd(from);
      if (work.into.length > 0) this.placeInto(work);
      else this.place(work);
      if (work.over) this.doOver(work.over);
    }
  }

  private overOf(i: number, home: number, ticks: number): Played['over'] {
    const { redo, id } = this.problem.works[i]!;
    if (!redo) return null;
    const table = this.of.tableFor(this.problem.films[redo.film]!.clock);
    const dry: Lag = { after: id, film: redo.film, stage: 'touch-dry', dose: 0, had: 0 };
    const again = (lag: Lag): Played => ({
      i,
      home,
      tick: 0,
      ticks: Math.round(ticks * redo.share),
      lags: [{ from: i, table, dose: 0, lag }],
      into: [],
      over: null,
    });
    return {
      places: Math.round(redo.chance * this.normal.length),
      // Once dry it is begun again; further sittings follow one another.
      again: Array.from({ length: redo.sittings }, (_, k) =>
        again(k === 0 ? dry : { ...dry, stage: 'order' }),
      ),
    };
  }

  /** In some scenarios a coat is done over, once it is dry. */
  private doOver({ places, again }: NonNullable<Played['over']>): void {
    this.fill(this.places);
    for (let d = 0; d < BATCH; d++) this.so[d] = this.places[d]! < places ? 1 : 0;
    for (const sitting of again) {
      this.await(sitting.lags);
      this.place(sitting, 'so');
    }
  }

  /** In some scenarios hours are not held. */
  private missHours(): void {
    const { hold } = this.habits;
    if (hold >= 1) return;
    const places = Math.round(hold * this.normal.length);
    for (let w = 0; w < this.windows; w++) {
      this.fill(this.places);
      for (let d = 0; d < BATCH; d++)
        if (this.places[d]! >= places) this.used[w * BATCH + d] = ~(w + 1);
    }
  }

  /** The window in which a work was done in scenario `d`; `windows` when it never was. */
  windowOf(i: number, d: number): number {
    return this.endAt[i * BATCH + d]! >> WINDOW_BITS;
  }

  /** When a painting is done in each scenario of the batch, ms; Infinity where it never is. */
  finishes(g: number, out: Float64Array): void {
    out.fill(this.problem.nowMs);
    for (const end of this.of.goals[g]!.ends) {
      const { from, table, lag } = end;
      if (lag.stage === 'order') {
        if (from >= 0)
          for (let d = 0; d < BATCH; d++) out[d] = Math.max(out[d]!, this.endMs(from, d));
        continue;
      }
      const { doses, first } = this.dosesOf(end);
      const { open, perTick } = this.hours;
      const row = this.clockOf(end) * this.hours.row;
      for (let d = 0; d < BATCH; d++) {
        let dose = doses[first + d]!;
        if (from < 0) dose -= lag.had;
        else {
          const moment = this.endAt[from * BATCH + d]!;
          const w = moment >> WINDOW_BITS;
          dose =
            w === this.windows
              ? Infinity
              : dose + open[row + w]! + perTick[row + w]! * (moment & TICK_MASK);
        }
        const ms = dose === Infinity ? Infinity : table.timeOf(dose);
        if (ms > out[d]!) out[d] = ms;
      }
    }
  }

  /** All works together run faster or slower, and one sitting against another. */
  private drawPace(): void {
    const { pace, stray, places, normal } = this;
    const { sharedSd, ownSd } = this.habits;
    // The mean of a log-normal lies above its median: estimated minutes are meant as means.
    const mean = -(sharedSd ** 2 + ownSd ** 2) / 2;
    this.fill(places);
    const all = Float32Array.from(places, (k) => Math.exp(mean + sharedSd * normal[k]!));
    for (let first = 0; first < pace.length; first += BATCH) {
      this.fill(places);
      for (let d = 0; d < BATCH; d++) pace[first + d] = all[d]! * stray[places[d]!]!;
    }
  }

  private clockOf({ lag }: WaitN): number {
    return PLAN_CLOCKS.indexOf(lag.film === null ? 'wall' : this.problem.films[lag.film]!.clock);
  }

  /** The doses a wait needs in each scenario: those of touch-dry, of which most are, lie there as they were drawn. */
  private dosesOf({ lag }: WaitN): { doses: Float32Array; first: number } {
    const { touch, through } = this.films;
    const first = lag.film! * BATCH;
    if (lag.stage === 'touch-dry') return { doses: touch, first };
    for (let d = 0; d < BATCH; d++)
      this.doses[d] = stageDose(
        this.problem.constants,
        lag.stage,
        touch[first + d]!,
        through[first + d]!,
      );
    return { doses: this.doses, first: 0 };
  }

  private msOf(moment: number): number {
    return this.opens[moment >> WINDOW_BITS]! + TICK_MS * (moment & TICK_MASK);
  }

  private endMs(i: number, d: number): number {
    return this.msOf(this.endAt[i * BATCH + d]!);
  }

  /** When all that is waited for is ready, in each scenario. */
  private await(lags: WaitN[]): void {
    this.readyAt.fill(0);
    for (const lag of lags) {
      if (lag.lag.stage === 'order') this.awaitEnd(lag.from);
      else this.awaitFilm(lag);
    }
  }

  /** No earlier than the end of another work. */
  private awaitEnd(from: number): void {
    const { endAt, readyAt } = this;
    for (let d = 0; d < BATCH; d++) readyAt[d] = later(readyAt[d]!, endAt[from * BATCH + d]!);
  }

  /** No earlier than when a film has had its dose. */
  private awaitFilm(lag: WaitN): void {
    const { endAt, readyAt } = this;
    const { open, close, perTick, ticksPer, grid, cells } = this.hours;
    const { doses, first } = this.dosesOf(lag);
    const c = this.clockOf(lag);
    const row = c * this.hours.row;
    const cellRow = c * (cells + 1);
    const scale = this.hours.scale[c]!;
    const from = lag.from * BATCH;
    const { had } = lag.lag;
    for (let d = 0; d < BATCH; d++) {
      let dose = doses[first + d]!;
      if (from < 0) dose -= had;
      else {
        const end = endAt[from + d]!;
        const at = row + (end >> WINDOW_BITS);
        dose += open[at]! + perTick[at]! * (end & TICK_MASK);
      }
      let cell = (dose * scale) | 0;
      if (cell < 0) cell = 0;
      if (cell > cells) cell = cells;
      let w = grid[cellRow + cell]!;
      while (close[row + w]! <= dose) w += 1;
      const tick = ((dose - open[row + w]!) * ticksPer[row + w]!) | 0;
      readyAt[d] = later(readyAt[d]!, (w << WINDOW_BITS) | (tick & ~(tick >> 31)));
    }
  }

  /**
   * Put a work at its planned moment or at the first after it at which it is ready and has room.
   * @param only to see where that would be, the hours are not used up; or in those scenarios that are so
   */
  private place({ i, home, tick, ticks }: Played, only: 'look' | 'so' | null = null): void {
    const { readyAt, used, pace, full, startAt, endAt } = this;
    const rooms = this.hours.ticks;
    const first = i * BATCH;
    const keep = only !== 'look';
    const so = only === 'so' ? this.so : null;
    const barred = this.of.barred[i]!;
    for (let d = 0; d < BATCH; d++) {
      if (so && so[d] === 0) continue;
      const at = readyAt[d]!;
      let w = at >> WINDOW_BITS;
      let ready = at & TICK_MASK;
      if (w < home) {
        w = home;
        ready = 0;
      }
      let earliest = w === home ? tick : 0;
      let hop = -1;
      for (;;) {
        const k = w * BATCH + d;
        if (barred?.[w] === 1) {
          w += 1;
          ready = 0;
          earliest = 0;
          continue;
        }
        const spent = used[k]!;
        // Nothing is begun here any more: on to where something may be, and the way there made shorter.
        if (spent < 0) {
          w = ~spent;
          if (hop < 0) hop = k;
          ready = 0;
          earliest = 0;
          continue;
        }
        if (hop >= 0) {
          used[hop] = ~w;
          hop = -1;
        }
        const needs = (ticks * pace[k]!) | 0;
        const comes = spent > earliest ? spent : earliest;
        const begins = ready > comes ? ready : comes;
        // Not ready when he comes to it: he goes on with the rest, and looks again another day.
        const tooSoon = spent > 0 && ready > comes + JUST;
        const tooShort =
          PLAN_ODDS.partsToBegin * (rooms[w]! - begins) < needs && (spent > 0 || ready > 0);
        if (!tooSoon && !tooShort) {
          const over = begins + needs < TICK_MASK ? begins + needs : TICK_MASK;
          startAt[first + d] = (w << WINDOW_BITS) | begins;
          endAt[first + d] = (w << WINDOW_BITS) | over;
          if (keep) used[k] = over > full[w]! ? ~(w + 1) : over;
          break;
        }
        w += 1;
        ready = 0;
        earliest = 0;
      }
    }
  }

  /** The same with a work that goes into open paint: where that has closed by then, it waits until it is dry. */
  private placeInto(work: Played): void {
    const { readyAt } = this;
    this.place(work, 'look');
    for (let d = 0; d < BATCH; d++)
      if (!this.caught(work.into, this.endMs(work.i, d), d))
        readyAt[d] = this.dryAt(work.into, this.startAt[work.i * BATCH + d]! >> WINDOW_BITS, d);
    this.place(work);
  }

  private caught(into: WetN[], endsMs: number, d: number): boolean {
    const { touch } = this.films;
    const { films } = this.problem;
    return into.every(({ table, from, film, had }) => {
      const open = films[film]!.openOverTouch * touch[film * BATCH + d]!;
      if (from < 0) return endsMs <= table.timeOf(open - had);
      const began = this.msOf(this.startAt[from * BATCH + d]!);
      return began === Infinity || endsMs <= table.timeOf(table.doseAt(began) + open);
    });
  }

  /** Missed: ready when all it was to go into is touch-dry. The moment, in a window not before `from`. */
  private dryAt(into: WetN[], from: number, d: number): number {
    const { touch } = this.films;
    const { opens, windows } = this;
    const dryMs = Math.max(
      ...into.map(({ table, from: before, film, had }) => {
        const dose = touch[film * BATCH + d]!;
        return table.timeOf(before < 0 ? dose - had : table.doseAt(this.endMs(before, d)) + dose);
      }),
    );
    let w = from;
    while (w < windows && opens[w]! + TICK_MS * this.hours.ticks[w]! <= dryMs) w += 1;
    const tick = w < windows ? Math.max(0, Math.ceil((dryMs - opens[w]!) / TICK_MS)) : 0;
    return (w << WINDOW_BITS) | tick;
  }
}
