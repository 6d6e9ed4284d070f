import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { z } from 'zod';
import { recipeSchema, tubePartSchema } from '@/core/film/recipe';
import { heapOf, knownMixes, putOut, type PaletteMix, type Session } from '@/core/session';
import { Hazards } from '@/features/Hazards';
import { PaintPicker } from '@/features/PaintPicker';
import { tubeName, tubePigments, type Tube } from '@/core/cabinet/tube-names';
import { useForm, useRowKeys } from '@/forms';
import { changeSession } from '@/store/actions';
import { useStoreDispatch, useStoreSelector } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { TakeOut } from '@/ui/TakeOut';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { useSessions } from './useSession';

const premixSchema = z
  .object({
    name: z.string().trim().min(1, { error: 'Give it a name.' }).max(60),
    ml: z
      .number({ error: 'Must be a number of ml.' })
      .positive({ error: 'Above 0 ml.' })
      .max(2000, { error: 'At most 2000 ml.' }),
    mix: z.array(tubePartSchema).min(1, { error: 'Add a paint.' }).max(12),
  })
  .superRefine(({ mix }, context) => {
    // Said here, before it is put out: acrylic and oil in one heap.
    const wrong = recipeSchema.safeParse(heapOf(mix)).error?.issues[0];
    if (wrong) context.addIssue({ code: 'custom', path: ['mix'], message: wrong.message });
  });
type Premix = z.infer<typeof premixSchema>;

const EARLIER = 6;
const USUAL_ML = 5;

const amountsOf = ({ recipe, ml }: PaletteMix): string =>
  `${recipe.mix.map((part) => `${part.parts} ${tubeName(part).toLowerCase()}`).join(', ')}${ml ? `, ${ml} ml` : ''}`;

/** A mix put out with its name and ml: mixed here from any paint, or again as it was mixed before. */
export function PremixSheet({ session, onClose }: { session: Session; onClose: () => void }) {
  const dispatch = useStoreDispatch();
  const sessions = useSessions();
  const binder = useStoreSelector((s) => s.studio.binder ?? 'linseed');
  const [picking, setPicking] = useState(false);
  const [fresh] = useState((): Premix => ({ name: '', ml: USUAL_ML, mix: [] }));
  const form = useForm({
    key: `premix:${session.id}`,
    schema: premixSchema,
    document: fresh,
    isNew: true,
  });
  const mix = form.draft.mix as Tube[];
  const rows = useRowKeys(mix.length);
  const put = (name: string, recipe: PaletteMix['recipe'], ml: number | null) => {
    dispatch(
      changeSession(session.id, `Put out ${name.toLowerCase()}`, (s, m) =>
        putOut(s, { name, recipe, ml }, m),
      ),
    );
  };
  const keep = () => {
    const kept = form.keep((value) => put(value.name, heapOf(value.mix), value.ml));
    if (kept) onClose();
  };
  const earlier = useMemo(() => knownMixes(sessions).slice(0, EARLIER), [sessions]);
  return (
    <Sheet name="Put out a mix" onClose={onClose}>
      <View style={{ gap: space.s }}>
        <Heading>Put out a mix</Heading>
        {earlier.length > 0 ? (
          <>
            <Text size="small" tone="ink2">
              Again, with the same amounts
            </Text>
            {earlier.map((known) => (
              <Action
                key={known.id}
                title={known.name}
                label={`${known.name} again: ${amountsOf(known)}`}
                onPress={() => {
                  put(known.name, known.recipe, known.ml);
                  form.throwAway();
                  onClose();
                }}
              />
            ))}
          </>
        ) : null}
        <Field label="Name of a new mix" {...form.text('name')} />
        {mix.map((tube, i) => (
          <View
            key={rows.keys[i]}
            style={{ flexDirection: 'row', alignItems: 'center', gap: space.s, flexWrap: 'wrap' }}
          >
            <Text style={{ flex: 1, minWidth: 120 }}>{tubeName(tube)}</Text>
            <Stepper
              label={`Parts of ${tubeName(tube)}`}
              hideLabel
              step={1}
              min={1}
              max={99}
              {...form.number(`mix.${i}.parts`, 'parts')}
            />
            <TakeOut
              name={tubeName(tube)}
              onPress={() => {
                rows.removed(i);
                form.put(
                  'mix',
                  mix.filter((_, n) => n !== i),
                );
              }}
            />
          </View>
        ))}
        <Action
          title="Add a paint"
          onPress={() => setPicking(true)}
          style={{ alignSelf: 'flex-start' }}
        />
        <Hazards pigments={mix.flatMap((t) => tubePigments(t).map((p) => p.pigment))} />
        <Stepper
          label="Put out"
          unit="ml"
          step={1}
          min={0.5}
          max={2000}
          {...form.number('ml', 'millilitres')}
        />
        {form.problem('mix') ? <Notice tone="refusal">{form.problem('mix')}</Notice> : null}
        <Action title="Put it out" kind="primary" onPress={keep} disabled={!form.value} />
        <Action
          title="Cancel"
          kind="quiet"
          onPress={() => {
            form.throwAway();
            onClose();
          }}
        />
      </View>
      {picking ? (
        <PaintPicker
          binder={binder}
          onPick={(tube) => {
            form.put('mix', [...mix, { parts: 1, ...tube }]);
            setPicking(false);
          }}
          onClose={() => setPicking(false)}
        />
      ) : null}
    </Sheet>
  );
}
