import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { changeOf, changeWords, valueOfLab } from '@/core/optics';
import type { Painting } from '@/core/painting';
import { belowOf, stackLook } from '@/core/painting/look';
import { screenWords, sourceWords } from '@/features/colour-words';
import { useSwatches } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { BeforeAfter } from '@/ui/film/BeforeAfter';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { glazeAddress } from '@/features/addresses';
import type { CoatEditor } from './useCoatEditor';

/** What the coat will look like over each passage it covers: before and after. */
export function CoatColours({ editor, painting }: { editor: CoatEditor; painting: Painting }) {
  const router = useRouter();
  const swatches = useSwatches();
  const { passages, layer } = editor.live;
  if (!layer) return null;
  const seen = passages.map(({ passageId, name, layer: film, stack }) => {
    const look = stackLook(stack, painting, swatches);
    const after = look.films.get(film.film.key) ?? look.finished;
    return { passageId, name, before: belowOf(stack, film, look), after };
  });
  const source = seen[0]?.after.source;
  return (
    <View style={{ gap: space.m }}>
      <Heading>How it will look</Heading>
      {seen.map(({ passageId, name, before, after }) => (
        <View key={passageId}>
          <Text strong>{name}</Text>
          <BeforeAfter
            name={name}
            before={{ screen: before.screen, value: valueOfLab(before.lab) }}
            after={{ screen: after.screen, value: valueOfLab(after.lab) }}
            words={changeWords(changeOf(before.lab, after.lab))}
            note={screenWords(after.screen)}
            height={72}
          />
        </View>
      ))}
      {source ? (
        <Text size="small" tone="ink2">
          {sourceWords(source)}
        </Text>
      ) : null}
      {layer.kept.material === null ? (
        <Action
          title="Try its thickness on the bench"
          style={{ alignSelf: 'flex-start' }}
          onPress={() =>
            router.push(glazeAddress(painting.id, passages[0]!.passageId, editor.draft.id))
          }
        />
      ) : null}
    </View>
  );
}
