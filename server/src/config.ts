import { resolve } from 'node:path';
import Joi from 'joi';

/** What the environment may set. */
export interface Config {
  readonly host: string;
  readonly port: number;
  readonly dataDir: string;
  readonly logLevel: string;
}

const schema = Joi.object({
  HOST: Joi.string().hostname().default('127.0.0.1'),
  PORT: Joi.number().port().default(4600),
  MENDUM_DATA: Joi.string().min(1).default('data'),
  LOG_LEVEL: Joi.valid('silent', 'error', 'warn', 'info', 'debug').default('warn'),
});

/** Reads the configuration from the environment. @throws Error naming the variable, its value and what it may be */
export function readConfig(env: NodeJS.ProcessEnv, root: string): Config {
  const { HOST, PORT, MENDUM_DATA, LOG_LEVEL } = env;
  const given = Object.fromEntries(
    Object.entries({ HOST, PORT, MENDUM_DATA, LOG_LEVEL }).filter(([, value]) => value !== undefined && value !== ''),
  );
  const { error, value } = schema.validate(given) as {
    error?: Joi.ValidationError;
    value: { HOST: string; PORT: number; MENDUM_DATA: string; LOG_LEVEL: string };
  };
  if (error)
    throw new Error(
      `The environment is not right: ${error.message} (it is ${String(error.details[0]?.context?.value)}). Correct or unset it.`,
    );
  return { host: value.HOST, port: value.PORT, dataDir: resolve(root, value.MENDUM_DATA), logLevel: value.LOG_LEVEL };
}
