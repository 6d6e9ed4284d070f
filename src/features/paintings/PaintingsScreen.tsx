import { useRouter } from 'expo-router';
import { paintingAddress } from '@/features/addresses';
import { StyleSheet, View } from 'react-native';
import { areaCm2, isOnEasel, type Painting } from '@/core/painting';
import { easelWords, varnishWords } from '@/features/easel-words';
import { groundName, SUPPORT_NAME } from '@/core/painting/names';
import { coreSteps, groundDrawing } from '@/features/film-view';
import { isBroken } from '@/core/tell';
import { EmptyStudio } from '@/features/frame/EmptyStudio';
import { StudioLink } from '@/features/frame/StudioLink';
import { UnreadableNotices } from '@/features/keep/UnreadableNotices';
import { sizeWords } from '@/features/units';
import { useAssessment, useNow, usePaintings, useStoreSelector, useSwatches } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { FilmCore } from '@/ui/film/FilmCore';
import { ListScreen } from '@/ui/ListScreen';
import { Screen } from '@/ui/Screen';
import { ListRow } from '@/ui/ListRow';
import { Heading, Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

/** All paintings, each with the films of its passages. */
export function PaintingsScreen() {
  const router = useRouter();
  const paintings = usePaintings();
  const now = useNow();
  const start = () => router.push('/paintings/new');
  if (paintings.length === 0) {
    return (
      <Screen title="Paintings" aside={<StudioLink />}>
        <UnreadableNotices />
        <EmptyStudio />
      </Screen>
    );
  }
  return (
    <ListScreen
      title="Paintings"
      aside={<StudioLink />}
      maxWidth={900}
      above={<UnreadableNotices />}
      rows={byPlace(paintings, now)}
      keyOf={(painting) => painting.id}
      row={(painting) => <PaintingRow id={painting.id} />}
      foot={
        <View style={styles.foot}>
          <Action title="Start a painting" kind="primary" onPress={start} />
        </View>
      }
    />
  );
}

const PLACES = ['resting', 'finished', 'gone'] as const;

/** Those on the easel first, then those that rest, are finished, or are gone, each in the order of the wall. */
function byPlace(paintings: Painting[], nowMs: number): Painting[] {
  const place = (p: Painting): number => (isOnEasel(p, nowMs) ? -1 : PLACES.indexOf(p.easel!.kind));
  return [...paintings].sort((a, b) => place(a) - place(b));
}

/** One painting with its films; judged when it comes into sight. */
function PaintingRow({ id }: { id: string }) {
  const router = useRouter();
  const units = useStoreSelector((state) => state.studio.units);
  const assessment = useAssessment(id);
  const swatches = useSwatches();
  const now = useNow();
  if (!assessment) return null;
  const { painting, passages } = assessment;
  const broken = passages.filter(({ base, spots }) =>
    [base, ...spots].some((s) => s.layers.some((l) => isBroken(l, painting.school))),
  );
  return (
    <ListRow
      href={paintingAddress(painting.id)}
      onGo={() => router.push(paintingAddress(painting.id))}
      label={painting.title}
      style={styles.row}
    >
      <View style={styles.cores}>
        {passages.map(({ passage, base }) => (
          <FilmCore
            key={passage.id}
            steps={coreSteps(base, painting, swatches)}
            ground={groundDrawing(painting)}
            height={84}
            width={passages.length > 5 ? 18 : 26}
          />
        ))}
      </View>
      <View style={{ flex: 1, minWidth: 160 }}>
        <Heading level={2}>{painting.title}</Heading>
        <Text size="small" tone="ink2">
          {`${sizeWords(painting.support, units)} ${SUPPORT_NAME[painting.support.kind]}, ${groundName(painting.ground)}, ${Math.round(areaCm2(painting.support))} cm²`}
        </Text>
        {isOnEasel(painting, now) ? null : (
          <Text size="small" strong>
            {easelWords(painting, now)}
          </Text>
        )}
        {painting.easel?.kind === 'finished' ? (
          <Text size="small" tone="ink2">
            {varnishWords(assessment, now)}
          </Text>
        ) : null}
        <Text size="small" tone={broken.length > 0 ? 'brick' : 'ink2'} strong={broken.length > 0}>
          {broken.length === 0
            ? 'Every coat holds.'
            : `A coat does not hold: ${broken.map((p) => p.passage.name).join(', ')}.`}
        </Text>
      </View>
    </ListRow>
  );
}

const styles = StyleSheet.create({
  row: { flexWrap: 'wrap', gap: space.l, paddingVertical: space.l, paddingHorizontal: 0 },
  cores: { flexDirection: 'row', gap: 3, width: 150 },
  foot: {
    padding: space.l,
    paddingHorizontal: space.xl,
    backgroundColor: colour.sheet,
    borderTopWidth: 1,
    borderTopColor: colour.rule,
  },
});
