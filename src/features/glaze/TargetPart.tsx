import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { OPTICS } from '@/data/optics';
import { OPTICS_BENCH } from '@/data/optics-bench';
import { asTube } from '@/core/cabinet';
import type { MediumPart } from '@/core/film';
import { changeOf, changeWords, screenColour, thicker, valueOfLab, type Lab } from '@/core/optics';
import { coatsToLook } from '@/core/optics/coats';
import { readColour, stepped } from '@/core/optics/wanted';
import { stackLook } from '@/core/painting/look';
import { useAssessment, useNow, useSolverAir, useStoreSelector, useSwatches } from '@/store/hooks';
import { parseNumber } from '@/forms';
import { BINDERS } from '@/data/binders';
import { Action } from '@/ui/Action';
import { BeforeAfter } from '@/ui/film/BeforeAfter';
import { Choice, ManyChoice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Progress } from '@/ui/Progress';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { PixelPick } from './PixelPick';
import { TargetAnswers } from './TargetAnswers';
import { useTarget } from './useTarget';
import type { Glaze } from './useGlaze';

type Way = 'steps' | 'passage' | 'figures' | 'photo';

const USUAL_UM = 12;

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

/** The colour that is asked for, however it is said. */
function useWanted(glaze: Glaze, now: Lab) {
  const [way, setWay] = useState<Way>('steps');
  const [value, setValue] = useState('-1');
  const [warmth, setWarmth] = useState('0');
  const [chroma, setChroma] = useState('0');
  const [text, setText] = useState('');
  const [like, setLike] = useState<string | null>(null);
  const [picked, setPicked] = useState<Lab | null>(null);
  const swatches = useSwatches();
  const assessment = useAssessment(glaze.painting!.id);
  const others = (assessment?.passages ?? []).filter(
    (p) => p.passage.id !== glaze.passage!.passage.id,
  );
  const steps = {
    value: parseNumber(value),
    warmth: parseNumber(warmth),
    chroma: parseNumber(chroma),
  };
  const other = others.find((p) => p.passage.id === like);
  const wanted: Lab | null =
    way === 'steps'
      ? Object.values(steps).every(Number.isFinite)
        ? stepped(now, steps)
        : null
      : way === 'figures'
        ? readColour(text)
        : way === 'photo'
          ? picked
          : other
            ? stackLook(other.base, glaze.painting!, swatches).now.lab
            : null;
  const fields = (
    <>
      <Choice
        label="Wanted"
        options={[
          { key: 'steps', name: 'by steps' },
          ...(others.length > 0 ? [{ key: 'passage' as const, name: 'like a passage' }] : []),
          { key: 'figures', name: 'by figures' },
          { key: 'photo', name: 'off a photo' },
        ]}
        value={way}
        onChange={setWay}
      />
      {way === 'steps' ? (
        <View style={styles.steps}>
          <Stepper
            label="Values lighter"
            step={0.5}
            min={-9}
            max={9}
            text={value}
            onChangeText={setValue}
          />
          <Stepper
            label="Warmer"
            step={2}
            min={-60}
            max={60}
            text={warmth}
            onChangeText={setWarmth}
          />
          <Stepper
            label="More colourful"
            step={2}
            min={-60}
            max={60}
            text={chroma}
            onChangeText={setChroma}
          />
        </View>
      ) : way === 'figures' ? (
        <Field
          label="#rrggbb, or L* a* b*"
          value={text}
          onChangeText={setText}
          placeholder="52 18 30"
          error={text.trim() === '' || wanted ? undefined : 'Write it as #8f4a16, or as 52 18 30.'}
        />
      ) : way === 'photo' ? (
        <PixelPick onPick={setPicked} />
      ) : (
        <Choice
          label="As it is now"
          options={others.map((p) => ({ key: p.passage.id, name: p.passage.name }))}
          value={like}
          onChange={setLike}
        />
      )}
    </>
  );
  return { wanted, fields };
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
  const all = paints.filter((p) => !p.archived && BINDERS[p.binder].kind !== 'acrylic');
  const [out, setOut] = useState<string[]>([]);
  return { all, used: all.filter((p) => !out.includes(p.id)), out, setOut };
}

function Search({ glaze, now }: { glaze: Glaze; now: Lab }) {
  const cabinet = useStoreSelector((s) => s.cabinet);
  const air = useSolverAir();
  const nowMs = useNow();
  const { wanted, fields } = useWanted(glaze, now);
  const { all, used, out, setOut } = useTubes();
  const [listed, setListed] = useState(false);
  const [most, setMost] = useState<'1' | '2' | '3'>('2');
  const [mediumShare, setMediumShare] = useState('90');
  const { state, begin, cancel } = useTarget();
  const share = parseNumber(mediumShare) / 100;
  const own = glaze.recipe?.medium ?? [];
  // Without one on the bench a glaze is thinned with what most are.
  const medium: MediumPart[] = own.length > 0 ? own : [{ parts: 1, ingredient: 'stand-oil' }];
  const mediumName = own.length > 0 ? glaze.recipe?.mediumName : 'stand oil';
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
            begin({
              painting: glaze.painting!,
              passageId: glaze.passage!.passage.id,
              cabinet,
              tubes: used.map((p) => ({ parts: 1, own: asTube(p) })),
              medium,
              ...(mediumName && { mediumName }),
              mostMediumShare: share,
              leastUm: OPTICS_BENCH.glazeLeastUm,
              mostUm: OPTICS_BENCH.glazeMostUm,
              usualUm: USUAL_UM,
              uneven: OPTICS.cvSoftBrush,
              wanted: wanted!,
              mostPaints: Number(most) as 1 | 2 | 3,
              ...air,
              nowMs,
            })
          }
        />
      )}
      <TargetAnswers glaze={glaze} state={state} />
    </View>
  );
}

const styles = StyleSheet.create({
  steps: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.xl, rowGap: space.s },
  work: { flexDirection: 'row', alignItems: 'center', gap: space.m },
});
