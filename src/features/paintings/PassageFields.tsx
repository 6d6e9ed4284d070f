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
import { sharesProblem, type NewPaintingFields } from './new-painting-form';

const SHARE_STEP = 5;

type Drafts = NewPaintingFields['draft']['passages'];

/** A new passage is cut out of the largest: a tenth of the surface, or half of that where it is small. */
function newShare(passages: Drafts): number {
  const largest = Math.max(...passages.map((p) => numberOf(p.share)).filter(Number.isFinite), 0);
  return largest >= 2 * NEW_SHARE ? NEW_SHARE : Math.round(50 * largest) / 100 || NEW_SHARE;
}
/** What a passage takes, or leaves behind, the largest of the others gives or gets, so that they stay all of the surface. */
function shared(passages: Drafts, more: number): Drafts {
  const of = (p: Drafts[number]) => numberOf(p.share);
  const largest = passages.reduce((a, b) => (of(b) > of(a) ? b : a));
  return passages.map((p) =>
    p === largest && Number.isFinite(of(p) + more)
      ? { ...p, share: Math.round(100 * (of(p) + more)) / 100 }
      : p,
  );
}
const NEW_SHARE = 0.1;

/** The passages with their shares. */
export function PassageFields({ form }: { form: NewPaintingFields }) {
  const { passages } = form.draft;
  const even = () => {
    const share = Math.floor(100 / passages.length);
    const first = 100 - share * (passages.length - 1);
    form.put(
      'passages',
      passages.map((p, i) => ({ ...p, share: (i === 0 ? first : share) / 100 })),
    );
  };
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
              ? () =>
                  form.put(
                    'passages',
                    shared(
                      passages.filter((p) => p.id !== passage.id),
                      numberOf(passage.share),
                    ),
                  )
              : null
          }
        />
      ))}
      {problem ? <Notice tone="refusal">{problem}</Notice> : null}
      <View style={{ flexDirection: 'row', gap: space.s, flexWrap: 'wrap' }}>
        {passages.length < PASSAGES_MAX ? (
          <Action
            title="Another passage"
            onPress={() =>
              form.put('passages', [
                ...shared(passages, -newShare(passages)),
                { id: making().newId(), name: '', share: newShare(passages) },
              ])
            }
          />
        ) : null}
        <Action title="Even shares" kind="quiet" onPress={even} />
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
