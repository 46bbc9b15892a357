import { resolve } from 'node:path';
import Joi from 'joi';

/** What the environment may set. */
export interface Config {
  readonly host: string;
  readonly port: number;
  readonly dataDir: string;
  readonly logLevel: string;
  /** How long one job may be planned, seconds. */
  readonly planSeconds: number;
}

/** Each variable with what it may be. */
const schema = Joi.object({
  HOST: Joi.string().hostname().default('127.0.0.1'),
  PORT: Joi.number().port().default(4600),
  MENDUM_DATA: Joi.string().min(1).default('data'),
  LOG_LEVEL: Joi.valid('silent', 'error', 'warn', 'info', 'debug').default('warn'),
  PLAN_SECONDS: Joi.number().integer().min(1).max(3600).default(60),
});
const NAMES = ['HOST', 'PORT', 'MENDUM_DATA', 'LOG_LEVEL', 'PLAN_SECONDS'] as const;

/** Reads the configuration from the environment. @throws Error naming the variable, its value and what it may be */
export function readConfig(env: NodeJS.ProcessEnv, root: string): Config {
  const given = Object.fromEntries(
    NAMES.map((name) => [name, env[name]] as const).filter(([, value]) => value !== undefined && value !== ''),
  );
  const { error, value } = schema.validate(given) as {
    error?: Joi.ValidationError;
    value: { HOST: string; PORT: number; MENDUM_DATA: string; LOG_LEVEL: string; PLAN_SECONDS: number };
  };
  if (error)
    throw new Error(
      `The environment is not right: ${error.message} (it is ${String(error.details[0]?.context?.value)}). Correct or unset it.`,
    );
  return {
    host: value.HOST,
    port: value.PORT,
    dataDir: resolve(root, value.MENDUM_DATA),
    logLevel: value.LOG_LEVEL,
    planSeconds: value.PLAN_SECONDS,
  };
}
