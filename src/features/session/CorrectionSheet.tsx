import { useState } from 'react';
import { View } from 'react-native';
import { assessAt, stackAt, topAt, type Painting } from '@/core/painting';
import { correctionCoat, type AddedCorrection } from '@/core/painting/corrections';
import { overWhatIsLaid } from '@/core/painting/coats';
import { recordNewCoat } from '@/core/painting/record';
import { stops } from '@/core/rules';
import { FindingNotices } from '@/features/findings/FindingNotices';
import { useRecord } from '@/features/record/useRecord';
import { LiftWarning } from '@/features/record/LayDialog';
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
  const judged = Number.isNaN(atMs) || on.length === 0 ? null : judge();
  function judge() {
    const was = assessAt(
      { ...painting, coats: overWhatIsLaid(painting, coat) },
      atMs,
      coat.id,
      options,
    );
    const findings = on.flatMap(
      (id) =>
        stackAt(was, id, null)?.layers.find((l) => l.film.coatIds.includes(coat.id))?.findings ??
        [],
    );
    return {
      tops: on.map((id) => topAt(was, id, null)),
      findings: findings.filter(
        (f, i) => f.severity !== 'note' && findings.findIndex((g) => g.rule === f.rule) === i,
      ),
    };
  }
  const make = () => {
    let kept = false;
    oneStep(coat.name, () => {
      let id = '';
      kept = record(painting.id, coat.name, (p, o, making) => {
        id = making.newId();
        return recordNewCoat(p, { ...coat, id }, at, o, making);
      });
      if (kept)
        note({ paintingId: painting.id, passageIds: on, coatId: id, name: coat.name, done: true });
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
        {judged ? (
          <>
            <LiftWarning tops={judged.tops} coat={coat} atMs={atMs} nowMs={presentMs()} />
            <FindingNotices findings={judged.findings} nowMs={presentMs()} />
          </>
        ) : null}
        {refusal ? <Notice tone="refusal">{refusal.message}</Notice> : null}
        <Action
          title="Note it"
          kind="primary"
          disabled={on.length === 0 || (judged?.findings.some(stops) ?? false)}
          onPress={make}
        />
        <Action title="Cancel" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}
