import type { LayoutKind } from '@mendum/core/practice';

/** What the layouts are called. */
export const KIND_NAMES: Readonly<Record<LayoutKind, string>> = { wide: 'Wide', even: 'Even', short: 'Short' };
