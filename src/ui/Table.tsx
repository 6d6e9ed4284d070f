import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from './Text';
import { colour, space } from './tokens';

export interface Column {
  head: string;
  /** A column of figures has a width and stands to the right; one without takes what is left. */
  width?: number;
}

type Tone = 'ink' | 'ink2' | 'brick' | 'tawny';

/** What stands in a cell: words with their weight and tone, or anything drawn. */
export type Cell = string | { words: string; strong?: boolean; tone?: Tone } | { drawn: ReactNode };

export interface TableRow {
  key: string;
  cells: Cell[];
  /** Rows of one group follow each other under its name. */
  group?: string;
  /** A sentence below the cells, across all columns. */
  below?: string;
}

interface Props {
  name: string;
  columns: Column[];
  rows: TableRow[];
  /** The first cell of each row names it. */
  rowHeads?: boolean;
  size?: 'small' | 'body';
}

/** Figures in rows and columns, told as a table to those who hear it. */
export function Table({ name, columns, rows, rowHeads = false, size = 'small' }: Props) {
  return (
    <View role="table" aria-label={name}>
      <View role="row" style={[styles.row, styles.line]}>
        {columns.map((column, i) => (
          <Text key={i} role="columnheader" size="small" tone="ink2" style={placeOf(column)}>
            {column.head}
          </Text>
        ))}
      </View>
      {rows.map((row, i) => (
        <View key={row.key} role="row" style={styles.line}>
          {row.group && row.group !== rows[i - 1]?.group ? (
            <Text role="rowheader" strong>
              {row.group}
            </Text>
          ) : null}
          <View style={styles.row}>
            {row.cells.map((cell, j) => (
              <TableCell
                key={j}
                cell={cell}
                column={columns[j]!}
                role={rowHeads && j === 0 ? 'rowheader' : 'cell'}
                size={size}
              />
            ))}
          </View>
          {row.below ? (
            <Text role="cell" size="small" tone="ink2">
              {row.below}
            </Text>
          ) : null}
        </View>
      ))}
    </View>
  );
}

const placeOf = ({ width }: Column): object =>
  width === undefined ? styles.wide : { width, textAlign: 'right' };

function TableCell({
  cell,
  column,
  role,
  size,
}: {
  cell: Cell;
  column: Column;
  role: 'cell' | 'rowheader';
  size: 'small' | 'body';
}) {
  if (typeof cell === 'object' && 'drawn' in cell)
    return (
      <View role={role} style={column.width === undefined ? styles.wide : { width: column.width }}>
        {cell.drawn}
      </View>
    );
  const { words, strong = false, tone = 'ink' } = typeof cell === 'string' ? { words: cell } : cell;
  return (
    <Text role={role} size={size} strong={strong} tone={tone} style={placeOf(column)}>
      {words}
    </Text>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: space.xs },
  line: {
    paddingVertical: space.s,
    borderBottomWidth: 1,
    borderBottomColor: colour.rule,
  },
  wide: { flex: 1, minWidth: 0 },
});
