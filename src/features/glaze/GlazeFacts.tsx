import { useMemo } from 'react';
import { View } from 'react-native';
import { OPTICS } from '@/data/optics';
import { OPTICS_BENCH } from '@/data/optics-bench';
import { de2000, valueOfLab } from '@/core/optics';
import { benchFacts, coatPlans, type BenchFacts } from '@/core/optics/glaze-bench';
import { daysToReach } from '@/core/painting/days';
import { capital } from '@/features/coat/draft';
import { useAssessOptions } from '@/store/hooks';
import { Heading, Text } from '@/ui/Text';
import { Table } from '@/ui/Table';
import { duration } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import type { Glaze } from './useGlaze';

const um = (value: number): string => `${value < 10 ? value.toFixed(1) : value.toFixed(0)} µm`;
const coats = (n: number): string => (n === 1 ? 'one coat' : `${n} coats`);

function coverWords({ cover }: BenchFacts): string {
  if (cover.passes === null) return 'Fifty such coats do not cover: what is below always shows.';
  const same = cover.same === null ? '' : `; told apart by nobody after ${coats(cover.same)}`;
  return `${capital(coats(cover.passes))} ${cover.passes === 1 ? 'covers' : 'cover'} the darkest and the lightest of these alike${same}.`;
}

/** What else the coat does: covers, lets a line through, streaks; in one go or in several. */
export function GlazeFacts({ glaze }: { glaze: Glaze }) {
  const { film, undertones, um: thickness, recipe, chosen, finish } = glaze;
  const facts = useMemo(
    () =>
      film &&
      benchFacts(film, thickness, undertones[chosen]!.inner, undertones, {
        finish,
        cv: OPTICS.cvSoftBrush,
      }),
    [film, thickness, undertones, chosen, finish],
  );
  const options = useAssessOptions();
  const plans = useMemo(
    () =>
      recipe ? coatPlans(recipe, thickness, (kind, dose) => daysToReach(kind, dose, options)) : [],
    [recipe, thickness, options],
  );
  if (!facts) return null;
  const streaky = de2000(facts.streaks.thin, facts.streaks.thick);
  const [thin, thick] = facts.between;
  return (
    <View style={{ gap: space.s }}>
      <Heading level={2}>The same thickness, other days</Heading>
      <Table
        name="One coat or several"
        columns={[
          { head: 'laid as' },
          { head: 'each', width: 72 },
          { head: 'touch-dry after', width: 120 },
        ]}
        rows={plans.map((plan) => ({
          key: String(plan.coats),
          cells: [
            plan.coats === 1 ? 'one coat, wiped back' : coats(plan.coats),
            um(plan.um),
            plan.days === null ? 'never in this air' : duration(plan.days),
          ],
        }))}
      />
      <Text size="small" tone="ink2">
        One colour, whichever way, while nothing is wiped off or disturbed. In the air of the
        studio, at even odds, on a film that is dry.
      </Text>
      <Heading level={2}>What it covers</Heading>
      <Text>{coverWords(facts)}</Text>
      <Text>
        {facts.hidingUm === null
          ? 'However thick, this mix does not hide black from white.'
          : `This mix hides black from white at ${um(facts.hidingUm)} dry.`}
      </Text>
      <Text>
        {facts.line.shows
          ? 'A charcoal line of half a millimetre still shows from arm’s length.'
          : 'A charcoal line of half a millimetre no longer shows from arm’s length.'}
      </Text>
      {facts.veilWarmth < -1.5 ? (
        <Text>
          {`Over the darkest it is a veil: it turns the place ${facts.veilWarmth < -8 ? 'strongly' : facts.veilWarmth < -4 ? 'clearly' : 'slightly'} cooler.`}
        </Text>
      ) : null}
      <Heading level={2}>How sure</Heading>
      <Text>
        {`Brushed a third thinner or thicker, value ${valueOfLab(thin).toFixed(1)} to ${valueOfLab(thick).toFixed(1)}.`}
      </Text>
      <Text>
        {streaky < OPTICS_BENCH.passesDe
          ? 'Thin and thick places of the brushed coat pass for one colour.'
          : `Thin and thick places of the brushed coat differ by ${streaky.toFixed(0)} steps: it will look streaky up close.`}
      </Text>
      {facts.graded ? (
        <Text>
          {`Graded evenly from nothing to ${um(thickness)}: ${facts.graded.map((h) => h.toFixed(h < 10 ? 1 : 0)).join(', ')} µm at five stations.`}
        </Text>
      ) : null}
    </View>
  );
}
