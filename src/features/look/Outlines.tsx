import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { z } from 'zod';
import { MOST } from '@/core/looking/none';
import { lookingOf, outlinesOf, putOutline, withoutOutline } from '@/core/looking/edit';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { PhotoPlaces, type Place } from '@/ui/PhotoPlaces';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { urlOfMap } from './MapPicture';
import { useKept } from './useKept';
import { PLAIN, useMap } from './useMap';

const placeSchema = z.tuple([z.number(), z.number()]);
/** An outline that is being drawn, shares of the support: what is done of it waits. */
const draftSchema = z.object({
  pieces: z.array(z.array(placeSchema)).max(MOST.rings),
  draft: z.array(placeSchema),
});
type DraftOutline = z.infer<typeof draftSchema>;
const NOTHING: DraftOutline = { pieces: [], draft: [] };
const own = ([x, y]: Place): [number, number] => [x, y];

/** A place this near to one that is there already is that one: two passages then share their border. */
const SNAP_PX = 12;

function snapTo(there: readonly Place[], at: Place, width: number, height: number): Place {
  const near = there.find(
    ([x, y]) => Math.hypot((x - at[0]) * width, (y - at[1]) * height) < SNAP_PX,
  );
  if (near) return near;
  // Near the edge of the support it lies on it.
  const edge = (v: number, size: number): number =>
    v * size < SNAP_PX ? 0 : (1 - v) * size < SNAP_PX ? 1 : v;
  return [edge(at[0], width), edge(at[1], height)];
}

/** Passages outlined once, on the support: they lie right on every picture from then on. */
export function Outlines({
  painting,
  picture,
  width,
  onKeep,
  onDone,
}: {
  painting: Painting;
  picture: Picture;
  width: number;
  /** One is kept: there may be more to outline. */
  onKeep: () => void;
  onDone: () => void;
}) {
  const map = useMap(painting.support, picture, { ...PLAIN, mostPx: 1000 });
  const url = useMemo(() => (map ? urlOfMap(map) : null), [map]);
  const outlines = outlinesOf(painting);
  const open = painting.passages.filter((p) => !outlines.some((o) => o.id === p.id));
  const [chosen, setChosen] = useState((open[0] ?? painting.passages[0]!).id);
  return (
    <View style={{ gap: space.s }}>
      <Heading level={2}>Where are the passages?</Heading>
      <Text>
        Tap round each, once. What lies on another, as a jug on a cloth, is outlined after it and
        needs no hole in it.
      </Text>
      <Choice
        label="Passage"
        options={painting.passages.map((p) => ({
          key: p.id,
          name: `${p.name}${outlines.some((o) => o.id === p.id) ? ', outlined' : ''}`,
        }))}
        value={chosen}
        onChange={setChosen}
      />
      {url ? (
        <OneOutline
          key={chosen}
          painting={painting}
          of={chosen}
          url={url}
          width={width}
          onKept={() => {
            onKeep();
            const next = open.find((p) => p.id !== chosen);
            if (next) setChosen(next.id);
            else onDone();
          }}
        />
      ) : (
        <Text tone="ink2">Drawing the picture …</Text>
      )}
      <Action title="Done" kind="quiet" onPress={onDone} />
    </View>
  );
}

/** One passage being outlined; what is half done of it waits under its own name. */
function OneOutline({
  painting,
  of,
  url,
  width,
  onKept,
}: {
  painting: Painting;
  /** The passage. */
  of: string;
  url: string;
  width: number;
  onKept: () => void;
}) {
  const dispatch = useStoreDispatch();
  const { widthMm, heightMm } = painting.support;
  const ratio = heightMm / widthMm;
  const outlines = outlinesOf(painting);
  const kept = useKept(`outline:${painting.id}:${of}`, draftSchema, NOTHING);
  const { draft, pieces } = kept.value;
  const setDraft = (next: readonly Place[]) => kept.set({ pieces, draft: next.map(own) });
  const share = ([x, y]: readonly [number, number]): Place => [x / widthMm, y / heightMm];
  const there: Place[] = [
    ...outlines.flatMap((o) => o.rings.flat().map(share)),
    ...pieces.flat(),
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ];
  const snapped = (at: Place): Place => snapTo(there, at, width, width * ratio);
  const nameOf = (id: string) => painting.passages.find((p) => p.id === id)?.name ?? id;
  const keep = () => {
    const rings = [...pieces, draft]
      .filter((ring) => ring.length >= 3)
      .map((ring) => ring.map(([x, y]) => [x * widthMm, y * heightMm] as [number, number]));
    dispatch(
      changePainting(painting.id, `Outlined ${nameOf(of)}`, (p) => putOutline(p, of, rings)),
    );
    kept.done();
    onKept();
  };
  const has = lookingOf(painting).outlines.some((o) => o.id === of);
  return (
    <>
      <PhotoPlaces
        url={url}
        alt="The picture on its support"
        ratio={ratio}
        width={width}
        outlines={[
          ...outlines
            .filter((o) => o.id !== of || draft.length + pieces.length === 0)
            .flatMap((o) =>
              o.rings.map((ring, i) => ({
                key: `${o.id} ${i}`,
                name: i === 0 ? nameOf(o.id) : '',
                places: ring.map(share),
              })),
            ),
          ...pieces.map((places, i) => ({ key: `piece ${i}`, name: '', places })),
          { key: 'draft', name: nameOf(of), places: draft },
        ]}
        active="draft"
        onPlace={(at) => setDraft([...draft, snapped(at)])}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Action
          title="Last place back"
          kind="quiet"
          disabled={draft.length === 0}
          onPress={() => setDraft(draft.slice(0, -1))}
        />
        <Action
          title="Another piece of it"
          kind="quiet"
          disabled={draft.length < 3 || pieces.length + 1 >= MOST.rings}
          onPress={() => kept.set({ pieces: [...pieces, draft], draft: [] })}
        />
        {has ? (
          <Action
            title="Take its outline away"
            kind="quiet"
            onPress={() =>
              dispatch(
                changePainting(painting.id, `Took the outline of ${nameOf(of)} away`, (p) =>
                  withoutOutline(p, of),
                ),
              )
            }
          />
        ) : null}
      </View>
      <Action
        title={`Keep the outline of ${nameOf(of)}`}
        kind="primary"
        disabled={draft.length < 3 && pieces.length === 0}
        onPress={keep}
      />
    </>
  );
}
