import { APPLICATIONS } from './applications';
import { HANDBOOK_CONSTANT_ROWS, STUDIO_CONSTANT_ROWS } from './constants';
import { INGREDIENTS } from './ingredients';
import { METHODS } from './methods';
import { OILS } from './oils';
import { PIGMENT_NOTES, pigmentNotesSchema, TABLE_NOTE } from './pigment-notes';
import { PIGMENT_ROWS, TABLE_PIGMENTS } from './pigments';
import { pigmentSchema } from './pigments-schema';

test('every row of the pigment table has the shape the code expects', () => {
  expect(TABLE_PIGMENTS).toHaveLength(61);
  for (const row of PIGMENT_ROWS) {
    expect(pigmentSchema.safeParse(row).error).toBeUndefined();
    expect(pigmentNotesSchema.safeParse(PIGMENT_NOTES[row.key]).error).toBeUndefined();
  }
  expect(Object.keys(PIGMENT_NOTES).sort()).toEqual(PIGMENT_ROWS.map((r) => r.key).sort());
  expect(TABLE_NOTE).toMatch(/from memory/);
  expect(new Set(PIGMENT_ROWS.map((r) => r.key)).size).toBe(63);
});

test('typical values lie in their ranges', () => {
  for (const row of PIGMENT_ROWS) {
    const { ranges } = PIGMENT_NOTES[row.key]!;
    for (const key of Object.keys(ranges) as (keyof typeof ranges)[]) {
      const [lo, hi] = ranges[key];
      expect(lo).toBeLessThanOrEqual(row[key]);
      expect(row[key]).toBeLessThanOrEqual(hi);
    }
  }
  for (const oil of Object.values(OILS)) {
    expect(oil.touchDryDays).toBeGreaterThanOrEqual(oil.touchDryRangeDays[0]);
    expect(oil.touchDryDays).toBeLessThanOrEqual(oil.touchDryRangeDays[1]);
  }
  for (const a of Object.values(APPLICATIONS)) {
    expect(a.typicalUm).toBeGreaterThanOrEqual(a.rangeUm[0]);
    expect(a.typicalUm).toBeLessThanOrEqual(a.rangeUm[1]);
  }
});

// Gettens & Stout, Painting Materials, and Artists' Pigments; from memory.
test.each([
  ['lead-white', 6.4, 6.9],
  ['titanium-white', 3.9, 4.3],
  ['ultramarine-blue', 2.3, 2.4],
  ['vermilion', 8.0, 8.2],
])('density of %s', (key, lo, hi) => {
  const row = PIGMENT_ROWS.find((r) => r.key === key)!;
  expect(row.density_g_cm3).toBeGreaterThanOrEqual(lo);
  expect(row.density_g_cm3).toBeLessThanOrEqual(hi);
});

// Ranking of driers in Mayer and Doerner; from memory: umbers, lead, cobalt, Prussian blue fast; blacks and lakes slow.
test('fast and slow driers are ranked as the handbooks rank them', () => {
  const factor = (key: string) => PIGMENT_ROWS.find((r) => r.key === key)!.drying_time_factor;
  for (const fast of ['raw-umber', 'burnt-umber', 'lead-white', 'cobalt-blue', 'prussian-blue'])
    expect(factor(fast)).toBeLessThan(0.8);
  for (const slow of ['ivory-black', 'lamp-black', 'alizarin-crimson', 'cadmium-red'])
    expect(factor(slow)).toBeGreaterThan(1.2);
});

test('metals that can harm are named with a caution', () => {
  const metals = ['lead', 'cadmium', 'cobalt', 'manganese', 'mercury'];
  for (const row of PIGMENT_ROWS) {
    if (row.metals.some((m) => metals.includes(m)))
      expect(PIGMENT_NOTES[row.key]!.hazard_note.length).toBeGreaterThan(20);
  }
  for (const i of Object.values(INGREDIENTS)) {
    if (i.kind === 'solvent' && !i.aqueous)
      expect(i.caution).toMatch(/safety data sheet and local rules govern/);
  }
});

test('every constant has a unit, a source and a confidence; the revision only changes rows that exist', () => {
  for (const rows of [HANDBOOK_CONSTANT_ROWS, STUDIO_CONSTANT_ROWS]) {
    for (const [key, row] of Object.entries(rows)) {
      expect([key, Number.isFinite(row.value), row.unit !== '', row.source !== '']).toEqual([
        key,
        true,
        true,
        true,
      ]);
    }
  }
  expect(Object.keys(STUDIO_CONSTANT_ROWS)).toEqual(Object.keys(HANDBOOK_CONSTANT_ROWS));
});

test('methods use pigments that exist', () => {
  const keys = new Set(PIGMENT_ROWS.map((r) => r.key));
  for (const method of Object.values(METHODS)) {
    for (const coat of method.coats) {
      if (typeof coat.mix !== 'string')
        for (const t of coat.mix) expect(keys.has(t.pigment)).toBe(true);
    }
  }
});
