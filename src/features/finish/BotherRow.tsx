import { nanoid } from '@reduxjs/toolkit';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { changeBother } from '@/core/finish/edit';
import { mendingCoat } from '@/core/finish/mending';
import { weightOf, type SortedBother } from '@/core/finish/sorted';
import type { PaintingAssessment } from '@/core/painting';
import { placeCoat } from '@/core/painting/coats';
import { sameSpot } from '@/core/painting/sites';
import { settleBother } from '@/core/painting/notes-of';
import { todayRow } from '@/core/today';
import { coatAddress, glazeAddress } from '@/features/addresses';
import { rowWords } from '@/features/due-words';
import { changePainting } from '@/store/actions';
import { useNow, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';
import { KIND_WORDS, QUARTER_WORDS, WEIGHT_WORDS } from './BotherForm';
import { MarkedPhoto } from './MarkedPhoto';
import { Otherwise } from './Otherwise';

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

/** One thing that bothers: where, what becomes of it, what has been done about it. */
export function BotherRow({
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
  const now = useNow();
  const [asking, setAsking] = useState(false);
  const [where, setWhere] = useState<string | null>(null);
  const change = (what: string, run: Parameters<typeof changePainting>[2]) =>
    dispatch(changePainting(painting.id, what, run));
  /** A coat lies on a passage: of what was noted of the whole the painter says which. */
  const unplaced =
    bother.passageId === null && bother.kind !== 'surface' && painting.passages.length > 1;
  const plan = () => {
    const passageId = bother.passageId ?? where ?? painting.passages[0]!.id;
    const placed = bother.kind === 'surface' ? bother : { ...bother, passageId };
    const made = mendingCoat(assessment, placed, nanoid(12));
    if (!made)
      return router.push({
        pathname: '/paintings/[id]/coats/[coatId]',
        params: { id: painting.id, coatId: 'new' },
      });
    change(`Planned what mends “${bother.text}”`, (p, m) =>
      changeBother(
        placeCoat(p, made, { where: 'over-laid' }, m),
        bother.id,
        { fate: { kind: 'coat', coatId: made.id }, passageId: placed.passageId },
        m,
      ),
    );
  };
  // When the passage takes a coat is what Today says of it.
  const here = assessment.passages.find((p) => p.passage.id === bother.passageId);
  const spotName = painting.coats.find((c) => c.id === coat?.id)?.spot?.name ?? null;
  const stack = here?.spots.find((s) => sameSpot(s.site.spotName, spotName)) ?? here?.base;
  const due = here && stack ? rowWords(todayRow(assessment, here.passage, stack, now), now) : null;
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
      ) : null}
      {due && fate === 'coat' ? <Text tone="ink2">{`${here!.passage.name}: ${due}.`}</Text> : null}
      {unplaced && !coat ? (
        <Choice
          label="A coat for it would lie on"
          options={painting.passages.map((p) => ({ key: p.id, name: p.name }))}
          value={where}
          onChange={setWhere}
        />
      ) : null}
      {bother.place ? <MarkedPhoto place={bother.place} /> : null}
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
          <Action
            title="Plan a coat"
            label={`Plan a coat: ${bother.text}`}
            disabled={unplaced && where === null}
            onPress={plan}
          />
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

const styles = StyleSheet.create({
  row: {
    paddingVertical: space.m,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    gap: space.xs,
  },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, marginTop: space.xs },
});
