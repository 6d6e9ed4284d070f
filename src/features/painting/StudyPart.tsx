import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { Painting } from '@/core/painting';
import { paintingSchema } from '@/core/painting/schema';
import { fromStudy } from '@/core/painting/start';
import { paintingAddress } from '@/features/addresses';
import { CODECS } from '@/forms/numbers';
import { useText } from '@/forms/useText';
import { addPainting } from '@/store/actions';
import { making } from '@/store/clock';
import { usePainting, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { GoTo } from '@/ui/GoTo';
import { Problem } from '@/ui/Says';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

const DOUBLE = 2;

/** A painting begun from this one as its study, at another size; and the study that this one was begun from. */
export function StudyPart({ painting }: { painting: Painting }) {
  const router = useRouter();
  const dispatch = useStoreDispatch();
  const units = useStoreSelector((s) => s.studio.units);
  const codec = CODECS[units];
  const title = useText(
    `from-study:${painting.id}`,
    paintingSchema.shape.title,
    `${painting.title}, large`.slice(0, 120),
  );
  const [width, setWidth] = useState(codec.show(painting.support.widthMm * DOUBLE));
  const [refusal, setRefusal] = useState<string | null>(null);
  const study = usePainting(painting.study?.paintingId ?? '');
  const begin = () => {
    const called = title.accepted();
    if (called === null) return;
    const widthMm = codec.read(width);
    const made = Number.isNaN(widthMm)
      ? null
      : fromStudy(painting, { title: called, widthMm: Math.round(widthMm) }, making());
    const checked = made && paintingSchema.safeParse(made);
    if (!checked?.success)
      return setRefusal(checked ? checked.error.issues[0]!.message : 'The width must be a number.');
    dispatch(addPainting(checked.data));
    title.done();
    router.push(paintingAddress(checked.data.id));
  };
  return (
    <View style={{ gap: space.s }}>
      <Heading>A larger or smaller one of it</Heading>
      {painting.study ? (
        <Text>
          {`Begun from a study, ${painting.study.title}, ${painting.study.scale.toFixed(1)} times its size.`}
        </Text>
      ) : null}
      {study ? (
        <GoTo href={paintingAddress(study.id)} onGo={() => router.push(paintingAddress(study.id))}>
          <Text tone="tawny">Go to the study</Text>
        </GoTo>
      ) : null}
      <Field label="Its title" value={title.text} onChangeText={title.set} error={title.error} />
      <Field
        label={units === 'inch' ? 'Its width, in' : 'Its width, cm'}
        value={width}
        onChangeText={setWidth}
      />
      <Text size="small" tone="ink2">
        The same passages and coats, nothing laid. The two stay linked.
      </Text>
      <Problem says={refusal} />
      <Action title="Begin it" onPress={begin} style={{ alignSelf: 'flex-start' }} />
    </View>
  );
}
