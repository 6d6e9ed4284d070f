import { useState } from 'react';
import { View } from 'react-native';
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
import { Table, type TableRow } from '@/ui/Table';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';

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
  return (
    <View>
      <Text strong style={{ marginBottom: space.xs }}>
        {partingSentence(verdicts)}
      </Text>
      <Table
        name="The pair by every school"
        columns={[
          { head: `${layer.film.name} over ${pair.againstName.toLowerCase()}` },
          { head: 'here', width: 54 },
          { head: 'below', width: 54 },
          { head: 'verdict', width: 82 },
        ]}
        rows={[
          ...verdicts.map((v) =>
            schoolRow(v, v.school === school, verdictSentence(v, pairNames(layer, v.school))),
          ),
          ...(pair.trapIndex === null ? [] : [trapRow(pair.trapIndex)]),
        ]}
      />
      <Action title="Hide the schools" kind="quiet" onPress={() => setOpen(false)} />
    </View>
  );
}

function schoolRow(verdict: SchoolVerdict, chosen: boolean, sentence: string): TableRow {
  const school = SCHOOLS[verdict.school];
  const silent = verdict.verdict === 'not-applicable';
  const figure = (value: number | null): string =>
    value === null || silent ? '–' : school.format(value);
  const bad = BAD.has(verdict.verdict);
  return {
    key: verdict.school,
    cells: [
      { words: chosen ? `${school.name}, followed here` : school.name, strong: chosen },
      figure(verdict.upper),
      figure(verdict.lower),
      { words: VERDICT_WORD[verdict.verdict], strong: true, tone: bad ? 'brick' : 'ink' },
    ],
    below: sentence,
  };
}

const trapRow = (index: number): TableRow => ({
  key: 'trap-index',
  cells: [
    'Trap index',
    '',
    '',
    { words: index < 10 ? index.toFixed(1) : String(Math.round(index)), strong: true },
  ],
  below:
    'Drying still to come below, over that of this coat. Over 3 is doubtful, over 10 warns; no school, a house figure.',
});
