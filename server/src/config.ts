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
  /** Files with a certificate and its key (PEM), to speak TLS by; without them it speaks plain. */
  readonly tls: { readonly cert: string; readonly key: string } | undefined;
  /** How many proxies stand before the server. */
  readonly proxies: number;
  /** Printer that takes labels as PDF by a plain connection. */
  readonly labelPrinter: { readonly host: string; readonly port: number } | undefined;
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
  MENDUM_TLS_CERT: Joi.string().min(1),
  MENDUM_TLS_KEY: Joi.string().min(1),
  MENDUM_PROXIES: Joi.number().integer().min(0).max(5).default(0),
  MENDUM_LABEL_PRINTER: Joi.string().pattern(
    /^[A-Za-z0-9.-]{1,120}:\d{1,5}$/,
    'a name and a port, like 127.0.0.1:9100',
  ),
  LOG_LEVEL: Joi.valid('silent', 'error', 'warn', 'info', 'debug').default('warn'),
  PLAN_SECONDS: Joi.number().integer().min(1).max(3600).default(60),
}).and('MENDUM_TLS_CERT', 'MENDUM_TLS_KEY');
const NAMES = [
  'HOST',
  'PORT',
  'MENDUM_DATA',
  'MENDUM_BACKUPS',
  'MENDUM_HOSTS',
  'MENDUM_SIGNING_KEY',
  'MENDUM_TLS_CERT',
  'MENDUM_TLS_KEY',
  'MENDUM_PROXIES',
  'MENDUM_LABEL_PRINTER',
  'LOG_LEVEL',
  'PLAN_SECONDS',
] as const;

/** A printer by its name and port. */
function printerAt(address: string | undefined): Config['labelPrinter'] {
  const [host, port] = address?.split(':') ?? [];
  return host === undefined || port === undefined ? undefined : { host, port: Number(port) };
}

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
      MENDUM_TLS_CERT?: string;
      MENDUM_TLS_KEY?: string;
      MENDUM_PROXIES: number;
      MENDUM_LABEL_PRINTER?: string;
      LOG_LEVEL: string;
      PLAN_SECONDS: number;
    };
  };
  if (error?.details[0]?.type === 'object.and')
    throw new Error('To speak TLS both files are named: MENDUM_TLS_CERT and MENDUM_TLS_KEY. Name both, or neither.');
  if (error)
    throw new Error(
      `The environment is not right: ${error.message} (it is ${String(error.details[0]?.context?.value)}). Correct or unset it.`,
    );
  const { MENDUM_TLS_CERT: cert, MENDUM_TLS_KEY: key } = value;
  return {
    host: value.HOST,
    port: value.PORT,
    dataDir: resolve(root, value.MENDUM_DATA),
    hosts: value.MENDUM_HOSTS === '' ? [] : value.MENDUM_HOSTS.split(','),
    backupsDir: resolve(root, value.MENDUM_BACKUPS),
    signingKey: value.MENDUM_SIGNING_KEY === undefined ? undefined : resolve(root, value.MENDUM_SIGNING_KEY),
    tls: cert === undefined || key === undefined ? undefined : { cert: resolve(root, cert), key: resolve(root, key) },
    proxies: value.MENDUM_PROXIES,
    labelPrinter: printerAt(value.MENDUM_LABEL_PRINTER),
    logLevel: value.LOG_LEVEL,
    planSeconds: value.PLAN_SECONDS,
  };
}
