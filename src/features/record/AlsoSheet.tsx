import { useState } from 'react';
import { View } from 'react-native';
import { isLaid, type Coat, type Painting } from '@/core/painting';
import { layAlso } from '@/core/painting/record-new';
import { nowIso, nowMs as presentMs } from '@/store/clock';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { JudgedNotices } from './JudgedNotices';
import { useRecord } from './useRecord';
import { useToldLaying } from './useToldLaying';

/** The same coat, as it lies on one passage, laid on another. */
export function AlsoSheet({
  painting,
  coat,
  passageId,
  onClose,
}: {
  painting: Painting;
  coat: Coat;
  passageId: string;
  onClose: () => void;
}) {
  const { record, note, oneStep, refusal } = useRecord();
  const without = painting.passages.filter((p) => !isLaid(painting, coat, p.id));
  const after = painting.passages.findIndex((p) => p.id === passageId);
  const following = without.find((p) => painting.passages.indexOf(p) > after) ?? without[0];
  const [to, setTo] = useState(following?.id ?? null);
  const [openedMs] = useState(presentMs);
  const told = useToldLaying(painting, coat, to === null ? [] : [to], coat.spot, openedMs);
  const lay = () => {
    if (to === null) return;
    const name = painting.passages.find((p) => p.id === to)!.name;
    const what = `Laid ${coat.name.toLowerCase()} on ${name}`;
    let laid = false;
    oneStep(what, () => {
      laid = record(painting.id, what, (p, o, making) =>
        layAlso(p, coat.id, to, nowIso(), o, making),
      );
      if (laid)
        note({
          paintingId: painting.id,
          passageIds: [to],
          coatId: coat.id,
          name: coat.name,
          done: true,
        });
    });
    if (!laid) return;
    onClose();
  };
  return (
    <Sheet name="On another passage too" onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>{`${coat.name}, on another passage too`}</Heading>
        {without.length === 0 ? (
          <Text tone="ink2">It lies on every passage.</Text>
        ) : (
          <Choice
            label="On"
            options={without.map((p) => ({ key: p.id, name: p.name }))}
            value={to}
            onChange={setTo}
          />
        )}
        <JudgedNotices told={told} name={coat.name} nowMs={openedMs} />
        {refusal ? <Notice tone="refusal">{refusal.message}</Notice> : null}
        <Action
          title="Laid now"
          kind="primary"
          disabled={to === null || told.refused}
          onPress={lay}
        />
        <Action title="Cancel" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}
