/**
 * How the export is cut into pieces. Expo puts whatever two lazily loaded pieces share into what every visit loads
 * first; with some twenty screens that is nearly everything. Here each module goes where it is needed:
 *
 * - `__common`: what the first route needs;
 * - the kit: what several of the other screens need, loaded once before the first of them;
 * - each screen's own piece: the rest of what it needs. A module that two or three screens need stands in each of
 *   their pieces: the runtime takes the first definition of a module and passes over the others.
 *
 * No module is changed, left out or replaced; only the file that it stands in is chosen.
 */
const { createHash } = require('node:crypto');
const { mkdirSync, writeFileSync } = require('node:fs');
const path = require('node:path');

/** Needed by this many screens, a module goes into the kit. Fewer make the kit larger, more make the screens so. */
const SHARED_BY = 7;

/** Tells a browser that knows it (explicit compile hints) to compile every function of a file as it loads. */
const RUN_AT_ONCE = '//# allFunctionsCalledOnLoad';

/** @returns the modules that are loaded with these, by absolute path; lazily loaded ones are not. */
function closureOf(graph, roots) {
  const seen = new Set();
  const open = [...roots];
  while (open.length > 0) {
    const file = open.pop();
    const module = graph.dependencies.get(file);
    if (seen.has(file) || !module) continue;
    seen.add(file);
    for (const dependency of module.dependencies.values())
      if (dependency.absolutePath && !dependency.data.data.asyncType)
        open.push(dependency.absolutePath);
  }
  return seen;
}

/** What is loaded lazily, and what runs in a worker, by absolute path. */
function lazyTargets(graph) {
  const lazy = new Set();
  const workers = new Set();
  for (const module of graph.dependencies.values())
    for (const { absolutePath, data } of module.dependencies.values()) {
      if (!absolutePath || !data.data.asyncType) continue;
      (data.data.asyncType === 'worker' ? workers : lazy).add(absolutePath);
    }
  return { lazy, workers };
}

