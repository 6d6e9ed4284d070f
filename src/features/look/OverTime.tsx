import { useMemo } from 'react';
import { View } from 'react-native';
import { valuesWords } from '@/core/looking/tell';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { MapPicture } from './MapPicture';
import { pictureName } from './picture-name';
import { useMap, type LookState, type MapAsked } from './useLook';

const DRAWN: MapAsked = {
  view: 'colour',
  k: 5,
  way: 'breaks',
  thresholds: null,
  squintMm: 0,
  distanceM: null,
  mostPx: 620,
};

/** What changed from the photo before. */
export function OverTime({
  painting,
  work,
  before,
  state,
  width,
}: {
  painting: Painting;
  work: Picture;
  before: Picture | null;
  state: LookState;
  width: number;
}) {
  const was = useMap(painting, before, DRAWN);
  const is = useMap(painting, work, DRAWN);
  const names = useMemo(
    () => new Map(painting.passages.map((p) => [p.id, p.name])),
    [painting.passages],
  );
  const ratio = painting.support.heightMm / painting.support.widthMm;
  if (!before)
    return (
      <Text>
        There is no earlier photo with its corners set. The next one is held against this one.
      </Text>
    );
  const found = state.at === 'found' ? state.found : null;
  const change = found?.change ?? null;
  const level = found?.looked.trust.level ?? 'order';
  const moved = change?.passages.filter((p) => p.changed) ?? [];
  const each = Math.floor((width - space.s) / 2);
  return (
    <View style={{ gap: space.m }}>
      {change ? (
        <Heading level={2}>
          {change.shareChanged < 0.005
            ? 'Nothing changed that the photos can tell.'
            : `${Math.round(change.shareChanged * 100)} % of the picture changed.`}
        </Heading>
      ) : null}
      <View style={{ flexDirection: 'row', gap: space.s }}>
        {(
          [
            [before, was],
            [work, is],
          ] as const
        ).map(([picture, map]) => (
          <View key={picture.id}>
            <MapPicture map={map} label={pictureName(picture)} width={each} ratio={ratio} />
            <Text size="small">{pictureName(picture)}</Text>
          </View>
        ))}
      </View>
      {level === 'order' && change ? (
        <Text tone="ink2">
          Without a grey card on both, lighter and darker may be the exposure: no amounts are told.
        </Text>
      ) : (
        moved.map((p) => (
          <Text key={p.id}>
            {`${names.get(p.id)}: ${valuesWords(p.byL, level)} ${p.byL > 0 ? 'lighter' : 'darker'}.`}
          </Text>
        ))
      )}
    </View>
  );
}
