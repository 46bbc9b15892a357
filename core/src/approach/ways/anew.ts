import { shortByMm } from '../../damage/index.ts';
import { alsoLost } from '../copper.ts';
import type { ConnectorKitPart } from '../../stock/index.ts';
import type { RankedWay } from '../types.ts';
import { lostAt, onceThere, redosOf, work, type At } from './at.ts';
import type { Candidate } from './finish.ts';
import { rehouseWay } from './housing.ts';
import { notOutOf, shelfOfKit } from './kit.ts';
import { fitAt, leadDecided, NO_ROOM, releadFrom, SPLICE_MINUTES, startsAt } from './lead.ts';
import { extendWay } from './lengthen.ts';
import { pigtailFor } from './pigtail.ts';
import { solderToPin } from './putBack.ts';
import { newTerminalWay } from './tail.ts';
import { WAY_WORDS } from './work.ts';

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
  const {
    way,
    part,
    lead: made,
    asks,
    ...more
  } = pigtailFor(at.input, at.electrical, at.node, lostAt(at), at.finding.at.cavity);
  return {
    way,
    decided: {
      ...(made ? leadDecided(made) : {}),
      cavity: work(at, way, {
        acts: ['pigtail'],
        sharedPartIds: part ? [part.id] : [],
        asks: onceThere(at, asks),
        ...more,
      }),
    },
  };
}

/** A new housing, for the old terminals or with new ones: out of a kit where it is one. */
export function rehouse(at: At, withTerminals: boolean): Candidate | undefined {
  if (!at.node) return undefined;
  const { way, part, asks: all, ...more } = rehouseWay(at.input, at.node, withTerminals);
  const sharedPartIds = part ? [part.id] : [];
  const asks = onceThere(at, all);
  if (!withTerminals)
    return { way, decided: { cavity: work(at, way, { acts: ['rehouse'], sharedPartIds, asks, ...more }) } };
  const kit = part?.kind === 'connectorKit' ? part : undefined;
  const from = kit ? { ...at, input: { ...at.input, catalogue: shelfOfKit(kit, at.input.catalogue) } } : at;
  // A tail that is too short gets a new lead with its terminal, in the new housing too.
  const onTail = newTerminal(from);
  const { way: own, decided } = onTail.way.status === 'refused' ? relead(from) : onTail;
  const both = withNewTerminals(way, own, kit);
  const wire = decided.insertWire?.wire ?? at.input.circuit.wire;
  const fit = fitAt(from.input, at.node, at.finding.at.cavity, wire, at.electrical);
  return {
    way: both,
    decided: {
      ...decided,
      cavity: work(at, both, {
        name: `${kit ? `New housing and terminals out of ${kit.name}` : 'New housing with new terminals'}${decided.lead ? ', on a new lead' : ''}`,
        acts: ['rehouse', 'crimpTerminal'],
        wire,
        fit:
          kit && fit.terminal
            ? { ...fit, terminal: { ...fit.terminal, usesPartIds: notOutOf(kit, fit.terminal.usesPartIds) } }
            : fit,
        sharedPartIds,
        asks,
        ...more,
      }),
    },
  };
}

/** A new housing and a new terminal judged together: as bad as the worse of the two. */
function withNewTerminals(way: RankedWay, terminal: RankedWay, kit: ConnectorKitPart | undefined): RankedWay {
  const status =
    way.status === 'refused' || terminal.status === 'refused'
      ? 'refused'
      : way.status === 'shelf' || terminal.status === 'shelf'
        ? 'shelf'
        : 'allowed';
  const barred = way.status === status ? way.because : terminal.because;
  return {
    ...way,
    status,
    because:
      status !== 'allowed'
        ? barred
        : kit
          ? `${kit.name} has the housing and every terminal. ${terminal.because}`
          : `A new housing, and each wire gets a new terminal. ${terminal.because}`,
    lacks: [...way.lacks, ...terminal.lacks],
    cost: {
      splices: terminal.cost.splices,
      minutes: way.cost.minutes + terminal.cost.minutes,
      wireMm: terminal.cost.wireMm,
      parts: [...way.cost.parts, ...terminal.cost.parts],
    },
    ruleId: way.status === 'refused' ? way.ruleId : terminal.ruleId,
    allowedIf: way.allowedIf ?? terminal.allowedIf,
  };
}

/**
 * A new lead soldered to the pin that was there, out of its plastic: where no terminal is to be had for a plug that is
 * good.
 */
export function solderedLead(at: At): Candidate {
  const pin = solderToPin(at);
  const { decided } = relead(at);
  const { method } = decided;
  const status =
    pin.way.status === 'refused' || !method ? 'refused' : method.status === 'shelf' ? 'shelf' : pin.way.status;
  const way: RankedWay = {
    ...pin.way,
    way: 'solderedLead',
    status,
    ...(method || pin.way.status === 'refused' ? {} : { ruleId: 'place.noRoom', because: NO_ROOM }),
    ...(status === 'allowed'
      ? {
          because:
            'For a good plug whose terminals cannot be bought: its pin comes out of the plastic, the new lead is soldered to it and potted, and one splice joins it.',
        }
      : {}),
    cost: { ...pin.way.cost, splices: 1, minutes: pin.way.cost.minutes + SPLICE_MINUTES },
    lacks: [...pin.way.lacks, ...(method?.status === 'shelf' ? method.lacks : [])],
  };
  return {
    way,
    decided: {
      ...decided,
      cavity: pin.decided.cavity && {
        ...pin.decided.cavity,
        name: WAY_WORDS.solderedLead,
        wire: decided.insertWire?.wire ?? at.input.circuit.wire,
      },
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
