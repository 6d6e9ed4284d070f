import { StyleSheet, View } from 'react-native';
import { lookingOf, rankingOf, toggleRank } from '@/core/looking/edit';
import type { Pull } from '@/core/looking/pull';
import { capital } from '@/core/looking/tell';
import { tellPull } from '@/core/looking/tell-eye';
import type { Painting } from '@/core/painting';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

/** What draws the eye by contrast, against the order the painter wants. */
export function Ranking({
  painting,
  pulls,
  names,
}: {
  painting: Painting;
  pulls: readonly Pull[];
  names: ReadonlyMap<string, string>;
}) {
  const dispatch = useStoreDispatch();
  if (pulls.length < 2) return null;
  const ranking = rankingOf(lookingOf(painting)).filter((id) => pulls.some((p) => p.id === id));
  const lines = tellPull(pulls, ranking, names);
  const nameOf = (id: string) => names.get(id) ?? id;
  return (
    <View style={{ gap: space.s }}>
      <Heading level={2}>What draws the eye</Heading>
      {ranking.length < 2 ? (
        <Text>
          {`By contrast alone: ${pulls.map((p) => nameOf(p.id)).join(', then ')}. Tap them in the order you want.`}
        </Text>
      ) : lines.length === 0 ? (
        <Text>They draw the eye in the order you gave them.</Text>
      ) : (
        lines.map((line) => (
          <Text key={line} tone="tawny">
            {line}
          </Text>
        ))
      )}
      <View style={styles.do}>
        {[...ranking, ...pulls.map((p) => p.id).filter((id) => !ranking.includes(id))].map((id) => {
          const at = ranking.indexOf(id);
          const name = capital(nameOf(id));
          return (
            <Action
              key={id}
              title={at < 0 ? name : `${at + 1} ${name}`}
              kind={at < 0 ? 'quiet' : 'plain'}
              label={
                at < 0
                  ? `${name}: put next in the order`
                  : `${at + 1} ${name}: take out of the order`
              }
              onPress={() =>
                dispatch(
                  changePainting(painting.id, 'Said what should draw the eye', (p) =>
                    toggleRank(p, id),
                  ),
                )
              }
            />
          );
        })}
      </View>
      <Text size="small" tone="ink2">
        Reckoned from contrasts of value, colour and border; faces and meaning are not in it.
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  do: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
