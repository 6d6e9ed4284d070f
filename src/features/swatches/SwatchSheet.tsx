import { nanoid } from '@reduxjs/toolkit';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { putSwatch, type CabinetPaint } from '@/core/cabinet';
import { readColour } from '@/core/optics/wanted';
import { useForm } from '@/forms';
import { changeCabinet } from '@/store/actions';
import { nowIso } from '@/store/clock';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { TrueColour } from '@/ui/film/TrueColour';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';
import {
  KITS,
  labText,
  PATCH_NAME,
  patchesOf,
  readingSchema,
  USUAL_READING,
  type Kit,
  type PatchKey,
  type Reading,
} from './patch-drafts';
import { PatchPhoto } from './PatchPhoto';
import { useFit, type Fit } from './useFit';

const KIT_OPTIONS: { key: Kit; name: string; blurb: string }[] = [
  { key: 'pair', name: 'masstone and tint', blurb: 'the cheapest good set; weigh the 1 to 9' },
  { key: 'film', name: 'film over black and white', blurb: 'for a white, or a transparent paint' },
  { key: 'all', name: 'all four', blurb: 'where much hangs on it' },
];

/** Swatches of a tube: laid, read by figures or off a photo, fitted; kept with what is computed beside what was seen. */
export function SwatchSheet({ paint, onClose }: { paint: CabinetPaint; onClose: () => void }) {
  const dispatch = useStoreDispatch();
  const paints = useStoreSelector((s) => s.cabinet.paints);
  const form = useForm({
    key: `swatches:${paint.id}`,
    schema: readingSchema,
    document: USUAL_READING,
    isNew: true,
  });
  const { kit, colours, whiteId } = form.draft as Reading;
  const patches = useMemo(() => form.value && patchesOf(form.value), [form.value]);
  const setColour = (key: PatchKey, text: string) => form.put(`colours.${key}`, text);
  const fit = useFit(paint, patches);
  const { calibration } = fit;
  const keys: readonly PatchKey[] = KITS[kit];
  const whites = paints.filter(
    (p) => !p.archived && p.id !== paint.id && p.pigments.every((x) => x.pigment.includes('white')),
  );
  const keep = (used: boolean) => {
    if (!patches || !calibration) return;
    const kept = form.keep(() =>
      dispatch(
        changeCabinet(`Read swatches of ${paint.name.toLowerCase()}`, (c) =>
          putSwatch(c, {
            id: nanoid(12),
            paintId: paint.id,
            at: nowIso(),
            patches,
            fit: calibration.multipliers,
            misfit: calibration.misfit,
            tableMisfit: calibration.tableMisfit,
            used,
          }),
        ),
      ),
    );
    if (kept) onClose();
  };
  return (
    <Sheet name={`Swatches of ${paint.name}`} onClose={onClose}>
      <View style={{ gap: space.m }}>
        <Choice
          label="Which patches"
          stacked
          options={KIT_OPTIONS}
          value={kit}
          onChange={(next) => form.put('kit', next)}
        />
        <View style={styles.figures}>
          {kit === 'film' ? null : (
            <Stepper
              label="Tube in the tint, by volume"
              unit="%"
              step={5}
              min={1}
              max={90}
              {...form.number('tint', 'percent')}
            />
          )}
          {kit === 'pair' ? null : (
            <>
              <Stepper
                label="Film, dry"
                unit="µm"
                step={5}
                min={1}
                max={500}
                {...form.number('um', 'micrometres')}
              />
              <Stepper
                label="Tube in the film, rest clear oil"
                unit="%"
                step={10}
                min={1}
                max={100}
                {...form.number('tube', 'percent')}
              />
            </>
          )}
        </View>
        {kit !== 'film' && whites.length > 0 ? (
          <Choice
            label="White of the tint"
            options={[
              { key: '', name: 'titanium, as usual' },
              ...whites.map((p) => ({ key: p.id, name: p.name })),
            ]}
            value={whiteId ?? ''}
            onChange={(id) => form.put('whiteId', id === '' ? null : id)}
          />
        ) : null}
        <PatchPhoto
          patches={keys.map((key) => ({ key, name: PATCH_NAME[key] }))}
          onRead={(key, lab) => setColour(key, labText(lab))}
        />
        {keys.map((key) => {
          const text = colours[key] ?? '';
          return (
            <Field
              key={key}
              label={`${PATCH_NAME[key]}: L* a* b*, or #rrggbb`}
              value={text}
              onChangeText={(t) => setColour(key, t)}
              placeholder="52 18 30"
              error={
                text.trim() === '' || readColour(text)
                  ? undefined
                  : 'Write it as 52 18 30, or as #8f4a16.'
              }
            />
          );
        })}
        <Findings fit={fit} keys={keys} />
        {calibration?.doubtful ? (
          <Notice tone="refusal">
            The colour of this paint stays as in the table. Read the patches again, or keep them
            unused.
          </Notice>
        ) : null}
        <Action
          title="Go by these swatches"
          kind="primary"
          disabled={!calibration || calibration.doubtful}
          onPress={() => keep(true)}
        />
        {calibration?.doubtful ? (
          <Action title="Keep them, unused" onPress={() => keep(false)} />
        ) : null}
        <Action
          title="Cancel"
          kind="quiet"
          onPress={() => {
            form.throwAway();
            onClose();
          }}
        />
      </View>
    </Sheet>
  );
}

/** What the patches say of the tube, and each as it was read beside what is now computed. */
function Findings({ fit, keys }: { fit: Fit; keys: readonly PatchKey[] }) {
  const { calibration, words, drawn } = fit;
  if (!calibration)
    return <Text tone="ink2">Read every patch; what they say of the tube then stands here.</Text>;
  return (
    <View accessibilityLiveRegion="polite" style={{ gap: space.s }}>
      <Heading level={3}>What they say</Heading>
      {words.map((w) => (
        <Text key={w}>{w}</Text>
      ))}
      {drawn.map(({ read, computed }, i) => (
        <View key={keys[i]}>
          <View style={styles.pair} aria-hidden>
            <TrueColour colour={read} height={44} />
            <View style={styles.divider} />
            <TrueColour colour={computed} height={44} />
          </View>
          <Text size="small" tone="ink2">
            {`${PATCH_NAME[keys[i]!]}: as you read it, and as computed; ${calibration.misfit[i]!.toFixed(1)} steps apart, ${calibration.tableMisfit[i]!.toFixed(1)} by general data.`}
          </Text>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  figures: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.xl, rowGap: space.s },
  pair: { flexDirection: 'row' },
  divider: { width: 2, backgroundColor: colour.ink },
});
