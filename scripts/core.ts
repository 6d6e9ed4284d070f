/**
 * The calculations without the interface: npm run -s core -- VERB < in.json > out.json
 * Exit 0 with JSON on standard output; exit 2 with one line on standard error for bad input.
 */
import { readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { z } from 'zod';
import { CoreError } from '../src/core/errors';
import { issuesOf } from '../src/core/issues';
import { VERBS } from '../src/core/headless/verbs';
import { plainWords } from '../src/core/plain-words';

z.config({ customError: plainWords });

const BAD_INPUT = 2;

function fail(message: string): never {
  process.stderr.write(`${message.replace(/\s+/g, ' ')}\n`);
  process.exit(BAD_INPUT);
}

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

function run(name: string): void {
  const verb = verbNamed(name);
  const input = readInput();
  try {
    print(verb.run(input, { nowMs: () => performance.now() }));
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
  run(first);
}
