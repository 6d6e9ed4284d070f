import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { DAY_MS } from '@/core/drying';
import { sortedBothers } from '@/core/finish/sorted';
import { restsUntilMs } from '@/core/painting';
import type { Painting } from '@/core/painting';
import { finishAddress } from '@/features/addresses';
import { useNow, usePaintings } from '@/store/hooks';
import { ListRow } from '@/ui/ListRow';
import { Heading, Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { space } from '@/ui/tokens';

/** So far ahead a look is told of. */
const AHEAD_DAYS = 14;

interface Due {
  painting: Painting;
  ms: number;
  why: string;
}

function dueOf(painting: Painting): Due[] {
  const rest = painting.easel?.kind === 'resting' ? restsUntilMs(painting) : null;
  const bothers = painting.easel?.kind === 'gone' ? [] : sortedBothers(painting);
  return [
    ...(rest === null ? [] : [{ painting, ms: rest, why: 'it rests until then' }]),
    ...bothers.flatMap(({ bother, said, againMs }) =>
      said && againMs !== null ? [{ painting, ms: againMs, why: bother.text }] : [],
    ),
  ];
}

/** Pictures that were left alone, or of which something was to be looked at again: when that day has come, or soon. */
export function LookAgain() {
  const now = useNow();
  const router = useRouter();
  const due = usePaintings()
    .flatMap(dueOf)
    .filter((d) => d.ms <= now + AHEAD_DAYS * DAY_MS)
    .sort((a, b) => a.ms - b.ms);
  if (due.length === 0) return null;
  return (
    <View style={{ marginTop: space.xl }}>
      <Heading size="large">Look again</Heading>
      {due.map(({ painting, ms, why }) => {
        const href = finishAddress(painting.id);
        const words = `${ms <= now ? 'now' : dayMonthYear(ms)}: ${why}`;
        return (
          <ListRow
            key={`${painting.id} ${ms} ${why}`}
            href={href}
            onGo={() => router.push(href)}
            label={`Look again at ${painting.title}, ${words}`}
            style={{ paddingVertical: space.m, paddingHorizontal: 0 }}
          >
            <View style={{ flex: 1 }}>
              <Text strong>{painting.title}</Text>
              <Text size="small" tone="ink2">
                {words}
              </Text>
            </View>
          </ListRow>
        );
      })}
    </View>
  );
}