/** The text of a piece as what goes before its modules, the modules in order of their numbers, and what follows. */
function taken(artifact, idOf) {
  const files = [...artifact.metadata.modulePaths].sort((a, b) => idOf(a) - idOf(b));
  const parts = artifact.source.split(/^(?=__d\(function)/m);
  const head = parts[0]?.startsWith('__d(function') ? '' : (parts.shift() ?? '');
  const blocks = parts;
  const foot = /\n(?:__r\(|\/\/# )[\s\S]*$/.exec(blocks.at(-1) ?? '')?.[0] ?? '';
  if (blocks.length !== files.length)
    throw new Error(
      `${artifact.filename} has ${blocks.length} modules where ${files.length} were expected: the form of the export has changed, and scripts/metro/pieces.js with it must.`,
    );
  const texts = new Map(
    files.map((file, i) => {
      const text = (
        i === blocks.length - 1 ? blocks[i].slice(0, -foot.length || undefined) : blocks[i]
      ).trimEnd();
      if (!new RegExp(`,${idOf(file)},[[{]`).test(text.slice(-20_000)))
        throw new Error(`${file} is not where it was expected in ${artifact.filename}.`);
      return [file, text];
    }),
  );
  return { head, foot, texts };
}

const digest = (text) => createHash('md5').update(text).digest('hex');

/** Names tell what is in a file; what has changed gets another, so that it may be kept for ever. */
function renamed(pieces) {
  const all = digest(
    pieces
      .map((p) => p.source)
      .sort()
      .join('\n'),
  );
  const names = new Map(
    pieces.map((piece) => {
      const holdsNames = piece.source.includes('/_expo/static/js/web/');
      const name = digest(holdsNames ? piece.source + all : piece.source);
      return [piece.filename, piece.filename.replace(/[0-9a-f]{32}(?=\.js$)/, name)];
    }),
  );
  const anew = (text) =>
    text.replace(/_expo\/static\/js\/web\/[^"'\s]+?\.js/g, (name) => names.get(name) ?? name);
  for (const piece of pieces) {
    piece.filename = anew(piece.filename);
    piece.source = anew(piece.source);
    piece.metadata.requires = piece.metadata.requires.map(anew);
    piece.metadata.paths = JSON.parse(anew(JSON.stringify(piece.metadata.paths ?? {})));
  }
}

/**
 * @param out what Expo's serializer made: artifacts with their text
 * @param first routes that a first visit loads, `kit`, the module that stands for the kit, and `routes`, their folder; absolute paths
 */
function inPieces(out, entry, graph, idOf, { first, kit, routes }) {
  const { lazy, workers } = lazyTargets(graph);
  const scripts = out.artifacts.filter((a) => a.type === 'js');
  const rootOf = (artifact) => path.resolve(graph.root ?? process.cwd(), artifact.originFilename);
  const pieces = scripts.filter(
    (a) => !workers.has(rootOf(a)) && a.metadata.modulePaths.length > 0,
  );
  const common = pieces.find((a) => a.filename.includes('__common'));
  if (!common) return out;
  const texts = new Map();
  const frames = new Map();
  for (const piece of pieces) {
    const { head, foot, texts: own } = taken(piece, idOf);
    frames.set(piece, { head, foot });
    for (const [file, text] of own) texts.set(file, text);
  }
  const entryPiece = pieces.find((a) => rootOf(a) === entry);
  const own = pieces.filter((a) => a !== common && a !== entryPiece);
  // What is asked for lazily but has no piece of its own is looked for where every visit finds it.
  const homeless = [...lazy].filter((file) => !own.some((a) => rootOf(a) === file));
  const atFirst = closureOf(graph, [entry, ...first, ...homeless]);
  const later = own.filter((a) => !first.includes(rootOf(a)));
  const kitPiece = later.find((a) => rootOf(a) === kit);
  if (!kitPiece) throw new Error(`${kit} stands for the kit and is loaded by nothing.`);
  const needs = new Map(
    later.map((a) => [a, [...closureOf(graph, [rootOf(a)])].filter((f) => !atFirst.has(f))]),
  );
  const count = new Map();
  // A route's own few modules are asked for before the kit is: they stand in its piece.
  const isRoute = (piece) => rootOf(piece).startsWith(routes);
  for (const [piece, files] of needs)
    if (piece !== kitPiece && !isRoute(piece))
      for (const file of files) count.set(file, (count.get(file) ?? 0) + 1);
  const inKit = new Set([
    ...needs.get(kitPiece),
    ...[...count].filter(([, times]) => times >= SHARED_BY).map(([file]) => file),
  ]);
  const put = (piece, files) => {
    const { head, foot } = frames.get(piece);
    const sorted = [...files].filter((f) => texts.has(f)).sort((a, b) => idOf(a) - idOf(b));
    piece.source = head + sorted.map((f) => texts.get(f)).join('\n') + foot;
    piece.metadata.modulePaths = sorted;
  };
  const inEntry = new Set(entryPiece.metadata.modulePaths);
  put(
    common,
    [...atFirst].filter((f) => !inEntry.has(f) && !first.includes(f)),
  );
  for (const route of own.filter((a) => first.includes(rootOf(a)))) put(route, [rootOf(route)]);
  put(kitPiece, inKit);
  for (const [piece, files] of needs)
    if (piece !== kitPiece) put(piece, isRoute(piece) ? files : files.filter((f) => !inKit.has(f)));
  // Nearly all of it runs at once: compiled while it arrives, off the page's own thread, instead of twice on it.
  for (const piece of [common, entryPiece]) piece.source = `${RUN_AT_ONCE}\n${piece.source}`;
  renamed(scripts);
  return out;
}

/** Wraps the serializer of an Expo configuration. */
function withPieces(config, { first, kit }) {
  const root = config.projectRoot;
  const absolute = (file) => path.join(root, file);
  const serialize = config.serializer.customSerializer;
  const cut = async (entry, before, graph, options) => {
    const out = await serialize(entry, before, graph, options);
    // Only an export comes as pieces; the development server sends one text.
    if (!out.artifacts) return out;
    // For the notices: what ships is what stands in the pieces.
    const shipped = new Set(out.artifacts.flatMap((a) => a.metadata.modulePaths ?? []));
    mkdirSync(absolute('node_modules/.cache'), { recursive: true });
    writeFileSync(
      absolute('node_modules/.cache/shipped-modules.json'),
      JSON.stringify([...shipped]),
    );
    return inPieces({ ...out, artifacts: out.artifacts }, entry, graph, options.createModuleId, {
      first: first.map(absolute),
      kit: absolute(kit),
      routes: absolute('app') + path.sep,
    });
  };
  config.serializer.customSerializer = Object.assign(cut, serialize);
  return config;
}

module.exports = { closureOf, inPieces, renamed, taken, withPieces };
