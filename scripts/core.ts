/**
 * The calculations without the interface: npm run -s core -- VERB < in.json > out.json
 * Exit 0 with JSON on standard output; exit 2 with one line on standard error for bad input.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { z } from 'zod';
import { CoreError } from '../src/core/errors';
import { issuesOf } from '../src/core/issues';
import { VERBS } from '../src/core/headless/verbs';
import type { Photo } from '../src/core/looking/photo';
import { plainWords } from '../src/core/plain-words';

z.config({ customError: plainWords });

const BAD_INPUT = 2;

function fail(message: string): never {
  process.stderr.write(`${message.replace(/\s+/g, ' ')}\n`);
  process.exit(BAD_INPUT);
}

const FACES = 'node_modules/@expo-google-fonts/source-sans-3';
/** The faces of the pages, whole: what a page holds of them is cut out when it is written. */
const faces = () => ({
  text: readFileSync(`${FACES}/400Regular/SourceSans3_400Regular.ttf`),
  strong: readFileSync(`${FACES}/600SemiBold/SourceSans3_600SemiBold.ttf`),
});

const print = (value: unknown) => process.stdout.write(`${JSON.stringify(value, null, 2)}\n`);

function verbNamed(name: string | undefined) {
  const verb = name === undefined ? undefined : VERBS[name];
  return verb ?? fail(`There is no verb "${name ?? ''}". Verbs: ${Object.keys(VERBS).join(', ')}.`);
}

function readInput(): unknown {
  const text = readFileSync(0, 'utf8');
  try {
    return JSON.parse(text);
  } catch (error) {
    return fail(`Standard input is not JSON: ${(error as Error).message}`);
  }
}

const sentence = (error: z.ZodError): string => {
  const issue = issuesOf(error)[0]!;
  return `${issue.where || 'input'}: ${issue.message}`;
};

/** Every path of a photo that an input names, wherever it stands. */
function photoPaths(input: unknown): string[] {
  if (typeof input !== 'object' || input === null) return [];
  return Object.entries(input).flatMap(([key, value]) => {
    const path = key === 'photo' ? (value as { path?: unknown } | null)?.path : null;
    return [...(typeof path === 'string' ? [path] : []), ...photoPaths(value)];
  });
}

/** Photos are opened here, upright and as sRGB: the core gets pixels. */
async function photosOf(input: unknown): Promise<Map<string, Photo>> {
  const photos = new Map<string, Photo>();
  for (const path of photoPaths(input)) {
    const { default: sharp } = await import('sharp');
    const read = await sharp(path)
      .rotate()
      .toColourspace('srgb')
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true })
      .catch(() => null);
    if (read)
      photos.set(path, {
        data: read.data,
        width: read.info.width,
        height: read.info.height,
        colorSpace: 'srgb',
      });
  }
  return photos;
}

async function run(name: string): Promise<void> {
  const verb = verbNamed(name);
  const input = readInput();
  const photos = await photosOf(input);
  const made: Promise<unknown>[] = [];
  try {
    print(
      verb.run(input, {
        nowMs: () => performance.now(),
        photo: (path) => photos.get(path) ?? null,
        picture: (path, { width, height, grey }) =>
          made.push(
            import('sharp').then(({ default: sharp }) =>
              sharp(grey, { raw: { width, height, channels: 1 } })
                .png()
                .toFile(path),
            ),
          ),
        file: (path, make) => made.push(make(faces()).then((bytes) => writeFileSync(path, bytes))),
      }),
    );
    await Promise.all(made);
  } catch (error) {
    if (error instanceof z.ZodError) fail(sentence(error));
    if (error instanceof CoreError) fail(`${error.where}: ${error.message}`);
    throw error;
  }
}

const [, , first, second] = process.argv;
if (first === undefined) {
  Object.values(VERBS).forEach((verb) =>
    process.stdout.write(`${verb.name.padEnd(10)} ${verb.summary}\n`),
  );
  process.stdout.write(`${'schema'.padEnd(10)} VERB -> JSON Schema of its input and output\n`);
} else if (first === 'schema') {
  const verb = verbNamed(second);
  print({
    input: z.toJSONSchema(verb.input, { io: 'input' }),
    output: z.toJSONSchema(verb.output),
  });
} else {
  void run(first);
}
