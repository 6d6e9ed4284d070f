import { LOOKING } from '@/data/looking';
import type { Change } from './change';
import type { Looked } from './look';
import type { Series } from './series';
import { capital, valuesWords } from './tell';

/** What a session changed; amounts only where both photos tell values, for a change of exposure looks like a change of paint. */
export function tellChange(
  change: Change,
  levels: readonly [before: Looked['trust']['level'], after: Looked['trust']['level']],
  names: ReadonlyMap<string, string>,
): { verdict: string; lines: string[] } {
  if (levels.includes('order'))
    return {
      verdict: 'These two photos do not tell what changed.',
      lines: [
        'Both need grey steps beside the picture: else lighter and darker may be the exposure.',
      ],
    };
  const level = levels.includes('relative') ? 'relative' : 'steps';
  return {
    verdict:
      change.shareChanged < LOOKING.changeShare
        ? 'Nothing changed that the photos can tell.'
        : `${Math.round(change.shareChanged * 100)} % of the picture changed.`,
    lines: change.passages
      .filter((p) => p.changed)
      .map(
        (p) =>
          `${capital(names.get(p.id) ?? p.id)}: ${valuesWords(p.byL, level)} ${p.byL > 0 ? 'lighter' : 'darker'}.`,
      ),
  };
}

/** How well two photos lie on each other. */
export const tellRegistered = ({ registeredMm }: Change): string =>
  registeredMm === null
    ? 'Too little is alike on the two photos to tell how well they lie on each other.'
    : registeredMm > LOOKING.registerPoorMm
      ? `The two photos lie ${registeredMm.toFixed(1)} mm apart: set their corners again, or trust only large changes.`
      : `The two photos lie on each other within ${Math.max(0.1, registeredMm).toFixed(1)} mm.`;

/**
 * What a row of photos tells of how it goes; signs, no verdict.
 * @param level of the least of its photos that tells values
 */
export function tellSeries(
  series: Series,
  level: Looked['trust']['level'],
  names: ReadonlyMap<string, string>,
): string[] {
  return [
    ...(series.slowing
      ? [`The last ${LOOKING.slowSteps} sittings changed little for their hours.`]
      : []),
    ...series.churned.map(({ id, walkedL, gainedL }) => {
      return `${capital(names.get(id) ?? id)} was painted to and fro: ${valuesWords(walkedL, level)} walked, ${valuesWords(gainedL, level)} gained.`;
    }),
  ];
}
