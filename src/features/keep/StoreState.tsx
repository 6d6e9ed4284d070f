import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { readLastFile, type LastFile } from '@/store/exchange';
import { useNow, useStoreSelector } from '@/store/hooks';
import { browserRoom } from '@/store/keep/browser';
import type { Room } from '@/store/keep/failure';
import { browserStorage } from '@/store/storage';
import type { Store } from '@/store/store';
import { Notice } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { entriesSince, exportWords, roomWords } from './store-state';

interface Known {
  last: LastFile | null;
  persistent: boolean | null;
  room: Room | null;
}

async function known(): Promise<Known> {
  const [last, room, persistent] = await Promise.all([
    readLastFile(browserStorage()),
    browserRoom().catch(() => null),
    'storage' in navigator && 'persisted' in navigator.storage
      ? navigator.storage.persisted().catch(() => null)
      : null,
  ]);
  return { last, room, persistent };
}

/** How safe what is kept here is: the browser's store, and the last file. @param asked another number asks anew */
export function StoreState({ asked }: { asked: number }) {
  const store = useStore() as Store;
  const [found, setFound] = useState<Known | null>(null);
  const phase = useStoreSelector((state) => state.saving.phase);
  const now = useNow();
  useEffect(() => {
    let gone = false;
    known().then(
      (all) => gone || setFound(all),
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, [asked, phase]);
  if (!found) return null;
  const { words, overdue } = exportWords(
    found.last,
    entriesSince(store.getState(), found.last),
    now,
  );
  return (
    <View style={{ gap: space.xs }}>
      {overdue ? <Notice tone="refusal">{words}</Notice> : <Text tone="ink2">{words}</Text>}
      <Text size="small" tone="ink2">
        {roomWords(found.persistent, found.room)}
      </Text>
    </View>
  );
}
