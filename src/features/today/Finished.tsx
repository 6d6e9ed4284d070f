import { useRouter } from 'expo-router';
import { View } from 'react-native';
import type { Painting } from '@/core/painting';
import { paintingAddress } from '@/features/addresses';
import { varnishWords } from '@/features/easel-words';
import { useAssessment, useNow, usePaintings } from '@/store/hooks';
import { ListRow } from '@/ui/ListRow';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

/** Pictures that are finished and wait for their varnish; they take no coat, and stand apart. */
export function Finished() {
  const waiting = usePaintings().filter(
    (p) => p.easel?.kind === 'finished' && !p.coats.some((c) => isVarnished(p, c.id)),
  );
  if (waiting.length === 0) return null;
  return (
    <View style={{ marginTop: space.xl }}>
      <Heading size="large">Finished, waiting for varnish</Heading>
      {waiting.map((p) => (
        <Row key={p.id} painting={p} />
      ))}
    </View>
  );
}

const isVarnished = (painting: Painting, coatId: string): boolean =>
  painting.events.some((e) => e.kind === 'laid' && e.coatId === coatId && e.role === 'varnish');

function Row({ painting }: { painting: Painting }) {
  const router = useRouter();
  const now = useNow();
  const assessment = useAssessment(painting.id);
  if (!assessment) return null;
  const words = varnishWords(assessment, now);
  const href = paintingAddress(painting.id);
  return (
    <ListRow
      href={href}
      onGo={() => router.push(href)}
      label={`${painting.title}: ${words}`}
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
}
