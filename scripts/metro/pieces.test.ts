/* eslint-disable @typescript-eslint/no-require-imports */
const { closureOf, inPieces, taken } = require('./pieces');

/** A bundle small enough to be read: modules by path, what each asks for, and what it asks for lazily. */
interface Asked {
  now?: string[];
  lazily?: string[];
  worker?: string[];
}

const ROOT = '/app';
const ids: Record<string, number> = {};
const idOf = (file: string): number => (ids[file] ??= Object.keys(ids).length);

function graphOf(modules: Record<string, Asked>) {
  const of = (files: string[] = [], asyncType: string | null) =>
    files.map((file): [string, object] => [
      `${asyncType}${file}`,
      { absolutePath: `${ROOT}/${file}`, data: { data: { asyncType } } },
    ]);
  return {
    root: ROOT,
    dependencies: new Map(
      Object.entries(modules).map(([file, { now, lazily, worker }]) => [
        `${ROOT}/${file}`,
        {
          dependencies: new Map([
            ...of(now, null),
            ...of(lazily, 'async'),
            ...of(worker, 'worker'),
          ]),
        },
      ]),
    ),
  };
}

const text = (file: string) =>
  `__d(function(g,r){"${file}\\n"},${idOf(`${ROOT}/${file}`)},[${file.length}]);`;
const HASH = '0'.repeat(32);

function piece(name: string, origin: string, files: string[], foot = '') {
  const sorted = [...files].sort((a, b) => idOf(`${ROOT}/${a}`) - idOf(`${ROOT}/${b}`));
  return {
    type: 'js',
    filename: `_expo/static/js/web/${name}-${HASH}.js`,
    originFilename: origin,
    metadata: {
      modulePaths: files.map((f) => `${ROOT}/${f}`),
      requires: [] as string[],
      paths: {},
    },
    source: sorted.map(text).join('\n') + foot,
  };
}

/** Screens that share a module: as many as put it into the kit. */
const OTHERS = ['e', 'f', 'g'];

/** Today, seven screens and what they share, as Expo would cut them: everything shared is in the common piece. */
function bundle() {
  const modules: Record<string, Asked> = {
    'entry.js': {
      now: ['react.js'],
      lazily: ['app/_layout.tsx', 'app/index.tsx', 'app/about.tsx'],
    },
    'react.js': {},
    'app/_layout.tsx': { now: ['store.js'] },
    'app/index.tsx': { now: ['today.js', 'lazy.js'] },
    'app/about.tsx': { now: ['lazy.js', 'params.js'] },
    'store.js': {},
    'today.js': { now: ['react.js'] },
    'params.js': {},
    'lazy.js': {
      lazily: ['kit.js', 'a.js', 'b.js', 'c.js', 'd.js', ...OTHERS.map((s) => `${s}.js`)],
      worker: ['plan.worker.js'],
    },
    'kit.js': {},
    'a.js': { now: ['field.js', 'rare.js'] },
    'b.js': { now: ['field.js', 'rare.js'] },
    'c.js': { now: ['field.js', 'store.js'] },
    'd.js': { now: ['field.js'] },
    ...Object.fromEntries(OTHERS.map((s) => [`${s}.js`, { now: ['field.js'] }])),
    'field.js': {},
    'rare.js': {},
    'plan.worker.js': { now: ['field.js'] },
  };
  Object.keys(modules).forEach((file) => idOf(`${ROOT}/${file}`));
  const artifacts = [
    piece('entry', 'entry.js', ['entry.js', 'react.js'], '\n__r(0);'),
    piece('_layout', 'app/_layout.tsx', ['app/_layout.tsx']),
    piece('index', 'app/index.tsx', ['app/index.tsx', 'today.js']),
    piece('about', 'app/about.tsx', ['app/about.tsx', 'params.js']),
    piece('kit', 'kit.js', ['kit.js']),
    piece('a', 'a.js', ['a.js']),
    piece('b', 'b.js', ['b.js']),
    piece('c', 'c.js', ['c.js']),
    piece('d', 'd.js', ['d.js']),
    ...OTHERS.map((s) => piece(s, `${s}.js`, [`${s}.js`])),
    piece('plan', 'plan.worker.js', ['plan.worker.js', 'field.js'], '\n__r(9);'),
    piece('__common', '__common.js', ['lazy.js', 'store.js', 'field.js', 'rare.js']),
  ];
  artifacts[0]!.metadata.requires = [artifacts.at(-1)!.filename];
  return { modules, artifacts };
}

