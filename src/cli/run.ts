import { parseArgs } from 'node:util';
import { failure, success, type Result } from '@/core/quantity/result';
import { atlas } from './commands/atlas';
import { calibrate } from './commands/calibrate';
import { check } from './commands/check';
import { compare } from './commands/compare';
import { find } from './commands/find';
import { forecast } from './commands/forecast';
import { species } from './commands/species';
import { split } from './commands/split';
import { EXIT, type Asked, type Command, type Console } from './console';

export { EXIT } from './console';

const COMMANDS: Readonly<Record<string, Command>> = {
  forecast,
  check,
  compare,
  split,
  calibrate,
  atlas,
  species,
  find,
};

export const USAGE = `${Object.values(COMMANDS)
  .map((command) => `fractum ${command.usage}\n`)
  .join('')}
FILE.json is an order file (docs/formats.md); - reads it from standard input.
  --json            the answer as JSON where words are the rule
  --csv             forecast: the lines as CSV
  --experience FILE forecast: by the shop's own figures, from calibrate
  --prices FILE     compare: a price list, JSON or CSV
  --no-band-saw     the shop has none: chops at the disc

Exit codes: 0 done, nothing open; 1 check found clashes or questions, atlas check what is wrong, find nothing; 2 wrong usage;
3 a file cannot be read or is not what it should be; 4 something went wrong here.
`;

/** Runs one command. @returns its exit code */
export async function run(args: readonly string[], at: Console): Promise<number> {
  const asked = parse(args);
  if (!asked.ok) {
    at.err(`${asked.message}\n\n${USAGE}`);
    return EXIT.usage;
  }
  if (asked.value === 'help') {
    at.out(USAGE);
    return EXIT.done;
  }
  try {
    return await asked.value.command.run(asked.value.asked, at);
  } catch (error) {
    at.err(`This should not have happened, and nothing was changed: ${(error as Error).message}\n`);
    return EXIT.broken;
  }
}

function parse(args: readonly string[]): Result<{ command: Command; asked: Asked } | 'help', 'usage'> {
  try {
    const { values, positionals } = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        help: { type: 'boolean', short: 'h' },
        json: { type: 'boolean' },
        csv: { type: 'boolean' },
        experience: { type: 'string' },
        prices: { type: 'string' },
        'no-band-saw': { type: 'boolean' },
      },
    });
    if (values.help) return success('help');
    const [name = '', ...words] = positionals;
    const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
    if (!command) return failure('usage', name ? `There is no command "${name}".` : 'Say what to do.');
    const [least, most] = command.words;
    if (words.length < least || words.length > most) {
      return failure(
        'usage',
        `${name} takes ${least === most ? least : `${least} to ${most}`} of what follows it.`,
      );
    }
    const asked: Asked = {
      words,
      json: values.json === true,
      csv: values.csv === true,
      tools: values['no-band-saw'] ? [] : ['band-saw'],
      ...(values.prices === undefined ? {} : { prices: values.prices }),
      ...(values.experience === undefined ? {} : { experience: values.experience }),
    };
    return success({ command, asked });
  } catch (error) {
    return failure('usage', (error as Error).message);
  }
}
