import { TubeSwatch } from '@/features/TubeSwatch';
import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { colourIndexOf, pigmentRow, putPaint, type CabinetPaint } from '@/core/cabinet';
import { BINDER_KEYS, BINDERS } from '@/data/binders';
import { Figure, Figures } from '@/features/Figures';
import { Hazards } from '@/features/Hazards';
import { temperatureWords } from '@/features/units';
import { useTemperatureUnit } from '@/features/useTemperature';
import { PigmentPicker } from '@/features/PigmentPicker';
import { FormState, useRowKeys } from '@/forms';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { TakeOut } from '@/ui/TakeOut';
import { Tick } from '@/ui/Tick';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { duration } from '@/ui/time/words';
import { colour, space, TARGET } from '@/ui/tokens';
import { paintFigures } from './cabinet-list';
import { CorrectionFields, StockFields } from './StockFields';
import { nameOf, newPaint, paintFormSchema } from './paint-draft';
import { nowIso } from '@/store/clock';
import { useEntryEdit, type EntryEdit } from './useEntryEdit';

export type PaintEdit = EntryEdit<CabinetPaint>;

/** @param paint null for a new one */
export function usePaintEdit(paint: CabinetPaint | null, onDone: () => void): PaintEdit {
  const [fresh] = useState(() => newPaint(nanoid(12)));
  return useEntryEdit({
    kind: 'paint',
    schema: paintFormSchema,
    entry: paint,
    fresh,
    // What is said to be left is seen now: coats laid from now on run it down.
    put: (cabinet, kept) =>
      putPaint(cabinet, paint?.left === kept.left ? kept : { ...kept, leftAt: nowIso() }),
    onDone,
  });
}

/** One paint of the cabinet: what is in it, how much of it there is, and what the painter knows better. */
export function PaintFields({ edit }: { edit: PaintEdit }) {
  const { form } = edit;
  const { draft } = form;
  return (
    <View style={{ gap: space.l }}>
      <FormState form={form} />
      <Field label="Name" placeholder={nameOf(draft)} {...form.text('name')} />
      <PigmentLines edit={edit} />
      <Choice
        label="Ground in"
        options={BINDER_KEYS.map((key) => ({ key, name: BINDERS[key].name }))}
        value={draft.binder}
        onChange={(binder) => form.put('binder', binder)}
      />
      <View style={styles.steppers}>
        <Stepper
          label="Extender, rough share of the solids"
          unit="%"
          step={5}
          min={0}
          max={80}
          {...form.number('extenderShare', 'percent')}
        />
        <Tick
          title="Nobody says what is in it"
          checked={draft.makeUpUnknown}
          onPress={() => form.put('makeUpUnknown', !draft.makeUpUnknown)}
        />
      </View>
      <PaintReckoned edit={edit} />
      <Hazards pigments={draft.pigments.map((p) => p.pigment)} />
      <StockFields edit={edit} />
      <CorrectionFields edit={edit} />
    </View>
  );
}

function PigmentLines({ edit: { form } }: { edit: PaintEdit }) {
  const { pigments } = form.draft;
  const rows = useRowKeys(pigments.length);
  const [picking, setPicking] = useState<number | 'new' | null>(null);
  const pick = (pigment: string) => {
    form.put(
      'pigments',
      picking === 'new'
        ? [...pigments, { pigment, parts: 1 }]
        : pigments.map((p, i) => (i === picking ? { ...p, pigment } : p)),
    );
    setPicking(null);
  };
  return (
    <View style={{ gap: space.s }}>
      <Heading>Pigments</Heading>
      {pigments.map((p, i) => {
        const row = pigmentRow(p.pigment);
        return (
          <View key={rows.keys[i]} style={styles.line}>
            <TubeSwatch tube={{ pigment: p.pigment, binder: 'linseed' }} />
            <Pressable
              accessibilityRole="button"
              aria-label={`Pigment ${i + 1}: ${row?.name ?? p.pigment}, change`}
              onPress={() => setPicking(i)}
              style={styles.press}
            >
              <Text strong>{row?.name.replace(/ \(.*/, '')}</Text>
              <Text size="small" tone="ink2">
                {row?.ci}
              </Text>
            </Pressable>
            {pigments.length > 1 ? (
              <>
                <Stepper
                  label={`Parts of ${row?.name ?? p.pigment}`}
                  hideLabel
                  step={1}
                  min={1}
                  max={99}
                  {...form.number(`pigments.${i}.parts`, 'parts')}
                />
                <TakeOut
                  name={row?.name ?? p.pigment}
                  onPress={() => {
                    rows.removed(i);
                    form.put(
                      'pigments',
                      pigments.filter((_, n) => n !== i),
                    );
                  }}
                />
              </>
            ) : null}
          </View>
        );
      })}
      <Action
        title="Add a pigment"
        onPress={() => setPicking('new')}
        style={{ alignSelf: 'flex-start' }}
      />
      {picking !== null ? <PigmentPicker onPick={pick} onClose={() => setPicking(null)} /> : null}
    </View>
  );
}

/** What follows from all this, as it is typed. */
function PaintReckoned({ edit }: { edit: PaintEdit }) {
  const paint = edit.form.value;
  const unit = useTemperatureUnit();
  if (!paint) return null;
  const { composition: c, touchDays } = paintFigures(paint);
  return (
    <View accessibilityLiveRegion="polite">
      <View style={styles.line}>
        <TubeSwatch tube={{ own: paint }} />
        <Text strong>{colourIndexOf(paint)}</Text>
      </View>
      <Figures>
        <Figure
          name="fatness"
          value={`${Math.round(c.fatness * 100)} %`}
          note="binder in the dry film, by volume"
        />
        <Figure
          name="binder"
          value={`${Math.round(c.binderWeightFraction * 100)} %`}
          note="by weight"
        />
        <Figure
          name="pigment load"
          value={c.reducedPvc === null ? '–' : c.reducedPvc.toFixed(2)}
          note="above 1 is chalky"
        />
        <Figure
          name="touch-dry"
          value={duration(touchDays)}
          note={`50 µm, neat, ${temperatureWords(20, unit)}`}
        />
      </Figures>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: space.s, minHeight: TARGET },
  swatch: { width: 28, height: 36, borderRadius: 3, borderWidth: 1, borderColor: colour.rule },
  press: { flex: 1, minHeight: TARGET, justifyContent: 'center' },
  steppers: { flexDirection: 'row', flexWrap: 'wrap', gap: space.l, alignItems: 'flex-end' },
});
