import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { type PaintingEvent } from '@/core/painting';
import { entryWords } from '@/features/record/entry-words';
import { EntrySheet } from '@/features/record/EntrySheet';
import { Heading, Text } from '@/ui/Text';
import { shortTime } from '@/ui/time/words';
import { colour, space, TARGET } from '@/ui/tokens';
import type { SectionView } from './useSectionView';

/** What was done on this passage, newest first; an entry is opened to correct it or take it back. */
export function History({ view }: { view: SectionView }) {
  const { painting, passage, nowMs } = view;
  const [openId, setOpen] = useState<string | null>(null);
  const here = painting.events.filter((e) =>
    e.kind === 'laid'
      ? e.passageIds.includes(passage.passage.id)
      : e.passageId === passage.passage.id,
  );
  if (here.length === 0) return null;
  const newestFirst = [...here].sort((a, b) => Date.parse(b.at) - Date.parse(a.at));
  const open: PaintingEvent | undefined = here.find((e) => e.id === openId);
  return (
    <View style={{ marginTop: space.xl }}>
      <Heading size="body">What was done here</Heading>
      {newestFirst.map((event) => (
        <Pressable
          key={event.id}
          accessibilityRole="button"
          aria-label={`${entryWords(event)}, ${shortTime(Date.parse(event.at), nowMs)}: correct`}
          onPress={() => setOpen(event.id)}
          style={{
            flexDirection: 'row',
            alignItems: 'center',
            gap: space.s,
            minHeight: TARGET,
            paddingVertical: space.xs,
            borderBottomWidth: 1,
            borderBottomColor: colour.rule,
          }}
        >
          <Text size="small" tone="ink2" style={{ width: 84 }}>
            {shortTime(Date.parse(event.at), nowMs)}
          </Text>
          <Text size="small" style={{ flex: 1 }}>
            {entryWords(event)}
          </Text>
          <Text size="small" tone="tawny">
            Correct
          </Text>
        </Pressable>
      ))}
      {open ? (
        <EntrySheet painting={painting} event={open} nowMs={nowMs} onClose={() => setOpen(null)} />
      ) : null}
    </View>
  );
}
