import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import type { RunToLayOut } from './types.ts';

/** All that a run's layout depends on, where no places are kept. */
export const inWords = (run: RunToLayOut): string => JSON.stringify({ ...run, found: undefined });

/** The same in 64 letters: what was searched for one run need not be searched again for the same one. */
export const fingerprintOf = (run: RunToLayOut): string => bytesToHex(sha256(new TextEncoder().encode(inWords(run))));
