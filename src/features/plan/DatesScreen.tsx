import { useRouter } from 'expo-router';
import { View } from 'react-native';
import {
  EDGE_INTENTS,
  IMPORTANCES,
  MILESTONES,
  USUAL_DEADLINE,
  WAIT_STAGES,
  type EdgeIntent,
} from '@/core/painting/deadline';
import { deadlineSchema, type Deadline } from '@/core/painting/deadline-schema';
import type { Painting } from '@/core/painting';
import { changeDeadline } from '@/core/painting/coats';
import { edgeBetween } from '@/core/painting/edges';
import { useLiveForm, type Form } from '@/forms';
import { changePainting } from '@/store/actions';
import { nowMs } from '@/store/clock';
import { usePainting, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DateField } from '@/ui/DateField';
import { Screen } from '@/ui/Screen';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { space } from '@/ui/tokens';
import { MILESTONE_WORDS } from './PaintingLanes';
import { NotHereScreen } from '@/features/frame/NotHereScreen';
import { useWatchPlan } from './useWatchPlan';

const STAGE_WORDS = {
  'touch-dry': 'touch-dry',
  recoat: 'past touch-dry',
  'through-dry': 'dry through',
} as const;
const IMPORTANCE_WORDS = {
  'may-slip': 'this one may slip',
  usual: 'as the others',
  first: 'this one first',
} as const;
const CHANCES = [
  { key: '0.5', name: 'even odds' },
  { key: '0.75', name: '3 in 4' },
  { key: '0.9', name: '9 in 10' },
];
const DAY_MS = 86_400_000;

/** When a painting must be done, and how its coats wait for each other. */
export function DatesScreen({ id }: { id: string }) {
  const router = useRouter();
  useWatchPlan();
  const painting = usePainting(id);
  if (!painting) return <NotHereScreen what="That painting" />;
  return (
    <Screen
      title={painting.title}
      subtitle="Date and waits"
      onBack={() => (router.canGoBack() ? router.back() : router.navigate('/plan'))}
    >
      <Dates painting={painting} />
    </Screen>
  );
}

function Dates({ painting }: { painting: Painting }) {
  const dispatch = useStoreDispatch();
  const form = useLiveForm(
    {
      key: `dates:${painting.id}`,
      schema: deadlineSchema,
      document: painting.planning ?? USUAL_DEADLINE,
    },
    (changed) =>
      dispatch(
        changePainting(painting.id, `Changed the dates of ${painting.title}`, (p, making) =>
          changeDeadline(p, changed, making),
        ),
      ),
  );
  const planning = form.draft as Deadline;
  const set = (change: Partial<Deadline>) => form.set((d) => ({ ...d, ...change }));
  return (
    <View style={{ gap: space.xl }}>
      <DueDate form={form} />
      <Choice
        label="Where the hours do not do for all paintings"
        options={IMPORTANCES.map((key) => ({ key, name: IMPORTANCE_WORDS[key] }))}
        value={planning.importance}
        onChange={(importance) => set({ importance })}
      />
      <View>
        <Heading>Between coats</Heading>
        <Choice
          label="The coat below should be"
          options={WAIT_STAGES.map((key) => ({ key, name: STAGE_WORDS[key] }))}
          value={planning.stage}
          onChange={(stage) => set({ stage })}
        />
        <Choice
          label="How sure"
          options={CHANCES}
          value={String(planning.chance)}
          onChange={(key) => set({ chance: Number(key) as Deadline['chance'] })}
        />
        <Text size="small" tone="ink2">
          Deadlines are planned at nine chances in ten whatever is chosen here. Varnish waits by its
          own rules.
        </Text>
        <Tick
          title="The hand rests on a stick: fine work needs no dry place beside it"
          checked={planning.handOnStick}
          onPress={() => set({ handOnStick: !planning.handOnStick })}
        />
        {painting.passages.length > 1 ? (
          <>
            <Tick
              title={`Passages in their order: ${painting.passages.map((p) => p.name).join(', ')}`}
              checked={planning.inOrder === true}
              onPress={() => set({ inOrder: !planning.inOrder })}
            />
            <Text size="small" tone="ink2">
              Today, the hours at hand and the plan then take them one after the other where they
              get the same kind of coat. Their order is changed under “About this painting”.
            </Text>
          </>
        ) : null}
      </View>
      <Edges painting={painting} planning={planning} set={set} />
    </View>
  );
}

interface PartProps {
  planning: Deadline;
  set: (change: Partial<Deadline>) => void;
}

function DueDate({ form }: { form: Form<Deadline> }) {
  const { dueAt, milestone } = form.draft;
  return (
    <View style={{ gap: space.s }}>
      <Heading>The date</Heading>
      {dueAt === null ? (
        <Action
          title="Set a date"
          onPress={() => {
            const inSixWeeks = new Date(nowMs() + 42 * DAY_MS);
            inSixWeeks.setHours(17, 0, 0, 0);
            form.put('dueAt', inSixWeeks.toISOString());
          }}
        />
      ) : (
        <>
          <DateField label="Due" withTime {...form.moment('dueAt')} />
          <Choice
            label="By then it must be"
            options={MILESTONES.map((key) => ({ key, name: MILESTONE_WORDS[key] }))}
            value={milestone}
            onChange={(key) => form.put('milestone', key)}
          />
          <Action title="No date" kind="quiet" onPress={() => form.put('dueAt', null)} />
        </>
      )}
    </View>
  );
}

const NONE = 'none';

function Edges({ painting, planning, set }: PartProps & { painting: Painting }) {
  if (painting.touches.length === 0) return null;
  const nameOf = (id: string) => painting.passages.find((p) => p.id === id)?.name ?? '?';
  const options: { key: EdgeIntent | typeof NONE; name: string }[] = [
    { key: NONE, name: 'any' },
    ...EDGE_INTENTS.map((key) => ({ key, name: key })),
  ];
  const choose = (between: [string, string], intent: EdgeIntent | typeof NONE) => {
    const others = planning.edges.filter(
      (e) => !(e.between.includes(between[0]) && e.between.includes(between[1])),
    );
    set({ edges: intent === NONE ? others : [...others, { between, intent }] });
  };
  return (
    <View>
      <Heading>Edges</Heading>
      <Text size="small" tone="ink2" style={{ marginBottom: space.s }}>
        Lost or soft: both sides are modelled in one sitting, while they are open. Crisp or
        overlapping: one side dries first.
      </Text>
      {painting.touches.map(([a, b]) => (
        <Choice
          key={`${a}-${b}`}
          label={`${nameOf(a)} and ${nameOf(b)}`}
          options={options}
          value={edgeBetween(painting, a, b)?.intent ?? NONE}
          onChange={(intent) => choose([a, b], intent)}
        />
      ))}
    </View>
  );
}
