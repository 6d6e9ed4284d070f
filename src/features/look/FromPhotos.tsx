import { useMemo } from 'react';
import { View } from 'react-native';
import { tellSeries } from '@/core/looking/tell-time';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { RowChart } from './RowChart';
import { MOST_PHOTOS, rowLevel, useSeries } from './useSeries';

/** How it went from photo to photo: the values of the passages, and what each sitting changed. */
export function FromPhotos({
  painting,
  works,
  width,
}: {
  painting: Painting;
  /** All photos of it, oldest first. */
  works: readonly Picture[];
  width: number;
}) {
  const row = useSeries(painting, works);
  const names = useMemo(
    () => new Map(painting.passages.map((p) => [p.id, p.name])),
    [painting.passages],
  );
  if (!row || row.photos.length < 2) return null;
  const level = rowLevel(row.photos);
  return (
    <View style={{ gap: space.s }}>
      <Heading level={2}>From photo to photo</Heading>
      {row.photos.length === MOST_PHOTOS ? (
        <Text size="small" tone="ink2">{`The last ${MOST_PHOTOS} photos.`}</Text>
      ) : null}
      {level !== 'order' ? (
        <>
          <RowChart painting={painting} row={row} width={width} />
          {row.series.perHour.some((v) => v !== null) ? (
            <Text size="small" tone="ink2">
              Bars: change for each hour at the easel; below them the share of the picture that
              changed.
            </Text>
          ) : null}
        </>
      ) : (
        <Text>Without grey steps on the photos their values cannot be set in a row.</Text>
      )}
      {tellSeries(row.series, level, names).map((line) => (
        <Text key={line}>{line}</Text>
      ))}
    </View>
  );
}
