import { View } from 'react-native';
import { botherSchema, type Painting } from '@/core/painting/schema';
import { gatesOf, noteBother, openBothers, settleBother } from '@/core/painting/notes-of';
import { useText } from '@/forms/useText';
import { PhotoStrip } from '@/features/session/PhotoPart';
import { timer, useSessions } from '@/features/session/useSession';
import { minutesByPainting } from '@/core/session';
import { changePainting } from '@/store/actions';
import { useNow, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { space } from '@/ui/tokens';
import { GateTick } from './GateTick';

/** What still bothers, the gates of the stages, hours and photos: what is kept beside the film. */
export function Bothers({ painting }: { painting: Painting }) {
  const dispatch = useStoreDispatch();
  const nowMs = useNow();
  const sessions = useSessions();
  const photos = sessions.flatMap((s) => s.photos.filter((p) => p.paintingId === painting.id));
  const minutes = minutesByPainting(sessions, nowMs)[painting.id] ?? 0;
  const gates = gatesOf(painting);
  return (
    <View style={{ gap: space.s, marginTop: space.xl }}>
      <Heading>What still bothers</Heading>
      {openBothers(painting).map((b) => (
        <Tick
          key={b.id}
          title={b.text}
          checked={false}
          onPress={() =>
            dispatch(
              changePainting(painting.id, 'Settled what bothered', (p, m) =>
                settleBother(p, b.id, true, m),
              ),
            )
          }
        />
      ))}
      <AddBother painting={painting} />
      {gates.length > 0 ? <Heading>Before a stage closes</Heading> : null}
      {gates.map((gate) => (
        <GateTick key={gate.id} painting={painting} gate={gate} />
      ))}
      {minutes > 0 ? <Text tone="ink2">{`${timer(minutes)} h at the easel so far`}</Text> : null}
      <PhotoStrip photos={photos} />
    </View>
  );
}

function AddBother({ painting }: { painting: Painting }) {
  const dispatch = useStoreDispatch();
  const bother = useText(`bother:${painting.id}`, botherSchema.shape.text);
  const add = () => {
    const text = bother.accepted();
    if (text === null) return;
    dispatch(
      changePainting(painting.id, 'Noted what bothers', (p, m) => noteBother(p, text, null, m)),
    );
    bother.done();
  };
  return (
    <View style={{ flexDirection: 'row', gap: space.s, alignItems: 'flex-end' }}>
      <View style={{ flex: 1 }}>
        <Field
          label="Something that bothers"
          value={bother.text}
          onChangeText={bother.set}
          error={bother.error}
        />
      </View>
      <Action title="Note it" onPress={add} style={{ marginBottom: space.m }} />
    </View>
  );
}
