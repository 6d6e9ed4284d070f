import { View } from 'react-native';
import { numberOf } from '@/forms';
import { PASSAGES_MAX } from '@/core/painting/vocabulary';
import { making } from '@/store/clock';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import {
  evenShares,
  sharesProblem,
  withAnother,
  withoutPassage,
  type NewPaintingFields,
} from './new-painting-form';

const SHARE_STEP = 5;

/** The passages with their shares. */
export function PassageFields({ form }: { form: NewPaintingFields }) {
  const { passages } = form.draft;
  // Said as soon as it is so, not only on submit: the painter is in the middle of making it right.
  const problem = sharesProblem(passages.map((p) => ({ share: numberOf(p.share) })));
  return (
    <View style={{ gap: space.s }}>
      <Heading>Passages</Heading>
      <Text size="small" tone="ink2">
        The areas you finish separately, such as sky, house and figure: one to eight, each with its
        share of the surface.
      </Text>
      {passages.map((passage, i) => (
        <PassageField
          key={passage.id}
          form={form}
          index={i}
          onRemove={
            passages.length > 1
              ? () => form.put('passages', withoutPassage(passages, passage.id))
              : null
          }
        />
      ))}
      {problem ? <Notice tone="refusal">{problem}</Notice> : null}
      <View style={{ flexDirection: 'row', gap: space.s, flexWrap: 'wrap' }}>
        {passages.length < PASSAGES_MAX ? (
          <Action
            title="Another passage"
            onPress={() => form.put('passages', withAnother(passages, making().newId()))}
          />
        ) : null}
        <Action
          title="Even shares"
          kind="quiet"
          onPress={() => form.put('passages', evenShares(passages))}
        />
      </View>
    </View>
  );
}

function PassageField({
  form,
  index,
  onRemove,
}: {
  form: NewPaintingFields;
  index: number;
  onRemove: (() => void) | null;
}) {
  return (
    <View
      style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-end', columnGap: space.l }}
    >
      <View style={{ flexGrow: 1, minWidth: 170, flexBasis: 170 }}>
        <Field label={`Passage ${index + 1}`} {...form.text(`passages.${index}.name`)} />
      </View>
      <View style={{ marginBottom: space.m }}>
        <Stepper
          label={`Share of passage ${index + 1}`}
          hideLabel
          unit="%"
          step={SHARE_STEP}
          min={1}
          max={100}
          {...form.number(`passages.${index}.share`, 'percent')}
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
