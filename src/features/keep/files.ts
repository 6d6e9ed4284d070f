import type { ExportFile } from '@/core/formats';

/** Hand a file to the browser to save. */
export function saveFile(name: string, content: string, type = 'application/json'): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const anchor = document.createElement('a');
  anchor.href = url;
  anchor.download = name;
  anchor.click();
  URL.revokeObjectURL(url);
}

const slug = (title: string): string =>
  title
    .normalize('NFKD')
    .replace(/[^\w\s-]/g, '')
    .trim()
    .replace(/\s+/g, '-')
    .toLowerCase() || 'painting';

/** "quinces-on-slate.tawny.json", "studio-2026-02-17.tawny.json". */
export function fileName(file: ExportFile): string {
  const what =
    file.kind === 'studio'
      ? `studio-${file.exportedAt.slice(0, 10)}`
      : slug(file.paintings[0]?.title ?? '');
  return `${what}.tawny.json`;
}

export const saveExport = (file: ExportFile): void =>
  saveFile(fileName(file), JSON.stringify(file, null, 1));

/** Let the painter choose a file and read its text. Null when nothing was chosen. */
export const chooseFile = async (accept: string): Promise<string | null> =>
  (await chooseNamedFile(accept))?.text ?? null;

/** The same, with the name of the file. */
export function chooseNamedFile(accept: string): Promise<{ name: string; text: string } | null> {
  return new Promise((resolve, reject) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.addEventListener('change', () => {
      const file = input.files?.[0];
      if (!file) resolve(null);
      else file.text().then((text) => resolve({ name: file.name, text }), reject);
    });
    input.addEventListener('cancel', () => resolve(null));
    input.click();
  });
}
