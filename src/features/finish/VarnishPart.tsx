import { nanoid } from '@reduxjs/toolkit';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { FINISH, VARNISH_TEST_WORDS } from '@/data/finish';
import { SHEENS } from '@/data/finish-keys';
import { constantAir } from '@/core/drying';
import { dropVarnishTest, finishingOf, noteVarnishTest, setFinishing } from '@/core/finish/edit';
import type { VarnishPlan } from '@/core/finish/schema';
import type { TestState } from '@/core/finish/tests';
import {
  varnishCoat,
  varnishDays,
  varnishLooks,
  varnishMl,
  varnishOutlook,
  type VarnishOutlook,
} from '@/core/finish/varnish-plan';
import { FINAL_VARNISHES, type FinalVarnish } from '@/core/finish/vocabulary';
import type { Painting, PaintingAssessment } from '@/core/painting';
import { addCoat } from '@/core/painting/coats';
import { findingMend, findingSentence } from '@/core/rules/wording';
import { isFinalVarnish } from '@/core/rules';
import { changePainting } from '@/store/actions';
import { useAssessOptions, useNow, useStoreDispatch, useSwatches } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Table } from '@/ui/Table';
import { TwoColumns } from '@/ui/Split';
import { Heading, Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';

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
const DAYS_AHEAD = 14;

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
          <Tests painting={painting} outlook={outlook} />
          <Looks assessment={assessment} plan={plan} />
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

const STATE_WORDS: Record<TestState['state'], string> = {
  passed: 'passed',
  failed: 'failed',
  missing: 'not made yet',
};

function Tests({ painting, outlook }: { painting: Painting; outlook: VarnishOutlook }) {
  const dispatch = useStoreDispatch();
  const [where, setWhere] = useState('');
  const made = finishingOf(painting).tests;
  const note = (test: TestState['test'], passed: boolean) =>
    dispatch(
      changePainting(painting.id, 'Noted a test before the varnish', (p, m) =>
        noteVarnishTest(p, { at: m.now, test, passed, where: where.slice(0, 60) }, m),
      ),
    );
  return (
    <View style={{ gap: space.s }}>
      <Heading>The tests that decide</Heading>
      <Text tone="ink2">
        On a witness dab of the same paint and day, or on an edge that the frame hides. Never in the
        middle of the picture.
      </Text>
      <Field
        label="On which colour or dab"
        value={where}
        onChangeText={setWhere}
        placeholder="witness of the white"
      />
      {outlook.tests.each.map((t) => {
        const words = VARNISH_TEST_WORDS[t.test];
        return (
          <View key={t.test} style={styles.test}>
            <Text strong>
              {`${words.name}${t.needed ? '' : ', if in doubt'}: ${STATE_WORDS[t.state]}${t.last ? `, ${dayMonthYear(Date.parse(t.last.at))}${t.last.where ? ` on ${t.last.where}` : ''}` : ''}`}
            </Text>
            <Text size="small" tone="ink2">
              {words.how}
            </Text>
            <View style={styles.row}>
              <Action
                title={words.passes}
                label={`${words.passes}: ${words.name}`}
                onPress={() => note(t.test, true)}
              />
              <Action
                title={words.fails}
                label={`${words.fails}: ${words.name}`}
                onPress={() => note(t.test, false)}
              />
              {t.last ? (
                <Action
                  title="Take the result back"
                  label={`Take the result back: ${words.name}`}
                  kind="quiet"
                  onPress={() =>
                    dispatch(
                      changePainting(painting.id, 'Took a test back', (p, m) =>
                        dropVarnishTest(p, t.last!.id, m),
                      ),
                    )
                  }
                />
              ) : null}
            </View>
          </View>
        );
      })}
      {made.length > 0 && outlook.tests.each.every((t) => t.state === 'missing') ? (
        <Text size="small" tone="ink2">
          Something was laid after the tests that were made: they say nothing of it.
        </Text>
      ) : null}
    </View>
  );
}

/** Lights hardly move; darks deepen. */
function Looks({ assessment, plan }: { assessment: PaintingAssessment; plan: VarnishPlan }) {
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

function AmountAndDay({
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

const styles = StyleSheet.create({
  test: {
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    gap: space.xs,
  },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
