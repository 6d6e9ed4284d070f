import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { GoTo } from '@/ui/GoTo';
import { Icon } from '@/ui/Icon';
import { chevronRightIcon } from '@/ui/desk-icons';
import { Screen } from '@/ui/Screen';
import { Text } from '@/ui/Text';
import { colour, space, TARGET } from '@/ui/tokens';

const PLACES = [
  { href: '/session', name: 'Session', says: 'the one that runs, or a new one' },
  { href: '/log', name: 'Session log', says: 'what was done, how long, with photos' },
  { href: '/climate', name: 'Climate', says: 'readings, logger, what they do to drying' },
  {
    href: '/learned',
    name: 'What it has learned',
    says: 'from touch tests, and the tests themselves',
  },
  {
    href: '/money',
    name: 'Money, brushes, shopping',
    says: 'by year, what an hour brings, what runs out',
  },
  { href: '/air', name: 'Air of the room', says: 'what solvents leave in it' },
  { href: '/cabinet', name: 'Cabinet', says: 'paints and mediums' },
  { href: '/settings', name: 'Settings', says: 'units, files, safety' },
] as const;

/** What a phone has no room for at its foot. */
export function StudioScreen() {
  const router = useRouter();
  return (
    <Screen title="Studio">
      <View role="navigation" aria-label="Studio">
        {PLACES.map((place) => (
          <GoTo
            key={place.href}
            href={place.href}
            onGo={() => router.push(place.href)}
            label={place.name}
            style={{
              flexDirection: 'row',
              alignItems: 'center',
              minHeight: TARGET + 12,
              borderBottomWidth: 1,
              borderBottomColor: colour.rule,
              gap: space.m,
            }}
          >
            <View style={{ flex: 1 }}>
              <Text strong>{place.name}</Text>
              <Text size="small" tone="ink2">
                {place.says}
              </Text>
            </View>
            <Icon path={chevronRightIcon} tint={colour.ink2} />
          </GoTo>
        ))}
      </View>
    </Screen>
  );
}
