import { nanoid } from '@reduxjs/toolkit';
import { useMemo } from 'react';
import { View } from 'react-native';
import { SHEENS } from '@/data/finish-keys';
import { finishingOf, setFinishing } from '@/core/finish/edit';
import type { VarnishPlan } from '@/core/finish/schema';
import { varnishCoat, varnishOutlook, type VarnishOutlook } from '@/core/finish/varnish-plan';
import { FINAL_VARNISHES, type FinalVarnish } from '@/core/finish/vocabulary';
import type { Painting, PaintingAssessment } from '@/core/painting';
import { addCoat } from '@/core/painting/coats';
import { findingMend, findingSentence } from '@/core/rules/wording';
import { isFinalVarnish } from '@/core/rules';
import { changePainting } from '@/store/actions';
import { useAssessOptions, useNow, useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Table } from '@/ui/Table';
import { TwoColumns } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { space } from '@/ui/tokens';

import { AmountAndDay, VarnishLooks } from './VarnishEffect';
import { VarnishTests } from './VarnishTests';

const VARNISHES: Record<FinalVarnish, { name: string; blurb: string }> = {
  'synthetic-varnish': {
    name: 'modern resin',
    blurb: 'comes off with mild spirits, stays clear; dry through and two weeks',
  },
  'resin-varnish': {
    name: 'natural resin',
    blurb: 'damar or mastic: yellows, comes off with stronger solvent; half a year to two years',
  },
  'waterborne-varnish': {
    name: 'water-borne acrylic',
    blurb: 'does not come off without harm; refused over oil',
  },
};
const USUAL: VarnishPlan = { material: 'synthetic-varnish', sheen: 'satin', coats: 1 };

/** When which varnish may go on, the tests that decide, what it does to the look. */
export function VarnishPart({ assessment }: { assessment: PaintingAssessment }) {
  const dispatch = useStoreDispatch();
  const options = useAssessOptions();
  const { painting } = assessment;
  const plan = finishingOf(painting).varnish ?? USUAL;
  const outlook = useMemo(
    () => varnishOutlook(assessment, options, { material: plan.material, coats: plan.coats }),
    [assessment, options, plan.material, plan.coats],
  );
  const set = (change: Partial<VarnishPlan>) =>
    dispatch(
      changePainting(painting.id, 'Chose the varnish', (p, m) =>
        setFinishing(p, { varnish: { ...plan, ...change } }, m),
      ),
    );
  if (outlook.places.length === 0)
    return <Text>Nothing has been laid yet that a varnish could go over.</Text>;
  return (
    <TwoColumns
      left={
        <>
          <View>
            <Choice
              label="Varnish"
              stacked
              options={FINAL_VARNISHES.map((key) => ({ key, ...VARNISHES[key] }))}
              value={plan.material}
              onChange={(material) => set({ material })}
            />
            <Choice
              label="Sheen"
              options={SHEENS.map((key) => ({ key, name: key }))}
              value={plan.sheen}
              onChange={(sheen) => set({ sheen })}
            />
            <Choice
              label="Coats"
              options={['1', '2', '3'].map((key) => ({ key, name: key }))}
              value={String(plan.coats)}
              onChange={(n) => set({ coats: Number(n) })}
            />
            <PlanIt painting={painting} plan={plan} outlook={outlook} />
          </View>
          <When outlook={outlook} />
        </>
      }
      right={
        <>
          <VarnishTests painting={painting} outlook={outlook} />
          <VarnishLooks assessment={assessment} plan={plan} />
          <AmountAndDay painting={painting} plan={plan} outlook={outlook} />
        </>
      }
    />
  );
}

const when = (ms: number | null, now: number): string =>
  ms === null ? 'not in this air' : ms <= now ? 'now' : `from ${dayMonthYear(ms)}`;

function When({ outlook }: { outlook: VarnishOutlook }) {
  const now = useNow();
  return (
    <View style={{ gap: space.s }}>
      <Heading>{`Final varnish ${when(outlook.finalMs, now)}`}</Heading>
      <Text>
        {outlook.tests.agree
          ? 'The tests agree.'
          : outlook.tests.repeatFromMs !== null
            ? `A test failed: it is repeated from ${dayMonthYear(outlook.tests.repeatFromMs)}, and nothing goes on before.`
            : 'Nine chances in ten by then; the tests decide, whatever the day.'}
      </Text>
      {outlook.findings.map(({ finding, where }) => (
        <Notice key={finding.rule} tone={finding.severity === 'forbid' ? 'refusal' : 'note'}>
          {`${findingSentence(finding)} (${where.join(', ')}) ${findingMend(finding)}`}
        </Notice>
      ))}
      <Table
        name="When each place takes a varnish"
        rowHeads
        columns={[{ head: 'place' }, { head: 'retouch', width: 92 }, { head: 'final', width: 92 }]}
        rows={outlook.places.map((p) => ({
          key: `${p.passageId}/${p.spotName ?? ''}`,
          cells: [
            p.spotName ? `${p.passageName}, ${p.spotName}` : p.passageName,
            p.retouchMs === null ? 'never' : p.retouchMs <= now ? 'now' : dayMonthYear(p.retouchMs),
            p.finalMs === null ? 'never' : p.finalMs <= now ? 'now' : dayMonthYear(p.finalMs),
          ],
          ...(p.slowest ? { below: `waits for ${p.slowest}` } : {}),
        }))}
      />
      <Text size="small" tone="ink2">
        Retouch varnish is thin, evens the sunk places, and takes the place of no final varnish.
      </Text>
    </View>
  );
}

function PlanIt({
  painting,
  plan,
  outlook,
}: {
  painting: Painting;
  plan: VarnishPlan;
  outlook: VarnishOutlook;
}) {
  const dispatch = useStoreDispatch();
  const planned = painting.coats.find((c) => isFinalVarnish(c.recipe.material ?? null));
  if (planned)
    return <Text tone="ink2">{`“${planned.name}” is among the coats of this painting.`}</Text>;
  return (
    <Action
      title="Plan this varnish"
      disabled={outlook.refused}
      onPress={() =>
        dispatch(
          changePainting(painting.id, 'Planned the varnish', (p, m) =>
            addCoat(
              setFinishing(p, { varnish: plan }, m),
              varnishCoat(p, plan, nanoid(12)),
              null,
              m,
            ),
          ),
        )
      }
      style={{ alignSelf: 'flex-start' }}
    />
  );
}
