import { nanoid } from '@reduxjs/toolkit';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { changeBother } from '@/core/finish/edit';
import { mendingCoat, takesACoatMs } from '@/core/finish/mending';
import {
  FATES,
  sortedBothers,
  weightOf,
  type FateKind,
  type SortedBother,
} from '@/core/finish/sorted';
import type { PaintingAssessment } from '@/core/painting';
import { placeCoat } from '@/core/painting/coats';
import { settleBother } from '@/core/painting/notes-of';
import { isSunk } from '@/core/tell';
import { topLaid } from '@/core/painting';
import { correctionCoat } from '@/core/painting/corrections';
import { oilingOutDose } from '@/core/quantity';
import { areaCm2 } from '@/core/painting/vocabulary';
import { finishWindows } from '@/core/drying';
import { coatAddress, glazeAddress } from '@/features/addresses';
import { changePainting } from '@/store/actions';
import { nowMs } from '@/store/clock';
import { useNow, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DateField } from '@/ui/DateField';
import { Problem } from '@/ui/Says';
import { TwoColumns } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import { BotherForm, KIND_WORDS, QUARTER_WORDS, WEIGHT_WORDS } from './BotherForm';

const FATE_WORDS: Record<FateKind, string> = {
  coat: 'A coat mends it',
  again: 'Look again',
  leave: 'Leave it',
};

/** The list, sorted by what becomes of each; the surface beside it. */
export function Mending({ assessment }: { assessment: PaintingAssessment }) {
  const { painting } = assessment;
  const sorted = sortedBothers(painting);
  return (
    <TwoColumns
      left={
        <>
          {sorted.length === 0 ? (
            <Text>Nothing bothers. Look it over again in a week.</Text>
          ) : (
            FATES.map((fate) => {
              const here = sorted.filter((s) => s.fate === fate);
              return here.length === 0 ? null : (
                <View key={fate}>
                  <Heading>{FATE_WORDS[fate]}</Heading>
                  {here.map((s) => (
                    <BotherRow key={s.bother.id} assessment={assessment} sorted={s} />
                  ))}
                </View>
              );
            })
          )}
          <Surface assessment={assessment} />
        </>
      }
      right={
        <View style={{ gap: space.s }}>
          <Heading>Note what bothers</Heading>
          <BotherForm painting={painting} />
        </View>
      }
    />
  );
}

function placeWords({ painting }: PaintingAssessment, { bother }: SortedBother): string {
  const passage = painting.passages.find((p) => p.id === bother.passageId)?.name;
  return [
    passage ?? 'all of it',
    bother.quarter && QUARTER_WORDS[bother.quarter],
    bother.place && 'marked on a photo',
    bother.kind && KIND_WORDS[bother.kind],
    WEIGHT_WORDS[weightOf(bother) as 1 | 2 | 3],
    `noted ${dayMonthYear(Date.parse(bother.at))}`,
  ]
    .filter(Boolean)
    .join('; ');
}

function BotherRow({
  assessment,
  sorted,
}: {
  assessment: PaintingAssessment;
  sorted: SortedBother;
}) {
  const router = useRouter();
  const dispatch = useStoreDispatch();
  const { painting } = assessment;
  const { bother, fate, coat } = sorted;
  const [asking, setAsking] = useState(false);
  const change = (what: string, run: Parameters<typeof changePainting>[2]) =>
    dispatch(changePainting(painting.id, what, run));
  const planned = () => {
    const made = mendingCoat(assessment, bother, nanoid(12));
    if (!made)
      return router.push({
        pathname: '/paintings/[id]/coats/[coatId]',
        params: { id: painting.id, coatId: 'new' },
      });
    change(`Planned what mends “${bother.text}”`, (p, m) =>
      changeBother(
        placeCoat(p, made, { where: 'over-laid' }, m),
        bother.id,
        { fate: { kind: 'coat', coatId: made.id } },
        m,
      ),
    );
  };
  const ready = bother.passageId ? takesACoatMs(assessment, bother.passageId) : 0;
  return (
    <View style={styles.row}>
      <Text strong>{bother.text}</Text>
      <Text size="small" tone="ink2">
        {placeWords(assessment, sorted)}
      </Text>
      {fate === 'again' && sorted.againMs !== null ? (
        <Text>{`On ${dayMonthYear(sorted.againMs)}${sorted.said ? '' : ', a week after it was noted'}.`}</Text>
      ) : null}
      {coat ? (
        <Text>
          {coat.laidAt
            ? `Laid ${dayMonthYear(Date.parse(coat.laidAt))}. Does it still bother?`
            : 'Planned.'}
        </Text>
      ) : fate === 'coat' && ready !== 0 ? (
        <Text tone="ink2">
          {ready === null
            ? 'What lies there does not dry in this air.'
            : ready <= nowMs()
              ? 'What lies there takes a coat now.'
              : `What lies there takes a coat from ${dayMonthYear(ready)}.`}
        </Text>
      ) : null}
      <View style={styles.actions}>
        <Action
          title="It bothers no more"
          label={`It bothers no more: ${bother.text}`}
          onPress={() =>
            change('Settled what bothered', (p, m) => settleBother(p, bother.id, true, m))
          }
        />
        {coat ? (
          <Action
            title="Open the coat"
            kind="quiet"
            onPress={() => router.push(coatAddress(painting.id, coat.id))}
          />
        ) : (
          <Action title="Plan a coat" label={`Plan a coat: ${bother.text}`} onPress={planned} />
        )}
        {bother.passageId && (bother.kind === 'colour' || bother.kind === 'value') && !coat ? (
          <Action
            title="Try a glaze"
            kind="quiet"
            onPress={() => router.push(glazeAddress(painting.id, bother.passageId!))}
          />
        ) : null}
        <Action
          title="Decide otherwise"
          label={`Decide otherwise: ${bother.text}`}
          kind="quiet"
          onPress={() => setAsking(!asking)}
        />
      </View>
      {asking ? (
        <Otherwise
          fate={fate}
          onFate={(next) => {
            change('Decided on what bothers', (p, m) =>
              changeBother(p, bother.id, { fate: next }, m),
            );
            setAsking(false);
          }}
        />
      ) : null}
    </View>
  );
}

