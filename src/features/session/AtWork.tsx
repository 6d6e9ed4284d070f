import { useState } from 'react';
import { View } from 'react-native';
import { GATES } from '@/data/gates';
import { GateTick } from '@/features/painting/GateTick';
import { unlaidPassages, type Painting } from '@/core/painting';
import { reworkOf } from '@/core/painting/notes-of';
import type { Session, Work } from '@/core/session';
import { JudgedNotices } from '@/features/record/JudgedNotices';
import { DabSheet } from '@/features/record/DabSheet';
import { RemovalSheet } from '@/features/record/RemovalSheet';
import { useGesture } from '@/features/record/useGesture';
import { useToldLaying } from '@/features/record/useToldLaying';
import { useNow, usePainting } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Problem } from '@/ui/Says';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { CorrectionSheet } from './CorrectionSheet';

/** Corrections, gates and rework of what is in hand, and what is to be said of it at this moment. */
export function AtWork({ session, work }: { session: Session; work: Work }) {
  const painting = usePainting(work.paintingId);
  const nowMs = useNow();
  const [doing, setDoing] = useState<'take-off' | 'dab' | 'other' | null>(null);
  const gesture = useGesture(work.paintingId, session.startedAt);
  if (!painting) return null;
  const coat = painting.coats.find((c) => c.id === work.coatId) ?? null;
  const waiting = coat
    ? unlaidPassages(painting, coat).filter((id) => work.passageIds.includes(id))
    : [];
  const close = () => setDoing(null);
  return (
    <View style={{ gap: space.xs }}>
      <Heading>{`At work on ${painting.title}`}</Heading>
      {coat && waiting.length > 0 ? (
        <Moment painting={painting} work={work} waiting={waiting} />
      ) : null}
      <Gates painting={painting} coatId={work.coatId} />
      {work.passageIds.map((id) => {
        const { planned, laid, reworked } = reworkOf(painting, id);
        const name = painting.passages.find((p) => p.id === id)?.name;
        const more = laid - planned;
        return reworked > 0 || more > 0 ? (
          <Text key={id} size="small" tone="ink2">
            {[
              `${name}:`,
              more > 0
                ? `${more} ${more === 1 ? 'coat' : 'coats'} more than the method lays out`
                : '',
              more > 0 && reworked > 0 ? 'and' : '',
              reworked > 0 ? `reworked ${reworked} ${reworked === 1 ? 'time' : 'times'}` : '',
            ]
              .filter(Boolean)
              .join(' ')}
          </Text>
        ) : null;
      })}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Action title="Wiped, scraped, painted out" onPress={() => setDoing('take-off')} />
        <Action title="A dab" onPress={() => setDoing('dab')} />
        {gesture.last ? (
          <Action title={`Same again: ${gesture.last}`} onPress={gesture.repeat} />
        ) : null}
        <Action title="Redrawn, oiled out" kind="quiet" onPress={() => setDoing('other')} />
      </View>
      <Problem says={gesture.refusal?.message} />
      {doing === 'take-off' ? (
        <RemovalSheet
          painting={painting}
          passageIds={
            work.passageIds.length > 0 ? work.passageIds : painting.passages.map((p) => p.id)
          }
          inHand={
            coat && waiting.length > 0
              ? { coatId: coat.id, name: coat.name, passageIds: waiting }
              : null
          }
          nowMs={nowMs}
          onClose={close}
        />
      ) : null}
      {doing === 'dab' ? (
        <DabSheet painting={painting} inHand={coat} passageIds={work.passageIds} onClose={close} />
      ) : null}
      {doing === 'other' ? (
        <CorrectionSheet painting={painting} passageIds={work.passageIds} onClose={close} />
      ) : null}
    </View>
  );
}

/** A coat can be worked on unready paint; what that does is said at that moment. */
function Moment({
  painting,
  work,
  waiting,
}: {
  painting: Painting;
  work: Work;
  waiting: string[];
}) {
  const nowMs = useNow();
  const coat = painting.coats.find((c) => c.id === work.coatId)!;
  const told = useToldLaying(painting, coat, waiting, coat.spot, nowMs);
  return <JudgedNotices told={told} name={coat.name} nowMs={nowMs} />;
}

function Gates({ painting, coatId }: { painting: Painting; coatId: string | null }) {
  const role = painting.coats.find((c) => c.id === coatId)?.role;
  return GATES.filter((g) => g.role === role).map((gate) => (
    <GateTick key={gate.id} painting={painting} gate={gate} />
  ));
}
