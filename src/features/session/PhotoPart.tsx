import { useEffect, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { addPhoto, removePhoto, type Session, type SessionPhoto } from '@/core/session';
import { changeSession } from '@/store/actions';
import { making } from '@/store/clock';
import { useNow, useStoreDispatch } from '@/store/hooks';
import { keepPhoto, readPhoto } from '@/store/photos';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { TakeOut } from '@/ui/TakeOut';
import { Text } from '@/ui/Text';
import { shortTime } from '@/ui/time/words';
import { radius, space } from '@/ui/tokens';
import { choosePhoto, scaledPhoto } from './photo';

/** Take or choose a photo of the work; its place is never kept. */
export function PhotoPart({
  session,
  paintingId,
}: {
  session: Session;
  paintingId: string | null;
}) {
  const dispatch = useStoreDispatch();
  const [refusal, setRefusal] = useState<string | null>(null);
  const take = async (camera: boolean) => {
    setRefusal(null);
    try {
      const file = await choosePhoto(camera);
      if (!file) return;
      const { jpeg, width, height } = await scaledPhoto(file);
      const { newId, now } = making();
      const id = newId();
      // The picture first: a log that names a picture nobody kept would be worse than the other way round.
      await keepPhoto(id, jpeg);
      dispatch(
        changeSession(session.id, 'Took a photo', (s) =>
          addPhoto(s, { id, paintingId, takenAt: now, width, height }),
        ),
      );
    } catch (error) {
      setRefusal(
        `The photo was not kept: ${error instanceof Error ? error.message : String(error)}`,
      );
    }
  };
  return (
    <View style={{ gap: space.s }}>
      <View style={{ flexDirection: 'row', gap: space.s, flexWrap: 'wrap' }}>
        <Action title="Take a photo" onPress={() => void take(true)} />
        <Action title="Photo from a file" onPress={() => void take(false)} />
      </View>
      {refusal ? <Notice tone="refusal">{refusal}</Notice> : null}
      <PhotoStrip
        photos={session.photos}
        onRemove={(photo) =>
          dispatch(changeSession(session.id, 'Took a photo out', (s) => removePhoto(s, photo.id)))
        }
      />
    </View>
  );
}

const HEIGHT = 132;

/** Photos over time, the oldest first. */
export function PhotoStrip({
  photos,
  onRemove,
}: {
  photos: SessionPhoto[];
  onRemove?: (photo: SessionPhoto) => void;
}) {
  if (photos.length === 0) return null;
  const ordered = [...photos].sort((a, b) => a.takenAt.localeCompare(b.takenAt));
  return (
    <ScrollView horizontal>
      <View style={{ flexDirection: 'row', gap: space.m }} role="list" aria-label="Photos">
        {ordered.map((photo) => (
          <Photo key={photo.id} photo={photo} {...(onRemove ? { onRemove } : {})} />
        ))}
      </View>
    </ScrollView>
  );
}

function Photo({
  photo,
  onRemove,
}: {
  photo: SessionPhoto;
  onRemove?: (photo: SessionPhoto) => void;
}) {
  const nowMs = useNow();
  const [jpeg, setJpeg] = useState<string | null | undefined>(undefined);
  useEffect(() => {
    let gone = false;
    readPhoto(photo.id).then(
      (found) => gone || setJpeg(found),
      () => gone || setJpeg(null),
    );
    return () => {
      gone = true;
    };
  }, [photo.id]);
  const when = shortTime(Date.parse(photo.takenAt), nowMs);
  return (
    <View role="listitem">
      {jpeg ? (
        // A plain picture: the widget of React Native would bring ten kilobytes of loading states along.
        <img
          alt={`Photo, ${when}`}
          src={`data:image/jpeg;base64,${jpeg}`}
          height={HEIGHT}
          width={(HEIGHT * photo.width) / photo.height}
          style={{ borderRadius: radius.s }}
        />
      ) : (
        <View style={{ height: HEIGHT, width: 120, justifyContent: 'center' }}>
          <Text size="small" tone="ink2">
            {jpeg === undefined ? 'Opening …' : 'This photo is not in this browser.'}
          </Text>
        </View>
      )}
      <View style={{ flexDirection: 'row', alignItems: 'center' }}>
        <Text size="small" tone="ink2" style={{ flex: 1 }}>
          {when}
        </Text>
        {onRemove ? <TakeOut name={`photo of ${when}`} onPress={() => onRemove(photo)} /> : null}
      </View>
    </View>
  );
}
