import { guessMapping, readClimateCsv, splitCsv, type ClimateMapping } from './climate-csv';

const read = (text: string, over: Partial<ClimateMapping> = {}) => {
  const csv = splitCsv(text);
  const mapping = { ...guessMapping(csv), ...over };
  return { mapping, ...readClimateCsv(csv, mapping, Date.UTC(2026, 10, 28)) };
};
const iso = (ms: number) => new Date(ms).toISOString();

test('columns are found by their names, in any order; times with a zone are taken as they stand', () => {
  const { mapping, readings, bad } = read(
    'No,Humidity (%RH),Timestamp,Temperature (°C)\n1,55,2026-02-10T09:00:00Z,18.5\n2,56,2026-02-10T10:00:00+01:00,18.6',
  );
  expect([mapping.time, mapping.temperature, mapping.humidity]).toEqual([2, 3, 1]);
  expect(bad).toEqual([]);
  expect(readings.map((r) => iso(r.atMs))).toEqual([
    '2026-02-10T09:00:00.000Z',
    '2026-02-10T09:00:00.000Z',
  ]);
  expect(readings[0]).toMatchObject({ temperatureC: 18.5, relativeHumidityPct: 55 });
});

test('Fahrenheit, a decimal comma, and semicolons', () => {
  const { mapping, readings } = read('Zeit;Temp F;Feuchte\n10.02.2026 09:00;68,0;44,5');
  expect(mapping).toMatchObject({ format: 'dd.MM.yyyy HH:mm', unit: 'F' });
  expect(readings[0]!.temperatureC).toBeCloseTo(20, 9);
  expect(readings[0]!.relativeHumidityPct).toBe(44.5);
});

test('another time zone moves times that do not say theirs', () => {
  const text = 'time,temp,rh\n2026-02-10 09:00,18,50';
  expect(iso(read(text, { utcOffsetHours: 0 }).readings[0]!.atMs)).toBe('2026-02-10T09:00:00.000Z');
  expect(iso(read(text, { utcOffsetHours: 2 }).readings[0]!.atMs)).toBe('2026-02-10T07:00:00.000Z');
});

test('the American way is told by a day above twelve; seconds since 1970 too', () => {
  expect(read('date,temp,rh\n02/17/2026 10:00,18,50').mapping.format).toBe('MM/dd/yyyy HH:mm');
  expect(read('date,temp,rh\n17/02/2026 10:00,18,50').mapping.format).toBe('dd/MM/yyyy HH:mm');
  expect(iso(read('t,temp,rh\n1770710400,18,50').readings[0]!.atMs)).toBe(
    '2026-02-10T08:00:00.000Z',
  );
});

test('bad rows are named by their line and left out; nothing is guessed', () => {
  const { readings, bad } = read(
    'time,temp,rh\n2026-02-10T09:00:00Z,18,50\nyesterday,18,50\n2026-02-10T10:00:00Z,,50\n2026-02-10T11:00:00Z,900,50\n2026-02-10T12:00:00Z,18,120',
  );
  expect(readings).toHaveLength(1);
  expect(bad.map((b) => b.line)).toEqual([3, 4, 5, 6]);
  expect(bad[0]!.reason).toMatch(/yesterday/);
  expect(bad[1]!.reason).toMatch(/temperature/);
  expect(bad[3]!.reason).toMatch(/humidity/);
});

test('milliseconds are not taken for seconds, and a reading of another age is refused', () => {
  const at = Date.UTC(2026, 1, 17, 10);
  const ms = `time,temp,hum\n${at},18,50\n`;
  const csv = splitCsv(ms);
  const mapping = guessMapping(csv);
  expect(mapping.format).toBe('epoch-ms');
  const now = Date.UTC(2026, 10, 28);
  expect(readClimateCsv(csv, mapping, now).readings.map((r) => r.atMs)).toEqual([at]);
  const wrong = readClimateCsv(csv, { ...mapping, format: 'epoch-s' }, now);
  expect(wrong.readings).toEqual([]);
  expect(wrong.bad[0]!.line).toBe(2);
  expect(wrong.bad[0]!.reason).toMatch(/would be in the year \d+\. Is the time of another form\?/);
  const ahead = splitCsv('time,temp,hum\n2098-01-01T00:00:00Z,18,50\n1970-01-02T00:00:00Z,18,50\n');
  expect(readClimateCsv(ahead, guessMapping(ahead), now).bad.map((b) => b.line)).toEqual([2, 3]);
});
