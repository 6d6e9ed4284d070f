import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { VARNISH_TEST_WORDS } from '@/data/finish';
import { dropVarnishTest, finishingOf, noteVarnishTest } from '@/core/finish/edit';
import type { TestState } from '@/core/finish/tests';
import { type VarnishOutlook } from '@/core/finish/varnish-plan';
import type { Painting } from '@/core/painting';
import { changePainting } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Heading, Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { colour, space } from '@/ui/tokens';

const STATE_WORDS: Record<TestState['state'], string> = {
  passed: 'passed',
  failed: 'failed',
  missing: 'not made yet',
};

/** The tests that decide, each with how it is made and what it gave. */
export function VarnishTests({
  painting,
  outlook,
}: {
  painting: Painting;
  outlook: VarnishOutlook;
}) {
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

const styles = StyleSheet.create({
  test: {
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
    gap: space.xs,
  },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
