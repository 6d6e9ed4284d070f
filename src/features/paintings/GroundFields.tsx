import { View } from 'react-native';
import { GROUND_WHITES, OLD_SURFACES, SUPPORT_KINDS } from '@/core/painting';
import { groundNotes } from '@/core/painting/notes';
import { SUPPORT_NAME } from '@/core/painting/names';
import { Choice } from '@/ui/Choice';
import { DateField } from '@/ui/DateField';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Tick } from '@/ui/Tick';
import { Stepper } from '@/ui/Stepper';
import { Heading } from '@/ui/Text';
import { space } from '@/ui/tokens';
import {
  COUNTED,
  DATED,
  GROUND_REFUSED,
  PANELS,
  type GroundChoice,
  type NewPaintingFields,
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
export function SupportFields({ form, units }: { form: NewPaintingFields; units: 'cm' | 'inch' }) {
  const side = { unit: units === 'inch' ? 'in' : 'cm', step: units === 'inch' ? 1 : 5 };
  return (
    <View>
      <Heading style={{ marginBottom: space.s }}>Support</Heading>
      <Choice
        label="Made of"
        options={SUPPORT_KINDS.map((key) => ({ key, name: SUPPORT_NAME[key] }))}
        value={form.draft.support}
        onChange={(key) => form.put('support', key)}
      />
      {PANELS.has(form.draft.support) ? (
        <FormTick form={form} name="sealed" title="Sized on faces and edges" />
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.xl }}>
        <Stepper label="Width" {...side} min={2} max={2000} {...form.number('widthMm', units)} />
        <Stepper label="Height" {...side} min={2} max={2000} {...form.number('heightMm', units)} />
      </View>
    </View>
  );
}

type TickName = 'sealed' | 'smooth' | 'oldLead' | 'oldZinc';

function FormTick({
  form,
  name,
  title,
}: {
  form: NewPaintingFields;
  name: TickName;
  title: string;
}) {
  const checked = form.draft[name];
  return <Tick title={title} checked={checked} onPress={() => form.put(name, !checked)} />;
}

type ChoiceName = 'white' | 'oldSurface' | 'size';

function FormChoice<K extends ChoiceName>({
  form,
  name,
  label,
  options,
}: {
  form: NewPaintingFields;
  name: K;
  label: string;
  options: { key: NewPaintingForm[K]; name: string }[];
}) {
  return (
    <Choice
      label={label}
      options={options}
      value={form.draft[name] as NewPaintingForm[K]}
      onChange={(key) => form.put(name, key)}
    />
  );
}

const DAY_LABEL: Partial<Record<GroundChoice, string>> = {
  'oil-ground': 'Laid on the day',
  'alkyd-ground': 'Laid on the day',
  'old-painting': 'Last painted on, about',
};

/** What the first coat lies on; bare is refused with the reason. */
export function GroundFields({ form }: { form: NewPaintingFields }) {
  const { ground } = form.draft;
  return (
    <View>
      <Heading style={{ marginBottom: space.s }}>Ground</Heading>
      <Choice
        label="What the first coat lies on"
        options={GROUND_OPTIONS}
        value={ground}
        onChange={(key) => form.put('ground', key)}
      />
      {GROUND_REFUSED[ground] ? <Notice tone="refusal">{GROUND_REFUSED[ground]}</Notice> : null}
      {COUNTED.has(ground) ? (
        <Stepper
          label="Coats of gesso"
          step={1}
          min={1}
          max={12}
          {...form.number('gessoCoats', 'number')}
        />
      ) : null}
      {COUNTED.has(ground) || DATED.has(ground) ? (
        <DateField
          label={DAY_LABEL[ground] ?? 'Last coat on the day, if it is fresh'}
          {...form.text('groundDay')}
        />
      ) : null}
      <GroundParticulars form={form} ground={ground} />
      {ground === 'bare' || ground === 'sized' || ground === 'old-painting' ? null : (
        <Field label="Tinted with, if it is" {...form.text('tint')} />
      )}
      {notesFor(ground).map((note) => (
        <Notice key={note}>{note}</Notice>
      ))}
    </View>
  );
}

function GroundParticulars({ form, ground }: { form: NewPaintingFields; ground: GroundChoice }) {
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
