import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { View } from 'react-native';
import { asTube, putPaint } from '@/core/cabinet';
import { PaintFields } from '@/features/cabinet/PaintEditor';
import { newPaint, paintFormSchema } from '@/features/cabinet/paint-draft';
import type { Tube } from '@/core/cabinet/tube-names';
import { useForm } from '@/forms';
import { changeCabinet } from '@/store/actions';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Heading } from '@/ui/Text';
import { space } from '@/ui/tokens';

/** A paint that is in no list, made on the spot: it goes into the cabinet and into the mix. */
export function OwnPaint({
  name,
  onMade,
  onBack,
}: {
  name: string;
  onMade: (tube: Tube) => void;
  onBack: () => void;
}) {
  const dispatch = useStoreDispatch();
  const binder = useStoreSelector((s) => s.studio.binder);
  const [fresh] = useState(() => ({
    ...newPaint(nanoid(12)),
    name,
    ...(binder ? { binder } : {}),
  }));
  const form = useForm({
    key: 'paint:on-the-spot',
    schema: paintFormSchema,
    document: fresh,
    isNew: true,
  });
  const keep = () => {
    const paint = form.value;
    const kept = form.keep((made) =>
      dispatch(changeCabinet(`Kept ${made.name}`, (c) => putPaint(c, made))),
    );
    if (kept && paint) onMade({ own: asTube(paint) });
  };
  return (
    <View style={{ gap: space.m }}>
      <Heading>A paint of your own</Heading>
      <PaintFields edit={{ form, keep, archive: onBack }} />
      <Action title="Keep and use it" kind="primary" onPress={keep} disabled={!form.value} />
      <Action
        title="Back"
        kind="quiet"
        onPress={() => {
          form.throwAway();
          onBack();
        }}
      />
    </View>
  );
}
