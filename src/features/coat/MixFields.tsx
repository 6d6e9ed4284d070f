import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { BINDER_KEYS, BINDERS, type BinderKey } from '@/data/binders';
import type { Painting } from '@/core/painting';
import { useStoreSelector, useSwatches } from '@/store/hooks';
import { mixColour } from '@/features/colours';
import { TubeSwatch } from '@/features/TubeSwatch';
import { Colours } from './Colours';
import { SameMix } from './SameMix';
import { Hazards } from '@/features/Hazards';
import {
  tubeBinder,
  tubeCodes,
  tubeName,
  tubePigments,
  type Tube,
} from '@/core/cabinet/tube-names';
import { numberOf, useRowKeys, type NumberBinding } from '@/forms';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { TakeOut } from '@/ui/TakeOut';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { colour, space, TARGET } from '@/ui/tokens';
import { tubesOf, type TubeDraft } from './draft';
import type { RecipeEditor } from './recipe-editor';
import { PaintPicker } from '@/features/PaintPicker';
import type { CoatEditor } from './useCoatEditor';

/** What a new pigment is ground in: as its neighbour, else as the painter's paints are. */
const lastBinder = (mix: TubeDraft[], usual: BinderKey) => {
  const last = mix.at(-1);
  return last ? ('own' in last ? last.own.binder : last.binder) : usual;
};

/** The tubes of the mix and their parts. */
export function MixFields({
  editor,
  of = null,
}: {
  editor: RecipeEditor;
  /** The coat it belongs to, where it is one: then it may hold several colours, and take another coat's mix. */
  of?: { editor: CoatEditor; painting: Painting } | null;
}) {
  const usual = useStoreSelector((s) => s.studio.binder ?? 'linseed');
  const { form, setRecipe } = editor;
  const { colours } = editor.draft.recipe;
  const [at, setAt] = useState(0);
  // Of several colours the one that is looked at is edited.
  const active = colours ? Math.min(at, colours.length - 1) : null;
  const mix = (
    active === null ? tubesOf(editor.draft.recipe) : colours![active]!.mix
  ) as TubeDraft[];
  const path = active === null ? 'recipe.mix' : `recipe.colours.${active}.mix`;
  const rows = useRowKeys(mix.length);
  const [picking, setPicking] = useState<number | 'new' | null>(null);
  const [binding, setBinding] = useState<number | null>(null);
  const setMix = (next: TubeDraft[]) =>
    setRecipe(
      active === null
        ? { mix: next }
        : { colours: colours!.map((c, n) => (n === active ? { ...c, mix: next } : c)) },
      path,
    );
  const replace = (i: number, tube: TubeDraft) => setMix(mix.map((t, n) => (n === i ? tube : t)));
  const pick = (tube: Tube) => {
    if (picking === 'new') setMix([...mix, { parts: 1, ...tube }]);
    else if (picking !== null) replace(picking, { parts: mix[picking]!.parts, ...tube });
    setPicking(null);
  };
  const mixProblem = form.problem(path);
  const bound = binding === null ? null : mix[binding]!;
  return (
    <View style={{ gap: space.s }}>
      <View style={styles.heading}>
        <Heading style={{ flex: 1 }}>Mix, in parts</Heading>
        <MixSwatch mix={mix} />
      </View>
      {of ? <Colours editor={of.editor} at={active ?? 0} onChoose={setAt} /> : null}
      {mix.map((tube, i) => (
        <TubeLine
          key={rows.keys[i]}
          tube={tube}
          place={i}
          parts={form.number(`${path}.${i}.parts`, 'parts')}
          onPick={() => setPicking(i)}
          onBind={() => setBinding(i)}
          onOut={() => {
            rows.removed(i);
            setMix(mix.filter((_, n) => n !== i));
          }}
        />
      ))}
      {mixProblem ? <Notice tone="refusal">{mixProblem}</Notice> : null}
      {of ? <SameMix editor={of.editor} painting={of.painting} /> : null}
      <Action
        title="Add a paint"
        onPress={() => setPicking('new')}
        style={{ alignSelf: 'flex-start' }}
      />
      <Hazards pigments={mix.flatMap((t) => tubePigments(t).map((p) => p.pigment))} />
      {picking !== null ? (
        <PaintPicker
          binder={lastBinder(mix, usual)}
          onPick={pick}
          onClose={() => setPicking(null)}
        />
      ) : null}
      {bound && !('own' in bound) ? (
        <Sheet name="Choose a binder" onClose={() => setBinding(null)}>
          <Choice
            label={`What ${tubeName(bound)} is ground in`}
            stacked
            options={BINDER_KEYS.map((key) => ({ key, name: BINDERS[key].name }))}
            value={bound.binder}
            onChange={(binder) => {
              replace(binding!, { ...bound, binder });
              setBinding(null);
            }}
          />
        </Sheet>
      ) : null}
    </View>
  );
}

/** The colour of the mix by the parts typed so far: Kubelka-Munk, not an average. */
function MixSwatch({ mix }: { mix: TubeDraft[] }) {
  const swatches = useSwatches();
  const parts = mix.map((tube) => ({ ...tube, parts: numberOf(tube.parts) || 0 }));
  const backgroundColor = mixColour(parts, swatches) ?? colour.well;
  return (
    <View
      role="img"
      aria-label="Colour of the mix, reckoned"
      style={[styles.mixed, { backgroundColor }]}
    />
  );
}

interface LineProps {
  tube: TubeDraft;
  place: number;
  parts: NumberBinding;
  onPick: () => void;
  onBind: () => void;
  onOut: () => void;
}

function TubeLine({ tube, place, parts, onPick, onBind, onOut }: LineProps) {
  const name = tubeName(tube);
  return (
    <View style={styles.line}>
      <View style={styles.what}>
        <TubeSwatch tube={tube} />
        <Pressable
          accessibilityRole="button"
          aria-label={`Pigment ${place + 1}: ${name}, change`}
          onPress={onPick}
          style={styles.press}
        >
          <Text strong>{name}</Text>
          <Text size="small" tone="ink2">
            {tubeCodes(tube)}
          </Text>
        </Pressable>
        {'own' in tube ? (
          <View style={[styles.press, styles.binder]}>
            <Text size="small" tone="ink2">{`in ${tubeBinder(tube)}`}</Text>
          </View>
        ) : (
          <Pressable
            accessibilityRole="button"
            aria-label={`Binder of ${name}: ${tubeBinder(tube)}, change`}
            onPress={onBind}
            style={[styles.press, styles.binder]}
          >
            <Text size="small">{`in ${tubeBinder(tube)}`}</Text>
          </Pressable>
        )}
      </View>
      <View style={styles.parts}>
        <Stepper label={`Parts of ${name}`} hideLabel step={1} min={1} max={99} {...parts} />
        <TakeOut name={name} onPress={onOut} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  heading: { flexDirection: 'row', alignItems: 'center', gap: space.m },
  mixed: { width: 72, height: 32, borderRadius: 4, borderWidth: 1, borderColor: colour.rule },
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
});
