import {
  verdictOf,
  type Painting,
  type PaintingAssessment,
  type PassageAssessment,
  type SiteStack,
} from '@/core/painting';
import { todayRow } from '@/core/today';
import { SCHOOLS } from '@/core/schools';
import { findingsByRule, isBroken, toldLayer, type ToldFinding } from '@/core/tell';
import { columnWords } from '@/features/due-words';
import type { Swatches } from '@/core/optics/composition';
import { groundDrawing, stackState } from '@/features/film-view';
import { stackSteps } from '@/features/stack-steps';
import type { Column } from '@/ui/film/FilmColumns';
import { listed } from '@/ui/words';

export interface Trouble {
  passageId: string;
  passageName: string;
  coatName: string;
  sentence: string;
}

/** The first thing that does not hold in a stack. */
function troubleIn(passage: PassageAssessment, stack: SiteStack, painting: Painting): Trouble[] {
  return stack.layers
    .filter((layer) => isBroken(layer, painting.school))
    .map((layer) => ({
      passageId: passage.passage.id,
      passageName: stack.site.spotName
        ? `${passage.passage.name}, ${stack.site.spotName}`
        : passage.passage.name,
      coatName: layer.film.name,
      sentence: toldLayer(layer, painting.school).headline,
    }));
}

export function columnsOf(
  assessment: PaintingAssessment,
  nowMs: number,
  swatches: Swatches,
): Column[] {
  const { painting, passages } = assessment;
  return passages.map((passage) => {
    const broken = passage.base.layers.find((l) => isBroken(l, painting.school));
    return {
      key: passage.passage.id,
      name: passage.passage.name,
      steps: stackSteps(passage.base, painting, swatches),
      state: stackState(passage.base),
      due: columnWords(todayRow(assessment, passage.passage, passage.base, nowMs), nowMs),
      broken: broken ? `${broken.film.name.toLowerCase()} does not hold` : null,
    };
  });
}

export const troublesOf = ({ painting, passages }: PaintingAssessment): Trouble[] =>
  passages.flatMap((passage) =>
    [passage.base, ...passage.spots].flatMap((stack) => troubleIn(passage, stack, painting)),
  );

/** Coats of which the school cannot say whether they hold. */
const undecidedIn = ({ painting, passages }: PaintingAssessment): number =>
  new Set(
    passages.flatMap(({ base, spots }) =>
      [base, ...spots].flatMap(({ layers }) =>
        layers
          .filter((layer) => verdictOf(layer, painting.school)?.verdict === 'undecided')
          .map((layer) => layer.film.key),
      ),
    ),
  ).size;

const NUMBER = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight'];

/** The whole painting in one sentence. */
export function overall(assessment: PaintingAssessment): { words: string; broken: boolean } {
  const troubled = new Set(troublesOf(assessment).map((t) => t.passageId));
  const sound = assessment.passages.length - troubled.size;
  if (troubled.size === 0) {
    const cautions = ruleNotes(assessment).length;
    const open = undecidedIn(assessment);
    const besides = [
      ...(open === 0
        ? []
        : [open === 1 ? 'one is too close to call' : `${open} are too close to call`]),
      ...(cautions === 0
        ? []
        : [cautions === 1 ? 'there is a caution below' : `there are ${cautions} cautions below`]),
    ];
    return {
      words:
        besides.length === 0
          ? 'Every column holds as it rises.'
          : `No coat pinches in, but ${listed(besides)}.`,
      broken: false,
    };
  }
  const names = assessment.passages
    .filter((p) => troubled.has(p.passage.id))
    .map((p) => p.passage.name);
  const first =
    sound === 0
      ? 'No column holds.'
      : sound === 1
        ? 'One column holds.'
        : `${NUMBER[sound] ?? sound} columns hold.`;
  return { words: `${first} A coat pinches in: ${names.join(', ')}.`, broken: true };
}

export const schoolMeasure = (painting: Painting): string => SCHOOLS[painting.school].measureName;
export { groundDrawing };

/** What the rules say over the whole painting, each rule once, gravest first; what is only to know stays at its film. */
export const ruleNotes = ({ passages }: PaintingAssessment): ToldFinding[] =>
  findingsByRule(
    passages.flatMap(({ passage, base, spots }) =>
      [base, ...spots].flatMap((stack) =>
        stack.layers.flatMap((layer) =>
          layer.findings
            .filter((finding) => finding.severity !== 'note')
            .map((finding) => ({
              finding,
              where: `${layer.film.name.toLowerCase()} on ${passage.name}`,
            })),
        ),
      ),
    ),
  );
