import { tuneVariantIcon } from '@/ui/desk-icons';
import { useRouter } from 'expo-router';
import {
  aboutAddress,
  costsAddress,
  finishAddress,
  lookAddress,
  papersAddress,
  passageAddress,
} from '@/features/addresses';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import type { PaintingAssessment } from '@/core/painting';
import { groundName, SUPPORT_NAME } from '@/core/painting/names';
import { NotHereScreen } from '@/features/frame/NotHereScreen';
import { sizeWords } from '@/features/units';
import { METHODS } from '@/data/methods';
import { useAssessment, useNow, useStoreSelector, useSwatches } from '@/store/hooks';
import { FilmColumns } from '@/ui/film/FilmColumns';
import { Icon } from '@/ui/Icon';
import { BackButton } from '@/ui/Screen';
import { GoTo } from '@/ui/GoTo';
import { Split, useWide } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { colour, space, TARGET } from '@/ui/tokens';
import { AfterBreak } from './AfterBreak';
import { Bothers } from './Bothers';
import { CoatList } from './CoatList';
import { RuleOverview } from './RuleOverview';
import { SchoolChoice } from './SchoolChoice';
import { ValueMap } from './ValueMap';
import { columnsOf, groundDrawing, overall, schoolMeasure, troublesOf } from './usePaintingView';

/** One painting: its passages as columns of film, one sentence, what does not hold, what is planned. */
export function PaintingScreen({ id }: { id: string }) {
  const now = useNow();
  const assessment = useAssessment(id);
  const wide = useWide();
  if (!assessment) return <NotHereScreen what="That painting" />;
  const said = (
    <>
      <AfterBreak assessment={assessment} nowMs={now} />
      <Summary assessment={assessment} />
      <Onward id={assessment.painting.id} />
      <RuleOverview assessment={assessment} />
      {wide ? null : <ValueMap assessment={assessment} />}
      <SchoolChoice painting={assessment.painting} />
      <CoatList painting={assessment.painting} />
      <Bothers painting={assessment.painting} />
    </>
  );
  if (!wide) {
    return (
      <ScrollView>
        <Head assessment={assessment} />
        <Columns assessment={assessment} now={now} height={330} />
        <View style={styles.pad}>{said}</View>
      </ScrollView>
    );
  }
  return (
    <Split panel={said}>
      <ScrollView style={{ flex: 1 }}>
        <Head assessment={assessment} />
        <Columns assessment={assessment} now={now} height={460} />
        <View style={styles.pad}>
          <ValueMap assessment={assessment} />
        </View>
      </ScrollView>
    </Split>
  );
}

function Head({ assessment: { painting } }: { assessment: PaintingAssessment }) {
  const router = useRouter();
  const units = useStoreSelector((state) => state.studio.units);
  return (
    <View style={styles.head}>
      <BackButton onPress={() => router.navigate('/paintings')} />
      <View style={{ flex: 1 }}>
        <Heading level={1} size="title">
          {painting.title}
        </Heading>
        <Text size="small" tone="ink2">
          {`${sizeWords(painting.support, units)}, ${groundName(painting.ground)} on ${SUPPORT_NAME[painting.support.kind]}; ${METHODS[painting.method].name.toLowerCase()}`}
        </Text>
      </View>
      <GoTo
        href={lookAddress(painting.id)}
        onGo={() => router.push(lookAddress(painting.id))}
        style={styles.look}
      >
        <Text strong>Look</Text>
      </GoTo>
      <GoTo
        href={aboutAddress(painting.id)}
        onGo={() => router.push(aboutAddress(painting.id))}
        label="About this painting: title, passages, export"
        style={styles.about}
      >
        <Icon path={tuneVariantIcon} />
      </GoTo>
    </View>
  );
}

/** From nearly there to the wall and the file. */
function Onward({ id }: { id: string }) {
  const router = useRouter();
  const places = [
    { name: 'Finish', href: finishAddress(id) },
    { name: 'The record', href: papersAddress(id) },
    { name: 'Time and money', href: costsAddress(id) },
  ] as const;
  return (
    <View style={styles.onward}>
      {places.map(({ name, href }) => (
        <GoTo key={name} href={href} onGo={() => router.push(href)} style={styles.look}>
          <Text strong>{name}</Text>
        </GoTo>
      ))}
    </View>
  );
}

function Columns({
  assessment,
  now,
  height,
}: {
  assessment: PaintingAssessment;
  now: number;
  height: number;
}) {
  const router = useRouter();
  const [width, setWidth] = useState(0);
  const swatches = useSwatches();
  const { painting } = assessment;
  // More than five passages do not fit a phone: the columns then scroll sideways.
  const needed = Math.max(width, assessment.passages.length * 84);
  return (
    <View style={styles.pad} onLayout={(e) => setWidth(e.nativeEvent.layout.width - 2 * space.xl)}>
      {width > 0 ? (
        <ScrollView horizontal scrollEnabled={needed > width}>
          <FilmColumns
            columns={columnsOf(assessment, now, swatches)}
            ground={groundDrawing(painting)}
            width={needed}
            height={height}
            measureName={schoolMeasure(painting)}
            hrefOf={(passageId) => passageAddress(painting.id, passageId)}
            onOpen={(passageId) => router.push(passageAddress(painting.id, passageId))}
          />
        </ScrollView>
      ) : null}
    </View>
  );
}

function Summary({ assessment }: { assessment: PaintingAssessment }) {
  const router = useRouter();
  const { words, broken } = overall(assessment);
  const troubles = troublesOf(assessment);
  return (
    <View style={styles.summary}>
      <Heading size="large" tone={broken ? 'brick' : 'ink'}>
        {words}
      </Heading>
      {troubles.map((t) => (
        <GoTo
          key={`${t.passageId}-${t.passageName}-${t.coatName}`}
          href={passageAddress(assessment.painting.id, t.passageId)}
          onGo={() => router.push(passageAddress(assessment.painting.id, t.passageId))}
          style={styles.trouble}
        >
          <Text strong>{t.passageName}</Text>
          <Text tone="ink2">{t.sentence}</Text>
        </GoTo>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  head: {
    flexDirection: 'row',
    padding: space.xl,
    paddingBottom: space.m,
    gap: space.s,
    alignItems: 'flex-start',
  },
  look: { minHeight: TARGET, paddingHorizontal: space.m, justifyContent: 'center' },
  about: { width: TARGET, height: TARGET, alignItems: 'center', justifyContent: 'center' },
  pad: { paddingHorizontal: space.xl },
  onward: { flexDirection: 'row', flexWrap: 'wrap', marginHorizontal: -space.m },
  summary: {
    paddingVertical: space.l,
    borderTopWidth: 1,
    borderTopColor: colour.ink,
    marginTop: space.m,
    gap: space.s,
  },
  trouble: {
    paddingVertical: space.s,
    minHeight: TARGET,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
});
