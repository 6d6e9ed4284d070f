import type { AssessOptions, PaintingAssessment } from './layer';

/** Whether time alone changes nothing more of what is said of a painting: all its films are laid and through-dry. */
export const isAtRest = ({ passages }: PaintingAssessment): boolean =>
  passages.every(({ base, spots }) =>
    [base, ...spots].every(({ layers }) =>
      layers.every((layer) => !layer.planned && layer.state === 'through-dry'),
    ),
  );

/** Whether two looks at a painting differ in nothing but that the second is later. */
export function onlyLater(was: AssessOptions, now: AssessOptions): boolean {
  return (
    now.nowMs >= was.nowMs &&
    now.handbook === was.handbook &&
    now.air === was.air &&
    now.learned === was.learned &&
    now.judge === was.judge &&
    now.climate.temperatureC === was.climate.temperatureC &&
    now.climate.relativeHumidityPct === was.climate.relativeHumidityPct &&
    now.climate.light === was.climate.light
  );
}
