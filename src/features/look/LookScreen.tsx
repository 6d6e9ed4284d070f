import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { LOOKING } from '@/data/looking';
import { outlinesOf } from '@/core/looking/edit';
import type { Painting } from '@/core/painting';
import { paintingAddress } from '@/features/addresses';
import { NotHereScreen } from '@/features/frame/NotHereScreen';
import { useAssessment } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { ScreenHead } from '@/ui/Screen';
import { useWide } from '@/ui/Split';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { AddPicture } from './AddPicture';
import { Asked, QUESTIONS, type Question } from './Asked';
import { pictureWidth } from './Beside';
import { Corners } from './Corners';
import { metresOf } from './metres';
import { Outlines } from './Outlines';
import { OnWhich, PictureActions, type Step } from './PictureActions';
import { Card } from './SetPicture';
import { Trust } from './Trust';
import { useFinestBrush } from './useFinestBrush';
import { useLook } from './useLook';
import { usePictures } from './usePictures';

/** A painting looked at on its photos: one question at a time. */
export function LookScreen({ id }: { id: string }) {
  const assessment = useAssessment(id);
  if (!assessment) return <NotHereScreen what="That painting" />;
  return <Look painting={assessment.painting} />;
}

function Look({ painting }: { painting: Painting }) {
  const router = useRouter();
  const wide = useWide();
  const pictures = usePictures(painting);
  const { design, works, references } = useMemo(
    () => ({
      design: pictures.find((p) => p.kind === 'design') ?? null,
      works: pictures.filter((p) => p.kind === 'progress'),
      references: pictures.filter((p) => p.kind === 'reference'),
    }),
    [pictures],
  );
  const [chosen, setChosen] = useState<string | null>(null);
  const [question, setQuestion] = useState<Question>('values');
  const [step, setStep] = useState<Step>('look');
  /** The reference whose corners are set. */
  const [cornersOf, setCornersOf] = useState<string | null>(null);
  const [distanceM, setDistanceM] = useState<number>(3);
  const [viewM, setViewM] = useState(String(LOOKING.viewM));
  const [width, setWidth] = useState(0);
  // A photo of the log that nobody prepared does not stand in the way of those that are.
  const work =
    works.find((p) => p.id === chosen) ?? works.findLast((p) => p.corners) ?? works.at(-1) ?? null;
  const cornered = references.find((p) => p.id === cornersOf) ?? work;
  const earlier = useMemo(
    () => works.filter((p) => p.corners && work && p.takenAt < work.takenAt).at(-1) ?? null,
    [works, work],
  );
  const before = question === 'time' ? earlier : null;
  const finestBrush = useFinestBrush(painting);
  const { state, pairs } = useLook(painting, work, design, before, {
    edges: question === 'edges',
    viewM: metresOf(viewM),
    distanceM: question === 'distance' ? distanceM : null,
    brushMm: question === 'distance' ? finestBrush : null,
  });
  const outlined = outlinesOf(painting).length;
  const at: Step =
    step !== 'look'
      ? step
      : !work
        ? 'add'
        : !work.corners
          ? 'corners'
          : outlined === 0
            ? 'outlines'
            : 'look';
  const done = () => {
    setCornersOf(null);
    setStep('look');
  };
  const shown = pictureWidth(width, wide);
  return (
    <ScrollView>
      <View
        style={styles.page}
        onLayout={(e) => setWidth(Math.floor(e.nativeEvent.layout.width) - 2 * space.xl)}
      >
        <ScreenHead
          title="Look"
          subtitle={painting.title}
          onBack={() => router.navigate(paintingAddress(painting.id))}
        />
        {width <= 0 ? null : at === 'add' ? (
          <View style={{ gap: space.m }}>
            <Text>
              {pictures.length === 0
                ? 'Give it a design, and a photo of the picture as it stands: values, edges and drawing are then held against it.'
                : 'What else is there to look at?'}
            </Text>
            <AddPicture
              painting={painting}
              hasDesign={design !== null}
              onAdded={(pictureId, kind) => {
                if (kind === 'progress') setChosen(pictureId);
                done();
              }}
            />
            {pictures.length > 0 && work ? (
              <Action title="Back to looking" kind="quiet" onPress={done} />
            ) : null}
          </View>
        ) : at === 'corners' && cornered ? (
          <>
            <Corners
              key={cornered.id}
              painting={painting}
              picture={cornered}
              width={shown}
              onDone={done}
            />
            {cornered === work ? <OnWhich works={works} work={work} onChoose={setChosen} /> : null}
            {cornered !== work || work.corners ? (
              <Action title="Not now" kind="quiet" onPress={done} />
            ) : null}
            <Action title="Another picture" kind="quiet" onPress={() => setStep('add')} />
          </>
        ) : at === 'card' && work ? (
          <Card key={work.id} painting={painting} picture={work} width={shown} onDone={done} />
        ) : at === 'outlines' && (design ?? work) ? (
          <Outlines
            painting={painting}
            picture={(design ?? work)!}
            width={shown}
            onKeep={() => setStep('outlines')}
            onDone={done}
          />
        ) : work ? (
          <>
            <Choice
              label="Question"
              hideLabel
              options={[...QUESTIONS]}
              value={question}
              onChange={setQuestion}
            />
            <Trust state={state} hasDesign={design !== null} />
            <Asked
              question={question}
              painting={painting}
              work={work}
              works={works}
              design={design}
              references={references}
              before={earlier}
              state={state}
              pairs={pairs}
              width={width}
              shown={shown}
              distance={{ m: distanceM, set: setDistanceM }}
              view={{ m: viewM, set: setViewM }}
            />
            <OnWhich works={works} work={work} onChoose={setChosen} />
            <PictureActions
              painting={painting}
              work={work}
              others={[...(design ? [design] : []), ...references]}
              onStep={setStep}
              onCorners={(id) => {
                setCornersOf(id);
                setStep('corners');
              }}
            />
          </>
        ) : null}
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  page: { padding: space.xl, gap: space.m, width: '100%', maxWidth: 1160, alignSelf: 'center' },
});
