import { View } from 'react-native';
import { Notice } from '@/ui/Notice';
import { Progress } from '@/ui/Progress';
import { Says } from '@/ui/Says';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import type { LookState } from './useLook';

/** How far the photo can be believed, and the cheapest next help. */
export function Trust({ state, hasDesign }: { state: LookState; hasDesign: boolean }) {
  if (state.at === 'work')
    return (
      <View style={{ gap: space.xs }}>
        <Text size="small" tone="ink2">
          Looking at the picture …
        </Text>
        <View style={{ flexDirection: 'row' }}>
          <Progress name="Looking at the picture" done={state.done} />
        </View>
      </View>
    );
  if (state.at === 'failed') return <Notice tone="refusal">{state.why}</Notice>;
  if (state.at !== 'found') return null;
  const { trust, geometry } = state.found.looked;
  return (
    <Says>
      {[
        ...(hasDesign ? [] : ['There is no design yet: take one in, and relations can be told.']),
        ...(geometry.doubt ? [geometry.doubt] : []),
        ...trust.why,
      ].map((line) => (
        <Text key={line} size="small" tone="ink2">
          {line}
        </Text>
      ))}
    </Says>
  );
}
