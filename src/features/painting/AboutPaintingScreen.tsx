import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { exportFile } from '@/core/formats/export';
import { paintingSchema, type Painting } from '@/core/painting';
import { changeParticulars } from '@/core/painting/plan';
import { groundNotes } from '@/core/painting/notes';
import { NotHereScreen } from '@/features/frame/NotHereScreen';
import { saveExport } from '@/features/keep/files';
import { changePainting, removePainting } from '@/store/actions';
import { nowIso } from '@/store/clock';
import { usePainting, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { ManyChoice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Screen } from '@/ui/Screen';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

/** Title, passages and which of them touch; one painting out as a file; taking it down. */
export function AboutPaintingScreen({ id }: { id: string }) {
  const router = useRouter();
  const painting = usePainting(id);
  if (!painting) return <NotHereScreen what="That painting" />;
  const back = () => router.navigate({ pathname: '/paintings/[id]', params: { id } });
  return (
    <Screen title="About this painting" subtitle={painting.title} onBack={back}>
      <Particulars key={painting.id} painting={painting} onDone={back} />
      <View style={{ gap: space.m, marginTop: space.xxl }}>
        <Heading>Heed</Heading>
        {groundNotes(painting.ground.kind).map((note) => (
          <Notice key={note}>{note}</Notice>
        ))}
        <Heading>Keep it</Heading>
        <Action
          title="Export this painting"
          onPress={() => saveExport(exportFile('painting', [painting], null, nowIso()))}
        />
        <TakeDown painting={painting} />
      </View>
    </Screen>
  );
}

interface Draft {
  title: string;
  passages: { id: string; name: string; share: string }[];
  touches: string[];
}

const pairKey = (a: string, b: string): string => [a, b].sort().join('+');

function useDraft(painting: Painting) {
  const [draft, setDraft] = useState<Draft>(() => ({
    title: painting.title,
    passages: painting.passages.map((p) => ({
      id: p.id,
      name: p.name,
      share: String(Number((p.share * 100).toFixed(1))),
    })),
    touches: painting.touches.map(([a, b]) => pairKey(a, b)),
  }));
  const next = {
    title: draft.title,
    passages: draft.passages.map((p) => ({ id: p.id, name: p.name, share: Number(p.share) / 100 })),
    touches: draft.touches.map((key) => key.split('+') as [string, string]),
  };
  const checked = paintingSchema.safeParse({ ...painting, ...next });
  const problem = (...path: (string | number)[]) =>
    checked.error?.issues.find((i) => i.path.join('.') === path.join('.'))?.message;
  return { draft, setDraft, next, problem, valid: checked.success };
}

function Particulars({ painting, onDone }: { painting: Painting; onDone: () => void }) {
  const dispatch = useStoreDispatch();
  const { draft, setDraft, next, problem, valid } = useDraft(painting);
  const passage = (i: number, change: Partial<Draft['passages'][number]>) =>
    setDraft({
      ...draft,
      passages: draft.passages.map((p, n) => (n === i ? { ...p, ...change } : p)),
    });
  const pairs = draft.passages.flatMap((a, i) =>
    draft.passages
      .slice(i + 1)
      .map((b) => ({ key: pairKey(a.id, b.id), name: `${a.name} and ${b.name}` })),
  );
  const save = () => {
    dispatch(
      changePainting(painting.id, 'Changed the particulars', (p, making) =>
        changeParticulars(p, next, making),
      ),
    );
    onDone();
  };
  return (
    <View style={{ gap: space.s }}>
      <Field
        label="Title"
        value={draft.title}
        onChangeText={(title) => setDraft({ ...draft, title })}
        error={problem('title')}
      />
      <Heading>Passages</Heading>
      {draft.passages.map((p, i) => (
        <View
          key={p.id}
          style={{
            flexDirection: 'row',
            flexWrap: 'wrap',
            columnGap: space.l,
            alignItems: 'flex-end',
          }}
        >
          <View style={{ flexGrow: 1, flexBasis: 170 }}>
            <Field
              label={`Passage ${i + 1}`}
              value={p.name}
              onChangeText={(name) => passage(i, { name })}
              error={problem('passages', i, 'name')}
            />
          </View>
          <View style={{ marginBottom: space.m }}>
            <Stepper
              label={`Share of passage ${i + 1}`}
              hideLabel
              unit="%"
              step={5}
              min={1}
              max={100}
              text={p.share}
              onChangeText={(share) => passage(i, { share })}
              error={problem('passages', i, 'share')}
            />
          </View>
        </View>
      ))}
      {problem('passages') ? <Notice tone="refusal">{problem('passages')}</Notice> : null}
      <ManyChoice
        label="Which of them touch"
        options={pairs}
        values={draft.touches}
        onChange={(touches) => setDraft({ ...draft, touches })}
      />
      <Action title="Keep these changes" kind="primary" onPress={save} disabled={!valid} />
    </View>
  );
}

function TakeDown({ painting }: { painting: Painting }) {
  const router = useRouter();
  const dispatch = useStoreDispatch();
  const [asking, setAsking] = useState(false);
  const takeDown = () => {
    setAsking(false);
    dispatch(removePainting(painting.id));
    router.replace('/paintings');
  };
  return (
    <>
      <Action title="Take it down" kind="danger" onPress={() => setAsking(true)} />
      {asking ? (
        <Sheet name="Take it down?" onClose={() => setAsking(false)}>
          <View style={{ gap: space.m }}>
            <Heading>Take it down?</Heading>
            <Text>{`"${painting.title}" and everything noted of it leave this studio. Undo works until the page is closed; an export keeps it for good.`}</Text>
            <Action title="Take it down" kind="danger" onPress={takeDown} />
            <Action title="Cancel" kind="quiet" onPress={() => setAsking(false)} />
          </View>
        </Sheet>
      ) : null}
    </>
  );
}
