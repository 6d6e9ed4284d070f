import type { Studio } from '@/core/formats';
import type { Support } from '@/core/painting';

/** Sizes are kept in mm and shown in the painter's unit. An inch is 25.4 mm by definition. */
export const MM_PER: Record<Studio['units'], number> = { cm: 10, inch: 25.4 };

const tidy = (value: number): string => String(Number(value.toFixed(1)));

/** "50 × 40 cm", "20 × 16 in". */
export function sizeWords(support: Support, units: Studio['units']): string {
  const of = (mm: number) => tidy(mm / MM_PER[units]);
  return `${of(support.widthMm)} × ${of(support.heightMm)} ${units === 'inch' ? 'in' : 'cm'}`;
}

export type TemperatureUnit = NonNullable<Studio['temperature']>;
const F_PER_C = 1.8;
const F_AT_0_C = 32;

/** A temperature of the studio, which is kept in Celsius, as the painter reads it. By definition of the scales. */
export const shownTemperature = (celsius: number, unit: TemperatureUnit): number =>
  unit === 'F' ? celsius * F_PER_C + F_AT_0_C : celsius;
export const celsiusOf = (shown: number, unit: TemperatureUnit): number =>
  unit === 'F' ? (shown - F_AT_0_C) / F_PER_C : shown;

/** "18.5 °C", "65.3 °F". */
export const temperatureWords = (celsius: number, unit: TemperatureUnit, digits = 1): string =>
  `${Number(shownTemperature(celsius, unit).toFixed(digits))} °${unit}`;

/** A difference of temperatures: "2 °C", "3.6 °F". */
export const degreesWords = (celsius: number, unit: TemperatureUnit): string =>
  `${tidy(unit === 'F' ? celsius * F_PER_C : celsius)} °${unit}`;

const IN_PROSE = /(-?\d+(?:\.\d+)?)(?: to (-?\d+(?:\.\d+)?))? °C/g;

/** Temperatures that stand in a sentence, in the painter's degrees. */
export const inDegrees = (sentence: string, unit: TemperatureUnit): string =>
  unit === 'C'
    ? sentence
    : sentence.replace(IN_PROSE, (_all, from: string, to: string | undefined) => {
        const of = (celsius: string) => String(Math.round(shownTemperature(Number(celsius), unit)));
        return `${of(from)}${to === undefined ? '' : ` to ${of(to)}`} °${unit}`;
      });
