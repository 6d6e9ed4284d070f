import { useState } from 'react';
import { View } from 'react-native';
import type { PlannedWork } from '@/core/schedule';
import { makesEdges } from '@/core/painting/edges';
import { timesOf } from '@/core/plan-record/record-edit';
import { changeCoat } from '@/core/painting/coats';
import { mayBeParted } from '@/core/session';
import { useNumberText } from '@/forms';
import { changePainting } from '@/store/actions';
import { usePainting, useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { planRecordOf } from '@/store/plan';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Problem } from '@/ui/Says';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { space } from '@/ui/tokens';
import { dayWord, hours, keptOutWords } from './plan-words';
import { ReadyBySheet } from './ReadyBySheet';
import type { PlanView } from './usePlanView';
import type { Replan } from './useReplan';

interface Props {
  view: PlanView;
  /** Works of one session, or one step. */
  works: PlannedWork[];
  replan: Replan;
  onClose: () => void;
}

/** Works in the hand: earlier, later, held, or out of the week they stand in; and how long one of them takes. */
export function StepSheet({ view, works, replan, onClose }: Props) {
  const { waits } = useStoreSelector(planRecordOf);
  const ids = works.map((w) => w.id);
  const pinned = works.some((w) => w.pinned);
  const keptOut = waits
    .filter((w) => ids.includes(w.id))
    .flatMap(timesOf)
    .filter((t) => Date.parse(t.until) > view.nowMs);
  const first = works[0];
  const step = works.length === 1 && first ? view.stepOf(first.id) : null;
  const [ready, setReady] = useState(false);
  const painting = view.paintings.find((p) => p.painting.id === step?.paintingId)?.painting;
  const titleOf = (id: string): string =>
    view.paintings.find((p) => p.painting.id === id)?.painting.title ?? '';
  if (!first) return null;
  return (
    <Sheet name="Move it" onClose={onClose}>
      <View style={{ gap: space.m }}>
        <Heading>
          {`${dayWord(first.startMs, view.nowMs)}, ${hours(first.startMs, works.at(-1)!.endMs)}`}
        </Heading>
        {works.map((w) => (
          <Text key={w.id}>{`${view.nameOf(w.id)}, ${titleOf(w.project)}`}</Text>
        ))}
        <View style={{ flexDirection: 'row', gap: space.s }}>
          <Action title="Earlier" style={{ flex: 1 }} onPress={() => replan.move(works, -1)} />
          <Action title="Later" style={{ flex: 1 }} onPress={() => replan.move(works, 1)} />
        </View>
        <Tick
          title="Hold it there"
          checked={pinned}
          onPress={() => (pinned ? replan.unpin(ids) : replan.pin(works))}
        />
        <Action
          title="Not this week"
          onPress={() => {
            replan.notThatWeek(works);
            // They are elsewhere now: there is nothing left in the hand.
            onClose();
          }}
        />
        {keptOut.length > 0 ? (
          <Tick
            title={keptOutWords(keptOut, view.nowMs)}
            checked
            onPress={() => replan.letGo(ids)}
          />
        ) : null}
        {step && painting && step.coat.onto !== 'wet' ? (
          <Action title="Ready by …" onPress={() => setReady(true)} />
        ) : null}
        {ready && step && painting ? (
          <ReadyBySheet
            painting={painting}
            coatId={step.coat.id}
            passageId={step.passageIds[0]!}
            coatName={step.coat.name}
            nowMs={view.nowMs}
            atMs={first.startMs}
            onClose={() => setReady(false)}
          />
        ) : null}
        <Problem says={replan.refusal} />
        {step ? (
          <Effort
            key={step.id}
            paintingId={step.paintingId}
            coatId={step.coat.id}
            minutes={step.minutes}
          />
        ) : null}
        <Action title="Done" kind="primary" onPress={onClose} />
      </View>
    </Sheet>
  );
}

function Effort({
  paintingId,
  coatId,
  minutes,
}: {
  paintingId: string;
  coatId: string;
  minutes: number;
}) {
  const dispatch = useStoreDispatch();
  const painting = usePainting(paintingId);
  const coat = painting?.coats.find((c) => c.id === coatId);
  const set = (what: string, change: Partial<NonNullable<typeof coat>>) =>
    dispatch(
      changePainting(paintingId, what, (p, making) => {
        const now = p.coats.find((c) => c.id === coatId);
        return now ? changeCoat(p, { ...now, ...change }, false, making) : p;
      }),
    );
  const text = useNumberText(minutes, (value) => {
    if (!(value >= 5 && value <= 6000)) return 'Between 5 minutes and 100 hours.';
    set(`${coat?.name ?? 'A coat'} takes ${value} min`, { minutes: value });
    return null;
  });
  if (!coat) return null;
  return (
    <View style={{ gap: space.s }}>
      <Stepper label="How long it takes in all" unit="min" step={15} min={5} max={6000} {...text} />
      {coat.onto === 'wet' ? null : (
        <Choice
          label="It is done"
          options={[
            { key: 'once', name: 'in one sitting' },
            { key: 'parts', name: 'in parts' },
          ]}
          value={mayBeParted(coat) ? 'parts' : 'once'}
          onChange={(key) => set('Changed how a coat is worked', { oneSitting: key === 'once' })}
        />
      )}
      {coat.passageIds.length > 1 ? (
        <Tick
          title="Its passages one by one"
          checked={coat.apart ?? false}
          onPress={() => set('Changed how a coat is worked', { apart: !coat.apart })}
        />
      ) : null}
      {makesEdges(coat) ? (
        <Text size="small" tone="ink2">
          Its edges are made as the painting&apos;s dates and waits say.
        </Text>
      ) : null}
    </View>
  );
}
