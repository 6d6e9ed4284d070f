import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { coverPalette, editSession, endSession, usesOil, type Session } from '@/core/session';
import { forgottenEndMs } from '@/core/session/one';
import { sessionSchema } from '@/core/session/schema';
import { useText } from '@/forms/useText';
import { changeSession } from '@/store/actions';
import { nowMs as presentMs } from '@/store/clock';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { sessionAddress } from '@/features/addresses';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading } from '@/ui/Text';
import { dayAndTime } from '@/ui/time/words';
import { Tick } from '@/ui/Tick';
import { space } from '@/ui/tokens';

/** End of a session: what was reached, brushes and palette, and the caution about rags and solvent. */
export function EndSheet({ session, onClose }: { session: Session; onClose: () => void }) {
  const router = useRouter();
  const dispatch = useStoreDispatch();
  const [reached, setReached] = useState<Session['reached']>(null);
  const note = useText(`end-note:${session.id}`, sessionSchema.shape.note, session.note);
  const [cover, setCover] = useState(true);
  const [forgottenMs] = useState(() => forgottenEndMs(session, presentMs()));
  const [ended, setEnded] = useState<'then' | 'now'>('then');
  const [brushes, setBrushes] = useState(false);
  const [rags, setRags] = useState(false);
  const paintings = useStoreSelector((s) => s.paintings.entities);
  const oily = usesOil(session, paintings);
  const mixes = session.palette.some((m) => m.goneAt === null && m.coveredAt === null);
  const end = () => {
    const words = note.accepted();
    if (words === null) return;
    dispatch(
      changeSession(session.id, 'Ended the session', (s, m) => {
        const at =
          forgottenMs !== null && ended === 'then' ? new Date(forgottenMs).toISOString() : m.now;
        const done = endSession(
          editSession(s, { reached, ...(note.touched ? { note: words } : {}) }),
          { now: at },
        );
        return cover && mixes ? coverPalette(done, m) : done;
      }),
    );
    note.done();
    router.replace(sessionAddress(session.id));
  };
  return (
    <Sheet name="End the session" onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>End the session</Heading>
        {forgottenMs !== null ? (
          <Choice
            label="Nothing was noted for hours. It ended"
            options={[
              { key: 'then', name: `about ${dayAndTime(forgottenMs)}` },
              { key: 'now', name: 'now' },
            ]}
            value={ended}
            onChange={setEnded}
          />
        ) : null}
        <Choice
          label={session.goal ? `Reached: ${session.goal}` : 'Reached what you meant to?'}
          options={[
            { key: 'yes', name: 'yes' },
            { key: 'partly', name: 'partly' },
            { key: 'no', name: 'no' },
          ]}
          value={reached}
          onChange={setReached}
        />
        <Tick title="Brushes cleaned" checked={brushes} onPress={() => setBrushes(!brushes)} />
        {mixes ? (
          <Tick
            title="Palette covered and put in the cool"
            checked={cover}
            onPress={() => setCover(!cover)}
          />
        ) : null}
        {oily ? (
          <>
            <Tick
              title="Rags, gloves and paper dealt with"
              checked={rags}
              onPress={() => setRags(!rags)}
            />
            <Notice>
              Oily rags, gloves, paper and scrapings can catch fire by themselves: dry them flat and
              unstacked outdoors, away from buildings, or keep them under water in a closed metal
              can.
            </Notice>
            <Notice>
              Lids on solvent, nothing down the drain, air the room. A faint smell says nothing
              about what is in the air. The safety data sheet and local rules govern.
            </Notice>
          </>
        ) : null}
        <Field label="Note" value={note.text} onChangeText={note.set} error={note.error} />
        <Action title="End it" kind="primary" onPress={end} />
        <Action title="Go on painting" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}
