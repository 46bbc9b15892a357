import { runKind } from '../kind.ts';

export const parted = runKind({ kind: 'parted', words: 'wire cut or a length missing', own: {}, leaves: 'nothing' });
