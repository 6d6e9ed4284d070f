import { Controller } from 'react-hook-form';
import { View } from 'react-native';
import { groundNotes } from '@/core/painting';
import { SUPPORT_NAME } from '@/features/film-view';
import { nowMs } from '@/store/clock';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Stepper } from '@/ui/Stepper';
import { Heading } from '@/ui/Text';
import { dayInput } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import { GROUND_REFUSED, type Form, type GroundChoice } from './new-painting-form';

const GROUND_OPTIONS: { key: GroundChoice; name: string }[] = [
  { key: 'acrylic-gesso', name: 'acrylic gesso' },
  { key: 'oil-ground', name: 'oil ground' },
  { key: 'old-painting', name: 'old oil painting' },
  { key: 'sized', name: 'sized only' },
  { key: 'bare', name: 'bare' },
];

/** What the picture stands on. */
export function SupportFields({ form, units }: { form: Form; units: 'cm' | 'inch' }) {
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

/** What the first coat lies on; bare and sized are refused with the reason. */
export function GroundFields({ form }: { form: Form }) {
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
