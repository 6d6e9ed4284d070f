import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Controller } from 'react-hook-form';
import { View } from 'react-native';
import { METHOD_KEYS } from '@/data/method-keys';
import { METHODS } from '@/data/methods';
import { addPainting } from '@/store/actions';
import { making } from '@/store/clock';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Heading } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { GroundFields, SupportFields } from './GroundFields';
import { buildPainting, useNewPaintingForm } from './new-painting-form';
import { PassageFields } from './PassageFields';

/** From nothing to a painting laid out in coats. */
export function NewPaintingScreen() {
  const router = useRouter();
  const dispatch = useStoreDispatch();
  const units = useStoreSelector((state) => state.studio.units);
  const form = useNewPaintingForm();
  const [refusal, setRefusal] = useState<string | null>(null);
  const submit = form.handleSubmit((values) => {
    const painting = buildPainting(values, units, making());
    if (typeof painting === 'string') return setRefusal(painting);
    dispatch(addPainting(painting));
    router.replace({ pathname: '/paintings/[id]', params: { id: painting.id } });
  });
  const wrong = Object.keys(form.formState.errors).length > 0;
  return (
    <Screen title="Start a painting" onBack={() => router.back()}>
      <View style={{ gap: space.l }}>
        <Controller
          control={form.control}
          name="title"
          render={({ field, fieldState }) => (
            <Field
              label="Title"
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              error={fieldState.error?.message}
            />
          )}
        />
        <SupportFields form={form} units={units} />
        <GroundFields form={form} />
        <PassageFields control={form.control} />
        <Controller
          control={form.control}
          name="method"
          render={({ field, fieldState }) => (
            <View>
              <Heading style={{ marginBottom: space.s }}>Method</Heading>
              <Choice
                label="How it is built; every coat can be changed"
                stacked
                options={METHOD_KEYS.map((key) => ({
                  key,
                  name: METHODS[key].name,
                  blurb: METHODS[key].blurb,
                }))}
                value={field.value}
                onChange={(key) => {
                  field.onChange(key);
                  if (METHODS[key].ground) form.setValue('ground', METHODS[key].ground);
                  void form.trigger(['method', 'ground']);
                }}
              />
              {fieldState.error ? <Notice tone="refusal">{fieldState.error.message}</Notice> : null}
            </View>
          )}
        />
        {refusal ? <Notice tone="refusal">{refusal}</Notice> : null}
        {wrong ? (
          <Notice tone="refusal">
            Something above still needs your hand; it is marked where it stands.
          </Notice>
        ) : null}
        <Action title="Lay out the coats" kind="primary" onPress={() => void submit()} />
      </View>
    </Screen>
  );
}
