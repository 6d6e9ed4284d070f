/**
 * npm test: everything, on a machine that has only Node and npm. Ends with one line that adds up all
 * runners: "N passed, N failed".
 */
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import {
  ensureBuilt,
  ensureChromium,
  ensureInstalled,
  ensureNode,
  run,
  runBeside,
} from './setup.mjs';

ensureNode();
ensureInstalled();
const scratch = mkdtempSync(path.join(tmpdir(), 'tawny-hour-'));
const total = { passed: 0, failed: 0 };
const add = (name, passed, failed) => {
  total.passed += passed;
  total.failed += failed;
  console.log(`-- ${name}: ${passed} passed, ${failed} failed`);
};
/** A check without tests of its own counts as one. */
const check = async (name, command, args) =>
  add(name, ...((await runBeside(command, args)) ? [1, 0] : [0, 1]));
const readJson = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null);

// Each takes one processor: two at a time.
const types = async () => {
  await check('type check', 'npx', ['tsc', '--noEmit']);
  await check('formatting', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']);
};
const rules = async () => {
  await check('lint', 'npx', ['eslint', '.', '--max-warnings', '0']);
  await check('boundaries of the core', 'npx', [
    'depcruise',
    'src',
    'app',
    'server',
    'demo',
    'scripts',
    '--config',
    '.dependency-cruiser.cjs',
  ]);
};
await Promise.all([types(), rules()]);

const unitFile = path.join(scratch, 'unit.json');
const unitHeld = run('npx', ['jest', '--ci', '--silent', '--json', `--outputFile=${unitFile}`]);
const unit = readJson(unitFile);
if (unit)
  add('unit tests', unit.numPassedTests, unit.numFailedTests + unit.numRuntimeErrorTestSuites);
else add('unit tests', 0, 1);
if (!unitHeld && unit?.numFailedTests === 0 && unit.numRuntimeErrorTestSuites === 0)
  add('unit test runner', 0, 1);

if (ensureBuilt()) {
  add('build', 1, 0);
  const e2eFile = path.join(scratch, 'e2e.json');
  const held = run('npx', ['playwright', 'test'], {
    CHROMIUM_PATH: ensureChromium(),
    PLAYWRIGHT_JSON_OUTPUT_FILE: e2eFile,
  });
  const stats = readJson(e2eFile)?.stats;
  if (stats?.flaky) console.log(`-- ${stats.flaky} browser tests held only when tried again`);
  if (stats) add('browser tests', stats.expected + stats.flaky, stats.unexpected);
  if (!stats || (!held && stats.unexpected === 0)) add('browser test runner', 0, 1);
} else add('build', 0, 1);

console.log(`${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 ? 0 : 1);