/** Leave it, look at it again on a day, or let it sort itself. */
function Otherwise({
  fate,
  onFate,
}: {
  fate: FateKind;
  onFate: (fate: { kind: 'leave' } | { kind: 'again'; at: string } | undefined) => void;
}) {
  const [chosen, setChosen] = useState<'leave' | 'again' | 'itself'>(
    fate === 'leave' ? 'again' : 'leave',
  );
  const [day, setDay] = useState('');
  const [refusal, setRefusal] = useState<string | null>(null);
  const put = () => {
    if (chosen !== 'again') return onFate(chosen === 'leave' ? { kind: 'leave' } : undefined);
    const ms = Date.parse(day);
    if (!(ms > nowMs())) return setRefusal('Give a day that is still to come.');
    onFate({ kind: 'again', at: new Date(ms).toISOString() });
  };
  return (
    <View style={{ marginTop: space.s }}>
      <Choice
        label="What becomes of it"
        options={[
          { key: 'leave', name: 'leave it' },
          { key: 'again', name: 'look again on a day' },
          { key: 'itself', name: 'by kind and weight' },
        ]}
        value={chosen}
        onChange={setChosen}
      />
      {chosen === 'again' ? <DateField label="Day" value={day} onChangeText={setDay} /> : null}
      <Problem says={refusal} />
      <Action title="So be it" onPress={put} style={{ alignSelf: 'flex-start' }} />
    </View>
  );
}

/** Where it lies sunk: oiled out, or given retouch varnish, and from when. */
function Surface({ assessment }: { assessment: PaintingAssessment }) {
  const dispatch = useStoreDispatch();
  const now = useNow();
  const { painting } = assessment;
  const c = STUDIO_HANDBOOK.constants;
  const sunk = assessment.passages.flatMap(({ passage, base }) => {
    const top = topLaid(base);
    if (!top || !isSunk({ composition: top.composition, lossFraction: top.film.lossFraction }, c))
      return [];
    const w = top.clock ? finishWindows(c, top.times, top.clock, 'touch-dry') : null;
    return [
      { passage, oilMs: top.windows?.touchDry.p75 ?? null, retouchMs: w?.retouch.p90 ?? null },
    ];
  });
  if (sunk.length === 0) return null;
  const when = (ms: number | null): string =>
    ms === null ? 'not in this air' : ms <= now ? 'now' : `from ${dayMonthYear(ms)}`;
  const coat = correctionCoat(
    'oiled-out',
    'x',
    sunk.map((s) => s.passage.id),
  );
  const area = areaCm2(painting.support) * sunk.reduce((s, x) => s + x.passage.share, 0);
  const dose = oilingOutDose(STUDIO_HANDBOOK, coat.recipe.medium, area, coat.recipe.thicknessUm);
  return (
    <View style={{ gap: space.s }}>
      <Heading>Sunk-in</Heading>
      {sunk.map(({ passage, oilMs, retouchMs }) => (
        <Text key={passage.id}>
          {`${passage.name}: oil out ${when(oilMs)}, retouch varnish ${when(retouchMs)}.`}
        </Text>
      ))}
      <Text tone="ink2">
        {`Oiling out takes ${dose.drops.toFixed(0)} drops (${dose.wetMl.toFixed(1)} ml), rubbed in and wiped until it hardly shines. Gloves; rags flat outdoors or under water.`}
      </Text>
      <Action
        title="Plan the oiling out"
        onPress={() =>
          dispatch(
            changePainting(painting.id, 'Planned to oil out', (p, m) =>
              placeCoat(
                p,
                correctionCoat(
                  'oiled-out',
                  m.newId(),
                  sunk.map((s) => s.passage.id),
                ),
                { where: 'over-laid' },
                m,
              ),
            ),
          )
        }
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    paddingVertical: space.m,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    gap: space.xs,
  },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, marginTop: space.xs },
});
