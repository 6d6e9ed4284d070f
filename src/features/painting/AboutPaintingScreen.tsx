import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { exportFile } from '@/core/formats/export';
import type { Painting } from '@/core/painting';
import { changeParticulars } from '@/core/painting/coats';
import { NotHereScreen } from '@/features/frame/NotHereScreen';
import { saveExport } from '@/features/keep/files';
import { FormState, useForm } from '@/forms';
import { changePainting, removePainting } from '@/store/actions';
import { nowIso } from '@/store/clock';
import { usePainting, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { ManyChoice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Screen } from '@/ui/Screen';
import { TwoColumns, useWide } from '@/ui/Split';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { BasicsPart } from './BasicsPart';
import { EaselPart } from './EaselPart';
import { MethodPart } from './MethodPart';
import { PassageActions } from './PassageActions';
import { particularsOf, particularsSchema } from './particulars';
import { StudyPart } from './StudyPart';

/** Everything of a painting that can change later: where it is, what it stands on, its passages, its method. */
export function AboutPaintingScreen({ id }: { id: string }) {
  const router = useRouter();
  const painting = usePainting(id);
  const wide = useWide();
  if (!painting) return <NotHereScreen what="That painting" />;
  const back = () => router.navigate({ pathname: '/paintings/[id]', params: { id } });
  return (
    <Screen
      title="About this painting"
      subtitle={painting.title}
      onBack={back}
      maxWidth={wide ? 1040 : 720}
    >
      <TwoColumns
        left={
          <>
            <EaselPart key={`easel:${painting.id}`} painting={painting} />
            <ParticularsForm key={painting.id} painting={painting} onDone={back} />
            <PassageActions painting={painting} />
          </>
        }
        right={
          <>
            <BasicsPart key={`basics:${painting.id}`} painting={painting} />
            <MethodPart painting={painting} />
            <StudyPart key={`study:${painting.id}`} painting={painting} />
            <View style={{ gap: space.m }}>
              <Heading>Keep it</Heading>
              <Action
                title="Export this painting"
                onPress={() => saveExport(exportFile('painting', [painting], null, nowIso()))}
              />
              <TakeDown painting={painting} />
            </View>
          </>
        }
      />
    </Screen>
  );
}

const pairKey = (a: string, b: string): string => [a, b].sort().join('+');

function ParticularsForm({ painting, onDone }: { painting: Painting; onDone: () => void }) {
  const dispatch = useStoreDispatch();
  const schema = useMemo(() => particularsSchema(painting), [painting]);
  const document = useMemo(() => particularsOf(painting), [painting]);
  const form = useForm({ key: `particulars:${painting.id}`, schema, document });
  const { passages, touches } = form.draft;
  const pairs = passages.flatMap((a, i) =>
    passages
      .slice(i + 1)
      .map((b) => ({ key: pairKey(a.id, b.id), name: `${a.name} and ${b.name}` })),
  );
  const save = () => {
    const kept = form.keep((particulars) =>
      dispatch(
        changePainting(painting.id, 'Changed the particulars', (p, making) =>
          changeParticulars(p, particulars, making),
        ),
      ),
    );
    if (kept) onDone();
  };
  return (
    <View style={{ gap: space.s }}>
      <FormState form={form} />
      <Field label="Title" {...form.text('title')} />
      <Heading>Names and shares</Heading>
      {passages.map((p, i) => (
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
            <Field label={`Passage ${i + 1}`} {...form.text(`passages.${i}.name`)} />
          </View>
          <View style={{ marginBottom: space.m }}>
            <Stepper
              label={`Share of passage ${i + 1}`}
              hideLabel
              unit="%"
              step={5}
              min={1}
              max={100}
              {...form.number(`passages.${i}.share`, 'percent')}
            />
          </View>
        </View>
      ))}
      {form.problem('passages') ? <Notice tone="refusal">{form.problem('passages')}</Notice> : null}
      <ManyChoice
        label="Which of them touch"
        options={pairs}
        values={touches.map(([a, b]) => pairKey(a, b))}
        onChange={(keys) =>
          form.put('touches', [
            // Those that stay stay as they were written.
            ...touches.filter(([a, b]) => keys.includes(pairKey(a, b))),
            ...keys
              .filter((key) => !touches.some(([a, b]) => pairKey(a, b) === key))
              .map((key) => key.split('+')),
          ])
        }
      />
      <Action title="Keep these changes" kind="primary" onPress={save} disabled={!form.value} />
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
