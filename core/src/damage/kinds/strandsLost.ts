import { isPowerKind } from '../../harness/index.ts';
import { figure } from '../../units/index.ts';
import { areaMm2, remainingShare } from '../../wire/index.ts';
import { runKind } from '../kind.ts';

/** From this many strands on, a single lost one on a signal may be covered. Source: choosing, strands lost. */
const STRANDS_FOR_COVER = 19;
const WANTED = 'Count the strands: a whole number from 1.';

/** What the rest may carry, held against the fuse. */
const amps = (leftA: number | undefined, fuseA: number | undefined): string => {
  if (leftA === undefined) return '';
  const may = `, which may carry ${figure(leftA, 1)} A`;
  if (fuseA === undefined) return may;
  return fuseA > leftA + 1e-9
    ? `${may}: the ${figure(fuseA)} A fuse does not protect it until it is mended`
    : `${may}, fused ${figure(fuseA)} A`;
};

export const strandsLost = runKind({
  kind: 'strandsLost',
  words: 'strands nicked or broken',
  own: {
    strandsLost: { type: 'count', required: true, title: 'Strands lost', unit: 'of', wanted: WANTED },
    strandsTotal: { type: 'count', required: true, title: 'Strands in the wire', unit: 'all', wanted: WANTED },
  },
  leaves: 'strands',
  share: (finding) => remainingShare(finding.strandsLost, finding.strandsTotal),
  problem: ({ strandsLost: lost, strandsTotal: total }) =>
    lost > total
      ? {
          code: 'STRANDS',
          field: 'strandsLost',
          message: `${lost} of ${total} strands cannot be lost.`,
          hint: 'Count again: lost strands are at most all of them.',
        }
      : undefined,
  whyCut: (_finding, { circuitKind }) =>
    isPowerKind(circuitKind)
      ? `Every lost strand counts on a ${circuitKind} wire: cut out, never covered.`
      : 'Strands are lost: cut out.',
  mayBeCovered: (finding, { circuitKind }) =>
    finding.strandsLost === 1 && finding.strandsTotal >= STRANDS_FOR_COVER && !isPowerKind(circuitKind),
  detail: ({ strandsLost: lost, strandsTotal: total }) =>
    `${lost} of ${total} lost, ${total - lost}/${total} of the copper left`,
  warnings: ({ strandsLost: lost, strandsTotal: total }, { wire, fuseA, leftA }) => [
    `${lost} of ${total} strands lost, ${total - lost}/${total} of the copper left: ${figure(remainingShare(lost, total) * areaMm2(wire.size))} mm² at that one hot spot${amps(leftA, fuseA)}.`,
  ],
});
