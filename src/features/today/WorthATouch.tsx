import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { TodayGroup, TodayRow } from '@/core/today';
import { worthATouch } from '@/core/today/worth';
import { touchAddress } from '@/features/addresses';
import { useStoreSelector } from '@/store/hooks';
import { GoTo } from '@/ui/GoTo';
import { Heading, Text } from '@/ui/Text';
import { colour, space, TARGET } from '@/ui/tokens';

/** Films whose touch would teach most now. */
export function WorthATouch({
  rows,
  nowMs,
}: {
  rows: Record<TodayGroup, TodayRow[]>;
  nowMs: number;
}) {
  const router = useRouter();
  const learned = useStoreSelector((s) => s.learned.learned);
  const worth = useMemo(
    () =>
      worthATouch([...rows['leave-alone'], ...rows['takes-a-coat']], learned, nowMs).slice(0, 3),
    [rows, learned, nowMs],
  );
  if (worth.length === 0) return null;
  return (
    <View role="region" aria-label="Worth a touch test" style={{ marginTop: space.l }}>
      <Heading>Worth a touch</Heading>
      {worth.map(({ row }) => {
        const address = touchAddress(row.painting.id, row.passage.id);
        const name = row.spotName ? `${row.passage.name}: ${row.spotName}` : row.passage.name;
        return (
          <GoTo
            key={`${row.painting.id}-${row.passage.id}-${row.spotName ?? ''}`}
            href={address}
            onGo={() => router.push(address)}
            label={`Touch ${name}, ${row.painting.title}`}
            style={styles.row}
          >
            <Text style={{ flex: 1 }}>
              <Text strong>{name}</Text>
              {`, ${row.painting.title}`}
            </Text>
            <Text tone="tawny" strong>
              touch it
            </Text>
          </GoTo>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: TARGET,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
});
