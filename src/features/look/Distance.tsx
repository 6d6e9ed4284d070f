import { useMemo } from 'react';
import { BRUSH } from '@/core/looking/none';
import { nearestHonestM, smallestSeenMm } from '@/core/looking/distance';
import { putFinestBrush } from '@/core/looking/edit';
import type { Picture } from '@/core/looking/schema';
import { tellMarks } from '@/core/looking/tell-eye';
import type { Painting } from '@/core/painting';
import { useNumberText } from '@/forms';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { useFinestBrush } from './useFinestBrush';
import { Choice } from '@/ui/Choice';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { Beside } from './Beside';
import { MapPicture } from './MapPicture';
import type { LookState } from './useLook';
import { PLAIN, useMap } from './useMap';

/** From across a room, and across a hall, m. */
const DISTANCES = [1, 3, 6, 12] as const;

/** A soft mark of paint: the contrast at which sizes are told. */
const MARK_CONTRAST = 0.05;

/** What is left of it from across the room. */
export function Distance({
  painting,
  work,
  state,
  width,
  m,
  onM,
}: {
  painting: Painting;
  work: Picture;
  state: LookState;
  width: number;
  m: number;
  onM: (m: number) => void;
}) {
  const dispatch = useStoreDispatch();
  const map = useMap(painting.support, work, { ...PLAIN, view: 'grey', distanceM: m });
  const brush = useFinestBrush(painting);
  const typed = useNumberText(brush, (mm) => {
    if (!(mm >= BRUSH.least && mm <= BRUSH.most))
      return `A brush paints ${BRUSH.least} to ${BRUSH.most} mm wide.`;
    if (mm !== brush)
      dispatch(
        changePainting(painting.id, 'Said how fine the finest brush is', (p) =>
          putFinestBrush(p, mm),
        ),
      );
    return null;
  });
  const names = useMemo(
    () => new Map(painting.passages.map((p) => [p.id, p.name])),
    [painting.passages],
  );
  const found = state.at === 'found' ? state.found.looked : null;
  const left = found?.distance.find((d) => d.m === m)?.passages ?? [];
  const honest = found ? nearestHonestM(found.geometry.pxPerMm) : null;
  const gone = left.filter((p) => p.detailLeft < 0.5);
  return (
    <Beside
      shown={width}
      picture={
        <>
          <Choice
            label="Seen from"
            options={DISTANCES.map((d) => ({ key: String(d), name: `${d} m` }))}
            value={String(m)}
            onChange={(key) => onM(Number(key))}
          />
          {found && left.length > 0 ? (
            <Heading level={2}>
              {gone.length === 0
                ? `From ${m} m most of its detail is still there.`
                : `From ${m} m half the detail of ${gone.map((p) => names.get(p.id)).join(', ')} is gone.`}
            </Heading>
          ) : null}
          <MapPicture
            map={map}
            label={`What remains from ${m} metres`}
            width={width}
            ratio={painting.support.heightMm / painting.support.widthMm}
          />
        </>
      }
    >
      <Text>
        {`A soft mark smaller than ${smallestSeenMm(MARK_CONTRAST, m).toFixed(1)} mm is not seen from there. Large masses stay.`}
      </Text>
      {state.at === 'found' && state.found.marks ? (
        <Text>{tellMarks(state.found.marks, brush, m)}</Text>
      ) : null}
      <Stepper
        label="Your finest brush paints"
        unit="mm"
        step={0.5}
        min={BRUSH.least}
        max={BRUSH.most}
        {...typed}
      />
      {left.map((p) => (
        <Text key={p.id} size="small">
          {`${names.get(p.id)}: ${Math.round(p.detailLeft * 100)} % of its own detail is left.`}
        </Text>
      ))}
      {honest !== null && m < honest ? (
        <Text size="small" tone="ink2">
          {`This photo is too coarse to tell what is seen nearer than ${honest.toFixed(1)} m.`}
        </Text>
      ) : null}
    </Beside>
  );
}
