import { View } from 'react-native';
import Svg, { Rect, Text as SvgText } from 'react-native-svg';
import { Text } from '../Text';
import { colour, font, space } from '../tokens';
import { STATE_WORD, type FilmState } from './step';
import { TextureDefs, useTextures } from './textures';

/** The texture of a state, small. */
export function StateSwatch({ state }: { state: FilmState }) {
  const { id, fill } = useTextures();
  const texture = fill(state);
  return (
    <Svg width={36} height={20} aria-hidden>
      <TextureDefs id={id} />
      <Rect
        x={1}
        y={1}
        width={34}
        height={18}
        rx={5}
        fill={colour.sheet}
        stroke={colour.ink2}
        strokeWidth={1.4}
        {...(state === 'planned' ? { strokeDasharray: '4 3' } : {})}
      />
      {texture ? <Rect x={2} y={2} width={32} height={16} rx={4} fill={texture} /> : null}
      {state === 'unknown' ? (
        <SvgText
          x={18}
          y={15}
          textAnchor="middle"
          fontFamily={font.strong}
          fontSize={13}
          fill={colour.ink}
        >
          ?
        </SvgText>
      ) : null}
    </Svg>
  );
}

/** Texture and word. */
export function StateTag({
  state,
  words,
  stacked = false,
}: {
  state: FilmState;
  words?: string;
  stacked?: boolean;
}) {
  return (
    <View
      style={
        stacked
          ? { gap: 2 }
          : { flexDirection: 'row', alignItems: 'center', gap: space.s, flexShrink: 1 }
      }
    >
      <StateSwatch state={state} />
      <Text size="small" tone="ink2" style={{ flexShrink: 1 }}>
        {words ?? STATE_WORD[state]}
      </Text>
    </View>
  );
}
