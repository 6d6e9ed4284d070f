import { View } from 'react-native';
import { gatesOf, passGate } from '@/core/painting/notes-of';
import type { Painting } from '@/core/painting';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';

/** What is left of the range, and the gate of the stage that asks for it: the same tick as on the painting. */
export function RangeGate({ painting, words }: { painting: Painting; words: string }) {
  const dispatch = useStoreDispatch();
  const gate = gatesOf(painting).find((g) => g.id === 'over-range');
  return (
    <View>
      <Text>{words}</Text>
      {gate ? (
        <Tick
          title={gate.question}
          checked={gate.passedAt !== null}
          onPress={() =>
            dispatch(
              changePainting(painting.id, gate.question, (p, m) =>
                passGate(p, gate.id, gate.passedAt === null, m),
              ),
            )
          }
        />
      ) : null}
    </View>
  );
}
