import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/**
 * A stand-in for a wireless thermometer and hygrometer on the studio wall. What it says is a function of its seed
 * and the time alone: seasons, day and night, weather that lasts for days, a heating that keeps working hours warm
 * and dries the air, and hours in which its radio does not reach.
 */
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
const YEAR_DAYS = 365.25;

export interface LoggerReading {
  at: string;
  temperatureC: number;
  relativeHumidityPct: number;
}

const OUTDOOR_MEAN_C = 10;
const SEASON_C = 8.5;
const DAILY_C = 4;
const WEATHER_C = 4;
/** Of the weather outside, this much comes in: walls keep days apart. */
const ROOM_WEATHER = 0.5;
/** The warmest day of the year, days after New Year. */
const WARMEST_DAY = 200;
const WARMEST_HOUR = 15;
/** What walls keep: the room follows a part of the day's swing. */
const ROOM_SWING = 0.35;
const ROOM_GAIN_C = 3;
const HEATED_C = { working: 19, otherwise: 15.5 };
const WORKING = { from: 8, to: 18 };
const NOISE_C = 0.15;
const NOISE_RH = 0.8;
/** Out of reach: about one stretch of six hours in this many. */
const DROPOUT_ONE_IN = 40;
const DROPOUT_HOURS = 6;

/** A number of its own for every n: neighbours are scrambled first, since close seeds begin alike. */
function draw(seed: number, n: number): number {
  let mixed = Math.imul(seed | 0, 0x9e3779b1) ^ Math.imul(n | 0, 0x85ebca6b);
  mixed = Math.imul(mixed ^ (mixed >>> 15), 0xc2b2ae35);
  const random = xoroshiro128plus(mixed ^ (mixed >>> 13));
  uniformFloat64(random);
  return uniformFloat64(random);
}
/** Roughly normal: the sum of three uniforms, spread 1. */
const bell = (seed: number, n: number): number =>
  2 * (draw(seed, 3 * n) + draw(seed + 1, 3 * n + 1) + draw(seed + 2, 3 * n + 2) - 1.5);

/** Weather over days: noise of single days, smoothed over four. */
function weather(seed: number, atMs: number): number {
  const day = atMs / DAY_MS;
  const from = Math.floor(day);
  const smooth = (d: number) =>
    0.4 * bell(seed, d) +
    0.3 * bell(seed, d - 1) +
    0.2 * bell(seed, d - 2) +
    0.1 * bell(seed, d - 3);
  const part = day - from;
  return ((1 - part) * smooth(from) + part * smooth(from + 1)) / 0.55;
}

/** Saturation vapour pressure over water, hPa; Magnus form (Sonntag 1990; from memory). */
const saturation = (t: number): number => 6.112 * Math.exp((17.62 * t) / (243.12 + t));

export const isOutOfReach = (seed: number, atMs: number): boolean =>
  draw(seed + 9, Math.floor(atMs / (DROPOUT_HOURS * HOUR_MS))) < 1 / DROPOUT_ONE_IN;

/** What the logger says at a moment; null while it is out of reach. */
export function loggerReading(seed: number, atMs: number): LoggerReading | null {
  if (isOutOfReach(seed, atMs)) return null;
  const days = atMs / DAY_MS;
  const hour = (atMs % DAY_MS) / HOUR_MS;
  const season = Math.cos((2 * Math.PI * ((days % YEAR_DAYS) - WARMEST_DAY)) / YEAR_DAYS);
  const daily = Math.cos((2 * Math.PI * (hour - WARMEST_HOUR)) / 24);
  const seasonal = OUTDOOR_MEAN_C + SEASON_C * season;
  const strays = WEATHER_C * weather(seed, atMs);
  const outdoorMean = seasonal + strays;
  const outdoor = outdoorMean + DAILY_C * daily;
  const unheated = seasonal + ROOM_WEATHER * strays + ROOM_GAIN_C + ROOM_SWING * DAILY_C * daily;
  const warm = hour >= WORKING.from && hour < WORKING.to ? HEATED_C.working : HEATED_C.otherwise;
  const minute = Math.floor(atMs / 60_000);
  const temperature = Math.max(unheated, warm) + NOISE_C * bell(seed + 5, minute);
  // Outdoor air at 80 % brought in and warmed, with what people and walls add.
  const vapour = 0.8 * saturation(Math.min(outdoor, outdoorMean)) + 2.5;
  const humidity = (100 * vapour) / saturation(temperature) + NOISE_RH * bell(seed + 7, minute);
  const round = (x: number) => Math.round(x * 10) / 10;
  return {
    at: new Date(atMs).toISOString(),
    temperatureC: round(temperature),
    relativeHumidityPct: round(Math.min(95, Math.max(15, humidity))),
  };
}
