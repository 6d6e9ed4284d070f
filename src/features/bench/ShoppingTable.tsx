import Papa from 'papaparse';
import { StyleSheet, View } from 'react-native';
import type { ShoppingLine, ShoppingList } from '@/core/quantity';
import { INGREDIENTS } from '@/data/ingredients';
import { saveFile } from '@/features/keep/files';
import { tubeCodes, tubeColour, tubeName, type Tube } from '@/features/tubes';
import { asTube } from '@/core/cabinet';
import { Action } from '@/ui/Action';
import { Text } from '@/ui/Text';
import { colour, space } from '@/ui/tokens';

const ml = (value: number): string => value.toFixed(1);
const tubeOf = (line: ShoppingLine): Tube => (line.paint ? { own: asTube(line.paint) } : line.part);

/** Paint by paint: how much, what share of a tube, what the cabinet has, what is missing. */
export function ShoppingTable({ list, title }: { list: ShoppingList; title: string }) {
  const missing = list.lines.filter((l) => l.missingMl > 0);
  return (
    <View style={{ gap: space.m }}>
      <View role="table" aria-label="Paint needed">
        <View role="row" style={styles.row}>
          <Text role="columnheader" size="small" tone="ink2" style={{ flex: 1 }}>
            paint
          </Text>
          {['ml', 'have', 'cost'].map((head) => (
            <Text key={head} role="columnheader" size="small" tone="ink2" style={styles.cell}>
              {head}
            </Text>
          ))}
        </View>
        {list.lines.map((line) => (
          <Line key={line.key} line={line} />
        ))}
        {list.ingredients.map(({ part, ml: amount }) => (
          <View role="row" key={`${part.ingredient}${part.solidsWtPct ?? ''}`} style={styles.row}>
            <Text role="cell" style={{ flex: 1 }}>
              {INGREDIENTS[part.ingredient].name}
            </Text>
            <Text role="cell" strong style={styles.cell}>
              {ml(amount)}
            </Text>
            <Text role="cell" style={styles.cell} />
            <Text role="cell" style={styles.cell} />
          </View>
        ))}
      </View>
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
      {list.cost > 0 ? (
        <Text tone="ink2">
          {`Paint for ${list.cost.toFixed(2)}${list.costIncomplete ? ', not counting paints without a price' : ''}.`}
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

function Line({ line }: { line: ShoppingLine }) {
  const tube = tubeOf(line);
  const short = line.missingMl > 0;
  return (
    <View role="row" style={styles.row}>
      <View role="cell" style={styles.name}>
        <View style={[styles.swatch, { backgroundColor: tubeColour(tube) }]} />
        <View style={{ flex: 1 }}>
          <Text>{tubeName(tube)}</Text>
          <Text size="small" tone="ink2">
            {`${tubeCodes(tube)}; ${line.ml < 0.05 * line.tubeMl ? 'under 5' : Math.round((line.ml / line.tubeMl) * 100)} % of a tube, ${line.g.toFixed(0)} g`}
          </Text>
        </View>
      </View>
      <Text role="cell" strong style={styles.cell}>
        {ml(line.ml)}
      </Text>
      <Text role="cell" strong={short} tone={short ? 'brick' : 'ink'} style={styles.cell}>
        {short ? `${ml(line.haveMl)}, short` : ml(line.haveMl)}
      </Text>
      <Text role="cell" style={styles.cell}>
        {line.cost === null ? '–' : line.cost.toFixed(2)}
      </Text>
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
    ],
    { newline: '\n' },
  )}\n`;

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.xs,
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  name: { flex: 1, flexDirection: 'row', alignItems: 'center', gap: space.s },
  swatch: { width: 24, height: 36, borderRadius: 3, borderWidth: 1, borderColor: colour.rule },
  cell: { width: 66, textAlign: 'right' },
});