function cut() {
  const { modules, artifacts } = bundle();
  const before = new Map(artifacts.map((a) => [a.originFilename, { ...a }]));
  const out = inPieces({ artifacts }, `${ROOT}/entry.js`, graphOf(modules), idOf, {
    first: [`${ROOT}/app/_layout.tsx`, `${ROOT}/app/index.tsx`],
    kit: `${ROOT}/kit.js`,
    routes: `${ROOT}/app/`,
  });
  const held = (origin: string): string[] =>
    (out.artifacts as typeof artifacts)
      .find((a) => a.originFilename === origin)!
      .metadata.modulePaths.map((f) => f.slice(ROOT.length + 1))
      .sort();
  return { artifacts: out.artifacts as typeof artifacts, held, before };
}

test('what is loaded with a module is found through what it asks for at once, not lazily', () => {
  const closure = closureOf(graphOf(bundle().modules), [`${ROOT}/app/index.tsx`]);
  expect([...closure].map((f) => (f as string).slice(ROOT.length + 1)).sort()).toEqual([
    'app/index.tsx',
    'lazy.js',
    'react.js',
    'today.js',
  ]);
});

describe('the pieces', () => {
  test('the common one holds what the first route needs, and nothing else', () => {
    expect(cut().held('__common.js')).toEqual(['lazy.js', 'store.js', 'today.js']);
  });

  test('what seven screens need is in the kit; what fewer need stands with each', () => {
    const { held } = cut();
    expect(held('kit.js')).toEqual(['field.js', 'kit.js']);
    expect(held('a.js')).toEqual(['a.js', 'rare.js']);
    expect(held('b.js')).toEqual(['b.js', 'rare.js']);
    expect(held('d.js')).toEqual(['d.js']);
  });

  test('a screen does not carry what the first route has brought', () => {
    expect(cut().held('c.js')).toEqual(['c.js']);
  });

  test('a route holds what it asks for before the kit is there', () => {
    expect(cut().held('app/about.tsx')).toEqual(['app/about.tsx', 'params.js']);
  });

  test('a worker is closed in itself and stays as it is', () => {
    const { artifacts, before } = cut();
    const worker = artifacts.find((a) => a.originFilename === 'plan.worker.js')!;
    expect(worker.source).toBe(before.get('plan.worker.js')!.source);
  });

  test('no module is changed or lost, and the entry still runs what it ran', () => {
    const { artifacts } = cut();
    const all = artifacts.map((a) => a.source).join('\n');
    for (const file of Object.keys(bundle().modules)) expect(all).toContain(text(file));
    expect(artifacts[0]!.source.endsWith('\n__r(0);')).toBe(true);
  });

  test('a piece with other modules has another name, and is asked for by it', () => {
    const { artifacts, before } = cut();
    const common = artifacts.find((a) => a.originFilename === '__common.js')!;
    expect(common.filename).not.toBe(before.get('__common.js')!.filename);
    expect(artifacts[0]!.metadata.requires).toEqual([common.filename]);
    expect(new Set(artifacts.map((a) => a.filename)).size).toBe(artifacts.length);
  });

  test('the same sources give the same names', () => {
    expect(cut().artifacts.map((a) => a.filename)).toEqual(cut().artifacts.map((a) => a.filename));
  });
});

test('an export of another form stops the build instead of losing modules', () => {
  const odd = piece('a', 'a.js', ['a.js']);
  odd.metadata.modulePaths.push(`${ROOT}/b.js`);
  expect(() => taken(odd, idOf)).toThrow(/form of the export has changed/);
});

test('what a first visit runs at once says so in its first line; what comes later does not', () => {
  const hinted = cut()
    .artifacts.filter((a) => a.source.startsWith('//# allFunctionsCalledOnLoad\n'))
    .map((a) => a.filename.split('/').at(-1)!.split('-')[0]);
  expect(hinted.sort()).toEqual(['__common', 'entry']);
});
