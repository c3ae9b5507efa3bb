import { run } from './run';

/** The command line as a process: its streams and its exit code. */
export async function main(): Promise<void> {
  process.exitCode = await run(process.argv.slice(2), {
    out: (text) => process.stdout.write(text),
    err: (text) => process.stderr.write(text),
    stdin: process.stdin,
  });
}
