import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Layer } from '@/core/painting';
import {
  SCHOOL_KEYS,
  SCHOOLS,
  verdictSentence,
  type SchoolKey,
  type SchoolVerdict,
  type Verdict,
} from '@/core/schools';
import { pairNames } from '@/core/tell';
import { Action } from '@/ui/Action';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

export const VERDICT_WORD: Record<Verdict, string> = {
  ok: 'holds',
  note: 'holds, noted',
  undecided: 'undecided',
  caution: 'doubtful',
  fail: 'refused',
  'not-applicable': 'silent',
};

const BAD: ReadonlySet<Verdict> = new Set(['fail', 'caution']);
const GOOD: ReadonlySet<Verdict> = new Set(['ok', 'note']);

/** Where the schools part over a pair, in one sentence. */
export function partingSentence(verdicts: SchoolVerdict[]): string {
  const names = (of: ReadonlySet<Verdict>) =>
    verdicts.filter((v) => of.has(v.verdict)).map((v) => SCHOOLS[v.school].name.toLowerCase());
  const [good, bad] = [names(GOOD), names(BAD)];
  if (bad.length === 0) return 'No school objects.';
  if (good.length === 0) return 'No school lets it pass.';
  return `They part: ${good.join(', ')} let it pass; ${bad.join(', ')} object.`;
}

/** The pair by every school, one tap away: figures, verdicts, and why they part. */
export function SchoolsTable({ layer, school }: { layer: Layer; school: SchoolKey }) {
  const [open, setOpen] = useState(false);
  const { pair } = layer;
  if (!pair || pair.intoOpen) return null;
  if (!open) return <Action title="All schools" onPress={() => setOpen(true)} />;
  const verdicts = SCHOOL_KEYS.map((key) => pair.bySchool[key]);
  const names = pairNames(layer);
  return (
    <View>
      <Text strong style={{ marginBottom: space.xs }}>
        {partingSentence(verdicts)}
      </Text>
      <View role="table" aria-label="The pair by every school">
        <View role="row" style={styles.row}>
          <Text role="columnheader" size="small" tone="ink2" style={{ flex: 1 }}>
            {`${layer.film.name} over ${pair.againstName.toLowerCase()}`}
          </Text>
          <Text role="columnheader" size="small" tone="ink2" style={styles.figure}>
            here
          </Text>
          <Text role="columnheader" size="small" tone="ink2" style={styles.figure}>
            below
          </Text>
          <Text role="columnheader" size="small" tone="ink2" style={styles.verdict}>
            verdict
          </Text>
        </View>
        {verdicts.map((v) => (
          <SchoolRow
            key={v.school}
            verdict={v}
            chosen={v.school === school}
            sentence={verdictSentence(v, names)}
          />
        ))}
        {pair.trapIndex === null ? null : (
          <View role="row" style={styles.row}>
            <Text role="cell" size="small" style={{ flex: 1 }}>
              Trap index: drying still to come below, over that of this coat. Over 3 is doubtful,
              over 10 warns; no school, a house figure.
            </Text>
            <Text role="cell" size="small" strong style={styles.verdict}>
              {pair.trapIndex < 10 ? pair.trapIndex.toFixed(1) : String(Math.round(pair.trapIndex))}
            </Text>
          </View>
        )}
      </View>
      <Action title="Fold the schools away" kind="quiet" onPress={() => setOpen(false)} />
    </View>
  );
}

function SchoolRow({
  verdict,
  chosen,
  sentence,
}: {
  verdict: SchoolVerdict;
  chosen: boolean;
  sentence: string;
}) {
  const school = SCHOOLS[verdict.school];
  const silent = verdict.verdict === 'not-applicable';
  const figure = (value: number | null): string =>
    value === null || silent ? '–' : school.format(value);
  const bad = BAD.has(verdict.verdict);
  return (
    <View role="row" style={styles.school}>
      <View style={styles.line}>
        <Text role="cell" size="small" strong={chosen} style={{ flex: 1 }}>
          {chosen ? `${school.name}, followed here` : school.name}
        </Text>
        <Text role="cell" size="small" style={styles.figure}>
          {figure(verdict.upper)}
        </Text>
        <Text role="cell" size="small" style={styles.figure}>
          {figure(verdict.lower)}
        </Text>
        <Text role="cell" size="small" strong tone={bad ? 'brick' : 'ink'} style={styles.verdict}>
          {VERDICT_WORD[verdict.verdict]}
        </Text>
      </View>
      <Text role="cell" size="small" tone="ink2">
        {sentence}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    gap: space.xs,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  school: {
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  line: { flexDirection: 'row', gap: space.xs },
  figure: { width: 54, textAlign: 'right' },
  verdict: { width: 82, textAlign: 'right' },
});
