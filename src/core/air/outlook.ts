import { AIR_OF_ROOM, VAPOURS, type Limit, type VapourKey } from '@/data/air';
import type { Room } from './room-schema';
import { dishMgPerH, mgOf, type Source } from './sources';
import { after, doseAfter, hoursUntil, type Concentrations, type TwoZones } from './two-zone';

export interface Range {
  least: number;
  most: number;
}

export interface VapourOutlook {
  vapour: VapourKey;
  name: string;
  /** Evaporated in all, ml. */
  ml: Range;
  /** At the end of the session, mg/m3. */
  near: Range;
  room: Range;
  /** Over a working day of eight hours with the session in it, mg/m3: what the limits are of. */
  nearDay: Range;
  roomDay: Range;
  limits: readonly Limit[];
  strictest: Limit;
  /** Whether the near field, or what may be of it, goes over the strictest limit. Under it proves nothing. */
  over: 'likely' | 'possible' | 'not-by-this-estimate';
  /** Fresh air that would keep the most of the near field at the strictest limit, m3/h; null where no airing of the room does. */
  freshNeededM3PerH: number | null;
  /** The usual rule of dilution beside it: K G / limit. */
  dilutionM3PerH: Range;
  /** Hours after the end until both zones have fallen to a twentieth of the limit; null: longer than is foretold. */
  backHours: { least: number | null; most: number | null };
}

export interface AirInput {
  room: Room;
  /** How long the session lasts, h. */
  hours: number;
  sources: readonly Source[];
}

const nearVolume = (radiusM: number): number => (2 / 3) * Math.PI * radiusM ** 3;
/** Half of the free surface of the half sphere times the speed of the air: what goes in comes out elsewhere. */
const exchange = (radiusM: number, mPerH: number): number =>
  0.5 * 2 * Math.PI * radiusM ** 2 * mPerH;

/** The two rooms between which the real one lies: lively and well aired, still and badly aired. */
function zonesOf(room: Room, which: 'least' | 'most'): TwoZones {
  const a = AIR_OF_ROOM;
  const radius = which === 'least' ? a.nearRadiusMostM : a.nearRadiusLeastM;
  const near = Math.min(nearVolume(radius), room.volumeM3 / 2);
  return {
    nearM3: near,
    farM3: room.volumeM3 - near,
    exchangeM3PerH: exchange(
      radius,
      which === 'least' ? a.airSpeedMostMPerH : a.airSpeedLeastMPerH,
    ),
    freshM3PerH: room.volumeM3 * (which === 'least' ? room.changesMost : room.changesLeast),
  };
}

/** mg of a vapour in the session, and what still comes after it. */
function given(sources: readonly Source[], hours: number, which: 'least' | 'most') {
  const a = AIR_OF_ROOM;
  let during = 0;
  let later = 0;
  for (const s of sources) {
    if (s.kind === 'dish')
      during += dishMgPerH(s.vapour, s.diameterCm, which) * Math.min(s.hours, hours);
    else if (s.kind === 'washing')
      during += mgOf(s.vapour, s.ml) * (which === 'least' ? a.washedShareLeast : a.washedShareMost);
    else {
      // Laid evenly over the session; a film that gives off slowly is not empty at the end of it.
      const film = which === 'least' ? a.filmHoursMost : a.filmHoursLeast;
      const inTime = hours >= film ? 1 - film / (2 * hours) : hours / (2 * film);
      during += mgOf(s.vapour, s.ml) * inTime;
      later += mgOf(s.vapour, s.ml) * (1 - inTime);
    }
  }
  return { during, later };
}

function run(input: AirInput, sources: readonly Source[], which: 'least' | 'most') {
  const zones = zonesOf(input.room, which);
  const { during, later } = given(sources, input.hours, which);
  const empty: Concentrations = { near: 0, far: 0 };
  const rate = during / input.hours;
  const end = after(zones, empty, rate, input.hours);
  const dose = doseAfter(zones, empty, rate, input.hours);
  const film = which === 'least' ? AIR_OF_ROOM.filmHoursMost : AIR_OF_ROOM.filmHoursLeast;
  const lateRate = later / film;
  const rest = Math.max(0, AIR_OF_ROOM.shiftHours - input.hours);
  const late = Math.min(rest, film);
  const lateEnd = after(zones, end, lateRate, late);
  const doses = [
    dose,
    doseAfter(zones, end, lateRate, late),
    doseAfter(zones, lateEnd, 0, rest - late),
  ];
  const day = (of: keyof Concentrations): number =>
    doses.reduce((sum, d) => sum + d[of], 0) / Math.max(AIR_OF_ROOM.shiftHours, input.hours);
  return {
    zones,
    end,
    rate,
    film,
    afterFilm: after(zones, end, lateRate, film),
    mg: during + later,
    day: { near: day('near'), far: day('far') },
  };
}

/**
 * What a session leaves in the air of a room, vapour by vapour, as a range between a lively, well aired room and a
 * still, badly aired one. An assumed evaporation proves nothing: nothing here says that a room is safe.
 */
export function airOutlook(input: AirInput): VapourOutlook[] {
  const keys = [...new Set(input.sources.map((s) => s.vapour))];
  return keys.map((vapour): VapourOutlook => {
    const sources = input.sources.filter((s) => s.vapour === vapour);
    const [least, most] = [run(input, sources, 'least'), run(input, sources, 'most')];
    const { limits, name, densityGPerMl } = VAPOURS[vapour];
    const strictest = limits.reduce((a, b) => (b.mgM3 < a.mgM3 ? b : a));
    const limit = strictest.mgM3;
    const range = (of: (r: typeof least) => number): Range => ({
      least: of(least),
      most: of(most),
    });
    const near = range((r) => r.end.near);
    const nearDay = range((r) => r.day.near);
    // N = G/Q + G/beta: where the near field alone is over it, no airing of the room helps.
    const room = limit - most.rate / most.zones.exchangeM3PerH;
    const back = (r: typeof least): number | null => {
      const hours = hoursUntil(
        r.zones,
        r.afterFilm,
        AIR_OF_ROOM.backShare * limit,
        AIR_OF_ROOM.longestHours,
      );
      return hours === null ? null : hours + r.film;
    };
    return {
      vapour,
      name,
      ml: range((r) => r.mg / (densityGPerMl * 1000)),
      near,
      room: range((r) => r.end.far),
      nearDay,
      roomDay: range((r) => r.day.far),
      limits,
      strictest,
      over: near.least > limit ? 'likely' : near.most > limit ? 'possible' : 'not-by-this-estimate',
      freshNeededM3PerH: room > 0 ? most.rate / room : null,
      dilutionM3PerH: {
        least: (AIR_OF_ROOM.mixingLeast * least.rate) / limit,
        most: (AIR_OF_ROOM.mixingMost * most.rate) / limit,
      },
      backHours: { least: back(least), most: back(most) },
    };
  });
}
