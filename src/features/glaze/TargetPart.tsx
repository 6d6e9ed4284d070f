import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { OPTICS_BENCH } from '@/data/optics-bench';
import { changeOf, changeWords, screenColour, thicker, valueOfLab, type Lab } from '@/core/optics';
import { coatsToLook } from '@/core/optics/coats';
import { useStoreSelector } from '@/store/hooks';
import { parseNumber } from '@/forms';
import { Action } from '@/ui/Action';
import { BeforeAfter } from '@/ui/film/BeforeAfter';
import { Choice, ManyChoice } from '@/ui/Choice';
import { Progress } from '@/ui/Progress';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { TargetAnswers } from './TargetAnswers';
import {
  glazePaints,
  USUAL_MEDIUM,
  USUAL_MEDIUM_SHARE,
  useTarget,
  useTargetRequest,
} from './useTarget';
import { useWanted } from './useWanted';
import type { Glaze } from './useGlaze';

/** Which glaze brings the passage to a colour, or that none does. */
export function TargetPart({ glaze }: { glaze: Glaze }) {
  if (!glaze.painting || !glaze.passage || !glaze.now)
    return (
      <Text tone="ink2">
        Over a passage of a painting the bench also looks for the glaze that brings it to a colour.
      </Text>
    );
  return <Search glaze={glaze} now={glaze.now.lab} />;
}

/** How many coats of what is on the bench come nearest to it. */
function OnTheBench({ glaze, wanted }: { glaze: Glaze; wanted: Lab }) {
  const { film, um, now } = glaze;
  const told = useMemo(
    () => (film && now ? coatsToLook(thicker(film, um), now.inner, wanted) : null),
    [film, um, now, wanted],
  );
  if (!told) return null;
  const off =
    told.de < OPTICS_BENCH.unreachableDe
      ? 'which passes for it'
      : `${told.de.toFixed(0)} steps off`;
  return (
    <Text>
      {told.coats === 0
        ? 'What is on the bench only leads away from it.'
        : `Of what is on the bench, ${told.coats === 1 ? 'one coat' : `${told.coats} coats`} of ${um} µm come nearest, ${off}; more make it worse.`}
    </Text>
  );
}

/** The paints that may be used: those of the cabinet that oil takes. */
function useTubes() {
  const paints = useStoreSelector((s) => s.cabinet.paints);
  const all = glazePaints(paints);
  const [out, setOut] = useState<string[]>([]);
  return { all, used: all.filter((p) => !out.includes(p.id)), out, setOut };
}

function Search({ glaze, now }: { glaze: Glaze; now: Lab }) {
  const request = useTargetRequest();
  const { wanted, fields } = useWanted(glaze, now);
  const { all, used, out, setOut } = useTubes();
  const [listed, setListed] = useState(false);
  const [most, setMost] = useState<'1' | '2' | '3'>('2');
  const [mediumShare, setMediumShare] = useState(String(USUAL_MEDIUM_SHARE * 100));
  const { state, begin, cancel } = useTarget();
  const share = parseNumber(mediumShare) / 100;
  const own = glaze.recipe?.medium ?? [];
  const { medium, mediumName } =
    own.length > 0 ? { medium: own, mediumName: glaze.recipe?.mediumName } : USUAL_MEDIUM;
  const ready = wanted !== null && used.length > 0 && share >= 0 && share < 1;
  return (
    <View style={{ gap: space.m }}>
      <Heading level={2}>Which glaze brings it there</Heading>
      {fields}
      {wanted ? (
        <BeforeAfter
          name="now and wanted"
          before={{ screen: screenColour(now), value: valueOfLab(now) }}
          after={{ screen: screenColour(wanted), value: valueOfLab(wanted) }}
          words={changeWords(changeOf(now, wanted))}
          height={56}
        />
      ) : null}
      {wanted ? <OnTheBench glaze={glaze} wanted={wanted} /> : null}
      <Choice
        label="At most so many paints"
        options={[
          { key: '1', name: 'one' },
          { key: '2', name: 'two' },
          { key: '3', name: 'three' },
        ]}
        value={most}
        onChange={setMost}
      />
      <Stepper
        label={`Medium at most${mediumName ? ` (${mediumName})` : ''}, share of the mixture`}
        unit="%"
        step={5}
        min={0}
        max={95}
        text={mediumShare}
        onChangeText={setMediumShare}
        error={share >= 0 && share < 1 ? undefined : 'From 0 to 95 %.'}
      />
      <Action
        title={`Of ${used.length} paints of the cabinet`}
        kind="quiet"
        style={{ alignSelf: 'flex-start' }}
        onPress={() => setListed(!listed)}
      />
      {listed ? (
        <ManyChoice
          label="Paints it may take"
          options={all.map((p) => ({ key: p.id, name: p.name }))}
          values={used.map((p) => p.id)}
          onChange={(ids) => setOut(all.filter((p) => !ids.includes(p.id)).map((p) => p.id))}
        />
      ) : null}
      {out.length > 0 && used.length === 0 ? (
        <Text tone="brick">Leave at least one paint in.</Text>
      ) : null}
      {state.at === 'work' ? (
        <View style={styles.work}>
          <Progress name="Looking for a glaze" done={state.done} />
          <Action title="Cancel" kind="quiet" onPress={cancel} />
        </View>
      ) : (
        <Action
          title="Look for it"
          kind="primary"
          disabled={!ready}
          onPress={() =>
            begin(
              request({
                painting: glaze.painting!,
                passageId: glaze.passage!.passage.id,
                paints: used,
                medium,
                mediumName,
                mostMediumShare: share,
                wanted: wanted!,
                mostPaints: Number(most) as 1 | 2 | 3,
              }),
            )
          }
        />
      )}
      <TargetAnswers glaze={glaze} state={state} />
    </View>
  );
}

const styles = StyleSheet.create({
  work: { flexDirection: 'row', alignItems: 'center', gap: space.m },
});
