import { useMemo } from 'react';
import { View } from 'react-native';
import { FINISH } from '@/data/finish';
import { constantAir } from '@/core/drying';
import type { VarnishPlan } from '@/core/finish/schema';
import {
  varnishDays,
  varnishLooks,
  varnishMl,
  type VarnishOutlook,
} from '@/core/finish/varnish-plan';
import type { Painting, PaintingAssessment } from '@/core/painting';
import { useAssessOptions, useNow, useSwatches } from '@/store/hooks';
import { Notice } from '@/ui/Notice';
import { Table } from '@/ui/Table';
import { Heading, Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { space } from '@/ui/tokens';

const DAYS_AHEAD = 14;

/** Lights hardly move; darks deepen. */
export function VarnishLooks({
  assessment,
  plan,
}: {
  assessment: PaintingAssessment;
  plan: VarnishPlan;
}) {
  const swatches = useSwatches();
  const looks = useMemo(
    () => varnishLooks(assessment, swatches, plan.sheen),
    [assessment, swatches, plan.sheen],
  );
  return (
    <View style={{ gap: space.s }}>
      <Heading>What it does to the look</Heading>
      <Table
        name="Value of each passage before and after the varnish"
        rowHeads
        columns={[
          { head: 'passage' },
          { head: 'value now', width: 80 },
          { head: 'varnished', width: 80 },
        ]}
        rows={looks.map((l) => ({
          key: l.passageId,
          cells: [l.name, l.valueNow.toFixed(1), l.valueThen.toFixed(1)],
        }))}
      />
      <Text size="small" tone="ink2">
        Darks deepen and colours gain, lights hardly move: matt paint most. An estimate of the
        surface alone; the resin is taken to be clear.
      </Text>
    </View>
  );
}

/** How much it takes, and a day whose air suits. */
export function AmountAndDay({
  painting,
  plan,
  outlook,
}: {
  painting: Painting;
  plan: VarnishPlan;
  outlook: VarnishOutlook;
}) {
  const now = useNow();
  const { air, climate, handbook } = useAssessOptions();
  const { least, most } = varnishMl(painting.support, plan.coats);
  const from = Math.max(now, outlook.finalMs ?? now);
  const days = varnishDays(air ?? constantAir(handbook.constants, climate), from, DAYS_AHEAD);
  const suits = days.find((d) => d.suits);
  const first = days[0]!;
  return (
    <View style={{ gap: space.s }}>
      <Heading>Amount and day</Heading>
      <Text>{`${least.toFixed(0)} to ${most.toFixed(0)} ml for ${plan.coats === 1 ? 'one coat' : `${plan.coats} coats`}, waste apart.`}</Text>
      <Text>
        {suits
          ? `The air suits on ${dayMonthYear(suits.ms)}: ${suits.temperatureC.toFixed(0)} °C, ${suits.relativeHumidityPct.toFixed(0)} %.`
          : `The air does not suit: ${first.temperatureC.toFixed(0)} °C and ${first.relativeHumidityPct.toFixed(0)} %, where at least ${FINISH.varnishLeastC} °C and at most ${FINISH.varnishMostRhPct} % are wanted.`}
      </Text>
      <Text tone="ink2">
        Sweep the day before, not that day; lay the picture flat, windows shut until it has set,
        then air. One direction, no going back over it.
      </Text>
      <Notice>
        Varnish is mostly solvent: no spraying without extraction, gloves, no flame, rags flat
        outdoors or under water in a closed metal can. The safety data sheet and local rules govern.
      </Notice>
    </View>
  );
}
