import type { ExportFile } from '@/core/formats';

/** Hand a file to the browser to save. */
export const saveFile = (name: string, content: string, type = 'application/json'): void =>
  saveBlob(name, new Blob([content], { type }));

/** So long a file that is being saved can be fetched. */
const KEPT_MS = 60_000;

export function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const anchor = document.createElement('a');
  anchor.href = url;
  anchor.download = name;
  anchor.click();
  // The browser begins the download later: an address that is gone by then, on a busy machine, saves nothing.
  setTimeout(() => URL.revokeObjectURL(url), KEPT_MS);
}

export const slug = (title: string): string =>
  title
    .normalize('NFKD')
    .replace(/[^\w\s-]/g, '')
    .trim()
    .replace(/\s+/g, '-')
    .toLowerCase() || 'painting';

/** "quinces-on-slate.tawny.json", "studio-2026-02-17.tawny.json". */
export function fileName(file: ExportFile, ending = 'json'): string {
  const what =
    file.kind === 'studio'
      ? `studio-${file.exportedAt.slice(0, 10)}`
      : slug(file.paintings[0]?.title ?? '');
  return `${what}.tawny.${ending}`;
}

export const saveExport = (file: ExportFile): void =>
  saveFile(fileName(file), JSON.stringify(file, null, 1));

/** Let the painter choose a file. Null when nothing was chosen. */
export function chooseBlob(accept: string): Promise<File | null> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.addEventListener('change', () => resolve(input.files?.[0] ?? null));
    input.addEventListener('cancel', () => resolve(null));
    input.click();
  });
}

/** The same, and read its text. */
export const chooseFile = async (accept: string): Promise<string | null> =>
  (await chooseNamedFile(accept))?.text ?? null;

/** The same, with the name of the file. */
/** Years of readings and calendars are far below this; it is asked before the file is read. */
const MOST_TEXT = 30_000_000;

export async function chooseNamedFile(
  accept: string,
): Promise<{ name: string; text: string } | null> {
  const file = await chooseBlob(accept);
  if (!file) return null;
  if (file.size > MOST_TEXT)
    throw new Error(
      `it has ${Math.round(file.size / 1e6)} MB; at most ${MOST_TEXT / 1e6} MB are read.`,
    );
  return { name: file.name, text: await file.text() };
}
