import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Lab } from '@/core/optics';
import { readColour, stepped } from '@/core/optics/wanted';
import { stackLook } from '@/core/painting/look';
import { parseNumber } from '@/forms';
import { useAssessment, useSwatches } from '@/store/hooks';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Stepper } from '@/ui/Stepper';
import { space } from '@/ui/tokens';
import { PixelPick } from './PixelPick';
import type { Glaze } from './useGlaze';

type Way = 'steps' | 'passage' | 'figures' | 'photo';

/** The colour that is asked for, however it is said. */
export function useWanted(glaze: Glaze, now: Lab): { wanted: Lab | null; fields: ReactNode } {
  const [way, setWay] = useState<Way>('steps');
  const [value, setValue] = useState('-1');
  const [warmth, setWarmth] = useState('0');
  const [chroma, setChroma] = useState('0');
  const [text, setText] = useState('');
  const [like, setLike] = useState<string | null>(null);
  const [picked, setPicked] = useState<Lab | null>(null);
  const swatches = useSwatches();
  const assessment = useAssessment(glaze.painting!.id);
  const others = (assessment?.passages ?? []).filter(
    (p) => p.passage.id !== glaze.passage!.passage.id,
  );
  const steps = {
    value: parseNumber(value),
    warmth: parseNumber(warmth),
    chroma: parseNumber(chroma),
  };
  const other = others.find((p) => p.passage.id === like);
  const wanted: Lab | null =
    way === 'steps'
      ? Object.values(steps).every(Number.isFinite)
        ? stepped(now, steps)
        : null
      : way === 'figures'
        ? readColour(text)
        : way === 'photo'
          ? picked
          : other
            ? stackLook(other.base, glaze.painting!, swatches).now.lab
            : null;
  const fields = (
    <>
      <Choice
        label="Wanted"
        options={[
          { key: 'steps', name: 'by steps' },
          ...(others.length > 0 ? [{ key: 'passage' as const, name: 'like a passage' }] : []),
          { key: 'figures', name: 'by figures' },
          { key: 'photo', name: 'off a photo' },
        ]}
        value={way}
        onChange={setWay}
      />
      {way === 'steps' ? (
        <View style={styles.steps}>
          <Stepper
            label="Values lighter"
            step={0.5}
            min={-9}
            max={9}
            text={value}
            onChangeText={setValue}
          />
          <Stepper
            label="Warmer"
            step={2}
            min={-60}
            max={60}
            text={warmth}
            onChangeText={setWarmth}
          />
          <Stepper
            label="More colourful"
            step={2}
            min={-60}
            max={60}
            text={chroma}
            onChangeText={setChroma}
          />
        </View>
      ) : way === 'figures' ? (
        <Field
          label="#rrggbb, or L* a* b*"
          value={text}
          onChangeText={setText}
          placeholder="52 18 30"
          error={text.trim() === '' || wanted ? undefined : 'Write it as #8f4a16, or as 52 18 30.'}
        />
      ) : way === 'photo' ? (
        <PixelPick onPick={setPicked} />
      ) : (
        <Choice
          label="As it is now"
          options={others.map((p) => ({ key: p.passage.id, name: p.passage.name }))}
          value={like}
          onChange={setLike}
        />
      )}
    </>
  );
  return { wanted, fields };
}

const styles = StyleSheet.create({
  steps: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.xl, rowGap: space.s },
});
