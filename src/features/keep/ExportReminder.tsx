import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { readLastFile, type LastFile } from '@/store/exchange';
import { useNow, useStoreSelector } from '@/store/hooks';
import { browserStorage } from '@/store/storage';
import type { Store } from '@/store/store';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { space } from '@/ui/tokens';
import { entriesSince, exportWords } from './store-state';
import { useExport } from './useExport';

/** Put off by the painter: for this visit. */
let later = false;

/** Below what can be worked: that a file is overdue, in days and entries. */
export function ExportReminder() {
  const store = useStore() as Store;
  const now = useNow();
  const exporting = useExport();
  const [asked, setAsked] = useState(0);
  const [found, setFound] = useState<{ last: LastFile | null } | null>(null);
  // Told anew when something was kept.
  useStoreSelector((state) => state.saving.phase);
  useEffect(() => {
    let gone = false;
    void readLastFile(browserStorage()).then((last) => gone || setFound({ last }));
    return () => {
      gone = true;
    };
  }, [asked]);
  if (!found || later) return null;
  const { words, overdue } = exportWords(
    found.last,
    entriesSince(store.getState(), found.last),
    now,
  );
  if (!overdue) return null;
  return (
    <Notice
      action={
        <View style={{ flexDirection: 'row', gap: space.m, flexWrap: 'wrap' }}>
          <Action
            title="Export the studio"
            onPress={() => void exporting.save().then(() => setAsked(asked + 1))}
          />
          <Action
            title="Not now"
            kind="quiet"
            onPress={() => {
              later = true;
              setAsked(asked + 1);
            }}
          />
        </View>
      }
    >
      {exporting.failure ?? exporting.progress ?? words}
    </Notice>
  );
}
