import { useState } from 'react';
import { View } from 'react-native';
import { z } from 'zod';
import { noteFully } from '@/core/finish/edit';
import {
  BOTHER_KINDS,
  BOTHER_WEIGHTS,
  QUARTERS,
  type BotherKind,
  type Quarter,
} from '@/core/finish/vocabulary';
import type { Painting } from '@/core/painting';
import { botherSchema } from '@/core/painting/schema';
import { useKept } from '@/features/look/useKept';
import { useJpeg, usePictures } from '@/features/look/usePictures';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { PicturePlaces } from '@/ui/PicturePlaces';
import { space } from '@/ui/tokens';

export const KIND_WORDS: Record<BotherKind, string> = {
  value: 'value',
  edge: 'edge',
  drawing: 'drawing',
  colour: 'colour',
  surface: 'surface',
  dirt: 'dirt',
};
export const WEIGHT_WORDS = {
  1: 'one looks for it',
  2: 'it is seen',
  3: 'it is seen first',
} as const;
export const QUARTER_WORDS: Record<Quarter, string> = {
  'upper-left': 'upper left',
  'upper-right': 'upper right',
  'lower-left': 'lower left',
  'lower-right': 'lower right',
};

const NOWHERE = 'whole';

const draftSchema = z.object({
  /** Longer than is kept: what is too long is told, not lost. */
  text: z.string().max(5000),
  kind: z.enum(BOTHER_KINDS),
  weight: z.literal(BOTHER_WEIGHTS),
  passageId: z.string(),
  quarter: z.string(),
  /** On which photo, and where on it. */
  at: z.object({ pictureId: z.string(), x: z.number(), y: z.number() }).nullable(),
});
type BotherDraft = z.infer<typeof draftSchema>;
const EMPTY: BotherDraft = {
  text: '',
  kind: 'value',
  weight: 2,
  passageId: NOWHERE,
  quarter: NOWHERE,
  at: null,
};

/** How wide a photo is shown to point on, px: a phone's width. */
const POINTED_WIDTH = 320;

/** What bothers, with its place, kind and weight; half typed it is there again after a reload. */
export function BotherForm({ painting }: { painting: Painting }) {
  const dispatch = useStoreDispatch();
  const kept = useKept(`bother-full:${painting.id}`, draftSchema, EMPTY);
  const [error, setError] = useState<string | undefined>(undefined);
  const { value } = kept;
  const set = (change: Partial<BotherDraft>) => kept.set({ ...value, ...change });
  const photo = usePictures(painting).findLast((p) => p.kind === 'progress') ?? null;
  // A place on a photo that is not the last any more says nothing on another.
  const at = value.at && value.at.pictureId === photo?.id ? value.at : null;
  const add = () => {
    const text = botherSchema.shape.text.safeParse(value.text);
    if (!text.success) return setError(text.error.issues[0]!.message);
    setError(undefined);
    dispatch(
      changePainting(painting.id, 'Noted what bothers', (p, m) =>
        noteFully(
          p,
          {
            text: text.data,
            passageId: p.passages.some((x) => x.id === value.passageId) ? value.passageId : null,
            kind: value.kind,
            weight: value.weight,
            ...(value.quarter !== NOWHERE ? { quarter: value.quarter as Quarter } : {}),
            ...(at ? { place: at } : {}),
          },
          m,
        ),
      ),
    );
    kept.done();
  };
  return (
    <View>
      <Field
        label="What bothers"
        value={value.text}
        onChangeText={(text) => set({ text })}
        error={error}
        placeholder="the edge of the jar is too hard"
      />
      <Choice
        label="Kind"
        options={BOTHER_KINDS.map((key) => ({ key, name: KIND_WORDS[key] }))}
        value={value.kind}
        onChange={(kind) => set({ kind })}
      />
      <Choice
        label="How much"
        options={BOTHER_WEIGHTS.map((w) => ({ key: String(w), name: WEIGHT_WORDS[w] }))}
        value={String(value.weight)}
        onChange={(w) => set({ weight: Number(w) as BotherDraft['weight'] })}
      />
      <Choice
        label="Passage"
        options={[
          { key: NOWHERE, name: 'all of it' },
          ...painting.passages.map((p) => ({ key: p.id, name: p.name })),
        ]}
        value={value.passageId}
        onChange={(passageId) => set({ passageId })}
      />
      {photo ? (
        <OnPhoto
          key={photo.id}
          id={photo.id}
          ratio={photo.height / photo.width}
          pixels={photo.width}
          at={at}
          onAt={(place) => set({ at: place && { pictureId: photo.id, x: place[0], y: place[1] } })}
        />
      ) : (
        <Choice
          label="Quarter of the picture"
          options={[
            { key: NOWHERE, name: 'anywhere' },
            ...QUARTERS.map((key) => ({ key, name: QUARTER_WORDS[key] })),
          ]}
          value={value.quarter}
          onChange={(quarter) => set({ quarter })}
        />
      )}
      <Action title="Note it" onPress={add} style={{ alignSelf: 'flex-start' }} />
    </View>
  );
}

/** The last photo, to put a finger on the place. */
function OnPhoto({
  id,
  ratio,
  pixels,
  at,
  onAt,
}: {
  id: string;
  ratio: number;
  pixels: number;
  at: BotherDraft['at'];
  onAt: (at: readonly [number, number] | null) => void;
}) {
  const jpeg = useJpeg(id);
  if (!jpeg) return null;
  if (!at)
    return (
      <Action
        title="Point at it on the last photo"
        kind="quiet"
        onPress={() => onAt([0.5, 0.5])}
        style={{ alignSelf: 'flex-start' }}
      />
    );
  return (
    <View style={{ gap: space.s, marginBottom: space.m }}>
      <PicturePlaces
        url={`data:image/jpeg;base64,${jpeg}`}
        alt="The last photo of the picture"
        ratio={ratio}
        width={POINTED_WIDTH}
        pixels={pixels}
        handles={[{ key: 'here', name: 'what bothers', at: [at.x, at.y] }]}
        active="here"
        onActive={() => undefined}
        onMove={(_, to) => onAt(to)}
      />
      <Action
        title="No place on the photo"
        kind="quiet"
        onPress={() => onAt(null)}
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}
