import { useState } from 'react';
import { View } from 'react-native';
import type { StudioPlan } from '@/core/schedule/studio-plan';
import type { WhatIf } from '@/core/schedule/what-if';
import { degreesWords, type TemperatureUnit } from '@/features/units';
import { useTemperatureUnit } from '@/features/useTemperature';
import { usePaintings, useStoreSelector } from '@/store/hooks';
import { hoursSchema } from '@/core/plan-record/schema';
import { useForm } from '@/forms';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { AwayForm, EXTRA_HOURS } from './AwayForm';
import { WEEKDAYS } from './clock-text';
import { HoursFields } from './HoursFields';

const degreesIn = (unit: TemperatureUnit) => [
  ...[2, 4, 6].map((by) => ({ key: String(by), name: degreesWords(by, unit) })),
  { key: '-4', name: `${degreesWords(4, unit)} colder` },
];

/** What is asked of each kind of change. */
export function ChangeForm({
  kind,
  onAdd,
}: {
  kind: WhatIf['kind'];
  onAdd: (change: WhatIf) => void;
}) {
  if (kind === 'away')
    return (
      <AwayForm
        title="Try it"
        kinds={['away']}
        onDone={(exception) => onAdd({ kind: 'away', exception })}
      />
    );
  if (kind === 'also') return <AlsoForm onAdd={onAdd} />;
  if (kind === 'warmer') return <WarmerForm onAdd={onAdd} />;
  return <PaintingForm kind={kind} onAdd={onAdd} />;
}

function AlsoForm({ onAdd }: { onAdd: (change: WhatIf) => void }) {
  const [day, setDay] = useState('5');
  const form = useForm({ key: 'what-if:also', schema: hoursSchema, document: EXTRA_HOURS });
  return (
    <View style={{ gap: space.s }}>
      <Choice
        label="On"
        options={WEEKDAYS.map((name, i) => ({ key: String(i), name }))}
        value={day}
        onChange={setDay}
      />
      <View style={{ flexDirection: 'row', gap: space.m }}>
        <HoursFields
          day={WEEKDAYS[Number(day)]!}
          from={form.number('from', 'clock')}
          to={form.number('to', 'clock')}
          error={form.problem('')}
        />
      </View>
      <Action
        title="Try it"
        onPress={() => {
          if (form.keep((hours) => onAdd({ kind: 'also', weekday: Number(day), hours })))
            form.restart();
        }}
      />
    </View>
  );
}

function WarmerForm({ onAdd }: { onAdd: (change: WhatIf) => void }) {
  const unit = useTemperatureUnit();
  const [by, setBy] = useState('4');
  return (
    <View style={{ gap: space.s }}>
      <Choice label="By" options={degreesIn(unit)} value={by} onChange={setBy} />
      <Action title="Try it" onPress={() => onAdd({ kind: 'warmer', byC: Number(by) })} />
    </View>
  );
}

function PaintingForm({
  kind,
  onAdd,
}: {
  kind: 'alkyd' | 'drop';
  onAdd: (change: WhatIf) => void;
}) {
  const paintings = usePaintings();
  const steps = useStoreSelector((state) => state.planned.plan?.steps ?? NO_STEPS);
  const [id, setId] = useState(paintings[0]?.id ?? '');
  const own = steps.filter((s) => s.paintingId === id);
  const [coatId, setCoatId] = useState<string | null>(null);
  const coat = own.find((s) => s.coat.id === coatId)?.coat.id ?? own.at(-1)?.coat.id ?? null;
  const passages = paintings.find((p) => p.id === id)?.passages ?? [];
  const options = [...new Map(own.map((s) => [s.coat.id, s])).values()].map((s) => ({
    key: s.coat.id,
    name: `${s.coat.name}${
      s.passageIds.length < passages.length
        ? `: ${passages
            .filter((p) => s.passageIds.includes(p.id))
            .map((p) => p.name)
            .join(', ')}`
        : ''
    }`,
  }));
  return (
    <View style={{ gap: space.s }}>
      <Choice
        label="In"
        options={paintings.map((p) => ({ key: p.id, name: p.title }))}
        value={id}
        onChange={setId}
      />
      {kind === 'drop' ? (
        <Choice label="Without" options={options} value={coat} onChange={setCoatId} />
      ) : (
        <Text size="small" tone="ink2">
          In the place of the medium of every coat still to be laid. Alkyd mediums hold solvent:
          keep the room aired and heed the safety data sheet.
        </Text>
      )}
      <Action
        title="Try it"
        disabled={id === '' || (kind === 'drop' && coat === null)}
        onPress={() =>
          kind === 'alkyd'
            ? onAdd({ kind, paintingId: id })
            : coat !== null && onAdd({ kind, paintingId: id, coatId: coat })
        }
      />
    </View>
  );
}
const NO_STEPS: StudioPlan['steps'] = [];
