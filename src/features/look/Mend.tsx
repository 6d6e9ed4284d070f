import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { coatOver, type PassageAnswer } from '@/core/glaze/for-passage';
import { capital, type PassageTold } from '@/core/looking/tell';
import { changeOf, changeWords, valueOfLab, type Lab } from '@/core/optics';
import { assessPainting, type PassageAssessment, type Painting } from '@/core/painting';
import { placeCoat } from '@/core/painting/coats';
import { stackLook } from '@/core/painting/look';
import { todayRow } from '@/core/today';
import { LOOKING } from '@/data/looking';
import { coatAddress, glazeAddress } from '@/features/addresses';
import { rowWords } from '@/features/due-words';
import { usePlanGlaze } from '@/features/glaze/PlanGlaze';
import { recipeWords } from '@/features/glaze/TargetAnswers';
import {
  glazePaints,
  USUAL_MEDIUM,
  USUAL_MEDIUM_SHARE,
  useTarget,
  useTargetRequest,
} from '@/features/glaze/useTarget';
import { Hazards } from '@/features/Hazards';
import { tubePigments } from '@/core/cabinet/tube-names';
import { useAssessment, useAssessOptions, useStoreSelector, useSwatches } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Progress } from '@/ui/Progress';
import { Heading, Text } from '@/ui/Text';
import { duration } from '@/ui/time/words';
import { space } from '@/ui/tokens';

/** No paint is darker, dry: its own surface gives so much light back; L*. */
const DARKEST_L = 5;

/**
 * What would bring a passage to where it is meant: the film's own colour, moved by the difference that the photo tells.
 * A glaze where one can, else body colour; it becomes a planned coat by one tap.
 */
export function Mend({ painting, told }: { painting: Painting; told: PassageTold }) {
  const assessment = useAssessment(painting.id);
  const passage = assessment?.passages.find((p) => p.passage.id === told.id) ?? null;
  if (!passage || told.byL === null) return null;
  // Another passage, or another amount, is looked for anew.
  return (
    <Search
      key={`${told.id} ${told.byL.toFixed(0)}`}
      painting={painting}
      passage={passage}
      byL={told.byL}
      name={told.name}
    />
  );
}

function Search({
  painting,
  passage,
  byL,
  name,
}: {
  painting: Painting;
  passage: PassageAssessment;
  byL: number;
  name: string;
}) {
  const swatches = useSwatches();
  const paints = glazePaints(useStoreSelector((s) => s.cabinet.paints));
  const request = useTargetRequest();
  const { state, begin, cancel } = useTarget();
  const { lab } = stackLook(passage.base, painting, swatches).now;
  const wanted: Lab = [
    Math.min(LOOKING.whitePaintL, Math.max(DARKEST_L, lab[0] - byL)),
    lab[1],
    lab[2],
  ];
  return (
    <View style={{ gap: space.s }}>
      <Heading level={2}>{`What would bring it ${byL > 0 ? 'down' : 'up'}`}</Heading>
      {state.at === 'work' ? (
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.m }}>
          <Progress name="Looking for a coat" done={state.done} />
          <Action title="Cancel" kind="quiet" onPress={cancel} />
        </View>
      ) : state.at === 'found' ? (
        <Answer
          painting={painting}
          passage={passage}
          answer={(state.found.reached ? state.found.answers[0] : state.found.painted) ?? null}
          kind={state.found.reached ? 'glaze' : 'paint'}
          now={state.found.now}
        />
      ) : (
        <Action
          title={`Look for a coat that mends ${name}`}
          kind="primary"
          disabled={paints.length === 0}
          onPress={() =>
            begin(
              request({
                painting,
                passageId: passage.passage.id,
                paints,
                ...USUAL_MEDIUM,
                mostMediumShare: USUAL_MEDIUM_SHARE,
                wanted,
                mostPaints: 2,
              }),
            )
          }
        />
      )}
      {state.at === 'failed' ? <Notice tone="refusal">{state.why}</Notice> : null}
    </View>
  );
}

function Answer({
  painting,
  passage,
  answer,
  kind,
  now,
}: {
  painting: Painting;
  passage: PassageAssessment;
  answer: PassageAnswer | null;
  kind: 'glaze' | 'paint';
  now: Lab;
}) {
  const router = useRouter();
  const options = useAssessOptions();
  const plan = usePlanGlaze({ painting, passage }, 'that mends');
  const [planned, setPlanned] = useState<string | null>(null);
  const live = painting.coats.some((c) => c.id === planned);
  const { id: passageId } = passage.passage;
  // When it may be laid is what Today says of the passage with this coat as its next.
  const due = useMemo(() => {
    if (!answer) return null;
    const next = live
      ? painting
      : placeCoat(
          painting,
          coatOver(passageId, answer.recipe, kind),
          { where: 'over-laid' },
          { now: painting.updatedAt },
        );
    const assessed = assessPainting(next, options);
    const there = assessed.passages.find((p) => p.passage.id === passageId);
    return there
      ? rowWords(todayRow(assessed, there.passage, there.base, options.nowMs), options.nowMs)
      : null;
  }, [answer, kind, live, options, painting, passageId]);
  if (!answer)
    return (
      <Text>
        Nothing in the cabinet brings it there within the school. Open the bench, and give way on a
        paint or the medium.
      </Text>
    );
  return (
    <View style={{ gap: space.s }}>
      <Text>
        {`${kind === 'glaze' ? 'A glaze' : 'No glaze reaches it; paint it'} of ${recipeWords(answer.recipe)} ${kind === 'glaze' ? 'takes' : 'and it goes'} from value ${valueOfLab(now).toFixed(1)} to ${valueOfLab(answer.lab).toFixed(1)}: ${changeWords(changeOf(now, answer.lab))}.`}
      </Text>
      <Text tone={answer.objection ? 'brick' : 'ink2'} size="small">
        {answer.objection ?? 'It keeps the school and every rule over what lies there now.'}
      </Text>
      {due ? <Text>{`${capital(passage.passage.name)}: ${due}.`}</Text> : null}
      <Text size="small" tone="ink2">
        {answer.touchDays === null
          ? 'In this air it does not dry.'
          : `Touch-dry ${duration(answer.touchDays)} after it is laid; ${answer.ml.toFixed(1)} ml.`}
      </Text>
      <Hazards pigments={answer.recipe.mix.flatMap((t) => tubePigments(t).map((p) => p.pigment))} />
      <Action
        title="Plan it"
        kind="primary"
        disabled={live}
        onPress={() => setPlanned(plan!(answer.recipe, kind))}
      />
      {live ? (
        <Action
          title="Open the coat"
          kind="quiet"
          onPress={() => router.push(coatAddress(painting.id, planned!))}
        />
      ) : null}
      <Action
        title="Try it on the bench"
        kind="quiet"
        onPress={() =>
          router.push(glazeAddress(painting.id, passageId, live ? planned! : undefined))
        }
      />
    </View>
  );
}
