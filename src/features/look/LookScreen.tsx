import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { LOOKING } from '@/data/looking';
import { lookingOf, outlinesOf } from '@/core/looking/edit';
import type { Pair } from '@/core/looking/relations';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { paintingAddress } from '@/features/addresses';
import { NotHereScreen } from '@/features/frame/NotHereScreen';
import { useAssessment } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Progress } from '@/ui/Progress';
import { Says } from '@/ui/Says';
import { ScreenHead } from '@/ui/Screen';
import { useWide } from '@/ui/Split';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';
import { AddPicture } from './AddPicture';
import { pictureWidth } from './Beside';
import { Distance } from './Distance';
import { Drawing } from './Drawing';
import { Edges } from './Edges';
import { Outlines } from './Outlines';
import { OverTime } from './OverTime';
import { metresOf } from './metres';
import { pictureName } from './picture-name';
import { Corners } from './Corners';
import { Card, TakeOutPicture } from './SetPicture';
import { useLook, usePictures, type LookState } from './useLook';
import { Values } from './Values';

const QUESTIONS = [
  { key: 'values', name: 'values' },
  { key: 'edges', name: 'edges' },
  { key: 'drawing', name: 'drawing' },
  { key: 'distance', name: 'distance' },
  { key: 'time', name: 'over time' },
] as const;
type Question = (typeof QUESTIONS)[number]['key'];

/** So many photos are offered at once. */
const LAST = 6;

