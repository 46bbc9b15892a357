import { readFileSync } from 'node:fs';
import { plan } from '@mendum/core/plan';
import { JobFileRefused, readJobFile, type FileProblem } from '@mendum/core/interchange';

const USAGE = 'npm run -s plan -- job.json [--pretty]   ("-" reads standard input)';

/** Writes the error object to standard error: the first problem in the one shape, all of them in `problems`. */
function refuse(problems: readonly FileProblem[]): void {
  const [first] = problems;
  const error = {
    code: first?.code ?? 'JOB_FILE',
    message: first?.message ?? 'The file cannot be planned.',
    field: first?.pointer ?? '',
    hint: first?.hint ?? USAGE,
  };
  process.stderr.write(`${JSON.stringify({ error, problems })}\n`);
  process.exitCode = 2;
}

function read(path: string): string | FileProblem {
  try {
    return readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code ?? 'unknown';
    return { code: 'NO_FILE', pointer: '', message: `${path} cannot be read (${code}).`, hint: USAGE };
  }
}

const args = process.argv.slice(2);
const unknown = args.find((arg) => arg.startsWith('-') && arg !== '-' && arg !== '--pretty');
const paths = args.filter((arg) => !arg.startsWith('-') || arg === '-');
const [path] = paths;
if (unknown !== undefined || path === undefined || paths.length > 1) {
  refuse([
    {
      code: 'USAGE',
      pointer: '',
      message:
        unknown === undefined ? `Name one job file; ${paths.length} were named.` : `"${unknown}" is not an option.`,
      hint: USAGE,
    },
  ]);
} else {
  const text = read(path);
  if (typeof text !== 'string') refuse([text]);
  else {
    try {
      const { job, practice, catalogue } = readJobFile(text);
      process.stdout.write(
        `${JSON.stringify(plan(job, practice, catalogue), null, args.includes('--pretty') ? 2 : undefined)}\n`,
      );
    } catch (error) {
      if (error instanceof JobFileRefused) refuse(error.problems);
      else throw error;
    }
  }
}
