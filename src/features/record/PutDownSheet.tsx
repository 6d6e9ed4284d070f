import { View } from 'react-native';
import { Action } from '@/ui/Action';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

export type HowFar = 'nothing' | 'half' | 'part' | 'all';

/** Work is put down: how much of the coat is done. What is not stays planned. */
export function PutDownSheet({
  name,
  rest,
  onChoose,
  onClose,
}: {
  name: string;
  /** Some of it was laid before. */
  rest: boolean;
  onChoose: (howFar: HowFar) => void;
  onClose: () => void;
}) {
  return (
    <Sheet name="How much of it is done?" onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>{`${name}: how much of it is done?`}</Heading>
        <Text tone="ink2">What is not done stays planned, and can be taken up again.</Text>
        <Action title="Nothing to note yet" onPress={() => onChoose('nothing')} />
        <Action title={rest ? 'Half of the rest' : 'Half of it'} onPress={() => onChoose('half')} />
        <Action title="A part of it …" onPress={() => onChoose('part')} />
        <Action title={rest ? 'All the rest' : 'All of it'} onPress={() => onChoose('all')} />
        <Action title="Go on working" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}
