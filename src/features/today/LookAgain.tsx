import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { DAY_MS } from '@/core/drying';
import { sortedBothers } from '@/core/finish/sorted';
import { restsUntilMs, type Painting } from '@/core/painting';
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

/** What is to be looked at again of one picture, the first of it, as the list on its own page has it. */
function dueOf(painting: Painting, untilMs: number): Due[] {
  if (painting.easel?.kind === 'gone') return [];
  const rest = painting.easel?.kind === 'resting' ? restsUntilMs(painting) : null;
  const all = [
    ...(rest === null ? [] : [{ ms: rest, why: 'it rests until then' }]),
    ...sortedBothers(painting).flatMap(({ bother, againMs }) =>
      againMs === null ? [] : [{ ms: againMs, why: bother.text }],
    ),
  ]
    .filter((d) => d.ms <= untilMs)
    .sort((a, b) => a.ms - b.ms);
  const [first] = all;
  if (!first) return [];
  const more = all.length - 1;
  return [{ painting, ms: first.ms, why: more > 0 ? `${first.why}, and ${more} more` : first.why }];
}

/** Pictures that were left alone, or of which something was to be looked at again: when that day has come, or soon. */
export function LookAgain() {
  const now = useNow();
  const router = useRouter();
  const due = usePaintings()
    .flatMap((p) => dueOf(p, now + AHEAD_DAYS * DAY_MS))
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
            key={painting.id}
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
