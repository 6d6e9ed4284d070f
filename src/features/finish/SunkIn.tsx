import { View } from 'react-native';
import { placeWaits } from '@/core/finish/varnish-plan';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { topLaid, type PaintingAssessment } from '@/core/painting';
import { placeCoat } from '@/core/painting/coats';
import { correctionCoat } from '@/core/painting/corrections';
import { unlaidPassages } from '@/core/painting';
import { areaCm2 } from '@/core/painting/vocabulary';
import { oilingOutDose } from '@/core/quantity';
import { readiness } from '@/core/today/row';
import { changePainting } from '@/store/actions';
import { useNow, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Heading, Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { space } from '@/ui/tokens';

/** Where it lies sunk: oiled out, or given retouch varnish, and from when; the same days as the varnish tells. */
export function SunkIn({ assessment }: { assessment: PaintingAssessment }) {
  const dispatch = useStoreDispatch();
  const now = useNow();
  const { painting } = assessment;
  const sunk = placeWaits(assessment, STUDIO_HANDBOOK.constants, 'synthetic-varnish').flatMap(
    (place) => {
      const here = assessment.passages.find((p) => p.passage.id === place.passageId);
      const top = here && topLaid(here.base);
      // The whole of a passage is oiled out: a spot goes with what it lies on.
      if (!place.sunk || place.spotName !== null || !top) return [];
      return [{ ...place, share: here.passage.share, oilMs: readiness('touch-dry', top) }];
    },
  );
  if (sunk.length === 0) return null;
  const ids = sunk.map((s) => s.passageId);
  const planned = painting.coats.some(
    (c) => c.role === 'oiling-out' && unlaidPassages(painting, c).some((id) => ids.includes(id)),
  );
  const when = (ms: number | null): string =>
    ms === null ? 'not in this air' : ms <= now ? 'now' : `from ${dayMonthYear(ms)}`;
  const { recipe } = correctionCoat('oiled-out', 'dose', ids);
  const area = areaCm2(painting.support) * sunk.reduce((s, x) => s + x.share, 0);
  const dose = oilingOutDose(STUDIO_HANDBOOK, recipe.medium, area, recipe.thicknessUm);
  return (
    <View style={{ gap: space.s }}>
      <Heading>Sunk-in</Heading>
      {sunk.map(({ passageId, passageName, oilMs, retouchMs }) => (
        <Text key={passageId}>
          {`${passageName}: oil out ${when(oilMs)}, retouch varnish ${when(retouchMs)}.`}
        </Text>
      ))}
      <Text tone="ink2">
        {`Oiling out takes ${dose.drops.toFixed(0)} drops (${dose.wetMl.toFixed(1)} ml), rubbed in and wiped until it hardly shines. Gloves; rags flat outdoors or under water in a closed metal can.`}
      </Text>
      {planned ? (
        <Text tone="ink2">An oiling out is planned there.</Text>
      ) : (
        <Action
          title="Plan the oiling out"
          onPress={() =>
            dispatch(
              changePainting(painting.id, 'Planned to oil out', (p, m) =>
                placeCoat(
                  p,
                  correctionCoat('oiled-out', m.newId(), ids),
                  { where: 'over-laid' },
                  m,
                ),
              ),
            )
          }
          style={{ alignSelf: 'flex-start' }}
        />
      )}
    </View>
  );
}
