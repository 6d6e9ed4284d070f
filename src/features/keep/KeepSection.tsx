import { useState } from 'react';
import { View } from 'react-native';
import { useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { StoreState } from './StoreState';
import { ImportSheet } from './ImportSheet';
import { useExport } from './useExport';
import { useImport } from './useImport';

/** Export and import: nothing is lost with the browser. */
export function KeepSection() {
  const flow = useImport();
  const exporting = useExport();
  const [asked, setAsked] = useState(0);
  const empty = useStoreSelector(
    (state) => state.paintings.ids.length === 0 && state.sessions.ids.length === 0,
  );
  return (
    <View style={{ gap: space.m }}>
      <Heading>Keep it</Heading>
      <Text tone="ink2">
        Everything stays in this browser, on this machine. A file is the copy that survives both,
        and carries the studio from the phone to the desk and back.
      </Text>
      <StoreState asked={asked} />
      <Action
        title="Export the studio"
        onPress={() => void exporting.save().then(() => setAsked((n) => n + 1))}
        disabled={empty}
      />
      <Action title="Import a file" onPress={() => void flow.choose()} />
      <View accessibilityLiveRegion="polite" style={{ gap: space.s }}>
        {exporting.progress ? <Text tone="ink2">{exporting.progress}</Text> : null}
        {exporting.progress ? <Action title="Stop" kind="quiet" onPress={exporting.stop} /> : null}
        {exporting.failure ? <Notice tone="refusal">{exporting.failure}</Notice> : null}
        {flow.refusal ? (
          <Notice tone="refusal">{`Nothing was changed. ${flow.refusal}`}</Notice>
        ) : null}
        {flow.done ? <Notice>{flow.done}</Notice> : null}
      </View>
      {flow.asking ? <ImportSheet flow={flow} met={flow.asking.met} /> : null}
    </View>
  );
}
