import { notOnShelf } from '../../catalogue/index.ts';
import { addedBy, branchesOf, type Finding } from '../../damage/index.ts';
import type { Cavity } from '../../harness/index.ts';
import { asksWithoutWay } from '../asks.ts';
import type { DecideInput, Decision, RankedWay } from '../types.ts';
import { addedWork } from './added.ts';
import { finish, type Undecided } from './finish.ts';
import { terminalFor } from './terminal.ts';
import { ACT_MINUTES, cavityWork, unfit, WAY_WORDS } from './work.ts';

/** A circuit added at a free cavity: a terminated lead goes in and the plug comes out; no wire is cut. */
export function fillCavity(input: DecideInput, finding: Finding, at: Cavity, base: Undecided): Decision {
  const node = input.nodes.get(at.nodeId);
  const [wire = input.circuit.wire] = branchesOf(finding);
  const fit = terminalFor(input, wire, node, at.cavity, base.electrical);
  const where = `${node?.name ?? at.nodeId}, cavity ${at.cavity}`;
  const misfit = fit.unknown !== undefined && fit.family !== undefined;
  const added = addedWork(input, base.electrical);
  const near = [fit.terminal?.partName, fit.terminal?.seal?.name].filter((name) => name !== undefined);
  const cost = {
    splices: 0,
    minutes: ACT_MINUTES.crimpTerminal + added.cost.minutes,
    wireMm: added.cost.wireMm,
    parts: [...near, ...added.cost.parts],
  };
  if (fit.refused) {
    const way = unfit('fillCavity', fit.refused, cost);
    return {
      ...base,
      approach: 'byHand',
      ways: [way],
      because: [way.because],
      asks: asksWithoutWay([way], () => WAY_WORDS.fillCavity, input),
    };
  }
  const way: RankedWay = {
    way: 'fillCavity',
    status: misfit || fit.lacks.length > 0 ? 'shelf' : 'allowed',
    ruleId: 'way.fillCavity',
    lacks: fit.lacks,
    cost,
    because:
      fit.unknown ??
      (fit.lacks.length > 0
        ? notOnShelf(fit.lacks)
        : `${where} is free: a lead with its own terminal${fit.terminal ? ` (${fit.terminal.partName})` : ''} goes in, the plug comes out, and no wire is cut.`),
  };
  const decided = {
    cavity: cavityWork({
      name: WAY_WORDS.fillCavity,
      acts: ['unplug', 'crimpTerminal'],
      at,
      node,
      wire,
      fit,
      added: { loadA: addedBy(finding)?.loadA },
    }),
  };
  const made = finish(
    input,
    base,
    { way, decided },
    { ways: [way], because: [], warnings: [], wayAsked: input.choice?.use === 'fillCavity' },
  );
  return {
    ...made,
    ...added.decided,
    because: [...made.because, ...added.because],
    warnings: [...made.warnings, ...added.warnings],
    asks: [...made.asks, ...added.asks],
  };
}
