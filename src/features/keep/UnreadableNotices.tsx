import { useState } from 'react';
import { View } from 'react-native';
import { useKeeper } from '@/features/frame/KeeperContext';
import { nameOfKey } from '@/store/keep/documents';
import { useStoreSelector } from '@/store/hooks';
import type { Unreadable } from '@/store/saving';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { saveFile } from './files';

/** Documents in the store that cannot be read: named, set aside with their bytes, to be saved or thrown away. */
export function UnreadableNotices() {
  const unreadable = useStoreSelector((state) => state.saving.unreadable);
  const [asked, setAsked] = useState<Unreadable | null>(null);
  return (
    <>
      {unreadable.map((document) => {
        const { key, aside, message, raw } = document;
        const later = key === aside;
        return (
          <Notice
            key={aside}
            tone="refusal"
            action={
              <View style={{ flexDirection: 'row', gap: space.m, flexWrap: 'wrap' }}>
                <Action
                  title="Save it as a file"
                  onPress={() => saveFile(`${key.replace(/\W+/g, '-')}.json`, raw)}
                />
                {later ? null : <Action title="Throw it away" onPress={() => setAsked(document)} />}
              </View>
            }
          >
            {`${later ? 'Left as it is' : 'Set aside'}: ${nameOfKey(key)} (${key}) that cannot be opened. ${message} Everything else is kept as ever${later ? '' : '; a file that holds it can be imported in its place'}.`}
          </Notice>
        );
      })}
      {asked ? <ThrowAway document={asked} onDone={() => setAsked(null)} /> : null}
    </>
  );
}

function ThrowAway({ document, onDone }: { document: Unreadable; onDone: () => void }) {
  const keeper = useKeeper();
  const [failure, setFailure] = useState<string | null>(null);
  const throwAway = () =>
    keeper
      .discard(document.aside)
      .then(onDone, () => setFailure('The browser does not answer. It is still there.'));
  return (
    <Sheet name="Throw it away?" onClose={onDone}>
      <View style={{ gap: space.m }}>
        <Heading>Throw it away?</Heading>
        <Text>
          {`${document.raw.length} letters of ${nameOfKey(document.key)} go for good. Save them as a file first if in doubt.`}
        </Text>
        {failure ? <Notice tone="refusal">{failure}</Notice> : null}
        <Action title="Throw it away" onPress={() => void throwAway()} />
        <Action title="Keep it" kind="quiet" onPress={onDone} />
      </View>
    </Sheet>
  );
}
