import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { METHOD_KEYS } from '@/data/method-keys';
import { METHODS } from '@/data/methods';
import { FormState, useForm } from '@/forms';
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
import { buildPainting, NEW_PAINTING, newPaintingFormSchema } from './new-painting-form';
import { PassageFields } from './PassageFields';

/** From nothing to a painting laid out in coats. */
export function NewPaintingScreen() {
  const router = useRouter();
  const dispatch = useStoreDispatch();
  const units = useStoreSelector((state) => state.studio.units);
  const binder = useStoreSelector((state) => state.studio.binder);
  const form = useForm({
    key: 'painting:new',
    schema: newPaintingFormSchema,
    document: NEW_PAINTING,
  });
  const [refusal, setRefusal] = useState<string | null>(null);
  const submit = () => {
    const painting = form.value && buildPainting(form.value, making(), binder);
    setRefusal(typeof painting === 'string' ? painting : null);
    if (typeof painting === 'string') return;
    const kept = form.keep(() => painting && dispatch(addPainting(painting)));
    if (!kept || !painting) return;
    router.replace({ pathname: '/paintings/[id]', params: { id: painting.id } });
  };
  const methodProblem = form.problem('method');
  return (
    <Screen title="Start a painting" onBack={() => router.back()}>
      <View style={{ gap: space.l }}>
        <FormState form={form} />
        <Field label="Title" {...form.text('title')} />
        <SupportFields form={form} units={units} />
        <GroundFields form={form} />
        <PassageFields form={form} />
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
            value={form.draft.method}
            onChange={(method) => {
              const { ground } = METHODS[method];
              form.set((d) => ({ ...d, method, ...(ground ? { ground } : {}) }), 'method');
            }}
          />
          {methodProblem ? <Notice tone="refusal">{methodProblem}</Notice> : null}
        </View>
        {refusal ? <Notice tone="refusal">{refusal}</Notice> : null}
        {form.tried && form.value === null ? (
          <Notice tone="refusal">
            {`Something above still needs your hand; it is marked where it stands. ${form.issues[0]!.message}`}
          </Notice>
        ) : null}
        <Action title="Lay out the coats" kind="primary" onPress={submit} />
      </View>
    </Screen>
  );
}
