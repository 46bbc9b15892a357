import Joi from 'joi';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import { asFarAsSeen, checkJob, type Job } from '../job/index.ts';
import { practiceById, READY_PRACTICES, type Practice } from '../practice/index.ts';
import { fileSize } from '../units/index.ts';
import { withCablesApart } from './olderFiles.ts';
import { checkedBy } from './checkedBy.ts';
import { whyNotPlain } from './plainJson.ts';
import { pointerOf, problemsOf } from './problems.ts';
import { JobFileRefused, type FileProblem } from './refusal.ts';
import { catalogueSchema } from './catalogueSchemas.ts';
import { practiceSchema } from './practiceSchema.ts';
import { jobSchema } from './jobSchemas.ts';
import { list, text } from './schema/fields.ts';
import { wholeJsonSchema, type JsonSchema } from './schema/jsonSchema.ts';
import { needed, oneOf, shape, usual } from './schema/shape.ts';

/** A job file, version 1, as docs/formats/job.schema.json describes it. */
export interface JobFile {
  readonly format: 'mendum-job';
  readonly version: 1;
  /** The id of a ready practice, or a shop's own in full. */
  readonly practice: string | Practice;
  readonly shelf: 'full' | { readonly without: readonly string[] } | Catalogue;
  readonly job: Job;
}

/** Letters of a job file that are read. */
export const JOB_FILE_MOST = 5_000_000;

/** What a plan is computed from. */
export interface JobFileInput {
  readonly job: Job;
  readonly practice: Practice;
  readonly catalogue: Catalogue;
}

type Without = Extract<JobFile['shelf'], { readonly without: readonly string[] }>;
const withoutSchema = shape<Without>({ without: needed(list(text)) });

/** A job file as it is published in docs/formats. */
export const jobFileSchema = shape<Omit<JobFile, 'job'> & { readonly job: object }>({
  format: needed(oneOf(['mendum-job'])),
  version: needed(oneOf([1])),
  practice: usual(
    Joi.alternatives().conditional(Joi.object(), {
      then: practiceSchema,
      otherwise: oneOf(READY_PRACTICES.map((practice) => practice.id)),
    }),
    'crimpFirst',
  ),
  shelf: usual(
    Joi.alternatives().conditional(Joi.string(), {
      then: oneOf(['full']),
      otherwise: Joi.alternatives().conditional(Joi.object({ without: Joi.exist() }).unknown(), {
        then: withoutSchema,
        otherwise: catalogueSchema,
      }),
    }),
    'full',
  ),
  job: needed(jobSchema),
});

function catalogueOf(shelf: JobFile['shelf']): Catalogue {
  if (shelf === 'full') return FULL_SHELF;
  if (!('without' in shelf)) return shelf;
  const gone = new Set(shelf.without);
  return {
    ...FULL_SHELF,
    id: 'full-without',
    name: 'Full generic shelf, some missing',
    parts: FULL_SHELF.parts.map((part) => (gone.has(part.id) ? { ...part, quantity: 0 } : part)),
    tools: FULL_SHELF.tools.filter((tool) => !gone.has(tool.id)),
    wires: FULL_SHELF.wires.filter((wire) => !gone.has(wire.id)),
  };
}

function unknownShelfNames(shelf: JobFile['shelf']): FileProblem[] {
  if (shelf === 'full' || !('without' in shelf)) return [];
  const known = new Set([...FULL_SHELF.parts, ...FULL_SHELF.tools, ...FULL_SHELF.wires].map((item) => item.id));
  return shelf.without.flatMap((id, index) =>
    known.has(id)
      ? []
      : [
          {
            code: 'UNKNOWN_PART',
            pointer: pointerOf(['shelf', 'without', index]),
            message: `"${id}" is not on the full shelf.`,
            hint: 'Use an id of the full shelf, such as sealedButt-middle.',
          },
        ],
  );
}

/** A job as it stands in a validated file; its number serves as id where it has none. */
export const jobOf = (raw: Omit<Job, 'id'> & { readonly id?: string | undefined }): Job => ({
  ...raw,
  id: raw.id ?? raw.number,
});

/**
 * Reads a job file: shape, values, and whether it can be planned at all. All or nothing.
 * @param text JSON
 * @throws JobFileRefused with its problems, each with the JSON pointer of the bad field: the first 200, and of a file of
 * more than 30,000 values the first whose shape is wrong
 */
export function readJobFile(text: string): { readonly file: JobFile } & JobFileInput {
  if (text.length > JOB_FILE_MOST)
    throw new JobFileRefused([
      {
        code: 'TOO_LARGE',
        pointer: '',
        message: `The file has ${fileSize(text.length)}; ${fileSize(JOB_FILE_MOST)} are the most.`,
        hint: 'A job of 400 circuits has less than 1 MB: split it.',
      },
    ]);
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (error) {
    throw new JobFileRefused([
      {
        code: 'NOT_JSON',
        pointer: '',
        message: `This is not JSON: ${error instanceof Error ? error.message : String(error)}.`,
        hint: 'Export the job again, or correct the file at that place.',
      },
    ]);
  }
  const why = whyNotPlain(raw);
  if (why !== undefined)
    throw new JobFileRefused([
      { code: 'NOT_PLAIN', pointer: '', message: why, hint: 'Export the job again; no job file looks like this.' },
    ]);
  const checked = checkedBy(jobFileSchema, withCablesApart(raw));
  if (checked.error) throw new JobFileRefused(problemsOf(checked.error, jobFileSchema));
  const file = checked.value as Omit<JobFile, 'job'> & { readonly job: Omit<Job, 'id'> & { readonly id?: string } };
  const job = asFarAsSeen(jobOf(file.job));
  const problems = [
    ...unknownShelfNames(file.shelf),
    ...checkJob(job).map((one) => ({ ...one, pointer: `/job${one.pointer}` })),
  ];
  if (problems.length > 0) throw new JobFileRefused(problems);
  return {
    file: { ...file, job },
    job,
    practice:
      typeof file.practice === 'string'
        ? (practiceById(file.practice) ?? READY_PRACTICES[0] ?? neverEmpty())
        : file.practice,
    catalogue: catalogueOf(file.shelf),
  };
}

function neverEmpty(): never {
  throw new RangeError('There is no practice.');
}

/** The file of a job, from which `readJobFile` gives the same job, practice and shelf. */
export const writeJobFile = (job: Job, practice: Practice, catalogue: Catalogue): JobFile => ({
  format: 'mendum-job',
  version: 1,
  practice: practiceById(practice.id) ? practice.id : practice,
  shelf: catalogue.id === FULL_SHELF.id ? 'full' : catalogue,
  job,
});

/** The JSON Schema that docs/formats publishes: what of a job file hangs on several fields at once is checked beyond. */
export const jobFileJsonSchema = (): JsonSchema =>
  wholeJsonSchema(jobFileSchema, {
    $id: 'mendum-job',
    title: 'Mendum job file, version 1',
    description:
      'A damaged harness with what was found and decided, ready to be planned. ' +
      'Lengths in mm, areas in mm², currents in A, temperatures in °C. ' +
      'The planner checks beyond this schema that the file makes sense: findings on their runs, ids that exist, gauges and areas that agree.',
  });
