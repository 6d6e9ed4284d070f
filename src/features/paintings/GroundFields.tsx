import { Controller } from 'react-hook-form';
import { View } from 'react-native';
import { GROUND_WHITES, OLD_SURFACES, SUPPORT_KINDS } from '@/core/painting';
import { groundNotes } from '@/core/painting/notes';
import { SUPPORT_NAME } from '@/features/film-view';
import { nowMs } from '@/store/clock';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Tick } from '@/ui/Tick';
import { Stepper } from '@/ui/Stepper';
import { Heading } from '@/ui/Text';
import { dayInput } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import {
  COUNTED,
  DATED,
  GROUND_REFUSED,
  PANELS,
  type Form,
  type GroundChoice,
  type NewPaintingForm,
} from './new-painting-form';

const GROUND_OPTIONS: { key: GroundChoice; name: string }[] = [
  { key: 'acrylic-gesso', name: 'acrylic gesso' },
  { key: 'chalk-glue', name: 'chalk-glue' },
  { key: 'oil-ground', name: 'oil ground' },
  { key: 'alkyd-ground', name: 'alkyd ground' },
  { key: 'old-painting', name: 'old oil painting' },
  { key: 'sized', name: 'sized only' },
  { key: 'bare', name: 'bare' },
];

/** What the picture stands on. */
export function SupportFields({ form, units }: { form: Form; units: 'cm' | 'inch' }) {
  const unit = units === 'inch' ? 'in' : 'cm';
  const support = form.watch('support');
  return (
    <View>
      <Heading style={{ marginBottom: space.s }}>Support</Heading>
      <Controller
        control={form.control}
        name="support"
        render={({ field }) => (
          <Choice
            label="Made of"
            options={SUPPORT_KINDS.map((key) => ({ key, name: SUPPORT_NAME[key] }))}
            value={field.value}
            onChange={field.onChange}
          />
        )}
      />
      {PANELS.has(support) ? (
        <FormTick form={form} name="sealed" title="Sized on faces and edges" />
      ) : null}
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

type TickName = 'sealed' | 'smooth' | 'oldLead' | 'oldZinc';

function FormTick({ form, name, title }: { form: Form; name: TickName; title: string }) {
  return (
    <Controller
      control={form.control}
      name={name}
      render={({ field }) => (
        <Tick title={title} checked={field.value} onPress={() => field.onChange(!field.value)} />
      )}
    />
  );
}

type ChoiceName = 'white' | 'oldSurface' | 'size';

function FormChoice<K extends ChoiceName>({
  form,
  name,
  label,
  options,
}: {
  form: Form;
  name: K;
  label: string;
  options: { key: NewPaintingForm[K]; name: string }[];
}) {
  return (
    <Controller
      control={form.control}
      name={name as ChoiceName}
      render={({ field }) => (
        <Choice
          label={label}
          options={options}
          value={field.value as NewPaintingForm[K]}
          onChange={field.onChange}
        />
      )}
    />
  );
}

const DAY_LABEL: Partial<Record<GroundChoice, string>> = {
  'oil-ground': 'Laid on the day',
  'alkyd-ground': 'Laid on the day',
  'old-painting': 'Last painted on, about',
};

/** What the first coat lies on; bare is refused with the reason. */
export function GroundFields({ form }: { form: Form }) {
  const ground = form.watch('ground');
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
      {COUNTED.has(ground) ? (
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
      {COUNTED.has(ground) || DATED.has(ground) ? (
        <Controller
          control={form.control}
          name="groundDay"
          render={({ field, fieldState }) => (
            <Field
              label={DAY_LABEL[ground] ?? 'Last coat on the day, if it is fresh'}
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
      <GroundParticulars form={form} ground={ground} />
      {notesFor(ground).map((note) => (
        <Notice key={note}>{note}</Notice>
      ))}
    </View>
  );
}

function GroundParticulars({ form, ground }: { form: Form; ground: GroundChoice }) {
  switch (ground) {
    case 'oil-ground':
      return (
        <>
          <FormChoice
            form={form}
            name="white"
            label="Made with"
            options={GROUND_WHITES.map((key) => ({ key, name: `${key} white` }))}
          />
          <FormTick form={form} name="smooth" title="Polished, without tooth" />
        </>
      );
    case 'old-painting':
      return (
        <>
          <FormChoice
            form={form}
            name="oldSurface"
            label="Its surface"
            options={OLD_SURFACES.map((key) => ({ key, name: key }))}
          />
          <FormTick form={form} name="oldLead" title="There may be lead in it" />
          <FormTick form={form} name="oldZinc" title="There may be zinc in it" />
        </>
      );
    case 'sized':
      return (
        <FormChoice
          form={form}
          name="size"
          label="Sized with"
          options={[
            { key: 'acrylic', name: 'acrylic or PVA' },
            { key: 'glue', name: 'glue' },
          ]}
        />
      );
    case 'bare':
      return null;
    default:
      return <FormTick form={form} name="smooth" title="Polished, without tooth" />;
  }
}

function notesFor(ground: GroundChoice): string[] {
  if (ground === 'bare') return [];
  return groundNotes(ground === 'sized' ? 'bare' : ground);
}
