import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import {
  changeOf,
  changeWords,
  chromaOf,
  hueOf,
  hueWord,
  screenColour,
  valueOfLab,
} from '@/core/optics';
import { labAt } from '@/core/optics/glaze-bench';
import { fatnessOf } from '@/core/optics/target';
import { BenchTabs } from '@/features/bench/BenchTabs';
import { MediumFields } from '@/features/coat/MediumFields';
import { MixFields } from '@/features/coat/MixFields';
import { screenWords, sourceWords } from '@/features/colour-words';
import { StudioLink } from '@/features/frame/StudioLink';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { BeforeAfter } from '@/ui/film/BeforeAfter';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { TwoColumns } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { colour, space, TARGET } from '@/ui/tokens';
import { GlazeFacts } from './GlazeFacts';
import { PassageSheet } from './PassageSheet';
import { PhotoPreview } from './PhotoPreview';
import { PlanGlaze } from './PlanGlaze';
import { TargetPart } from './TargetPart';
import { useGlaze, type Glaze } from './useGlaze';
import { Wedge } from './Wedge';

/** A glaze on the bench: what a mix does at every thickness over what is there, before a brush is dipped. */
export function GlazeScreen({
  paintingId,
  passageId,
  coatId,
}: {
  paintingId: string | null;
  passageId: string | null;
  coatId: string | null;
}) {
  const glaze = useGlaze(paintingId, passageId, coatId);
  return (
    <Screen
      title="Bench"
      aside={<StudioLink />}
      subtitle="What a glaze does, before it is laid"
      maxWidth={1180}
    >
      <BenchTabs />
      <TwoColumns
        share={1.25}
        left={
          <>
            <Over glaze={glaze} />
            {glaze.rows.length > 0 ? <Seen glaze={glaze} /> : <NotYet glaze={glaze} />}
            {glaze.rows.length > 0 ? <LookedAt glaze={glaze} /> : null}
            <GlazeFacts glaze={glaze} />
            <PhotoPreview glaze={glaze} />
          </>
        }
        right={
          <>
            <View style={{ gap: space.m }}>
              <MixFields editor={glaze.editor} />
              <MediumFields editor={glaze.editor} />
              {glaze.recipe ? (
                <Text tone="ink2">
                  {`Fatness ${Math.round(fatnessOf(glaze.recipe) * 100)} %, binder in the dry film.`}
                </Text>
              ) : null}
            </View>
            <PlanGlaze glaze={glaze} />
            <TargetPart key={`${paintingId}|${passageId}`} glaze={glaze} />
          </>
        }
      />
    </Screen>
  );
}

/** What it goes over. */
function Over({ glaze }: { glaze: Glaze }) {
  const [choosing, setChoosing] = useState(false);
  const router = useRouter();
  const { painting, passage } = glaze;
  return (
    <View style={styles.over}>
      <View style={{ flex: 1 }}>
        <Text size="small" tone="ink2">
          over
        </Text>
        <Heading level={2}>{passage ? passage.passage.name : 'A scale of greys'}</Heading>
        {passage && painting ? (
          <Text size="small" tone="ink2">
            {`${painting.title}, as it is now`}
          </Text>
        ) : null}
      </View>
      <Action title={passage ? 'Another' : 'A passage'} onPress={() => setChoosing(true)} />
      {choosing ? (
        <PassageSheet
          onPick={(to) => {
            setChoosing(false);
            router.setParams(
              to
                ? { painting: to.painting, passage: to.passage }
                : { painting: undefined, passage: undefined, coat: undefined },
            );
          }}
          onClose={() => setChoosing(false)}
        />
      ) : null}
    </View>
  );
}

