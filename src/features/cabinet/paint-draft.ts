import type { BinderKey } from '@/data/binders';
import { cabinetPaintSchema, shortPigmentName, type CabinetPaint } from '@/core/cabinet';
import { issuesOf } from '@/core/issues';

/** A paint while it is edited: numbers are kept as typed. */
export interface PaintDraft {
  id: string;
  name: string;
  pigments: { pigment: string; parts: string }[];
  binder: BinderKey;
  extenderPct: string;
  tubeMl: string;
  price: string;
  leftPct: string;
  /** Empty: by the table. */
  oilWtPct: string;
  dryingFactor: string;
  makeUpUnknown: boolean;
  archived: boolean;
}

const tidy = (value: number): string => String(Number(value.toFixed(3)));
const orEmpty = (value: number | null): string => (value === null ? '' : tidy(value));

export const draftOfPaint = (paint: CabinetPaint): PaintDraft => ({
  id: paint.id,
  name: paint.name,
  pigments: paint.pigments.map((p) => ({ ...p, parts: tidy(p.parts) })),
  binder: paint.binder,
  extenderPct: tidy(paint.extenderShare * 100),
  tubeMl: tidy(paint.tubeMl),
  price: orEmpty(paint.price),
  leftPct: tidy(paint.left * 100),
  oilWtPct: orEmpty(paint.oilWtPct),
  dryingFactor: orEmpty(paint.dryingFactor),
  makeUpUnknown: paint.makeUpUnknown,
  archived: paint.archived,
});

export const newPaintDraft = (id: string): PaintDraft => ({
  id,
  name: '',
  pigments: [{ pigment: 'titanium-white', parts: '1' }],
  binder: 'linseed',
  extenderPct: '0',
  tubeMl: '37',
  price: '',
  leftPct: '100',
  oilWtPct: '',
  dryingFactor: '',
  makeUpUnknown: false,
  archived: false,
});

const number = (text: string): number =>
  text.trim() === '' ? NaN : Number(text.trim().replace(',', '.'));
const numberOrNull = (text: string): number | null => (text.trim() === '' ? null : number(text));

export interface CheckedPaint {
  paint: CabinetPaint | null;
  problem(path: string): string | undefined;
}

/** Read a draft as a paint. A paint without a name is called by its pigment. */
export function checkPaint(draft: PaintDraft): CheckedPaint {
  const parsed = cabinetPaintSchema.safeParse({
    id: draft.id,
    name: draft.name.trim() || nameOf(draft),
    pigments: draft.pigments.map((p) => ({ ...p, parts: number(p.parts) })),
    binder: draft.binder,
    extenderShare: number(draft.extenderPct) / 100,
    tubeMl: number(draft.tubeMl),
    price: numberOrNull(draft.price),
    left: number(draft.leftPct) / 100,
    oilWtPct: numberOrNull(draft.oilWtPct),
    dryingFactor: numberOrNull(draft.dryingFactor),
    makeUpUnknown: draft.makeUpUnknown,
    archived: draft.archived,
  });
  const issues = parsed.error ? issuesOf(parsed.error) : [];
  return {
    paint: parsed.success ? parsed.data : null,
    problem: (path) => issues.find((i) => i.where === path)?.message,
  };
}

/** What a paint is called that nobody named: its pigments. */
export const nameOf = (draft: Pick<PaintDraft, 'pigments'>): string =>
  draft.pigments
    .map((p) => shortPigmentName(p.pigment))
    .join(' + ')
    .slice(0, 60);
