import { useState } from 'react';
import { View } from 'react-native';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { type LaidEvent, type Painting, type PaintingAssessment } from '@/core/painting';
import { lossesOf, paintNeeded } from '@/core/quantity';
import { laidCm2 } from '@/core/session';
import { standingOf, type Standing } from '@/core/painting/standing';
import { tubeName } from '@/core/cabinet/tube-names';
import { useSessions } from '@/features/session/useSession';
import { Action } from '@/ui/Action';
import { StateTag } from '@/ui/film/StateSwatch';
import { Heading, Text } from '@/ui/Text';
import { duration, shortTime } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';

const OIL_OUT: Record<Standing['oilOut'], string> = {
  likely: 'Expect dull patches: oil out thinly before you match colours, then wipe.',
  'if-dull': 'Oil out only where it looks dull.',
  wait: 'Do not oil out yet: not everything is touch-dry.',
  'nothing-there': '',
};

/** What the coat took by its area and thickness, ml, to the nearest that can be squeezed out. */
function mixedMl(painting: Painting, e: LaidEvent): number {
  const cm2 = laidCm2(painting, e);
  const { wetMl } = paintNeeded(
    STUDIO_HANDBOOK,
    e.recipe,
    cm2,
    lossesOf(STUDIO_HANDBOOK, painting),
  );
  return Math.max(1, Math.round(wetMl));
}

/** Where a painting stands when the painter comes back to it after a week or more. */
export function AfterBreak({
  assessment,
  nowMs,
}: {
  assessment: PaintingAssessment;
  nowMs: number;
}) {
  const [away, setAway] = useState(false);
  const sessions = useSessions();
  const standing = standingOf(assessment, nowMs, STUDIO_HANDBOOK.constants);
  if (!standing || away) return null;
  const { painting } = assessment;
  const lost = standing.passages.filter((p) => p.lostForBlending).map((p) => p.passage.name);
  const last = sessions.find((s) => s.works.some((w) => w.paintingId === painting.id));
  const amountOf = (e: LaidEvent): string => {
    const ml = last?.palette.find((m) => m.name === e.name)?.ml;
    return ml ? `, ${ml} ml put out` : `, about ${mixedMl(painting, e)} ml for that area`;
  };
  return (
    <View
      role="region"
      aria-label="After the break"
      style={{
        gap: space.s,
        paddingVertical: space.l,
        borderTopWidth: 1,
        borderTopColor: colour.ink,
      }}
    >
      <Heading>{`Untouched for ${duration(standing.daysAway)}`}</Heading>
      {standing.passages.map(({ passage, top, state, next, rest, spots }) => (
        <View
          key={passage.id}
          style={{
            gap: 2,
            borderBottomWidth: 1,
            borderBottomColor: colour.rule,
            paddingBottom: space.s,
          }}
        >
          <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.s }}>
            <Text strong style={{ flex: 1 }}>
              {passage.name}
            </Text>
            {state === 'bare' ? <Text tone="ink2">bare</Text> : <StateTag state={state} />}
          </View>
          <Text size="small" tone="ink2">
            {`${top ? `${top.film.name} of ${shortTime(top.film.laidAtMs ?? nowMs, nowMs)}` : 'nothing on it'}; ${next ? `${rest ? 'the rest of ' : ''}${next.name.toLowerCase()} was to come next${next.why ? `: ${next.why}` : ''}` : spots.length > 0 ? 'only a spot was still to come' : 'nothing more was planned'}`}
          </Text>
          {spots
            .filter((spot) => spot.next.id !== next?.id)
            .map((spot) => (
              <Text key={spot.name} size="small" tone="ink2">
                {`${spot.name}: ${spot.next.name.toLowerCase()} was to come`}
              </Text>
            ))}
        </View>
      ))}
      {lost.length > 0 ? (
        <Text>{`Lost for blending: ${lost.join(', ')} ${lost.length === 1 ? 'was' : 'were'} wet when you stopped and ${lost.length === 1 ? 'has' : 'have'} set.`}</Text>
      ) : null}
      {standing.lastMixes.length > 0 ? (
        <View>
          <Text strong>The last mixes</Text>
          {standing.lastMixes.map((e) => (
            <Text key={e.id} size="small">
              {`${e.name}: ${e.recipe.mix.map((part) => `${part.parts} ${tubeName(part).toLowerCase()}`).join(', ')}${e.recipe.mediumShare > 0 ? `, ${Math.round(100 * e.recipe.mediumShare)} % ${e.recipe.mediumName ?? 'medium'}` : ''}${amountOf(e)}`}
            </Text>
          ))}
        </View>
      ) : null}
      {standing.bothers.length > 0 ? (
        <View>
          <Text strong>What still bothered</Text>
          {standing.bothers.map((b) => (
            <Text key={b.id} size="small">
              {b.text}
            </Text>
          ))}
        </View>
      ) : null}
      {OIL_OUT[standing.oilOut] ? <Text>{OIL_OUT[standing.oilOut]}</Text> : null}
      <Action
        title="I see"
        kind="quiet"
        onPress={() => setAway(true)}
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}
