import Papa from 'papaparse';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { colourWords, hexOf } from '@/core/optics';
import { aseOf, gplOf, svgOf, type NamedColour } from '@/core/formats/palette-files';
import { heapOf, putOut } from '@/core/session';
import { guardedCell } from '@/core/formats/csv-cells';
import { saveBlob, saveFile } from '@/features/keep/files';
import { useRunningSession } from '@/features/session/useSession';
import { tubeName } from '@/core/cabinet/tube-names';
import { changeSession } from '@/store/actions';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Says } from '@/ui/Says';
import { Text } from '@/ui/Text';
import { space } from '@/ui/tokens';
import type { StringRow } from './useString';

const NAME = 'string';

const nameOf = (row: StringRow, i: number): string =>
  `Step ${i + 1}, value ${row.value.toFixed(1)}`;

const named = (rows: StringRow[]): NamedColour[] =>
  rows.map((row, i) => ({ name: nameOf(row, i), hex: hexOf(row.lab) }));

/** Steps, tubes and ml as a table file: one line for each tube of each step. */
export const stringCsv = (rows: StringRow[]): string =>
  `${Papa.unparse(
    {
      fields: ['step', 'value', 'L', 'a', 'b', 'words', 'srgb', 'paint', 'parts_of_100', 'ml'],
      // Figures as they are: a guard against formulas would make a text of what is below nothing.
      data: rows.flatMap((row, i) =>
        row.tubes.map(({ part, parts, ml }) => [
          i + 1,
          row.value.toFixed(2),
          ...row.lab.map((v) => v.toFixed(2)),
          colourWords(row.lab),
          hexOf(row.lab),
          guardedCell(tubeName(part)),
          parts.toFixed(2),
          ml.toFixed(3),
        ]),
      ),
    },
    { newline: '\r\n' },
  )}\r\n`;

/** The string goes to the palette of the session, or out as a file. */
export function StringActions({ rows }: { rows: StringRow[] }) {
  const dispatch = useStoreDispatch();
  const session = useRunningSession();
  const [said, setSaid] = useState('');
  const putAll = () => {
    if (!session) return;
    dispatch(
      changeSession(session.id, 'Put out a string', (s, m) =>
        rows.reduce(
          (whole, row, i) =>
            putOut(
              whole,
              {
                name: nameOf(row, i),
                recipe: heapOf(row.mix),
                ml: Number(row.tubes.reduce((sum, t) => sum + t.ml, 0).toPrecision(3)),
              },
              m,
            ),
          s,
        ),
      ),
    );
    setSaid(`${rows.length} mixes are on the palette of this session.`);
  };
  const files: [string, () => void][] = [
    ['CSV', () => saveFile(`${NAME}.csv`, stringCsv(rows), 'text/csv')],
    ['GPL', () => saveFile(`${NAME}.gpl`, gplOf('String', named(rows)), 'text/plain')],
    ['ASE', () => saveBlob(`${NAME}.ase`, new Blob([aseOf(named(rows)) as BlobPart]))],
    ['SVG', () => saveFile(`${NAME}.svg`, svgOf('String', named(rows)), 'image/svg+xml')],
  ];
  return (
    <View style={{ gap: space.s }}>
      {session ? (
        <Action title="Put it on the palette" kind="primary" onPress={putAll} />
      ) : (
        <Text size="small" tone="ink2">
          While a session runs the string can go on its palette, each step with its own clock.
        </Text>
      )}
      <Says>{said ? <Text>{said}</Text> : null}</Says>
      <View style={styles.files}>
        {files.map(([title, save]) => (
          <Action key={title} title={title} label={`${title} file of the string`} onPress={save} />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  files: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
});
