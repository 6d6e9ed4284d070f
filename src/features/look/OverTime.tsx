import { useMemo, useState } from 'react';
import { tellChange, tellRegistered } from '@/core/looking/tell-time';
import type { Picture } from '@/core/looking/schema';
import type { Painting } from '@/core/painting';
import { Choice } from '@/ui/Choice';
import { useWide } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { Beside } from './Beside';
import { COMPARED, Compared, type ComparedBy } from './Compared';
import { FromPhotos } from './FromPhotos';
import { pictureName } from './picture-name';
import type { LookState } from './useLook';
import { PLAIN, useMap } from './useMap';

const SIDE_PX = 620;

/** What changed from the photo before, and how it went from photo to photo. */
export function OverTime({
  painting,
  work,
  works,
  before,
  state,
  width,
  page,
}: {
  painting: Painting;
  work: Picture;
  /** All photos of it, oldest first. */
  works: readonly Picture[];
  before: Picture | null;
  state: LookState;
  width: number;
  /** How wide the page is. */
  page: number;
}) {
  const wide = useWide();
  const [by, setBy] = useState<ComparedBy>('beside');
  const was = useMap(painting.support, before, { ...PLAIN, mostPx: SIDE_PX });
  const is = useMap(painting.support, work, { ...PLAIN, mostPx: SIDE_PX });
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
  const shown = (picture: Picture, map: ReturnType<typeof useMap>) => ({
    map,
    label: pictureName(picture),
    caption: pictureName(picture),
    ratio,
  });
  return (
    <Beside
      shown={width}
      picture={
        <>
          {told ? <Heading level={2}>{told.verdict}</Heading> : null}
          <Compared one={shown(before, was)} two={shown(work, is)} width={width} by={by} />
          <Choice label="Compared" options={[...COMPARED]} value={by} onChange={setBy} />
          {told?.lines.map((line) => (
            <Text key={line}>{line}</Text>
          ))}
          {found?.change ? (
            <Text size="small" tone="ink2">
              {tellRegistered(found.change)}
            </Text>
          ) : null}
        </>
      }
    >
      <FromPhotos
        painting={painting}
        works={works}
        width={wide ? page - width - space.xl : width}
      />
    </Beside>
  );
}
