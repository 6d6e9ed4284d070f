import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { Rect } from 'react-native-svg';
import { FINDINGS, type Finding } from '@/data/learning';
import { checkIcon } from '@/ui/desk-icons';
import { Icon } from '@/ui/Icon';
import { TextureDefs, useTextures } from '@/ui/film/textures';
import type { FilmState } from '@/ui/film/step';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

const SAYS: Record<Finding, { state: FilmState; words: string }> = {
  'still blends': { state: 'open', words: 'moves under the brush' },
  wet: { state: 'open', words: 'comes off on the finger' },
  set: { state: 'setting', words: 'takes a print, gives no paint' },
  tacky: { state: 'tacky', words: 'pulls, then lets go' },
  'touch-dry': { state: 'touch-dry', words: 'dry to a light finger' },
  'nail-hard': { state: 'through-dry', words: 'a nail leaves no dent' },
  'through-dry': { state: 'through-dry', words: 'a thumb twist on the witness dab leaves no mark' },
};

/** What the finger finds, as slabs of the paint itself. */
export function FingerSlabs({
  value,
  onChange,
  paint,
}: {
  value: Finding | null;
  onChange: (finding: Finding) => void;
  /** Colour of the film; data, not decoration. */
  paint: string;
}) {
  return (
    <View accessibilityRole="radiogroup" aria-label="What the finger finds">
      {FINDINGS.map((finding) => (
        <Slab
          key={finding}
          finding={finding}
          chosen={finding === value}
          stop={finding === (value ?? FINDINGS[0])}
          paint={paint}
          onPress={() => onChange(finding)}
        />
      ))}
    </View>
  );
}

function Slab({
  finding,
  chosen,
  stop,
  paint,
  onPress,
}: {
  finding: Finding;
  chosen: boolean;
  stop: boolean;
  paint: string;
  onPress: () => void;
}) {
  const { state, words } = SAYS[finding];
  return (
    <Pressable
      accessibilityRole="radio"
      tabIndex={stop ? 0 : -1}
      aria-checked={chosen}
      aria-label={`${finding}: ${words}`}
      onPress={onPress}
      style={[styles.slab, chosen && styles.chosen]}
    >
      <View style={styles.paint}>
        <PaintPatch paint={paint} state={state} />
      </View>
      <View style={styles.words}>
        <Text strong>{finding}</Text>
        <Text size="small" tone="ink2">
          {words}
        </Text>
      </View>
      {chosen ? <Icon path={checkIcon} tint={colour.tawny} /> : null}
    </Pressable>
  );
}

/** Lies behind its slab, so that the words alone decide how tall it is. */
function PaintPatch({ paint, state }: { paint: string; state: FilmState }) {
  const { id, fill } = useTextures();
  const texture = fill(state);
  return (
    <Svg width="100%" height="100%" style={{ position: 'absolute' }} aria-hidden>
      <TextureDefs id={id} />
      <Rect width="100%" height="100%" fill={paint} />
      {texture ? <Rect width="100%" height="100%" fill={texture} /> : null}
    </Svg>
  );
}

const styles = StyleSheet.create({
  slab: {
    flexDirection: 'row',
    alignItems: 'center',
    minHeight: 60,
    paddingRight: space.l,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    borderWidth: 2,
    borderColor: 'transparent',
  },
  chosen: { backgroundColor: colour.sheet, borderColor: colour.tawny },
  paint: { width: 96, alignSelf: 'stretch', marginRight: space.l },
  words: { flex: 1, paddingVertical: space.s },
});
