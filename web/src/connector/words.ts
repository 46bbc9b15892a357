import type { FeatureKind, NodeKind, SealState, TerminalFamily } from '@mendum/core';

export const NODE_WORDS: Record<NodeKind, string> = { connector: 'connector', branch: 'branch', grommet: 'grommet', clip: 'clip', splice: 'splice that is there', end: 'end' };
export const FEATURE_WORDS: Record<FeatureKind, string> = { branch: 'branch', grommet: 'grommet', clip: 'clip', flex: 'bends in use' };
export const TERMINAL_WORDS: Record<TerminalFamily, string> = { '0.64': '0.64 mm', '1.5': '1.5 mm', '2.8': '2.8 mm', '6.3': '6.3 mm', pin20: 'round pin, size 20', pin16: 'round pin, size 16', pin12: 'round pin, size 12' };
export const SEAL_WORDS: Record<SealState, string> = { seal: 'wire seal', plug: 'plug', none: 'none needed', missing: 'missing' };
