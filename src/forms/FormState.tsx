import { useState } from 'react';
import { View } from 'react-native';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { dayAndTime } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import type { Form } from './useForm';

/** What there is to say of a form as a whole: taken up again, changed by another hand; and the ways back. */
export function FormState<T extends object>({ form }: { form: Form<T> }) {
  const [asking, setAsking] = useState(false);
  if (!form.dirty) return null;
  const resumed = form.resumedAt
    ? `Taken up as you left it on ${dayAndTime(Date.parse(form.resumedAt))}; nothing of it is kept yet.`
    : 'Not kept yet. It stays here if you leave.';
  return (
    <View>
      {form.changedElsewhere.length > 0 ? (
        <Notice>
          This was changed elsewhere meanwhile. Only what you touch here will be written.
        </Notice>
      ) : null}
      <Notice
        action={
          <View style={{ flexDirection: 'row', gap: space.s, flexWrap: 'wrap' }}>
            {form.undo ? <Action title="Back one step" kind="quiet" onPress={form.undo} /> : null}
            <Action title="Throw away" kind="quiet" onPress={() => setAsking(true)} />
          </View>
        }
      >
        {resumed}
      </Notice>
      {asking ? (
        <Sheet name="Throw away what you typed?" onClose={() => setAsking(false)}>
          <View style={{ gap: space.m }}>
            <Heading>Throw away what you typed?</Heading>
            <Text>It goes back to how it was kept. This cannot be undone.</Text>
            <Action
              title="Throw away"
              kind="danger"
              onPress={() => {
                setAsking(false);
                form.throwAway();
              }}
            />
            <Action title="Go on with it" kind="quiet" onPress={() => setAsking(false)} />
          </View>
        </Sheet>
      ) : null}
    </View>
  );
}
