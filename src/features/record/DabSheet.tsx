import { useState } from 'react';
import { View } from 'react-native';
import { APPLICATIONS } from '@/data/applications';
import { laidEvents, type Coat, type Painting } from '@/core/painting';
import { dabOf } from '@/core/painting/improvise';
import { recordNewCoat } from '@/core/painting/record-new';
import { toldLaying } from '@/core/tell/laying';
import { spotSchema } from '@/core/painting/schema';
import { useText } from '@/forms/useText';
import { nowIso, nowMs as presentMs } from '@/store/clock';
import { Action } from '@/ui/Action';
import { Choice, ManyChoice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { JudgedNotices } from './JudgedNotices';
import { useRecord } from './useRecord';

const WITH = ['brush-coat', 'finger', 'rag', 'knife'] as const;
const LAST_PAINTS = 4;

/** Paints to dab with: what is in hand, then what was laid last. */
function paintsOf(painting: Painting, inHand: Coat | null): Coat[] {
  const last = [...laidEvents(painting)].sort((a, b) => b.at.localeCompare(a.at));
  const laid = last.flatMap((e) => painting.coats.find((c) => c.id === e.coatId) ?? []);
  const paints = [...(inHand ? [inHand] : []), ...laid, ...painting.coats].filter(
    (c) => c.recipe.mix.length > 0,
  );
  const names = new Set<string>();
  return paints.filter((c) => !names.has(c.name) && names.add(c.name)).slice(0, LAST_PAINTS);
}

/** A touch of paint here and there, entered at once. */
export function DabSheet({
  painting,
  inHand,
  passageIds,
  onClose,
}: {
  painting: Painting;
  inHand: Coat | null;
  passageIds: string[];
  onClose: () => void;
}) {
  const { record, note, oneStep, refusal, options } = useRecord();
  const paints = paintsOf(painting, inHand);
  const [paintId, setPaint] = useState(paints[0]?.id ?? null);
  const [on, setOn] = useState(passageIds.length === 1 ? passageIds : []);
  const [application, setApplication] = useState<(typeof WITH)[number]>('brush-coat');
  const name = useText(`dab:${painting.id}`, spotSchema.shape.name, 'dab');
  const paint = paints.find((c) => c.id === paintId);
  const [openedMs] = useState(presentMs);
  const coatFor = (id: string, called: string): Coat | null =>
    paint
      ? {
          ...dabOf(paint, id, on, called),
          application,
          recipe: {
            ...paint.recipe,
            thicknessUm:
              application === 'brush-coat'
                ? paint.recipe.thicknessUm
                : APPLICATIONS[application].typicalUm,
          },
        }
      : null;
  const meant = on.length > 0 ? coatFor('dab', 'dab') : null;
  const told = meant
    ? toldLaying(
        painting,
        { coat: meant, passageIds: on, spot: meant.spot, atMs: openedMs },
        options,
      )
    : null;
  const dab = () => {
    const called = name.accepted();
    if (!paint || called === null) return;
    const what = `Dabbed ${paint.name.toLowerCase()}`;
    let id: string | null = null;
    oneStep(what, () => {
      const kept = record(painting.id, what, (p, options, making) => {
        const coat = coatFor(making.newId(), called)!;
        id = coat.id;
        return recordNewCoat(p, coat, nowIso(), options, making);
      });
      if (kept && id !== null)
        note({ paintingId: painting.id, passageIds: on, coatId: id, name: called, done: true });
      else id = null;
    });
    if (id === null) return;
    name.done();
    onClose();
  };
  return (
    <Sheet name="A dab" onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>A dab</Heading>
        {paints.length === 0 ? (
          <Text tone="ink2">No paint is planned on this painting yet. Add a coat first.</Text>
        ) : (
          <Choice
            label="Of"
            options={paints.map((c) => ({ key: c.id, name: c.name }))}
            value={paintId}
            onChange={setPaint}
          />
        )}
        <ManyChoice
          label="On"
          options={painting.passages.map((p) => ({ key: p.id, name: p.name }))}
          values={on}
          onChange={setOn}
        />
        <Choice
          label="With"
          options={WITH.map((key) => ({
            key,
            name: key === 'brush-coat' ? 'brush' : APPLICATIONS[key].name.replace('with ', ''),
          }))}
          value={application}
          onChange={setApplication}
        />
        <Field
          label="What you call it"
          value={name.text}
          onChangeText={name.set}
          error={name.error}
        />
        {told ? <JudgedNotices told={told} name="the dab" nowMs={openedMs} /> : null}
        {refusal ? <Notice tone="refusal">{refusal.message}</Notice> : null}
        <Action
          title="Dab now"
          kind="primary"
          disabled={told === null || told.refused}
          onPress={dab}
        />
        <Action title="Cancel" kind="quiet" onPress={onClose} />
      </View>
    </Sheet>
  );
}
