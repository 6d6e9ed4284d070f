import Papa from 'papaparse';
import { StyleSheet, View } from 'react-native';
import type { ShoppingLine, ShoppingList } from '@/core/quantity';
import { INGREDIENTS } from '@/data/ingredients';
import { useMoney, type MoneyWords } from '@/features/costs/money-words';
import { guardedRow } from '@/core/formats/csv-cells';
import { saveFile } from '@/features/keep/files';
import { TubeSwatch } from '@/features/TubeSwatch';
import { tubeCodes, tubeName, type Tube } from '@/core/cabinet/tube-names';
import { asTube } from '@/core/cabinet';
import { Action } from '@/ui/Action';
import { Table, type Column, type TableRow } from '@/ui/Table';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

const ml = (value: number): string => value.toFixed(1);
const tubeOf = (line: ShoppingLine): Tube => (line.paint ? { own: asTube(line.paint) } : line.part);

/** Paint by paint: how much, what share of a tube, what the cabinet has, what is missing. */
export function ShoppingTable({ list, title }: { list: ShoppingList; title: string }) {
  const money = useMoney();
  const missing = list.lines.filter((l) => l.missingMl > 0);
  return (
    <View style={{ gap: space.m }}>
      <Table
        name="Paint needed"
        columns={COLUMNS}
        rows={[
          ...list.lines.map((line) => lineRow(line, money)),
          ...list.ingredients.map(({ part, ml: amount }) => ({
            key: `${part.ingredient}${part.solidsWtPct ?? ''}`,
            cells: [INGREDIENTS[part.ingredient].name, { words: ml(amount), strong: true }, '', ''],
          })),
        ]}
        rowHeads
        size="body"
      />
      <Text strong>
        {missing.length === 0
          ? 'The cabinet has all of it.'
          : `Missing: ${missing
              .map(
                (l) =>
                  `${tubeName(tubeOf(l))} (${l.tubesToBuy} ${l.tubesToBuy === 1 ? 'tube' : 'tubes'} of ${l.tubeMl} ml)`,
              )
              .join(', ')}.`}
      </Text>
      {list.costMinor > 0 ? (
        <Text tone="ink2">
          {`Paint for ${money.say(list.costMinor)}${list.costIncomplete ? ', not counting paints without a price' : ''}.`}
        </Text>
      ) : null}
      <Action
        title="Save the list"
        onPress={() => saveFile('shopping-list.csv', listCsv(list, title), 'text/csv')}
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}

const FIGURES = 66;
const COLUMNS: Column[] = [
  { head: 'paint' },
  { head: 'ml', width: FIGURES },
  { head: 'have', width: FIGURES },
  { head: 'cost', width: FIGURES },
];

function lineRow(line: ShoppingLine, money: MoneyWords): TableRow {
  const short = line.missingMl > 0;
  return {
    key: line.key,
    cells: [
      { drawn: <PaintCell line={line} /> },
      { words: ml(line.ml), strong: true },
      {
        words: short ? `${ml(line.haveMl)}, short` : ml(line.haveMl),
        strong: short,
        tone: short ? 'brick' : 'ink',
      },
      line.costMinor === null ? '–' : money.say(line.costMinor),
    ],
  };
}

function PaintCell({ line }: { line: ShoppingLine }) {
  const tube = tubeOf(line);
  return (
    <View style={styles.name}>
      <TubeSwatch tube={tube} />
      <View style={{ flex: 1 }}>
        <Text>{tubeName(tube)}</Text>
        <Text size="small" tone="ink2">
          {`${tubeCodes(tube)}; ${line.ml < 0.05 * line.tubeMl ? 'under 5' : Math.round((line.ml / line.tubeMl) * 100)} % of a tube, ${line.g.toFixed(0)} g`}
        </Text>
      </View>
    </View>
  );
}

const listCsv = (list: ShoppingList, title: string): string =>
  `${Papa.unparse(
    [
      ...list.lines.map((l) => ({
        for: title,
        paint: tubeName(tubeOf(l)),
        colour_index: tubeCodes(tubeOf(l)),
        ml: ml(l.ml),
        have_ml: ml(l.haveMl),
        missing_ml: ml(l.missingMl),
        tubes_to_buy: l.tubesToBuy,
      })),
      ...list.ingredients.map((i) => ({
        for: title,
        paint: INGREDIENTS[i.part.ingredient].name,
        colour_index: '',
        ml: ml(i.ml),
        have_ml: '',
        missing_ml: '',
        tubes_to_buy: '',
      })),
    ].map(guardedRow),
    { newline: '\n' },
  )}\n`;

const styles = StyleSheet.create({
  name: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  swatch: { width: 24, height: 36, borderRadius: 3, borderWidth: 1, borderColor: colour.rule },
});
