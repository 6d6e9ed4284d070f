import { useState } from 'react';
import { View } from 'react-native';
import { CoreError } from '@/core/errors';
import { reduceFilm } from '@/core/painting/events';
import { type HowReduced, type Painting } from '@/core/painting';
import { correctPassage, type AddedCorrection } from '@/core/painting/corrections';
import { changePainting } from '@/store/actions';
import { nowIso } from '@/store/clock';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading } from '@/ui/Text';
import { space } from '@/ui/tokens';

type Kind = Exclude<HowReduced, 'sanded'> | AddedCorrection;
const KINDS: { key: Kind; name: string }[] = [
  { key: 'wiped', name: 'wiped back' },
  { key: 'scraped', name: 'scraped down' },
  { key: 'painted-out', name: 'painted out' },
  { key: 'redrawn', name: 'redrawn' },
  { key: 'oiled-out', name: 'oiled out' },
];
const isAdded = (kind: Kind): kind is AddedCorrection => kind === 'redrawn' || kind === 'oiled-out';

/** A correction as painters make them; each changes the film. */
export function CorrectionSheet({
  painting,
  passageIds,
  onClose,
}: {
  painting: Painting;
  passageIds: string[];
  onClose: () => void;
}) {
  const dispatch = useStoreDispatch();
  const [passageId, setPassageId] = useState(passageIds[0] ?? painting.passages[0]!.id);
  const [left, setLeft] = useState<'all' | 'half' | 'trace'>('half');
  const [refusal, setRefusal] = useState<string | null>(null);
  const make = (kind: Kind) => {
    try {
      dispatch(
        changePainting(
          painting.id,
          `${KINDS.find((k) => k.key === kind)!.name}: ${painting.passages.find((p) => p.id === passageId)?.name ?? ''}`,
          (p, making) =>
            isAdded(kind)
              ? correctPassage(p, kind, passageId, nowIso(), making)
              : reduceFilm(
                  p,
                  {
                    passageId,
                    spotName: null,
                    at: nowIso(),
                    how: kind,
                    left: kind === 'painted-out' ? 'all' : left,
                  },
                  making,
                ),
        ),
      );
      onClose();
    } catch (error) {
      setRefusal(error instanceof CoreError ? error.message : String(error));
    }
  };
  return (
    <Sheet name="Correction" onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>Correction</Heading>
        <Choice
          label="Passage"
          options={painting.passages.map((p) => ({ key: p.id, name: p.name }))}
          value={passageId}
          onChange={setPassageId}
        />
        <Choice
          label="What is left when wiped or scraped"
          options={[
            { key: 'all', name: 'nearly all' },
            { key: 'half', name: 'half' },
            { key: 'trace', name: 'a trace' },
          ]}
          value={left}
          onChange={setLeft}
        />
        {refusal ? <Notice tone="refusal">{refusal}</Notice> : null}
        {KINDS.map((kind) => (
          <Action key={kind.key} title={kind.name} onPress={() => make(kind.key)} />
        ))}
        <Action title="Cancel" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}
