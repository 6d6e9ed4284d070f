import { useRouter } from 'expo-router';
import { Action } from '@/ui/Action';
import { Screen } from '@/ui/Screen';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

/** Nothing stands at this address, or what stood here was taken down. */
export function NotHereScreen({ what = 'This page' }: { what?: string }) {
  const router = useRouter();
  return (
    <Screen title="Not here">
      <Text style={{ marginBottom: space.l }}>
        {what} is not in this studio. It may have been taken down, or the address is from another
        one.
      </Text>
      <Action
        title="To the paintings"
        kind="primary"
        onPress={() => router.replace('/paintings')}
        style={{ alignSelf: 'flex-start' }}
      />
    </Screen>
  );
}
