import { shortByMm, type Stretch } from '../../damage/index.ts';
import type { Cavity, HarnessNode } from '../../harness/index.ts';
import { deciding, nearestByOrder, rankMethods, type RankedMethod, type Site } from '../../method/index.ts';
import { methodById } from '../../family/index.ts';
import { chooseInsertWire, type InsertWireChoice } from '../../sizing/index.ts';
import { notOnShelf } from '../../catalogue/index.ts';
import { figure } from '../../units/index.ts';
import { areaMm2, type WireSpec } from '../../wire/index.ts';
import { siteAt } from '../site.ts';
import type { DecideInput, Electrical, RankedWay } from '../types.ts';
import type { Candidate } from './finish.ts';
import { terminalFor, type TerminalFit } from './terminal.ts';
import { ACT_MINUTES, cavityWork, unfit, WAY_WORDS } from './work.ts';

/** Wire beyond the connector's clearance that a lead is first assumed to need, mm; the layout gives the true length. */
const LEAD_GUESS_MM = 200;

/** Which end of the run lies at a node. */
export const startsAt = ({ run }: DecideInput, nodeId: string): boolean => run.fromNodeId === nodeId;

/** What a lead is made of: from a connector beyond the loss, with the wire and the ranking of its one splice. */
export interface Lead {
  readonly atStart: boolean;
  readonly lost: Stretch;
  readonly site: Site;
  readonly insertWire: InsertWireChoice;
  readonly ranked: readonly RankedMethod[];
  /** The splice that would be made: the first that is not refused. */
  readonly method?: RankedMethod | undefined;
  readonly terminalTakesMm: number;
  readonly mostMm?: number | undefined;
}

/** The loss seen from a connector: everything from its back to the far edge of what is gone. */
const fromNode = ({ run }: DecideInput, lost: Stretch, atStart: boolean): Stretch =>
  atStart
    ? { fromMm: 0, toMm: Math.max(lost.toMm, 1) }
    : { fromMm: Math.min(lost.fromMm, run.lengthMm - 1), toMm: run.lengthMm };

/** A new lead from a node: its wire, and every method for the one splice beyond the keep-out. */
export function leadFrom(
  input: DecideInput,
  electrical: Electrical,
  lost: Stretch,
  atStart: boolean,
  terminalTakesMm: number,
  of: { readonly wire?: WireSpec; readonly mostMm?: number } = {},
): Lead {
  const { finding, circuit, catalogue } = input;
  const stretch = fromNode(input, lost, atStart);
  const insertWire = of.wire
    ? {
        wire: of.wire,
        colourDiffers:
          of.wire.colour.base !== circuit.wire.colour.base || of.wire.colour.stripe !== circuit.wire.colour.stripe,
        larger: areaMm2(of.wire.size) > 1.05 * areaMm2(circuit.wire.size),
      }
    : chooseInsertWire(
        circuit.wire,
        catalogue.wires,
        electrical.placeC,
        stretch.toMm - stretch.fromMm + LEAD_GUESS_MM,
        { asked: finding.insertWire, otherColours: input.otherColours },
      );
  // The lead itself is free wire: a sleeve can be parked on it.
  const free = atStart ? { freeLeftMm: LEAD_GUESS_MM } : { freeRightMm: LEAD_GUESS_MM };
  const site: Site = {
    ...siteAt(input, stretch, electrical, insertWire, false),
    ...free,
    lead: { atStart, mostMm: of.mostMm },
  };
  const ranked = rankMethods(site, input.shelf);
  const [best] = ranked;
  return {
    atStart,
    lost: stretch,
    site,
    insertWire,
    ranked,
    method: best?.status === 'refused' ? undefined : best,
    terminalTakesMm,
    mostMm: of.mostMm,
  };
}

/** Usual minutes of one splice, where no method is chosen yet. */
export const SPLICE_MINUTES = 5;

export const NO_ROOM = 'No splice finds a legal place on this run beyond the connector.';

/**
 * What bars a lead's splice, and what would have to be ordered for splice and terminal; nothing where ordering does not
 * help.
 */
