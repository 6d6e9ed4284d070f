import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { OPTICS_BENCH } from '@/data/optics-bench';
import { changeOf, changeWords, screenColour, valueOfLab, type Lab } from '@/core/optics';
import type { PassageAnswer } from '@/core/glaze/for-passage';
import type { Recipe } from '@/core/film';
import { Hazards } from '@/features/Hazards';
import { tubeName, tubePigments } from '@/core/cabinet/tube-names';
import { Action } from '@/ui/Action';
import { BeforeAfter } from '@/ui/film/BeforeAfter';
import { Notice } from '@/ui/Notice';
import { Says } from '@/ui/Says';
import { Heading, Text } from '@/ui/Text';
import { duration } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import { usePlanGlaze } from './PlanGlaze';
import type { TargetState } from './useTarget';
import type { Glaze } from './useGlaze';

/** "1 burnt sienna : 2.4 yellow ochre, 62 % medium, 14 µm". */
export function recipeWords({ mix, mediumShare, thicknessUm, mediumName }: Recipe): string {
  const paints = mix
    .map((part) => `${mix.length > 1 ? `${part.parts} ` : ''}${tubeName(part)}`)
    .join(' : ');
  const medium =
    mediumShare > 0
      ? `, ${Math.round(mediumShare * 100)} % ${mediumName ?? 'medium'}`
      : ', without medium';
  return `${paints}${medium}, ${thicknessUm < 10 ? thicknessUm.toFixed(1) : Math.round(thicknessUm)} µm`;
}

const apart = (step: number): string =>
  Math.abs(step) < 0.05
    ? 'as light as'
    : `${Math.abs(step).toFixed(1)} ${step > 0 ? 'lighter' : 'darker'} than`;

/** How the passage will stand to each neighbour, in values. */
const againstWords = ({ neighbours }: PassageAnswer): string =>
  neighbours
    .map(
      ({ name, before, after }) =>
        `${apart(after)} ${name} (now ${apart(before).replace(/ (than|as)$/, '')})`,
    )
    .join('; ');

/** What a glaze does to where the passage stands among its neighbours: what turns round is told by itself. */
function neighbourWords({ neighbours }: PassageAnswer): string | null {
  const turned = neighbours.filter(
    ({ before, after }) =>
      Math.sign(before) !== Math.sign(after) &&
      Math.abs(before) > OPTICS_BENCH.sameValue &&
      Math.abs(after) > OPTICS_BENCH.sameValue,
  );
  if (turned.length === 0) return null;
  return `It turns the order of values: ${turned
    .map(({ name, after }) => `${after > 0 ? 'lighter' : 'darker'} than ${name} then`)
    .join(', ')}.`;
}

/** The best answers of the search, or that none reaches it and what to paint it with. */
export function TargetAnswers({ glaze, state }: { glaze: Glaze; state: TargetState }) {
  return (
    <Says style={{ gap: space.m }}>
      {state.at === 'failed' ? <Notice tone="refusal">{state.why}</Notice> : null}
      {state.at === 'found' ? (
        <>
          <Heading level={3}>
            {state.found.reached
              ? 'These reach it'
              : state.found.answers.length > 0
                ? 'No glaze reaches it; the nearest'
                : 'No glaze reaches it'}
          </Heading>
          {state.found.refused > 0 ? (
            <Text size="small" tone="ink2">
              {`${state.found.refused} more would do by colour, but the school or a rule refuses them here.`}
            </Text>
          ) : null}
          {state.found.answers.map((answer, i) => (
            <Answer key={i} glaze={glaze} answer={answer} now={state.found.now} kind="glaze" />
          ))}
          {state.found.painted ? (
            <>
              <Heading level={3}>
                {state.found.painted.de < OPTICS_BENCH.passesDe
                  ? 'Paint it with this mix, opaque'
                  : 'The nearest mix to paint it with'}
              </Heading>
              <Answer
                glaze={glaze}
                answer={state.found.painted}
                now={state.found.now}
                kind="paint"
              />
            </>
          ) : null}
        </>
      ) : null}
    </Says>
  );
}

function Answer({
  glaze,
  answer,
  now,
  kind,
}: {
  glaze: Glaze;
  answer: PassageAnswer;
  now: Lab;
  kind: 'glaze' | 'paint';
}) {
  const plan = usePlanGlaze(glaze);
  const [planned, setPlanned] = useState<string | null>(null);
  // Taken back, it can be planned again.
  const done = glaze.painting?.coats.some((c) => c.id === planned) ?? false;
  const { recipe, lab, de, touchDays, ml, between } = answer;
  const words = recipeWords(recipe);
  const neighbours = neighbourWords(answer);
  const [a, b] = between.map((l) => valueOfLab(l).toFixed(1)) as [string, string];
  return (
    <View style={styles.answer}>
      <BeforeAfter
        name={words}
        before={{ screen: screenColour(now), value: valueOfLab(now) }}
        after={{ screen: screenColour(lab), value: valueOfLab(lab) }}
        words={changeWords(changeOf(now, lab))}
        height={64}
      />
      <Text strong>{words}</Text>
      <Text size="small" tone="ink2">
        {[
          de < 1 ? 'the colour wanted' : `${de.toFixed(0)} steps off`,
          touchDays === null ? 'does not dry in this air' : `touch-dry in ${duration(touchDays)}`,
          `${ml.toFixed(1)} ml to mix`,
          ...(kind === 'glaze' && a !== b ? [`value ${a} to ${b} as it is brushed`] : []),
        ].join('; ')}
      </Text>
      {answer.neighbours.length > 0 ? (
        <Text size="small" tone="ink2">{`In values: ${againstWords(answer)}.`}</Text>
      ) : null}
      {answer.objection ? (
        <Text size="small" strong tone="brick">
          {answer.objection}
        </Text>
      ) : null}
      {neighbours ? (
        <Text size="small" tone="ink2">
          {neighbours}
        </Text>
      ) : null}
      <Hazards pigments={recipe.mix.flatMap((t) => tubePigments(t).map((p) => p.pigment))} />
      <View style={styles.do}>
        {kind === 'glaze' ? (
          <Action title="On the bench" kind="quiet" onPress={() => glaze.take(recipe)} />
        ) : null}
        {plan ? (
          <Action
            title={done ? 'Planned' : 'Plan it'}
            disabled={done}
            onPress={() => {
              setPlanned(plan(recipe, kind));
            }}
          />
        ) : null}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  answer: {
    gap: space.xs,
    paddingBottom: space.m,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  do: { flexDirection: 'row', justifyContent: 'flex-end', gap: space.m },
});
