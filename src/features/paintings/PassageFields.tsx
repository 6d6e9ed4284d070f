import { Controller, useFieldArray, useWatch, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { sharesProblem, type NewPaintingForm } from './new-painting-form';

const SHARE_STEP = 5;

/** The passages with their shares. */
export function PassageFields({ control }: { control: Control<NewPaintingForm> }) {
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
