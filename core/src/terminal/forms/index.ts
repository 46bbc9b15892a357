import type { TerminalForm } from '../../harness/index.ts';
import type { Form } from '../types.ts';
import { blade } from './blade/index.ts';
import { bullet } from './bullet/index.ts';
import { ferrule } from './ferrule/index.ts';
import { fork } from './fork/index.ts';
import { housing } from './housing/index.ts';
import { lug } from './lug/index.ts';
import { ring } from './ring/index.ts';

/** Every form of terminal: a new one is a folder of its own, named here; its families are named in the harness. */
export const FORMS: Readonly<Record<TerminalForm, Form>> = { housing, ring, fork, blade, bullet, ferrule, lug };
