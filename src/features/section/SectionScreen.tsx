import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { groundName, SUPPORT_NAME } from '@/core/painting/names';
import { coreSteps, groundDrawing } from '@/features/film-view';
import { stackSteps } from '@/features/stack-steps';
import { NotHereScreen } from '@/features/frame/NotHereScreen';
import { sizeWords } from '@/features/units';
import { SCHOOLS } from '@/core/schools';
import { useStoreSelector, useSwatches } from '@/store/hooks';
import { FilmCore } from '@/ui/film/FilmCore';
import { FilmSection } from '@/ui/film/FilmSection';
import { BackButton } from '@/ui/Screen';
import { Split, useWide } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { colour, radius, space, TARGET } from '@/ui/tokens';
import { FiguresTable } from './FiguresTable';
import { History } from './History';
import { LayerPanel } from './LayerPanel';
import { useSectionView, type SectionView } from './useSectionView';

/** One passage: the cut through its film, and what is to be said of one layer of it. */
export function SectionScreen({ id, passageId }: { id: string; passageId: string }) {
  const view = useSectionView(id, passageId);
  const wide = useWide();
  if (!view) return <NotHereScreen what="That passage" />;
  if (wide) {
    return (
      <Split panel={<Said view={view} />}>
        <ScrollView style={{ flex: 1 }}>
          <Head view={view} />
          <Cut view={view} height={560} maxWidth={820} />
        </ScrollView>
      </Split>
    );
  }
  return (
    <ScrollView>
      <Head view={view} />
      <Cut view={view} height={380} maxWidth={620} />
      <View style={styles.sheet}>
        <Said view={view} />
      </View>
    </ScrollView>
  );
}

function Said({ view }: { view: SectionView }) {
  return (
    <>
      {view.chosen ? (
        <LayerPanel key={view.chosen.layer.film.key} view={view} chosen={view.chosen} />
      ) : (
        <Text>No coat is planned here. Add one from the painting.</Text>
      )}
      <FiguresTable view={view} />
      <History view={view} />
    </>
  );
}

function Head({ view }: { view: SectionView }) {
  const router = useRouter();
  const units = useStoreSelector((state) => state.studio.units);
  const swatches = useSwatches();
  const { painting } = view;
  return (
    <View>
      <View style={styles.head}>
        <BackButton
          onPress={() =>
            router.navigate({ pathname: '/paintings/[id]', params: { id: painting.id } })
          }
        />
        <View style={{ flex: 1 }}>
          <Heading level={1} size="title">
            {painting.title}
          </Heading>
          <Text
            size="small"
            tone="ink2"
          >{`${sizeWords(painting.support, units)}, ${groundName(painting.ground)} on ${SUPPORT_NAME[painting.support.kind]}`}</Text>
        </View>
      </View>
      <ScrollView horizontal>
        <View role="tablist" aria-label="Passages" style={styles.tabs}>
          {view.passages.map(({ passage, base }) => (
            <Tab
              key={passage.id}
              name={passage.name}
              here={passage.id === view.passage.passage.id && view.spotName === null}
              core={
                <FilmCore
                  steps={coreSteps(base, painting, swatches)}
                  ground={groundDrawing(painting)}
                  height={52}
                  width={22}
                />
              }
              onPress={() =>
                passage.id === view.passage.passage.id
                  ? view.chooseSpot(null)
                  : router.replace({
                      pathname: '/paintings/[id]/[passageId]',
                      params: { id: painting.id, passageId: passage.id },
                    })
              }
            />
          ))}
          {view.passage.spots.map((spot) => (
            <Tab
              key={spot.site.spotName}
              name={`${spot.site.spotName}, ${Math.round(spot.site.share * 100)} %`}
              here={spot.site.spotName === view.spotName}
              core={
                <FilmCore
                  steps={coreSteps(spot, painting, swatches)}
                  ground={groundDrawing(painting)}
                  height={52}
                  width={12}
                />
              }
              onPress={() => view.chooseSpot(spot.site.spotName)}
            />
          ))}
        </View>
      </ScrollView>
    </View>
  );
}

function Tab({
  name,
  here,
  core,
  onPress,
}: {
  name: string;
  here: boolean;
  core: React.ReactNode;
  onPress: () => void;
}) {
  return (
    <Pressable
      accessibilityRole="tab"
      tabIndex={here ? 0 : -1}
      aria-selected={here}
      onPress={onPress}
      style={[styles.tab, here && styles.tabHere]}
    >
      {core}
      <Text strong={here} tone={here ? 'ink' : 'ink2'}>
        {name}
      </Text>
    </Pressable>
  );
}

function Cut({ view, height, maxWidth }: { view: SectionView; height: number; maxWidth: number }) {
  const [width, setWidth] = useState(0);
  const swatches = useSwatches();
  const { painting, stack } = view;
  return (
    <View
      style={{ paddingHorizontal: space.xl, maxWidth }}
      onLayout={(e) => setWidth(e.nativeEvent.layout.width - 2 * space.xl)}
    >
      {width > 0 ? (
        <FilmSection
          steps={stackSteps(stack, painting, swatches)}
          ground={groundDrawing(painting)}
          measureName={SCHOOLS[painting.school].measureName}
          width={width}
          height={height}
          chosen={view.chosen?.layer.film.key ?? null}
          onChoose={view.choose}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', paddingHorizontal: space.xl, paddingTop: space.l, gap: space.s },
  tabs: {
    flexDirection: 'row',
    paddingHorizontal: space.xl,
    paddingVertical: space.m,
    gap: space.xs,
  },
  tab: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    padding: space.s,
    paddingRight: space.m,
    borderRadius: radius.m,
    borderWidth: 2,
    borderColor: 'transparent',
    minHeight: TARGET,
  },
  tabHere: { borderColor: colour.ink, backgroundColor: colour.sheet },
  sheet: {
    backgroundColor: colour.sheet,
    borderTopLeftRadius: radius.l,
    borderTopRightRadius: radius.l,
    borderTopWidth: 1,
    borderTopColor: colour.rule,
    padding: space.xl,
    marginTop: space.l,
  },
});
