import { resolve } from 'node:path';
import Joi from 'joi';

/** What the environment may set. */
export interface Config {
  readonly host: string;
  readonly port: number;
  readonly dataDir: string;
  /** Names that the server goes by, beside the machine's own. */
  readonly hosts: readonly string[];
  /** Where backups go. */
  readonly backupsDir: string;
  /** The private key that rows of the chain are signed with, a PEM file; without one they are not. */
  readonly signingKey: string | undefined;
  readonly logLevel: string;
  /** How long one job may be planned, seconds. */
  readonly planSeconds: number;
}

/** Each variable with what it may be. */
const schema = Joi.object({
  HOST: Joi.string().hostname().default('127.0.0.1'),
  PORT: Joi.number().port().default(4600),
  MENDUM_DATA: Joi.string().min(1).default('data'),
  MENDUM_BACKUPS: Joi.string().min(1).default('backups'),
  MENDUM_HOSTS: Joi.string()
    .pattern(/^[A-Za-z0-9.-]+(,[A-Za-z0-9.-]+)*$/, 'names with commas between them')
    .default(''),
  MENDUM_SIGNING_KEY: Joi.string().min(1),
  LOG_LEVEL: Joi.valid('silent', 'error', 'warn', 'info', 'debug').default('warn'),
  PLAN_SECONDS: Joi.number().integer().min(1).max(3600).default(60),
});
const NAMES = [
  'HOST',
  'PORT',
  'MENDUM_DATA',
  'MENDUM_BACKUPS',
  'MENDUM_HOSTS',
  'MENDUM_SIGNING_KEY',
  'LOG_LEVEL',
  'PLAN_SECONDS',
] as const;

/** Reads the configuration from the environment. @throws Error naming the variable, its value and what it may be */
export function readConfig(env: NodeJS.ProcessEnv, root: string): Config {
  const given = Object.fromEntries(
    NAMES.map((name) => [name, env[name]] as const).filter(([, value]) => value !== undefined && value !== ''),
  );
  const { error, value } = schema.validate(given) as {
    error?: Joi.ValidationError;
    value: {
      HOST: string;
      PORT: number;
      MENDUM_DATA: string;
      MENDUM_BACKUPS: string;
      MENDUM_HOSTS: string;
      MENDUM_SIGNING_KEY?: string;
      LOG_LEVEL: string;
      PLAN_SECONDS: number;
    };
  };
  if (error)
    throw new Error(
      `The environment is not right: ${error.message} (it is ${String(error.details[0]?.context?.value)}). Correct or unset it.`,
    );
  return {
    host: value.HOST,
    port: value.PORT,
    dataDir: resolve(root, value.MENDUM_DATA),
    hosts: value.MENDUM_HOSTS === '' ? [] : value.MENDUM_HOSTS.split(','),
    backupsDir: resolve(root, value.MENDUM_BACKUPS),
    signingKey: value.MENDUM_SIGNING_KEY === undefined ? undefined : resolve(root, value.MENDUM_SIGNING_KEY),
    logLevel: value.LOG_LEVEL,
    planSeconds: value.PLAN_SECONDS,
  };
}
