import { View } from 'react-native';
import type { FINENESS_FACTOR } from '@/data/pace';
import { WORK_PACE } from '@/data/pace';
import { type Painting } from '@/core/painting';
import { minutesOf, type Pace } from '@/core/session';
import { numberOf } from '@/forms';
import { useStoreSelector } from '@/store/hooks';
import { selectPace } from '@/store/select-work';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { space } from '@/ui/tokens';
import type { CoatEditor } from './useCoatEditor';

type Fineness = keyof typeof FINENESS_FACTOR;
const FINENESS: { key: Fineness; name: string }[] = [
  { key: 'broad', name: 'broad' },
  { key: 'usual', name: 'as usual' },
  { key: 'fine', name: 'fine, a face or small things' },
];

const words = (minutes: number): string => {
  const [h, min] = [Math.floor(minutes / 60), Math.round(minutes % 60)];
  return [h > 0 ? `${h} h` : '', min > 0 || h === 0 ? `${min} min` : ''].filter(Boolean).join(' ');
};

/** What the coat would take by kind, fineness, area and the painter's own pace; null while it cannot be read. */
function estimateOf(editor: CoatEditor, painting: Painting, pace: Pace): number | null {
  const coat = editor.form.value;
  if (!coat) return null;
  const { minutes: _own, ...estimated } = coat;
  const bare = { ...painting, events: [], coats: [estimated] };
  return minutesOf(bare, estimated, coat.passageIds, pace);
}

/** How long it takes, in one sitting or by passage: what the plan reckons with. */
export function TimeFields({ editor, painting }: { editor: CoatEditor; painting: Painting }) {
  const { form, draft, set } = editor;
  const pace = useStoreSelector(selectPace);
  const estimate = estimateOf(editor, painting, pace);
  const own = draft.minutes !== undefined;
  const { fineness: _f, ...plain } = draft;
  const { minutes: _m, ...unmeasured } = draft;
  return (
    <View style={{ gap: space.s, marginBottom: space.m }}>
      <Heading>How long it takes</Heading>
      <Choice
        label="The work in it is"
        options={FINENESS}
        value={draft.fineness ?? 'usual'}
        onChange={(key) =>
          form.set(() => (key === 'usual' ? plain : { ...draft, fineness: key }), 'fineness')
        }
      />
      {own ? (
        <>
          <Stepper
            label="Minutes in all, by your own reckoning"
            unit="min"
            step={15}
            min={5}
            max={6000}
            {...form.number('minutes', 'number')}
          />
          <Action
            title={
              estimate === null
                ? 'Back to the estimate'
                : `Back to the estimate, ${words(estimate)}`
            }
            kind="quiet"
            style={{ alignSelf: 'flex-start' }}
            onPress={() => form.set(() => unmeasured, 'minutes')}
          />
        </>
      ) : (
        <View
          style={{ flexDirection: 'row', alignItems: 'center', gap: space.m, flexWrap: 'wrap' }}
        >
          <Text>
            {estimate === null
              ? 'Reckoned when the coat is complete.'
              : `About ${words(estimate)}, by its kind, its area and your pace.`}
          </Text>
          <Action
            title="I know better"
            kind="quiet"
            onPress={() => set({ minutes: estimate ?? 60 }, 'minutes')}
          />
        </View>
      )}
      <Choice
        label="It is done"
        options={[
          { key: 'once', name: 'in one sitting' },
          { key: 'parts', name: 'in parts' },
        ]}
        value={(draft.oneSitting ?? !WORK_PACE[draft.role].splittable) ? 'once' : 'parts'}
        onChange={(key) => set({ oneSitting: key === 'once' })}
      />
      {draft.passageIds.length > 1 ? (
        <Tick
          title="Its passages one by one"
          checked={draft.apart ?? false}
          onPress={() => set({ apart: !draft.apart })}
        />
      ) : null}
      {own && numberOf(draft.minutes!) > 0 ? (
        <Text size="small" tone="ink2">
          The plan goes by your figure.
        </Text>
      ) : null}
    </View>
  );
}