function standing({ method, ranked }: Lead, fit: TerminalFit) {
  const near = method ? undefined : nearestByOrder(ranked);
  const forSplice = method ? (method.status === 'shelf' ? method.lacks : []) : (near?.order ?? []);
  const forEnd = fit.refused ? (fit.refused.orders ?? []) : fit.lacks;
  const misfit = fit.unknown !== undefined && fit.family !== undefined;
  const endHelps = forEnd.length > 0 || (fit.refused === undefined && (method !== undefined || !misfit));
  return {
    bar: deciding((near?.method ?? ranked[0])?.hits ?? []),
    lacks: (method ?? near) !== undefined && endHelps ? [...forEnd, ...forSplice] : [],
    misfit,
  };
}

/** A relead judged: new terminal, new lead, one splice. */
function releadWay(input: DecideInput, lead: Lead, fit: TerminalFit): RankedWay {
  const parts = [fit.terminal?.partName, fit.terminal?.seal?.name, lead.method?.joints[0]?.partName].filter(
    (name) => name !== undefined,
  );
  const minutes = ACT_MINUTES.crimpTerminal + (lead.method ? methodById(lead.method.methodId).minutes : 0);
  const cost = {
    splices: 1,
    minutes,
    wireMm: Math.round(lead.lost.toMm - lead.lost.fromMm + input.practice.figures.clearMm.connector),
    parts,
  };
  const { bar, lacks, misfit } = standing(lead, fit);
  if (!lead.method)
    return {
      way: 'relead',
      status: 'refused',
      because: bar?.because ?? NO_ROOM,
      ruleId: bar?.ruleId ?? 'place.noRoom',
      allowedIf:
        bar === undefined || bar.ruleId === 'place.noRoom' ? 'a splice found a legal place on the run' : bar.allowedIf,
      cost,
      lacks,
    };
  if (fit.refused !== undefined) return unfit('relead', { ...fit.refused, orders: lacks }, cost);
  const status = lacks.length > 0 || misfit ? 'shelf' : 'allowed';
  return {
    way: 'relead',
    status,
    ruleId: 'way.relead',
    cost,
    lacks,
    because: misfit
      ? (fit.unknown ?? '')
      : lacks.length > 0
        ? notOnShelf(lacks)
        : `A new lead with its own terminal${fit.terminal ? ` (${fit.terminal.partName})` : ''} needs no slack: one splice, beyond the ${figure(input.practice.figures.clearMm.connector, 0)} mm that stay clear at the connector.`,
  };
}

/** The terminal at a cavity of a circuit's end, for the wire that will sit in it. */
export const fitAt = (
  input: DecideInput,
  node: HarnessNode | undefined,
  cavity: string,
  wire: WireSpec,
  electrical: Electrical,
): TerminalFit => terminalFor(input, wire, node, cavity, electrical);

/** What a lead turns into: its loss, its splice, its wire. */
export const leadDecided = ({
  lost,
  site,
  insertWire,
  ranked,
  method,
  atStart,
  mostMm,
  terminalTakesMm,
}: Lead): Candidate['decided'] => ({
  lost,
  site,
  insertWire,
  ranked,
  method,
  lead: { atStart, mostMm, terminalTakesMm },
});

/**
 * A new lead with its own terminal from a cavity at one end of the run; a lead that was too short gets what it lacked.
 */
export function releadFrom(input: DecideInput, electrical: Electrical, lost: Stretch, end: Cavity): Candidate {
  const { finding, circuit, nodes, practice } = input;
  const node = nodes.get(end.nodeId);
  const first = fitAt(input, node, end.cavity, circuit.wire, electrical);
  const lead = leadFrom(
    input,
    electrical,
    lost,
    startsAt(input, end.nodeId),
    (first.terminal?.stripMm ?? 0) + practice.figures.insideHousingMm,
  );
  const fit = fitAt(input, node, end.cavity, lead.insertWire.wire, electrical);
  return {
    way: releadWay(input, lead, fit),
    decided: {
      ...leadDecided(lead),
      extraMm: shortByMm(finding),
      cavity: cavityWork({
        name: WAY_WORDS.relead,
        acts: ['crimpTerminal'],
        at: end,
        node,
        wire: lead.insertWire.wire,
        fit,
      }),
    },
  };
}
