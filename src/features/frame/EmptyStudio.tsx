import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';
import { openDemoStudio } from '@/features/keep/demo';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Heading, Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

/** No painting yet: bare linen on an easel's ledge, and the two ways to begin. */
export function EmptyStudio() {
  const router = useRouter();
  const { open, failure } = useDemo();
  return (
    <View style={{ gap: space.l, maxWidth: 440 }}>
      <BareLinen />
      <Heading>Nothing on the easel.</Heading>
      <Text tone="ink2">
        Lay out a painting in coats, and see for every coat whether it is fatter than the one below
        and when it may go on.
      </Text>
      <Action
        title="Start a painting"
        kind="primary"
        onPress={() => router.push('/paintings/new')}
      />
      <Action title="Open the demo studio" onPress={open} />
      {failure ? <Notice tone="refusal">{failure}</Notice> : null}
    </View>
  );
}

function useDemo() {
  const dispatch = useStoreDispatch();
  const [failure, setFailure] = useState<string | null>(null);
  const open = () => {
    openDemoStudio(dispatch).catch((error: Error) =>
      setFailure(`The demo studio cannot be opened: ${error.message}`),
    );
  };
  return { open, failure };
}

function BareLinen() {
  const lines = Array.from({ length: 20 }, (_, i) => i * 11);
  return (
    <Svg width={220} height={170} aria-hidden>
      <Rect
        x={4}
        y={4}
        width={212}
        height={150}
        fill="#CFC6AF"
        stroke={colour.ink2}
        strokeWidth={1.5}
      />
      {lines.map((x) => (
        <Path key={`v${x}`} d={`M ${5 + x} 5 V 153`} stroke="#B3A98F" strokeWidth={1} />
      ))}
      {lines.slice(0, 14).map((y) => (
        <Path key={`h${y}`} d={`M 5 ${6 + y} H 215`} stroke="#BDB398" strokeWidth={1} />
      ))}
      <Rect x={0} y={156} width={220} height={10} fill={colour.ink2} />
    </Svg>
  );
}
