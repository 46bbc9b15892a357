import { shortByMm } from '../../damage/index.ts';
import { alsoLost } from '../copper.ts';
import type { RankedWay } from '../types.ts';
import { lostAt, redosOf, work, type At } from './at.ts';
import type { Candidate } from './finish.ts';
import { rehouseWay } from './housing.ts';
import { fitAt, leadDecided, pigtailFor, releadFrom, startsAt } from './lead.ts';
import { extendWay } from './lengthen.ts';
import { newTerminalWay } from './tail.ts';

/** A new terminal on the tail that is there. */
export function newTerminal(at: At): Candidate {
  const fit = fitAt(at.input, at.node, at.finding.at.cavity, at.input.circuit.wire, at.electrical);
  const also = alsoLost(at.input);
  const { lengthMm } = at.input.run;
  const alsoMm = startsAt(at.input, at.finding.at.nodeId)
    ? Math.max(0, ...also.map((one) => one.toMm))
    : Math.max(0, ...also.map((one) => lengthMm - one.fromMm));
  const { way, takesMm } = newTerminalWay(at.input, at.finding, fit, alsoMm);
  return { way, decided: { takesMm, cavity: work(at, way, { acts: ['crimpTerminal'], fit }) } };
}

/** A new lead from the connector. */
export const relead = (at: At): Candidate => releadFrom(at.input, at.electrical, lostAt(at), at.finding.at);

/** A pigtail in place of the connector. */
export function pigtail(at: At): Candidate | undefined {
  if (!at.node || at.node.kind !== 'connector') return undefined;
  const { way, part, lead: made } = pigtailFor(at.input, at.electrical, at.node, lostAt(at));
  return {
    way,
    decided: {
      ...(made ? leadDecided(made) : {}),
      cavity: work(at, way, { acts: ['pigtail'], sharedPartIds: part ? [part.id] : [] }),
    },
  };
}

/** A new housing, for the old terminals or with new ones. */
export function rehouse(at: At, withTerminals: boolean): Candidate | undefined {
  if (!at.node) return undefined;
  const { way, part } = rehouseWay(at.input, at.node);
  if (!withTerminals)
    return { way, decided: { cavity: work(at, way, { acts: ['rehouse'], sharedPartIds: part ? [part.id] : [] }) } };
  const terminal = newTerminal(at);
  const status =
    way.status === 'refused' || terminal.way.status === 'refused'
      ? 'refused'
      : way.status === 'shelf' || terminal.way.status === 'shelf'
        ? 'shelf'
        : 'allowed';
  const because = way.status === status ? way.because : terminal.way.because;
  const both: RankedWay = {
    ...way,
    status,
    because:
      status === 'allowed'
        ? `No pigtail will do, so a new housing, and each wire gets a new terminal. ${terminal.way.because}`
        : because,
    lacks: [...way.lacks, ...terminal.way.lacks],
    ruleId: way.status === 'refused' ? way.ruleId : terminal.way.ruleId,
    allowedIf: way.allowedIf ?? terminal.way.allowedIf,
  };
  return {
    way: both,
    decided: {
      cavity: work(at, both, {
        name: 'New housing with new terminals',
        acts: ['rehouse', 'crimpTerminal'],
        fit: fitAt(at.input, at.node, at.finding.at.cavity, at.input.circuit.wire, at.electrical),
        sharedPartIds: part ? [part.id] : [],
      }),
    },
  };
}

/** A lead made longer by an insert; its wire is the new lead's. */
export function extend(at: At): Candidate | undefined {
  const { site, insertWire } = relead(at).decided;
  const short = shortByMm(at.finding);
  if (!site || short === undefined) return undefined;
  const made = extendWay(
    at.input,
    { ...site, lead: undefined },
    at.finding.at.nodeId,
    short,
    startsAt(at.input, at.finding.at.nodeId),
    redosOf(at.input, at.finding).at(-1),
  );
  return {
    way: made.way,
    decided: {
      site: made.site,
      lost: made.site.lost,
      ranked: made.ranked,
      method: made.method,
      insertWire,
      lengthens: made.lengthens,
    },
  };
}