/** The surface, and the age of the binder. */
const LookedAt = ({ glaze }: { glaze: Glaze }) => (
  <View>
    <Choice
      label="Surface"
      options={[
        { key: 'wet', name: 'wet, or varnished' },
        { key: 'oil-gloss', name: 'dry oil' },
        { key: 'satin', name: 'satin' },
        { key: 'matt', name: 'matt, sunk in' },
      ]}
      value={glaze.finish}
      onChange={glaze.setFinish}
    />
    <Choice
      label="Binder"
      options={[
        { key: 'fresh', name: 'fresh' },
        { key: 'light-5y', name: 'five years in light' },
        { key: 'dark-5y', name: 'five years in the dark' },
        { key: 'light-50y', name: 'fifty years' },
        { key: 'off', name: 'without its colour' },
      ]}
      value={glaze.age}
      onChange={glaze.setAge}
    />
    {glaze.age === 'fresh' || glaze.age === 'off' ? null : (
      <Text size="small" tone="ink2">
        How oils and resins yellow is known by order, hardly by figure: take it as a direction.
      </Text>
    )}
  </View>
);

const NotYet = ({ glaze }: { glaze: Glaze }) => (
  <Notice tone="refusal">
    {glaze.problems[0] ?? 'There is nothing to see yet. Add a paint to the mix.'}
  </Notice>
);

/** The wedge, and what it does to the chosen undertone at the chosen thickness. */
function Seen({ glaze }: { glaze: Glaze }) {
  const [width, setWidth] = useState(0);
  const { rows, um, mostUm, chosen } = glaze;
  const row = rows[chosen]!;
  const after = labAt(row, um, mostUm);
  const change = changeOf(row.before, after);
  const words = changeWords(change);
  const screens = { before: screenColour(row.before), after: screenColour(after) };
  return (
    <View style={{ gap: space.s }}>
      <View onLayout={(e) => setWidth(Math.floor(e.nativeEvent.layout.width))}>
        {width > 0 ? (
          <Wedge
            rows={rows}
            mostUm={mostUm}
            um={um}
            onUm={glaze.setUm}
            width={width}
            said={`${Number(um.toPrecision(3))} µm, ${row.name}: ${words}`}
          />
        ) : null}
      </View>
      <BeforeAfter
        name={row.name}
        before={{ screen: screens.before, value: valueOfLab(row.before) }}
        after={{ screen: screens.after, value: valueOfLab(after) }}
        words={words}
        note={screenWords(screens.after)}
        height={132}
      />
      <View role="radiogroup" aria-label="Looked at, over" style={{ gap: 0 }}>
        {rows.map((r, i) => {
          const at = labAt(r, um, mostUm);
          const its = changeOf(r.before, at);
          return (
            <Pressable
              key={r.key}
              accessibilityRole="radio"
              aria-checked={i === chosen}
              aria-label={`over ${r.name}: ${changeWords(its)}`}
              tabIndex={i === chosen ? 0 : -1}
              onPress={() => glaze.choose(i)}
              style={[styles.row, i === chosen && styles.here]}
            >
              <Text strong={i === chosen} style={{ flex: 1 }} numberOfLines={1}>
                {r.name}
              </Text>
              <Text size="small" tone="ink2" style={styles.figures}>
                {`value ${valueOfLab(r.before).toFixed(1)} → ${valueOfLab(at).toFixed(1)}`}
              </Text>
              <Text size="small" tone="ink2" style={styles.figures}>
                {`chroma ${chromaOf(r.before).toFixed(0)} → ${chromaOf(at).toFixed(0)}`}
              </Text>
              <Text size="small" tone="ink2" style={styles.hue}>
                {hueWord(at) === 'neutral'
                  ? 'neutral'
                  : `${hueWord(at)} ${(Math.round(hueOf(at) / 5) * 5) % 360}°`}
              </Text>
            </Pressable>
          );
        })}
      </View>
      <Text size="small" tone="ink2">
        {sourceWords(glaze.source)}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  over: { flexDirection: 'row', alignItems: 'center', gap: space.m },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    minHeight: TARGET,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    paddingHorizontal: space.xs,
  },
  here: { backgroundColor: colour.sheet },
  figures: { width: 112, textAlign: 'right' },
  hue: { width: 92, textAlign: 'right' },
});
