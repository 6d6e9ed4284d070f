import { StyleSheet, View } from 'react-native';
import { screenColour } from '@/core/optics';
import { BenchTabs } from '@/features/bench/BenchTabs';
import { MixFields } from '@/features/coat/MixFields';
import { StudioLink } from '@/features/frame/StudioLink';
import { tubeName } from '@/core/cabinet/tube-names';
import { Choice } from '@/ui/Choice';
import { TrueColour } from '@/ui/film/TrueColour';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { TwoColumns } from '@/ui/Split';
import { Stepper } from '@/ui/Stepper';
import { Table } from '@/ui/Table';
import { Heading, Text } from '@/ui/Text';
import { Tick } from '@/ui/Tick';
import { colour, space } from '@/ui/tokens';
import { ReachPart } from './ReachPart';
import { StringActions } from './StringActions';
import { TouchesPart } from './TouchesPart';
import { useString, type StringBench, type StringRow } from './useString';

/** Strings: even steps between mixes, with what to squeeze out for each; and what a palette reaches. */
export function StringsScreen() {
  const string = useString();
  return (
    <Screen
      title="Bench"
      aside={<StudioLink />}
      subtitle="Strings of paint, even to the eye"
      maxWidth={1180}
    >
      <BenchTabs />
      <TwoColumns
        share={1.2}
        left={
          <>
            <Made string={string} />
            <ReachPart />
          </>
        }
        right={
          <>
            <Asked string={string} />
            {string.first && string.first.length > 0 ? <TouchesPart mix={string.first} /> : null}
          </>
        }
      />
    </Screen>
  );
}

const ml = (value: number): string =>
  value < 0.095 ? value.toPrecision(1) : value < 1 ? value.toFixed(2) : value.toFixed(1);
const wordsOf = ({ tubes }: StringRow): string =>
  tubes
    .map(
      ({ part, parts, ml: its }) =>
        `${parts < 10 ? parts.toFixed(1) : parts.toFixed(0)} ${tubeName(part)} (${ml(its)} ml)`,
    )
    .join(', ');

function Made({ string: { made, form } }: { string: StringBench }) {
  if (!made)
    return (
      <Notice tone="refusal">
        {form.issues[0]?.message ?? 'Both ends of the string need a paint.'}
      </Notice>
    );
  if (made.turnsAt !== null)
    return (
      <Notice tone="refusal">
        {`Lightness turns round on the way, at value ${made.turnsAt.toFixed(1)}: there is no string even in it. Make it even by difference, or take the middle out.`}
      </Notice>
    );
  const { rows } = made;
  return (
    <View style={{ gap: space.m }}>
      <View
        role="img"
        aria-label={`A string of ${rows.length} steps, value ${rows[0]!.value.toFixed(1)} to ${rows.at(-1)!.value.toFixed(1)}`}
      >
        <View style={styles.fields} aria-hidden>
          {rows.map((row, i) => (
            <TrueColour key={i} colour={screenColour(row.lab)} height={150} />
          ))}
        </View>
        <View style={styles.fields} aria-hidden>
          {rows.map((row, i) => (
            <Text key={i} size="small" strong style={styles.value}>
              {row.value.toFixed(1)}
            </Text>
          ))}
        </View>
      </View>
      <Table
        name="Steps of the string"
        columns={[{ head: 'step, in parts of a hundred' }, { head: 'value', width: 52 }]}
        rows={rows.map((row, i) => ({
          key: String(i),
          cells: [`${i + 1}: ${wordsOf(row)}`, row.value.toFixed(1)],
          ...(row.off >= 1 && {
            below: `as measured out, ${row.off.toFixed(0)} steps off what was asked`,
          }),
        }))}
      />
      <StringActions rows={rows} />
    </View>
  );
}

/** What the string is to be. */
function Asked({ string: { form, from, through, to } }: { string: StringBench }) {
  const { three, even } = form.draft;
  return (
    <View style={{ gap: space.l }}>
      <View style={styles.numbers}>
        <Stepper label="Steps" step={1} min={2} max={25} {...form.number('steps', 'number')} />
        <Stepper
          label="Area of all of them"
          unit="cm²"
          step={50}
          min={1}
          max={100_000}
          {...form.number('areaCm2', 'number')}
        />
        <Stepper
          label="Dry thickness"
          unit="µm"
          step={5}
          min={5}
          max={1000}
          {...form.number('um', 'number')}
        />
      </View>
      <Choice
        label="Even in"
        options={[
          { key: 'lightness', name: 'lightness' },
          { key: 'difference', name: 'difference to the eye' },
        ]}
        value={even === 'difference' ? 'difference' : 'lightness'}
        onChange={(key) => form.put('even', key)}
      />
      <End name="From">
        <MixFields editor={from.editor} />
      </End>
      <Tick
        title="Through a third mix"
        checked={three === true}
        onPress={() => form.put('three', three !== true)}
      />
      {three === true ? (
        <End name="Through">
          <MixFields editor={through.editor} />
        </End>
      ) : null}
      <End name="To">
        <MixFields editor={to.editor} />
      </End>
    </View>
  );
}

function End({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <View role="group" aria-label={name}>
      <Heading level={2}>{name}</Heading>
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  fields: { flexDirection: 'row', backgroundColor: colour.wall },
  value: { flex: 1, textAlign: 'center', paddingTop: space.xs },
  numbers: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.xl, rowGap: space.s },
});
