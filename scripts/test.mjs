import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBrowser, ensureBuilt, ensureInstalled, ensureSeason } from './prepare.mjs';

/**
 * `npm test`: installs what is missing, then lint, types, the tests of core, data, server and devices, and the
 * browser tests on the built app. Ends with one line that counts them all.
 */
const folder = mkdtempSync(join(tmpdir(), 'fractum-test-'));
const counted = { passed: 0, failed: 0 };

function check(name, command, args) {
  process.stdout.write(`\n${name}\n`);
  const { status } = spawnSync(command, args, {
    stdio: 'inherit',
    env: { ...process.env, FRACTUM_LOG: 'silent' },
  });
  counted[status === 0 ? 'passed' : 'failed'] += 1;
}

/** Runs a part of the tests and counts them; a part that ends without a count has failed. */
function tests(project) {
  process.stdout.write(`\nTests: ${project}\n`);
  const result = join(folder, `${project}.json`);
  const args = ['jest', '--selectProjects', project, '--json', `--outputFile=${result}`];
  // A browser waits more than it works: two suites at once, each with a demo of its own.
  args.push(project === 'browser' ? '--maxWorkers=2' : '--maxWorkers=100%');
  const { status } = spawnSync('npx', args, {
    stdio: ['inherit', 'ignore', 'inherit'],
    env: { ...process.env, FRACTUM_LOG: 'silent' },
  });
  if (!existsSync(result)) {
    counted.failed += 1;
    return;
  }
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
    readFileSync(result, 'utf8'),
  );
  counted.passed += numPassedTests;
  counted.failed += numFailedTests + numRuntimeErrorTestSuites;
  if (status !== 0 && numFailedTests + numRuntimeErrorTestSuites === 0) counted.failed += 1;
}

ensureInstalled();
ensureBrowser();
check('Lint', 'npx', ['eslint', '.', '--max-warnings', '0']);
check('Format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']);
ensureBuilt();
check('Types', 'npx', ['tsc', '--noEmit']);
tests('code');
// Browser suites start beside each other: what all of them need is made before.
for (const unit of ['lb', 'kg']) ensureSeason(unit);
tests('browser');
rmSync(folder, { recursive: true });
process.stdout.write(`\n${counted.passed} passed, ${counted.failed} failed\n`);
process.exitCode = counted.failed === 0 ? 0 : 1;