type Step = 'look' | 'add' | 'corners' | 'card' | 'outlines';

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
  const design = pictures.find((p) => p.kind === 'design') ?? null;
  const works = pictures.filter((p) => p.kind === 'progress');
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
  const references = pictures.filter((p) => p.kind === 'reference');
  const reference = references.find((p) => p.id === cornersOf) ?? null;
  const earlier = useMemo(
    () => works.filter((p) => p.corners && work && p.takenAt < work.takenAt).at(-1) ?? null,
    [works, work],
  );
  const before = question === 'time' ? earlier : null;
  const { state, pairs } = useLook(painting, work, design, before, {
    edges: question === 'edges',
    viewM: metresOf(viewM),
    distanceM: question === 'distance' ? distanceM : null,
    brushMm:
      question === 'distance' ? (lookingOf(painting).finestBrushMm ?? LOOKING.finestBrushMm) : null,
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
  const done = () => setStep('look');
  const backFromReference = () => {
    setCornersOf(null);
    done();
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
                setStep('look');
              }}
            />
            {pictures.length > 0 && work ? (
              <Action title="Back to looking" kind="quiet" onPress={done} />
            ) : null}
          </View>
        ) : at === 'corners' && reference ? (
          <>
            <Corners
              key={reference.id}
              painting={painting}
              picture={reference}
              width={shown}
              onDone={backFromReference}
            />
            <Action title="Not now" kind="quiet" onPress={backFromReference} />
          </>
        ) : at === 'corners' && work ? (
          <>
            <Corners key={work.id} painting={painting} picture={work} width={shown} onDone={done} />
            <OnWhich works={works} work={work} onChoose={setChosen} />
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

/** What is asked of the photo. */
function Asked({
  question,
  painting,
  work,
  works,
  design,
  references,
  before,
  state,
  pairs,
  width,
  shown,
  distance,
  view,
}: {
  question: Question;
  painting: Painting;
  work: Picture;
  works: Picture[];
  design: Picture | null;
  references: Picture[];
  /** The photo before it. */
  before: Picture | null;
  state: LookState;
  pairs: Pair[];
  /** Of the page, and of a picture that stands alone on it. */
  width: number;
  shown: number;
  distance: { m: number; set: (m: number) => void };
  /** From how far borders are judged, as it is typed. */
  view: { m: string; set: (text: string) => void };
}) {
  return question === 'values' ? (
    <Values
      painting={painting}
      work={work}
      design={design}
      references={references}
      state={state}
      pairs={pairs}
      width={width}
    />
  ) : question === 'edges' ? (
    <Edges
      painting={painting}
      work={work}
      state={state}
      width={shown}
      viewM={view.m}
      onViewM={view.set}
    />
  ) : question === 'drawing' ? (
    <Drawing painting={painting} work={work} design={design} state={state} width={shown} />
  ) : question === 'distance' ? (
    <Distance
      painting={painting}
      work={work}
      state={state}
      width={shown}
      m={distance.m}
      onM={distance.set}
    />
  ) : (
    <OverTime
      painting={painting}
      work={work}
      works={works}
      before={before}
      state={state}
      width={shown}
      page={width}
    />
  );
}

/** The last photos to choose from; all of them when that is asked for. */
function OnWhich({
  works,
  work,
  onChoose,
}: {
  works: Picture[];
  work: Picture;
  onChoose: (id: string) => void;
}) {
  const [all, setAll] = useState(false);
  if (works.length < 2) return null;
  const shown = works.filter((p, i) => all || i >= works.length - LAST || p.id === work.id);
  return (
    <View>
      <Choice
        label="On the photo of"
        options={shown.map((p) => ({ key: p.id, name: pictureName(p) }))}
        value={work.id}
        onChange={onChoose}
      />
      {shown.length < works.length ? (
        <Action title="Earlier photos" kind="quiet" onPress={() => setAll(true)} />
      ) : null}
    </View>
  );
}

/** What else is done with the picture that is looked at. */
function PictureActions({
  painting,
  work,
  others,
  onStep,
  onCorners,
}: {
  painting: Painting;
  work: Picture;
  /** The design and the references. */
  others: Picture[];
  onStep: (step: Step) => void;
  /** Of a reference: with them it can be laid over the work. */
  onCorners: (id: string) => void;
}) {
  return (
    <View style={styles.do}>
      <Action title="Another picture" onPress={() => onStep('add')} />
      <Action title="Corners" onPress={() => onStep('corners')} />
      <Action
        title={work.patches.length > 0 ? 'Grey steps, set' : 'Grey steps'}
        onPress={() => onStep('card')}
      />
      <Action title="Passages" onPress={() => onStep('outlines')} />
      {others
        .filter((p) => p.kind === 'reference')
        .map((p) => (
          <Action key={p.id} title={`Corners: ${pictureName(p)}`} onPress={() => onCorners(p.id)} />
        ))}
      {[work, ...others].map((picture) => (
        <TakeOutPicture key={picture.id} painting={painting} picture={picture} />
      ))}
    </View>
  );
}

/** How far the photo can be believed, and the cheapest next help. */
function Trust({ state, hasDesign }: { state: LookState; hasDesign: boolean }) {
  if (state.at === 'work')
    return (
      <View style={{ gap: space.xs }}>
        <Text size="small" tone="ink2">
          Looking at the picture …
        </Text>
        <View style={{ flexDirection: 'row' }}>
          <Progress name="Looking at the picture" done={state.done} />
        </View>
      </View>
    );
  if (state.at === 'failed') return <Notice tone="refusal">{state.why}</Notice>;
  if (state.at !== 'found') return null;
  const { trust, geometry } = state.found.looked;
  return (
    <Says>
      {[
        ...(hasDesign ? [] : ['There is no design yet: take one in, and relations can be told.']),
        ...(geometry.doubt ? [geometry.doubt] : []),
        ...trust.why,
      ].map((line) => (
        <Text key={line} size="small" tone="ink2">
          {line}
        </Text>
      ))}
    </Says>
  );
}

const styles = StyleSheet.create({
  page: { padding: space.xl, gap: space.m, width: '100%', maxWidth: 1160, alignSelf: 'center' },
  do: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: space.s,
    paddingTop: space.m,
    borderTopWidth: 1,
    borderTopColor: colour.rule,
  },
});
