import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { hoursOf } from '@/core/climate';
import { chooseFile } from '@/features/keep/files';
import { takeInHours } from '@/store/actions';
import { nowMs } from '@/store/clock';
import { useStoreDispatch } from '@/store/hooks';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Sheet } from '@/ui/Sheet';
import { Stepper } from '@/ui/Stepper';
import { Heading, Text } from '@/ui/Text';
import { dayMonthYear } from '@/ui/time/words';
import { space } from '@/ui/tokens';
import {
  guessMapping,
  readClimateCsv,
  splitCsv,
  TIME_FORMATS,
  type ClimateCsv,
  type ClimateMapping,
  type TimeFormat,
} from './climate-csv';
import { useNumberText } from '@/forms';

/** Readings of any logger, from a CSV file. */
export function ClimateImport() {
  const [file, setFile] = useState<ClimateCsv | null>(null);
  const [said, setSaid] = useState<{ words: string; bad: boolean } | null>(null);
  const choose = () => {
    setSaid(null);
    chooseFile('text/csv,.csv,.txt').then(
      (text) => {
        if (text === null) return;
        const csv = splitCsv(text);
        if (csv.header.length < 3 || csv.rows.length === 0)
          setSaid({
            words:
              'Nothing was taken in: the file needs columns for time, temperature and humidity, and a row below their names.',
            bad: true,
          });
        else setFile(csv);
      },
      (error: Error) => setSaid({ words: `The file cannot be read: ${error.message}`, bad: true }),
    );
  };
  return (
    <View style={{ gap: space.s }}>
      <Action title="Take in a CSV file" onPress={choose} />
      {said ? <Notice tone={said.bad ? 'refusal' : 'note'}>{said.words}</Notice> : null}
      {file ? (
        <MappingSheet
          csv={file}
          onClose={(words) => {
            setFile(null);
            if (words) setSaid({ words, bad: false });
          }}
        />
      ) : null}
    </View>
  );
}

const FORMAT_NAME: Record<TimeFormat, string> = {
  iso: '2026-02-17T10:15',
  'yyyy-MM-dd HH:mm': '2026-02-17 10:15',
  'dd/MM/yyyy HH:mm': '17/02/2026 10:15',
  'MM/dd/yyyy HH:mm': '02/17/2026 10:15',
  'dd.MM.yyyy HH:mm': '17.02.2026 10:15',
  'epoch-s': 'seconds since 1970',
  'epoch-ms': 'milliseconds since 1970',
};
const SHOWN_BAD = 5;

function MappingSheet({
  csv,
  onClose,
}: {
  csv: ClimateCsv;
  onClose: (said: string | null) => void;
}) {
  const dispatch = useStoreDispatch();
  const [mapping, setMapping] = useState<ClimateMapping>(() => guessMapping(csv));
  const [now] = useState(nowMs);
  const { readings, bad } = useMemo(() => readClimateCsv(csv, mapping, now), [csv, mapping, now]);
  const set = (change: Partial<ClimateMapping>) => setMapping({ ...mapping, ...change });
  const offset = useNumberText(mapping.utcOffsetHours ?? 0, (utcOffsetHours) => {
    if (!(Math.abs(utcOffsetHours) <= 14)) return 'Between -14 and 14 hours.';
    set({ utcOffsetHours });
    return null;
  });
  const columns = csv.header.map((name, i) => ({
    key: String(i),
    name: name || `column ${i + 1}`,
  }));
  const times = readings.map((r) => r.atMs);
  const take = () => {
    const hours = hoursOf(readings);
    dispatch(takeInHours(hours));
    onClose(
      `${readings.length} readings of ${hours.length} hours were taken in${bad.length > 0 ? `; ${bad.length} rows were left out` : ''}.`,
    );
  };
  return (
    <Sheet name="Readings in the file" onClose={() => onClose(null)}>
      <View style={{ gap: space.s }}>
        <Heading>Readings in the file</Heading>
        <Choice
          label="Time"
          options={columns}
          value={String(mapping.time)}
          onChange={(k) => set({ time: Number(k) })}
        />
        <Choice
          label="Written as"
          options={TIME_FORMATS.map((key) => ({ key, name: FORMAT_NAME[key] }))}
          value={mapping.format}
          onChange={(format) => set({ format })}
        />
        <Choice
          label="Time zone, where the times do not say"
          options={[
            { key: 'here', name: 'as on this computer' },
            { key: 'utc', name: 'UTC' },
            { key: 'other', name: 'another' },
          ]}
          value={
            mapping.utcOffsetHours === null
              ? 'here'
              : mapping.utcOffsetHours === 0
                ? 'utc'
                : 'other'
          }
          onChange={(k) => set({ utcOffsetHours: k === 'here' ? null : k === 'utc' ? 0 : 1 })}
        />
        {mapping.utcOffsetHours !== null && mapping.utcOffsetHours !== 0 ? (
          <Stepper label="Hours east of UTC" step={1} min={-14} max={14} {...offset} />
        ) : null}
        <Choice
          label="Temperature"
          options={columns}
          value={String(mapping.temperature)}
          onChange={(k) => set({ temperature: Number(k) })}
        />
        <Choice
          label="In"
          options={[
            { key: 'C', name: '°C' },
            { key: 'F', name: '°F' },
          ]}
          value={mapping.unit}
          onChange={(unit) => set({ unit })}
        />
        <Choice
          label="Humidity"
          options={columns}
          value={String(mapping.humidity)}
          onChange={(k) => set({ humidity: Number(k) })}
        />
        <Text strong>
          {readings.length === 0
            ? 'No row can be read like this.'
            : `${readings.length} readings, ${dayMonthYear(Math.min(...times))} to ${dayMonthYear(Math.max(...times))}`}
        </Text>
        {bad.length > 0 ? (
          <Notice tone="refusal">
            {`${bad.length} ${bad.length === 1 ? 'row' : 'rows'} cannot be read and would be left out. ${bad
              .slice(0, SHOWN_BAD)
              .map((b) => `Line ${b.line}: ${b.reason}`)
              .join(' ')}`}
          </Notice>
        ) : null}
        <Action
          title={bad.length > 0 ? 'Take in the rest' : 'Take them in'}
          kind="primary"
          disabled={readings.length === 0}
          onPress={take}
        />
        <Action title="Cancel" kind="quiet" onPress={() => onClose(null)} />
      </View>
    </Sheet>
  );
}
