import { View } from 'react-native';
import { gatesOf } from '@/core/painting/notes-of';
import type { Painting } from '@/core/painting';
import { GateTick } from '@/features/painting/GateTick';
import { Text } from '@/ui/Text';

/** What is left of the range, and the gate of the stage that asks for it. */
export function RangeGate({ painting, words }: { painting: Painting; words: string }) {
  const gate = gatesOf(painting).find((g) => g.id === 'over-range');
  return (
    <View>
      <Text>{words}</Text>
      {gate ? <GateTick painting={painting} gate={gate} /> : null}
    </View>
  );
}
