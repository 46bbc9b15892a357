import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import type { RunToLayOut } from './types.ts';

/**
 * All that a run's layout depends on, in 64 letters: what was searched for one run need not be searched again for the
 * same one. Places that are kept are not in it.
 */
export const fingerprintOf = (run: RunToLayOut): string =>
  bytesToHex(sha256(new TextEncoder().encode(JSON.stringify({ ...run, found: undefined }))));
