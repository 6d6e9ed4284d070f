import { NEW_STUDIO } from '@/core/formats';
import { exportFile } from '@/core/formats/export';
import { newPainting, NOW } from '@/core/tests/paintings';
import { chooseFile, fileName } from './files';

const named = (title: string) =>
  fileName(exportFile('painting', [newPainting({ title })], null, NOW));

test.each([
  ['Quinces on Slate', 'quinces-on-slate.tawny.json'],
  ['Été à l’étang: n° 2', 'ete-a-letang-n-2.tawny.json'],
  ['../../etc/passwd', 'etcpasswd.tawny.json'],
  ['画', 'painting.tawny.json'],
])('%s is saved as %s', (title, expected) => expect(named(title)).toBe(expected));

test('a studio is saved by its day', () => {
  expect(fileName(exportFile('studio', [], NEW_STUDIO, NOW))).toBe('studio-2026-02-17.tawny.json');
});

test('a chosen file is read as text; choosing nothing is no error', async () => {
  const inputs: HTMLInputElement[] = [];
  const create = document.createElement.bind(document);
  jest.spyOn(document, 'createElement').mockImplementation((tag: string) => {
    const element = create(tag);
    if (tag === 'input') inputs.push(element as HTMLInputElement);
    return element;
  });
  const chosen = chooseFile('.json');
  Object.defineProperty(inputs[0], 'files', {
    value: [{ text: () => Promise.resolve('{"a":1}') }],
  });
  inputs[0]!.dispatchEvent(new Event('change'));
  expect(await chosen).toBe('{"a":1}');
  const cancelled = chooseFile('.json');
  inputs[1]!.dispatchEvent(new Event('cancel'));
  expect(await cancelled).toBeNull();
});
