import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { CLOTH, type Painting } from '@/core/painting';
import { usePaintings } from '@/store/hooks';
import { parseNumber } from '@/forms';
import { Choice } from '@/ui/Choice';
import { Screen } from '@/ui/Screen';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { TwoColumns } from '@/ui/Split';
import { colour, space } from '@/ui/tokens';
import { AreaCalculator } from './AreaCalculator';
import { StudioLink } from '@/features/frame/StudioLink';
import { BenchTabs } from './BenchTabs';
import { ShoppingTable } from './ShoppingTable';
import { useNeeds, type Scope } from './useNeeds';

/** How much paint a painting, or any area, takes. */
export function PaintBenchScreen() {
  const paintings = usePaintings();
  const [id, setId] = useState<string | null>(null);
  const painting = paintings.find((p) => p.id === id) ?? paintings[0] ?? null;
  return (
    <Screen title="Bench" aside={<StudioLink />} subtitle="How much to squeeze out" maxWidth={1180}>
      <BenchTabs />
      <TwoColumns
        share={1.5}
        left={
          painting ? (
            <>
              <Choice
                label="For"
                options={paintings.map((p) => ({ key: p.id, name: p.title }))}
                value={painting.id}
                onChange={setId}
              />
              <PaintingNeeds key={painting.id} painting={painting} />
            </>
          ) : (
            <Text tone="ink2">
              With a painting here, the bench reckons what each of its coats takes. Any area can be
              reckoned all the same.
            </Text>
          )
        }
        right={<AreaCalculator />}
      />
    </Screen>
  );
}

const tidy = (value: number): string => String(Number(value.toFixed(2)));

function PaintingNeeds({ painting }: { painting: Painting }) {
  const [scope, setScope] = useState<Scope>('next');
  const usual = CLOTH.has(painting.support.kind);
  const [canvas, setCanvas] = useState(tidy(usual ? STUDIO_HANDBOOK.constants.canvasFactor : 1));
  const [waste, setWaste] = useState(tidy(STUDIO_HANDBOOK.constants.wasteFactor));
  const factors = { canvasFactor: parseNumber(canvas), wasteFactor: parseNumber(waste) };
  const valid = factors.canvasFactor >= 1 && factors.wasteFactor >= 1;
  const { needs, list } = useNeeds(painting, scope, valid ? factors : null);
  return (
    <View style={{ gap: space.m }}>
      <Choice
        label="What"
        hideLabel
        options={[
          { key: 'next', name: 'what comes next' },
          { key: 'all', name: 'everything still to lay' },
        ]}
        value={scope}
        onChange={setScope}
      />
      <View style={styles.factors}>
        <Stepper
          label="Tooth of the support, times"
          step={0.05}
          min={1}
          max={3}
          text={canvas}
          onChangeText={setCanvas}
          error={factors.canvasFactor >= 1 ? undefined : 'At least 1.'}
        />
        <Stepper
          label="Waste on palette and brush, times"
          step={0.05}
          min={1}
          max={3}
          text={waste}
          onChangeText={setWaste}
          error={factors.wasteFactor >= 1 ? undefined : 'At least 1.'}
        />
      </View>
      {needs.length === 0 ? (
        <Text tone="ink2">Nothing is left to lay.</Text>
      ) : (
        <>
          <Heading>{scope === 'next' ? 'What to squeeze out' : 'For the whole painting'}</Heading>
          <ShoppingTable list={list} title={painting.title} />
          <Heading>Coat by coat</Heading>
          {needs.map((need) => (
            <View key={need.coatId} style={styles.coat}>
              <View style={{ flex: 1 }}>
                <Text strong>{need.name}</Text>
                <Text size="small" tone="ink2">
                  {`${painting.passages
                    .filter((p) => need.passageIds.includes(p.id))
                    .map((p) => p.name)
                    .join(', ')}; ${Math.round(need.needed.areaCm2)} cm²`}
                </Text>
              </View>
              <Text strong>{`${need.needed.wetMl.toFixed(1)} ml`}</Text>
            </View>
          ))}
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  factors: { flexDirection: 'row', flexWrap: 'wrap', gap: space.l },
  coat: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
});
