import { closeIcon } from '@/ui/icons';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { BINDER_KEYS, BINDERS } from '@/data/binders';
import { PIGMENT_ROWS } from '@/data/pigments';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Icon } from '@/ui/Icon';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { colour, space, TARGET } from '@/ui/tokens';
import { PigmentPicker } from './PigmentPicker';
import type { CoatEditor } from './useCoatEditor';

const rowOf = (key: string) => PIGMENT_ROWS.find((p) => p.key === key);
/** "Titanium white" without the chemistry in brackets. */
export const shortName = (key: string): string => rowOf(key)?.name.replace(/ \(.*\)$/, '') ?? key;

/** The mix in parts of tube paint, each with its binder. */
export function MixFields({ editor }: { editor: CoatEditor }) {
  const { draft, set, checked } = editor;
  const [picking, setPicking] = useState<number | 'new' | null>(null);
  const [binding, setBinding] = useState<number | null>(null);
  const replace = (i: number, change: Partial<(typeof draft.mix)[number]>) =>
    set({ mix: draft.mix.map((t, n) => (n === i ? { ...t, ...change } : t)) });
  const pick = (pigment: string) => {
    if (picking === 'new')
      set({
        mix: [...draft.mix, { parts: '1', pigment, binder: draft.mix.at(-1)?.binder ?? 'linseed' }],
      });
    else if (picking !== null) replace(picking, { pigment });
    setPicking(null);
  };
  const mixProblem = checked.problem('recipe.mix');
  return (
    <View style={{ gap: space.s }}>
      <Heading>Mix, in parts</Heading>
      {draft.mix.map((tube, i) => (
        <View key={i} style={styles.line}>
          <View style={styles.what}>
            <View
              style={[
                styles.swatch,
                { backgroundColor: rowOf(tube.pigment)?.masstone_srgb ?? colour.well },
              ]}
            />
            <Pressable
              accessibilityRole="button"
              aria-label={`Pigment ${i + 1}: ${shortName(tube.pigment)}, change`}
              onPress={() => setPicking(i)}
              style={styles.press}
            >
              <Text strong>{shortName(tube.pigment)}</Text>
              <Text size="small" tone="ink2">
                {rowOf(tube.pigment)?.ci}
              </Text>
            </Pressable>
            <Pressable
              accessibilityRole="button"
              aria-label={`Binder of ${shortName(tube.pigment)}: ${BINDERS[tube.binder].name}, change`}
              onPress={() => setBinding(i)}
              style={[styles.press, styles.binder]}
            >
              <Text size="small">{`in ${BINDERS[tube.binder].name}`}</Text>
            </Pressable>
          </View>
          <View style={styles.parts}>
            <Stepper
              label={`Parts of ${shortName(tube.pigment)}`}
              hideLabel
              step={1}
              min={1}
              max={99}
              text={tube.parts}
              onChangeText={(parts) => replace(i, { parts })}
              error={checked.problem(`recipe.mix.${i}.parts`)}
            />
            <Pressable
              accessibilityRole="button"
              aria-label={`Take out ${shortName(tube.pigment)}`}
              onPress={() => set({ mix: draft.mix.filter((_, n) => n !== i) })}
              style={styles.out}
            >
              <Icon path={closeIcon} tint={colour.ink2} />
            </Pressable>
          </View>
        </View>
      ))}
      {mixProblem ? <Notice tone="refusal">{mixProblem}</Notice> : null}
      <Action
        title="Add a paint"
        onPress={() => setPicking('new')}
        style={{ alignSelf: 'flex-start' }}
      />
      <Hazards pigments={draft.mix.map((t) => t.pigment)} />
      {picking !== null ? <PigmentPicker onPick={pick} onClose={() => setPicking(null)} /> : null}
      {binding !== null ? (
        <Sheet name="Choose a binder" onClose={() => setBinding(null)}>
          <Choice
            label={`What ${shortName(draft.mix[binding]!.pigment)} is ground in`}
            stacked
            options={BINDER_KEYS.map((key) => ({ key, name: BINDERS[key].name }))}
            value={draft.mix[binding]!.binder}
            onChange={(binder) => {
              replace(binding, { binder });
              setBinding(null);
            }}
          />
        </Sheet>
      ) : null}
    </View>
  );
}

const GRAVE = ['lead', 'cadmium', 'cobalt', 'manganese', 'mercury', 'antimony', 'nickel'];

/** The usual cautions, where the choice is made. */
function Hazards({ pigments }: { pigments: string[] }) {
  const risky = [...new Set(pigments)]
    .map(rowOf)
    .filter((row) => row?.hazard.metals.some((m) => GRAVE.includes(m)));
  if (risky.length === 0) return null;
  return (
    <>
      {risky.map((row) => (
        <Notice
          key={row!.key}
        >{`${shortName(row!.key)} (${row!.hazard.metals.join(', ')}): ${row!.hazard.note}. The safety data sheet and local rules govern.`}</Notice>
      ))}
    </>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    justifyContent: 'space-between',
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    paddingBottom: space.xs,
  },
  what: { flexDirection: 'row', alignItems: 'center', gap: space.s, flexGrow: 1, flexBasis: 300 },
  swatch: { width: 28, height: 40, borderRadius: 4, borderWidth: 1, borderColor: colour.rule },
  press: { minHeight: TARGET, justifyContent: 'center', flexShrink: 1 },
  binder: { paddingHorizontal: space.s, marginLeft: 'auto' },
  parts: { flexDirection: 'row', alignItems: 'center', marginLeft: 'auto' },
  out: { width: TARGET, height: TARGET, alignItems: 'center', justifyContent: 'center' },
});
