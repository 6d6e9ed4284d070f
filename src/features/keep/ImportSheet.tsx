import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { Met } from '@/core/formats/bring-in';
import type { Preference } from '@/store/bring-in';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { space } from '@/ui/tokens';
import { meetingLines } from './meeting-words';
import type { ImportFlow } from './useImport';

/** So many rows of a table that cannot be read are named. */
const LEFT_OUT_NAMED = 8;

/** What a file would do, before it does anything; and what is asked where both sides changed one thing. */
export function ImportSheet({ flow, met }: { flow: ImportFlow; met: Met[] }) {
  const [parted, setParted] = useState<Preference>('here');
  const settingsMet = met.find((m) => m.kind === 'studio')?.meeting ?? 'same';
  const [settings, setSettings] = useState(settingsMet === 'file-newer' || settingsMet === 'both');
  const lines = useMemo(() => meetingLines(met), [met]);
  const asks = met.some((m) => m.meeting === 'parted' && m.kind !== 'studio');
  const busy = flow.pictures !== null;
  return (
    <Sheet name="What the file brings" onClose={flow.cancel}>
      <View style={{ gap: space.m }}>
        <Heading>What the file brings</Heading>
        {lines.length === 0 ? <Text>Nothing that is not here already.</Text> : null}
        {lines.map((line) => (
          <Text key={line}>{line}</Text>
        ))}
        {(flow.asking?.leftOut ?? []).slice(0, LEFT_OUT_NAMED).map((line) => (
          <Text key={line} size="small" tone="brick">
            {line}
          </Text>
        ))}
        {asks ? (
          <Choice
            label="Where both changed one thing"
            stacked
            options={[
              { key: 'here', name: 'keep what is here' },
              { key: 'file', name: 'take what the file has' },
              { key: 'both', name: 'keep both', blurb: 'its paintings stand beside, as copies' },
            ]}
            value={parted}
            onChange={setParted}
          />
        ) : null}
        {settingsMet !== 'same' && settingsMet !== 'here-newer' ? (
          <Tick
            title="Its settings too"
            checked={settings}
            onPress={() => setSettings(!settings)}
          />
        ) : null}
        {busy ? (
          <View accessibilityLiveRegion="polite">
            <Text tone="ink2">{`${flow.pictures} photos kept so far`}</Text>
          </View>
        ) : null}
        {busy ? null : (
          <Action
            title="Take it in"
            kind="primary"
            onPress={() => void flow.take({ parted, settings })}
          />
        )}
        <Action title={busy ? 'Stop' : 'Cancel'} kind="quiet" onPress={flow.cancel} />
      </View>
    </Sheet>
  );
}
