import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { isLaid, type Painting, type PaintingEvent } from '@/core/painting';
import { correctEntry, implausible, recordWithout } from '@/core/painting/correct';
import type { Left } from '@/data/applications';
import { FINDINGS } from '@/data/learning';
import { useForm } from '@/forms';
import { nowIso } from '@/store/clock';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DateField } from '@/ui/DateField';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { correctionOf, entryFormOf, entryFormSchema } from './entry-form';
import { entryWords } from './entry-words';
import { knownParts, PartFields } from './PartFields';
import { useRecord } from './useRecord';

const LEFT_OPTIONS: { key: Left; name: string }[] = [
  { key: 'nothing', name: 'clean' },
  { key: 'trace', name: 'a trace' },
  { key: 'half', name: 'half left' },
];

/** One entry of the record, as it really was: when, how much, into the wet or not; or taken back. */
export function EntrySheet({
  painting,
  event,
  nowMs,
  onClose,
}: {
  painting: Painting;
  event: PaintingEvent;
  nowMs: number;
  onClose: () => void;
}) {
  const router = useRouter();
  const { record, refusal, setRefusal } = useRecord();
  const schema = useMemo(() => entryFormSchema(nowMs), [nowMs]);
  const document = useMemo(() => entryFormOf(event), [event]);
  const form = useForm({ key: `entry:${painting.id}:${event.id}`, schema, document });
  const { draft } = form;
  const [sure, setSure] = useState<string | null>(null);
  const words = entryWords(event);
  const doubt =
    form.value && form.value.at !== event.at
      ? implausible(painting, form.value.at, nowIso())
      : null;
  const keep = () => {
    const value = form.value;
    if (!value) return setRefusal({ where: '', message: form.issues[0]!.message });
    if (doubt !== null && sure !== value.at) return setSure(value.at);
    const kept = record(painting.id, `Corrected: ${words}`, (p, options, making) =>
      correctEntry(p, event.id, correctionOf(event, value), options, making),
    );
    if (!kept) return;
    form.keep(() => undefined);
    onClose();
  };
  const takeBack = () => {
    record(painting.id, `Took back: ${words}`, (p, options, making) =>
      recordWithout(p, event.id, options, making),
    );
    form.throwAway();
    onClose();
  };
  const coat =
    event.kind === 'laid' ? painting.coats.find((c) => c.id === event.coatId) : undefined;
  return (
    <Sheet name="Correct this entry" onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>{words}</Heading>
        <DateField label="Day and time" withTime {...form.moment('at')} />
        {event.kind === 'laid' && draft.intoWet !== null ? (
          <Choice
            label="What lay there"
            options={[
              { key: 'wet', name: 'wet: it went into it' },
              { key: 'set', name: 'it had set' },
            ]}
            value={draft.intoWet ? 'wet' : 'set'}
            onChange={(key) => form.put('intoWet', key === 'wet')}
          />
        ) : null}
        {event.kind === 'laid' ? (
          <PartFields
            spot={draft.spot}
            onChange={(spot) => form.put('spot', spot)}
            name={form.text('spot.name')}
            share={form.number('spot.share', 'percent')}
            known={knownParts(painting, event.passageIds)}
            rest={false}
          />
        ) : null}
        {event.kind === 'reduced' && event.how !== 'painted-out' ? (
          <Choice
            label="What was left"
            options={LEFT_OPTIONS}
            value={draft.left}
            onChange={(left) => form.put('left', left)}
          />
        ) : null}
        {event.kind === 'touched' ? (
          <Choice
            label="What the finger found"
            options={FINDINGS.map((key) => ({ key, name: key }))}
            value={draft.finding}
            onChange={(finding) => form.put('finding', finding)}
          />
        ) : null}
        {refusal ? <Notice tone="refusal">{refusal.message}</Notice> : null}
        {doubt !== null && sure === draft.at ? <Notice>{doubt}</Notice> : null}
        <Action
          title={doubt !== null && sure === draft.at ? 'Yes, it was then' : 'Keep the correction'}
          kind="primary"
          onPress={keep}
          disabled={!form.value}
        />
        {coat && coat.passageIds.some((id) => isLaid(painting, coat, id)) ? (
          <Action
            title="Correct its mix"
            onPress={() =>
              router.push({
                pathname: '/paintings/[id]/coats/[coatId]',
                params: { id: painting.id, coatId: coat.id, record: '1' },
              })
            }
          />
        ) : null}
        <Action title="Take it back" kind="danger" onPress={takeBack} />
        <Action
          title="Cancel"
          kind="quiet"
          onPress={() => {
            form.throwAway();
            onClose();
          }}
        />
      </View>
    </Sheet>
  );
}
