import { useMemo } from 'react';
import { View } from 'react-native';
import { tellChange } from '@/core/looking/tell';
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
  const was = useMap(painting.support, before, DRAWN);
  const is = useMap(painting.support, work, DRAWN);
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
  const told =
    found?.change && found.beforeLevel
      ? tellChange(found.change, [found.beforeLevel, found.looked.trust.level], names)
      : null;
  const each = Math.floor((width - space.s) / 2);
  return (
    <View style={{ gap: space.m }}>
      {told ? <Heading level={2}>{told.verdict}</Heading> : null}
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
      {told?.lines.map((line) => (
        <Text key={line}>{line}</Text>
      ))}
    </View>
  );
}
