import { useRouter } from 'expo-router';
import { useState } from 'react';
import {
  Controller,
  useFieldArray,
  useWatch,
  type Control,
  type UseFormReturn,
} from 'react-hook-form';
import { View } from 'react-native';
import { groundNotes } from '@/core/painting';
import { METHOD_KEYS, METHODS } from '@/data/methods';
import { SUPPORT_NAME } from '@/features/film-view';
import { addPainting } from '@/store/actions';
import { making, nowMs } from '@/store/clock';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { dayInput } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import {
  buildPainting,
  GROUND_REFUSED,
  sharesProblem,
  useNewPaintingForm,
  type GroundChoice,
  type NewPaintingForm,
} from './new-painting-form';

const GROUND_OPTIONS: { key: GroundChoice; name: string }[] = [
  { key: 'acrylic-gesso', name: 'acrylic gesso' },
  { key: 'oil-ground', name: 'oil ground' },
  { key: 'old-painting', name: 'old oil painting' },
  { key: 'sized', name: 'sized only' },
  { key: 'bare', name: 'bare' },
];

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

type Form = UseFormReturn<NewPaintingForm>;

function SupportFields({ form, units }: { form: Form; units: 'cm' | 'inch' }) {
  const unit = units === 'inch' ? 'in' : 'cm';
  return (
    <View>
      <Heading style={{ marginBottom: space.s }}>Support</Heading>
      <Controller
        control={form.control}
        name="support"
        render={({ field }) => (
          <Choice
            label="Made of"
            options={(['canvas', 'linen', 'wood-panel', 'fibreboard-panel'] as const).map(
              (key) => ({ key, name: SUPPORT_NAME[key] }),
            )}
            value={field.value}
            onChange={field.onChange}
          />
        )}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.xl }}>
        {(['width', 'height'] as const).map((name) => (
          <Controller
            key={name}
            control={form.control}
            name={name}
            render={({ field, fieldState }) => (
              <Stepper
                label={name === 'width' ? 'Width' : 'Height'}
                unit={unit}
                step={units === 'inch' ? 1 : 5}
                min={2}
                max={2000}
                text={field.value}
                onChangeText={field.onChange}
                error={fieldState.error?.message}
              />
            )}
          />
        ))}
      </View>
    </View>
  );
}

function GroundFields({ form }: { form: Form }) {
  const ground = form.watch('ground');
  const dated = ground === 'oil-ground' || ground === 'old-painting';
  return (
    <View>
      <Heading style={{ marginBottom: space.s }}>Ground</Heading>
      <Controller
        control={form.control}
        name="ground"
        render={({ field }) => (
          <Choice
            label="What the first coat lies on"
            options={GROUND_OPTIONS}
            value={field.value}
            onChange={(key) => {
              field.onChange(key);
              void form.trigger('ground');
            }}
          />
        )}
      />
      {GROUND_REFUSED[ground] ? <Notice tone="refusal">{GROUND_REFUSED[ground]}</Notice> : null}
      {ground === 'acrylic-gesso' ? (
        <Controller
          control={form.control}
          name="gessoCoats"
          render={({ field, fieldState }) => (
            <Stepper
              label="Coats of gesso"
              step={1}
              min={1}
              max={12}
              text={field.value}
              onChangeText={field.onChange}
              error={fieldState.error?.message}
            />
          )}
        />
      ) : null}
      {dated ? (
        <Controller
          control={form.control}
          name="groundDay"
          render={({ field, fieldState }) => (
            <Field
              label={ground === 'oil-ground' ? 'Laid on the day' : 'Last painted on, about'}
              inputType="date"
              value={field.value}
              placeholder={dayInput(nowMs())}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              error={fieldState.error?.message}
            />
          )}
        />
      ) : null}
      {notesFor(ground).map((note) => (
        <Notice key={note}>{note}</Notice>
      ))}
    </View>
  );
}

function notesFor(ground: GroundChoice): string[] {
  if (ground === 'acrylic-gesso') return groundNotes({ kind: 'acrylic-gesso', coats: 1 });
  if (ground === 'oil-ground') return groundNotes({ kind: 'oil-ground', laidAt: '' });
  if (ground === 'old-painting') return groundNotes({ kind: 'old-painting', paintedAt: '' });
  return [];
}

const SHARE_STEP = 5;

function PassageFields({ control }: { control: Control<NewPaintingForm> }) {
  const { fields, append, remove, replace } = useFieldArray({ control, name: 'passages' });
  const passages = useWatch({ control, name: 'passages' });
  const even = () => {
    const share = Math.floor(100 / passages.length);
    const first = 100 - share * (passages.length - 1);
    replace(passages.map((p, i) => ({ name: p.name, share: String(i === 0 ? first : share) })));
  };
  // Said as soon as it is so, not only on submit: the painter is in the middle of making it right.
  const problem = sharesProblem(passages);
  return (
    <View style={{ gap: space.s }}>
      <Heading>Passages</Heading>
      <Text size="small" tone="ink2">
        The parts you paint for themselves, 2 to 8, each with its share of the surface.
      </Text>
      {fields.map((item, i) => (
        <PassageField
          key={item.id}
          control={control}
          index={i}
          onRemove={fields.length > 2 ? () => remove(i) : null}
        />
      ))}
      {problem ? <Notice tone="refusal">{problem}</Notice> : null}
      <View style={{ flexDirection: 'row', gap: space.s, flexWrap: 'wrap' }}>
        {fields.length < 8 ? (
          <Action title="Another passage" onPress={() => append({ name: '', share: '10' })} />
        ) : null}
        <Action title="Even shares" kind="quiet" onPress={even} />
      </View>
    </View>
  );
}

function PassageField({
  control,
  index,
  onRemove,
}: {
  control: Control<NewPaintingForm>;
  index: number;
  onRemove: (() => void) | null;
}) {
  return (
    <View
      style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', columnGap: space.l }}
    >
      <View style={{ flexGrow: 1, minWidth: 170, flexBasis: 170 }}>
        <Controller
          control={control}
          name={`passages.${index}.name`}
          render={({ field, fieldState }) => (
            <Field
              label={`Passage ${index + 1}`}
              value={field.value}
              onChangeText={field.onChange}
              onBlur={field.onBlur}
              error={fieldState.error?.message}
            />
          )}
        />
      </View>
      <View style={{ marginBottom: space.m }}>
        <Controller
          control={control}
          name={`passages.${index}.share`}
          render={({ field, fieldState }) => (
            <Stepper
              label={`Share of passage ${index + 1}`}
              hideLabel
              unit="%"
              step={SHARE_STEP}
              min={1}
              max={100}
              text={field.value}
              onChangeText={field.onChange}
              error={fieldState.error?.message}
            />
          )}
        />
      </View>
      {onRemove ? (
        <Action
          title="Take out"
          kind="quiet"
          onPress={onRemove}
          style={{ marginBottom: space.m }}
        />
      ) : null}
    </View>
  );
}
