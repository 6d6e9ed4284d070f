import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { View } from 'react-native';
import { z } from 'zod';
import { putPicture } from '@/core/looking/edit';
import { aspectProblem, cornerProblem } from '@/core/looking/homography';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import type { Place } from '@/ui/PhotoPlaces';
import { PicturePlaces } from '@/ui/PicturePlaces';
import { Says } from '@/ui/Says';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { findCorners } from '@/workers/looking-client';
import type { CornersReply } from '@/workers/looking-protocol';
import { useKept } from './useKept';
import { useJpeg } from './usePictures';

const CORNER_NAMES = ['upper left', 'upper right', 'lower right', 'lower left'];
/** Where corners are looked for first: a little inside the photo. */
const FIRST: [number, number][] = [
  [0.1, 0.1],
  [0.9, 0.1],
  [0.9, 0.9],
  [0.1, 0.9],
];

/** How looking for them went. */
type Finding = 'rest' | 'work' | 'found' | 'in part' | 'nothing';
const FOUND: Record<Finding, string | null> = {
  rest: null,
  work: 'Looking for its sides …',
  found:
    'Its sides were found. Look at each corner under the glass all the same: a frame or the side of the stretcher can be taken for the picture.',
  'in part': 'Not every side stands out from what is behind it. Set the corners there yourself.',
  nothing: 'Nothing stands out on this photo. Set the corners yourself.',
};

const cornersSchema = z.object({
  places: z.array(z.tuple([z.number(), z.number()])).length(CORNER_NAMES.length),
  /** Whether they lie where the sides were found. */
  found: z.boolean(),
});

/** The four corners of the support on a picture: dragged under a loupe, or moved by keys. */
export function Corners({
  painting,
  picture,
  width,
  onDone,
}: {
  painting: Painting;
  picture: Picture;
  width: number;
  onDone: () => void;
}) {
  const dispatch = useStoreDispatch();
  const jpeg = useJpeg(picture.id);
  const kept = useKept(`corners:${picture.id}`, cornersSchema, {
    places: picture.corners ?? FIRST,
    found: picture.onEdges ?? false,
  });
  const { places } = kept.value;
  const [active, setActive] = useState('0');
  const untouched = JSON.stringify(places) === JSON.stringify(FIRST);
  // Looked for by themselves only where nobody set them yet, on this day or before.
  const [finding, setFinding] = useState<Finding>(
    kept.value.found ? 'found' : picture.corners === null && untouched ? 'work' : 'rest',
  );
  /** Which search is the last: a finger that was quicker than it is not overruled. */
  const search = useRef(0);
  const { support } = painting;
  const look = (from: [number, number][] | null) => {
    const mine = ++search.current;
    const told = (reply: CornersReply | null) => {
      if (search.current !== mine) return;
      if (reply?.corners)
        kept.set({ places: reply.corners.map(([x, y]) => [x, y]), found: reply.found });
      setFinding(!reply?.corners ? 'nothing' : reply.found ? 'found' : 'in part');
    };
    findCorners({ support, jpeg: jpeg!, corners: from }).then(told, () => told(null));
  };
  const propose = useEffectEvent(() => {
    if (finding === 'work') look(null);
  });
  useEffect(() => {
    if (jpeg) propose();
  }, [jpeg]);
  const px = places.map(([x, y]): Place => [x * picture.width, y * picture.height]);
  const problem = cornerProblem(px);
  const doubt = problem ? null : aspectProblem(px, picture, painting.support);
  if (jpeg === null)
    return <Notice tone="refusal">The photo of this picture is not in this browser.</Notice>;
  if (jpeg === undefined) return null;
  return (
    <View style={{ gap: space.s }}>
      <Heading level={2}>Where are its corners?</Heading>
      <Text>
        On the front edge of the painted face. Start with the painting’s own upper left, whichever
        way the photo lies.
      </Text>
      <PicturePlaces
        url={`data:image/jpeg;base64,${jpeg}`}
        alt="The photo with the corners of the picture"
        ratio={picture.height / picture.width}
        width={width}
        pixels={picture.width}
        closed
        handles={places.map((at, i) => ({ key: String(i), name: CORNER_NAMES[i]!, at }))}
        active={active}
        onActive={setActive}
        onMove={(key, [x, y]) => {
          search.current += 1;
          setFinding('rest');
          kept.set({
            places: places.map((p, i) => (String(i) === key ? [x, y] : p)),
            found: false,
          });
        }}
      />
      <Choice
        label="Corner"
        options={CORNER_NAMES.map((name, i) => ({ key: String(i), name }))}
        value={active}
        onChange={setActive}
      />
      <Says>
        {FOUND[finding] ? (
          <Text size="small" tone="ink2">
            {FOUND[finding]}
          </Text>
        ) : null}
      </Says>
      <Action
        title="Look for its sides"
        disabled={finding === 'work' || problem !== null}
        onPress={() => {
          setFinding('work');
          look(places);
        }}
      />
      {problem ? <Notice tone="refusal">{problem}</Notice> : null}
      {doubt ? <Notice>{doubt}</Notice> : null}
      <Action
        title="These are its corners"
        kind="primary"
        disabled={problem !== null}
        onPress={() => {
          dispatch(
            changePainting(painting.id, 'Set the corners of a picture', (p) =>
              putPicture(p, {
                ...picture,
                corners: places,
                // What the finger moved after it is as sure as a finger.
                onEdges: kept.value.found,
              }),
            ),
          );
          kept.done();
          onDone();
        }}
      />
    </View>
  );
}
