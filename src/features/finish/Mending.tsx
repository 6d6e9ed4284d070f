import { View } from 'react-native';
import { FATES, sortedBothers, type FateKind } from '@/core/finish/sorted';
import type { PaintingAssessment } from '@/core/painting';
import { TwoColumns } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import { BotherForm } from './BotherForm';
import { BotherRow } from './BotherRow';
import { SunkIn } from './SunkIn';

const FATE_WORDS: Record<FateKind, string> = {
  coat: 'A coat mends it',
  again: 'Look again',
  leave: 'Leave it',
};

/** The list, sorted by what becomes of each; the surface beside it. */
export function Mending({ assessment }: { assessment: PaintingAssessment }) {
  const { painting } = assessment;
  const sorted = sortedBothers(painting);
  return (
    <TwoColumns
      left={
        <>
          {sorted.length === 0 ? (
            <Text>Nothing bothers. Look it over again in a week.</Text>
          ) : (
            FATES.map((fate) => {
              const here = sorted.filter((s) => s.fate === fate);
              return here.length === 0 ? null : (
                <View key={fate}>
                  <Heading>{FATE_WORDS[fate]}</Heading>
                  {here.map((s) => (
                    <BotherRow key={s.bother.id} assessment={assessment} sorted={s} />
                  ))}
                </View>
              );
            })
          )}
          <SunkIn assessment={assessment} />
        </>
      }
      right={
        <View style={{ gap: space.s }}>
          <Heading>Note what bothers</Heading>
          <BotherForm painting={painting} />
        </View>
      }
    />
  );
}
