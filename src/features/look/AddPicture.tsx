import { createElement, useCallback, useEffect, useState, type DragEvent } from 'react';
import { View } from 'react-native';
import { lookingOf, putPicture } from '@/core/looking/edit';
import type { Picture, PictureKind } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { choosePhoto, scaledPhoto, TO_MEASURE } from '@/features/session/photo';
import { changePainting } from '@/store/actions';
import { making } from '@/store/clock';
import { useStoreDispatch } from '@/store/hooks';
import { keepPhoto } from '@/store/photos';
import { browserRoom } from '@/store/keep/browser';
import type { Room } from '@/store/keep/failure';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

const KIND_OPTIONS: { key: PictureKind; name: string }[] = [
  { key: 'progress', name: 'the picture as it stands' },
  { key: 'design', name: 'its design' },
  { key: 'reference', name: 'a reference' },
];

/** Less room than a few sittings need. */
const SCARCE_BYTES = 50e6;

/** As many as the schema reads. */
const PURPOSE_LETTERS = 80;

const MB = 1e6;

/** How much of the browser's store is used, and what it allows; asked again after each picture. */
function PicturesRoom({ after }: { after: number }) {
  const [room, setRoom] = useState<Room | null>(null);
  useEffect(() => {
    let here = true;
    void browserRoom().then((r) => here && setRoom(r));
    return () => {
      here = false;
    };
  }, [after]);
  if (!room) return null;
  const { usedBytes, allowedBytes } = room;
  const tight = allowedBytes - usedBytes < SCARCE_BYTES;
  return (
    <Text size="small" tone={tight ? 'brick' : 'ink2'}>
      {`The studio with its pictures takes ${Math.ceil(usedBytes / MB)} MB of the ${Math.floor(allowedBytes / MB)} MB this browser allows. A picture takes about one.${tight ? ' Export the studio and take old pictures out before it is full.' : ''}`}
    </Text>
  );
}

/** A picture taken, chosen, dropped or pasted: drawn anew, so that nothing of its file stays but the pixels. */
export function AddPicture({
  painting,
  hasDesign,
  onAdded,
}: {
  painting: Painting;
  hasDesign: boolean;
  onAdded: (id: string, kind: PictureKind) => void;
}) {
  const dispatch = useStoreDispatch();
  const [kind, setKind] = useState<PictureKind>(hasDesign ? 'progress' : 'design');
  const [purpose, setPurpose] = useState('');
  const [refusal, setRefusal] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [over, setOver] = useState(false);
  const add = useCallback(
    async (file: Blob | null) => {
      if (!file) return;
      setBusy(true);
      setRefusal(null);
      try {
        const { jpeg, width, height } = await scaledPhoto(file, TO_MEASURE);
        const { newId, now } = making();
        const id = newId();
        // The picture first: an entry that names a picture nobody kept would be worse than the other way round.
        await keepPhoto(id, jpeg);
        const entry: Picture = {
          id,
          kind,
          purpose: kind === 'reference' ? purpose.trim() : '',
          takenAt: now,
          width,
          height,
          corners: null,
          patches: [],
          marks: [],
        };
        dispatch(changePainting(painting.id, 'Took in a picture', (p) => putPicture(p, entry)));
        setPurpose('');
        // The next one is hardly another design.
        setKind('progress');
        onAdded(id, kind);
      } catch (error) {
        setRefusal(`The picture was not kept: ${(error as Error).message}`);
      }
      setBusy(false);
    },
    [dispatch, kind, onAdded, painting.id, purpose],
  );
  useEffect(() => {
    const pasted = (e: ClipboardEvent) => {
      const file = [...(e.clipboardData?.files ?? [])].find((f) => f.type.startsWith('image/'));
      if (file) void add(file);
    };
    document.addEventListener('paste', pasted);
    return () => document.removeEventListener('paste', pasted);
  }, [add]);
  return createElement(
    'div',
    {
      onDragOver: (e: DragEvent) => {
        e.preventDefault();
        setOver(true);
      },
      onDragLeave: () => setOver(false),
      onDrop: (e: DragEvent) => {
        e.preventDefault();
        setOver(false);
        void add(e.dataTransfer.files[0] ?? null);
      },
      style: { outline: over ? `2px dashed ${colour.tawny}` : 'none', outlineOffset: 6 },
    },
    <View style={{ gap: space.s }}>
      <Choice label="A picture of" options={KIND_OPTIONS} value={kind} onChange={setKind} />
      {kind === 'reference' ? (
        <Field
          label="What it is for"
          value={purpose}
          onChangeText={(text) => setPurpose(text.slice(0, PURPOSE_LETTERS))}
          placeholder="the light on the wall"
        />
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.s }}>
        <Action
          title="Photograph it"
          disabled={busy}
          onPress={() => void choosePhoto(true).then(add)}
        />
        <Action
          title="From a file"
          disabled={busy}
          onPress={() => void choosePhoto(false).then(add)}
        />
      </View>
      <Text size="small" tone="ink2">
        {kind === 'progress'
          ? 'Step back, no flash, all four corners in sight, a grey strip beside it if you have one. Where it was taken is not kept.'
          : 'Or drop it here, or paste it. Where it was taken is not kept.'}
      </Text>
      <PicturesRoom after={lookingOf(painting).pictures.length} />
      {refusal ? <Notice tone="refusal">{refusal}</Notice> : null}
    </View>,
  );
}
