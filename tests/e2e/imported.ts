import type { Page } from '@playwright/test';
import { layCoat } from '../../src/core/painting/events';
import type { Coat, Painting } from '../../src/core/painting/schema';
import { startPainting } from '../../src/core/painting/start';
import { EXPORT_FORMAT, EXPORT_SCHEMA_VERSION } from '../../src/core/formats/export';
import { importText, openPlace, takeIn } from './studio';

/** Studios made by the core and imported, so that no test clicks one together. */
export const HOUR_MS = 3_600_000;
export const DAY_MS = 24 * HOUR_MS;
export const NOW_MS = Date.parse('2026-03-10T18:00:00Z');
export const ago = (days: number): string => new Date(NOW_MS - days * DAY_MS).toISOString();

let ids = 0;
export const making = (now: string) => ({ now, newId: () => `id-${++ids}` });
export const tube = (pigment: string, binder: 'linseed' | 'poppy' = 'linseed') => ({
  pigment,
  parts: 1,
  binder,
});
export const WHITE = tube('titanium-white');
export const SPIRITS = { ingredient: 'mineral-spirits' as const, parts: 1 };

export const coat = (
  name: string,
  recipe: Coat['recipe'],
  over: Partial<Coat> = {},
): Omit<Coat, 'id' | 'passageIds'> => ({
  name,
  role: 'overpainting',
  recipe,
  application: 'brush-coat',
  onto: 'touch-dry',
  spot: null,
  ...over,
});
export const paint = (
  thicknessUm: number,
  mix = [WHITE],
  medium: Coat['recipe']['medium'] = [],
  mediumShare = 0,
) => ({
  mix,
  medium,
  mediumShare,
  thicknessUm,
});

/** A painting of two passages with these coats, laid so many days ago; null: still to come. On one passage only where named. */
export function made(
  title: string,
  coats: { is: ReturnType<typeof coat>; ago: number | null; on?: 'jars' | 'wall' }[],
): Painting {
  const started = startPainting(
    {
      title,
      support: { kind: 'canvas', widthMm: 400, heightMm: 300 },
      ground: { kind: 'acrylic-gesso', coats: 3, laidAt: ago(200) },
      method: 'own-way',
      passages: [
        { name: 'jars', share: 0.5 },
        { name: 'wall', share: 0.5 },
      ],
    },
    making(ago(199)),
  );
  const planned: Painting = {
    ...started,
    id: title.toLowerCase().replaceAll(' ', '-'),
    coats: coats.map(({ is, on }, i) => ({
      ...is,
      id: `coat-${i}`,
      passageIds: started.passages.filter((p) => !on || p.name === on).map((p) => p.id),
    })),
  };
  return coats.reduce(
    (p, { ago: days, is }, i) =>
      days === null
        ? p
        : layCoat(
            p,
            {
              coatId: `coat-${i}`,
              passageIds: p.coats[i]!.passageIds,
              at: ago(days),
              spot: null,
              intoWet: is.onto === 'wet',
            },
            making(ago(days)),
          ),
    planned,
  );
}

export async function openWith(page: Page, ...paintings: Painting[]): Promise<void> {
  await openPlace(page, 'Settings');
  await importText(
    page,
    JSON.stringify({
      format: EXPORT_FORMAT,
      schemaVersion: EXPORT_SCHEMA_VERSION,
      exportedAt: ago(0),
      kind: 'studio',
      studio: null,
      cabinet: null,
      paintings,
      sessions: [],
      climate: [],
      photos: [],
      plan: null,
      id: 'judging',
      lineage: [],
      unreadable: [],
    }),
  );
  await takeIn(page);
  await page.getByRole('link', { name: 'Today' }).click();
}
