export type { CrimpWork, Form, Serves } from './types.ts';
export { FORMS } from './forms/index.ts';
export { BODY_WORDS, bodyOf, formOf, TERMINAL, TERMINAL_TOOLS } from './kind.ts';
