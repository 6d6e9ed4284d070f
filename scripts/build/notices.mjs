/** The licences of everything that ships with the app: its packages and its fonts. Made from the packages themselves. */
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from '../setup.mjs';
import { FONTS } from './fonts.mjs';

const LICENCE_FILE = /^(licen[cs]e|copying|notice)([-_.].*)?$/i;

/** Folder of the package that a file is part of, in the innermost node_modules; null for our own files. */
export function packageOf(file) {
  const at = file.lastIndexOf('/node_modules/');
  if (at < 0) return null;
  const parts = file.slice(at + '/node_modules/'.length).split('/');
  const name = parts.slice(0, parts[0].startsWith('@') ? 2 : 1).join('/');
  return file.slice(0, at) + '/node_modules/' + name;
}

/** Its name, its version, its licence by name, and the text of the licence where the package carries one. */
export function noticeOf(folder) {
  const { name, version, license, author } = JSON.parse(
    readFileSync(path.join(folder, 'package.json'), 'utf8'),
  );
  const texts = readdirSync(folder)
    .filter((file) => LICENCE_FILE.test(file))
    .sort()
    .map((file) => readFileSync(path.join(folder, file), 'utf8').trim());
  const by = typeof author === 'string' ? author : author?.name;
  if (!license && texts.length === 0)
    throw new Error(`${name} ships with the app and says nothing of its licence.`);
  return [
    `${name} ${version} (${license ?? 'see below'})`,
    ...(by ? [`By ${by}`] : []),
    ...texts,
  ].join('\n\n');
}

/** Every package of which a module is in the bundle, and every package of fonts. */
export function writeNotices(dist) {
  const list = path.join(ROOT, 'node_modules/.cache/shipped-modules.json');
  if (!existsSync(list)) throw new Error('The export left no list of what ships.');
  const folders = new Set([
    ...JSON.parse(readFileSync(list, 'utf8')).map(packageOf).filter(Boolean),
    ...FONTS.map((font) => path.join(ROOT, 'node_modules', font.package)),
  ]);
  const notices = [...folders]
    .filter((folder) => existsSync(path.join(folder, 'package.json')))
    .map(noticeOf)
    .sort((a, b) => a.localeCompare(b));
  const rule = `\n\n${'-'.repeat(72)}\n\n`;
  writeFileSync(
    path.join(dist, 'notices.txt'),
    `Tawny Hour is made with the work of others. What of it ships with the app, and under which licence:${rule}${notices.join(rule)}\n`,
  );
  return notices.length;
}
