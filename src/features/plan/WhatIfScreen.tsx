import { degreesWords, type TemperatureUnit } from '@/features/units';
import { useTemperatureUnit } from '@/features/useTemperature';
import { useState } from 'react';
import { View } from 'react-native';
import type { WhatIf } from '@/core/schedule/what-if';
import type { Painting } from '@/core/painting/schema';
import { usePaintings, useStoreSelector } from '@/store/hooks';
import { StudioLink } from '@/features/frame/StudioLink';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Heading, Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import { WEEKDAYS } from './clock-text';
import { ComparedPlans } from './ComparedPlans';
import { PlanTabs } from './PlanTabs';
import { ChangeForm } from './WhatIfForms';
import { useWatchPlan } from './useWatchPlan';
import { useWhatIf } from './useWhatIf';

type Kind = WhatIf['kind'];
const KINDS: { key: Kind; name: string }[] = [
  { key: 'away', name: 'I am away' },
  { key: 'also', name: 'one more day a week' },
  { key: 'warmer', name: 'it is warmer' },
  { key: 'alkyd', name: 'alkyd medium' },
  { key: 'drop', name: 'a coat less' },
];

/** The plan as it is beside the plan as it might be. */
export function WhatIfScreen() {
  const unit = useTemperatureUnit();
  useWatchPlan();
  const whatIf = useWhatIf();
  const now = useStoreSelector((state) => state.planned.plan);
  const [kind, setKind] = useState<Kind>('away');
  const paintings = usePaintings();
  const add = (change: WhatIf) => whatIf.set([...whatIf.changes, change]);
  return (
    <Screen title="Plan" subtitle="What if …" maxWidth={900} aside={<StudioLink />}>
      <PlanTabs />
      <Choice label="What if" options={KINDS} value={kind} onChange={setKind} />
      <ChangeForm key={kind} kind={kind} onAdd={add} />
      {whatIf.changes.length > 0 ? (
        <View style={{ gap: space.m, marginTop: space.xl }}>
          <Heading>{whatIf.changes.map((c) => words(c, unit, paintings)).join('; ')}</Heading>
          {whatIf.problem ? <Notice tone="refusal">{whatIf.problem}</Notice> : null}
          {now && whatIf.other ? (
            <ComparedPlans now={now} other={whatIf.other} />
          ) : (
            <Text tone="ink2">{`Planning it … ${Math.round((whatIf.progress ?? 0) * 100)} %`}</Text>
          )}
          <View style={{ flexDirection: 'row', gap: space.m }}>
            <Action
              title="Keep this plan"
              kind="primary"
              style={{ flex: 1 }}
              disabled={!whatIf.other}
              onPress={whatIf.keep}
            />
            <Action title="Leave it as it is" style={{ flex: 1 }} onPress={() => whatIf.set([])} />
          </View>
          {whatIf.changes.some((c) => c.kind === 'warmer') ? (
            <Text size="small" tone="ink2">
              Kept, the temperature you state under Climate changes; readings of a logger, where
              they are followed, go on saying what they say.
            </Text>
          ) : null}
        </View>
      ) : null}
    </Screen>
  );
}

function words(change: WhatIf, unit: TemperatureUnit, paintings: Painting[]): string {
  switch (change.kind) {
    case 'away':
      return `away ${dayMonthYear(Date.parse(`${change.exception.from}T12:00:00`))} to ${dayMonthYear(Date.parse(`${change.exception.to}T12:00:00`))}`;
    case 'also':
      return `${WEEKDAYS[change.weekday]} as well`;
    case 'warmer':
      return `${degreesWords(Math.abs(change.byC), unit)} ${change.byC < 0 ? 'colder' : 'warmer'}`;
    case 'alkyd':
      return 'alkyd medium in what is still to be laid';
    case 'drop':
      return leftOut(change, paintings);
  }
}

/** "without Cool glaze on the pitcher" */
function leftOut(change: Extract<WhatIf, { kind: 'drop' }>, paintings: Painting[]): string {
  const painting = paintings.find((p) => p.id === change.paintingId);
  const coat = painting?.coats.find((c) => c.id === change.coatId);
  const passages = painting?.passages.filter((p) => change.passageIds?.includes(p.id)) ?? [];
  const where = passages.length > 0 ? ` on ${passages.map((p) => p.name).join(', ')}` : '';
  return coat ? `without ${coat.name}${where}` : 'a coat less';
}
