import { runKind } from '../kind.ts';

export const poorRepair = runKind({
  kind: 'poorRepair',
  words: 'earlier poor repair',
  sorts: {
    twistedTaped: 'twisted and taped',
    clampTap: 'clamp-on tap',
    bareButt: 'bare butt joint',
    crackedSolder: 'cracked solder',
  },
  own: {
    // Wires that the earlier repair joined on as well, as a clamp-on tap does: they are joined again.
    branchWires: { type: 'wires', required: false, title: 'Wires joined on', wanted: 'Say which wire is joined on.' },
  },
  leaves: 'nothing',
  warnings: ({ sort, branchWires }) => [
    'The earlier joint is cut out whole.',
    ...(sort === 'clampTap' && !branchWires
      ? ['A clamp-on tap joins another wire on: say which in the finding, and all three ends are joined here.']
      : []),
  ],
});
