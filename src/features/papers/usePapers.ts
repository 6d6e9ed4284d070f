import { useState } from 'react';
import { exportFile } from '@/core/formats/export';
import type { Session } from '@/core/session';
import { STUDIO_HANDBOOK } from '@/core/handbook';
import { constantAir } from '@/core/drying';
import type { Picture } from '@/core/looking/schema';
import type { PaintingAssessment } from '@/core/painting';
import { recordBlocks } from '@/core/record/dossier';
import type { RecordOptions } from '@/core/record/options';
import { labelLines, labelText } from '@/core/record/label';
import { planBlocks } from '@/core/record/plan-page';
import { saveBlob, slug } from '@/features/keep/files';
import { keptOrMade } from '@/features/look/usePictures';
import { bytesOf } from '@/store/photos';
import { nowIso } from '@/store/clock';
import { useAssessOptions, useSwatches } from '@/store/hooks';
import { dayMonthYear } from '@/ui/time/words';
import { makeLabel, makePages } from '@/workers/papers-client';

/** The faces of the pages: TrueType, fetched from this studio's own server when a page is first made. */
let faces: Promise<{ text: Uint8Array; strong: Uint8Array }> | null = null;
async function face(name: string): Promise<Uint8Array> {
  const answer = await fetch(`/fonts/${name}`);
  if (!answer.ok)
    throw new Error('its typeface could not be loaded. Try again when the server answers.');
  return new Uint8Array(await answer.arrayBuffer());
}
const loadFaces = () => {
  faces ??= Promise.all([face('pages-text.ttf'), face('pages-strong.ttf')]).then(
    ([text, strong]) => ({ text, strong }),
  );
  // What failed is fetched anew the next time.
  faces.catch(() => (faces = null));
  return faces;
};

export type Paper = 'record' | 'plan' | 'label';

interface Papers {
  busy: Paper | null;
  failure: string | null;
  make: (paper: Paper) => Promise<void>;
}

/** What pages are made with, as this studio has it. */
export function useRecordOptions(): RecordOptions {
  const swatches = useSwatches();
  const { handbook, air, climate, nowMs } = useAssessOptions();
  return {
    handbook,
    swatches,
    air: air ?? constantAir(STUDIO_HANDBOOK.constants, climate),
    nowMs,
    day: dayMonthYear,
  };
}

/** Makes the papers of a painting in a worker and hands them to the browser to save. */
export function usePapers(
  assessment: PaintingAssessment,
  painter: string,
  photos: readonly Picture[],
  sessions: Session[],
): Papers {
  const options = useRecordOptions();
  const [busy, setBusy] = useState<Paper | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const { painting } = assessment;
  const make = async (paper: Paper) => {
    setBusy(paper);
    setFailure(null);
    try {
      const fonts = await loadFaces();
      const about = { title: painting.title, author: painter.trim(), fonts, nowMs: options.nowMs };
      const pages = async () => {
        const pictures: [string, Uint8Array][] = [];
        for (const { id } of photos) {
          const jpeg = await keptOrMade(id).catch(() => null);
          if (jpeg) pictures.push([id, bytesOf(jpeg)]);
        }
        return makePages({
          ...about,
          blocks: recordBlocks(assessment, { ...options, photos }),
          photos: pictures,
          attached: {
            name: `${slug(painting.title)}.tawny.json`,
            json: JSON.stringify(
              exportFile('painting', [painting], null, nowIso(), null, { sessions }),
            ),
          },
        });
      };
      const lines = labelLines(painting, options.day, painter.trim());
      const bytes =
        paper === 'record'
          ? await pages()
          : paper === 'plan'
            ? await makePages({
                ...about,
                blocks: planBlocks(assessment, options),
                photos: [],
                attached: null,
              })
            : await makeLabel({ ...about, lines, code: labelText(lines) });
      saveBlob(
        `${slug(painting.title)}-${paper}.pdf`,
        new Blob([bytes as BlobPart], { type: 'application/pdf' }),
      );
    } catch (error) {
      setFailure(`The paper could not be made: ${(error as Error).message}`);
    } finally {
      setBusy(null);
    }
  };
  return { busy, failure, make };
}
