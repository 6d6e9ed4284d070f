import { useState } from 'react';
import { View } from 'react-native';
import type { Painting } from '@/core/painting';
import { correctionCoat, type AddedCorrection } from '@/core/painting/corrections';
import { recordNewCoat } from '@/core/painting/record-new';
import { toldLaying } from '@/core/tell/laying';
import { JudgedNotices } from '@/features/record/JudgedNotices';
import { useRecord } from '@/features/record/useRecord';
import type { WhenValue } from '@/features/record/laying-form';
import { WhenChoice, whenIso, whenNow } from '@/features/record/WhenChoice';
import { nowMs as presentMs } from '@/store/clock';
import { Action } from '@/ui/Action';
import { Choice, ManyChoice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading } from '@/ui/Text';
import { space } from '@/ui/tokens';

const KINDS: { key: AddedCorrection; name: string }[] = [
  { key: 'redrawn', name: 'redrawn' },
  { key: 'oiled-out', name: 'oiled out' },
];

/** A passage drawn again or oiled out: a coat like any other, and judged like one before it is noted. */
export function CorrectionSheet({
  painting,
  passageIds,
  onClose,
}: {
  painting: Painting;
  passageIds: string[];
  onClose: () => void;
}) {
  const { record, note, oneStep, refusal, options } = useRecord();
  const [kind, setKind] = useState<AddedCorrection>('oiled-out');
  const [on, setOn] = useState(passageIds.length === 1 ? passageIds : []);
  const [when, setWhen] = useState<WhenValue>(() => whenNow(presentMs()));
  const [openedMs] = useState(presentMs);
  const at = whenIso(when, when.when === 'now' ? presentMs() : openedMs);
  const atMs = Date.parse(whenIso(when, openedMs));
  const coat = correctionCoat(kind, 'correction', on);
  const told =
    Number.isNaN(atMs) || on.length === 0
      ? null
      : toldLaying(painting, { coat, passageIds: on, spot: null, atMs }, options);
  const make = () => {
    let kept = false;
    oneStep(coat.name, () => {
      let id = '';
      kept = record(painting.id, coat.name, (p, o, making) => {
        id = making.newId();
        return recordNewCoat(p, { ...coat, id }, at, o, making);
      });
      if (kept)
        note(
          { paintingId: painting.id, passageIds: on, coatId: id, name: coat.name, done: true },
          at,
        );
    });
    if (!kept) return;
    onClose();
  };
  return (
    <Sheet name="Redrawn, oiled out" onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>Redrawn, oiled out</Heading>
        <Choice label="It was" options={KINDS} value={kind} onChange={setKind} />
        <ManyChoice
          label="On"
          options={painting.passages.map((p) => ({ key: p.id, name: p.name }))}
          values={on}
          onChange={setOn}
        />
        <WhenChoice value={when} onChange={setWhen} />
        {told ? <JudgedNotices told={told} name={coat.name} nowMs={openedMs} /> : null}
        {refusal ? <Notice tone="refusal">{refusal.message}</Notice> : null}
        <Action
          title="Note it"
          kind="primary"
          disabled={told === null || told.refused}
          onPress={make}
        />
        <Action title="Cancel" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}
