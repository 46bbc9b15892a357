import { partsOf } from '../../catalogue/index.ts';
import { RELEASE_GUIDES } from '../../connector/index.ts';
import { findingInWords, type CavityFinding } from '../../damage/index.ts';
import type { HarnessNode } from '../../harness/index.ts';
import { fitWireSeal } from '../../sizing/index.ts';
import { jacketDiameterMm } from '../../wire/index.ts';
import type { DecideInput, Decision, Electrical, RankedWay } from '../types.ts';
import { hottestAt, refitWay, rehouseWay } from './housing.ts';
import { fitAt, leadFrom, pigtailFor, releadWay, startsAt, type Lead } from './lead.ts';
import { findPart } from './terminal.ts';
import { extendWay, newTerminalWay } from './tail.ts';
import { ACT_MINUTES, cavityWork, NOT_NOTED, WAY_WORDS, type WorkOf } from './work.ts';

/** What a way turns into once it is chosen. */
interface Candidate {
  readonly way: RankedWay;
  readonly decided: Partial<Decision>;
}

type At = { readonly input: DecideInput; readonly finding: CavityFinding; readonly node: HarnessNode | undefined; readonly electrical: Electrical };

const work = ({ finding, node, input }: At, way: RankedWay, more: Pick<WorkOf, 'acts'> & Partial<WorkOf>): Decision['cavity'] =>
  cavityWork({ name: WAY_WORDS[way.way], at: finding.at, node, wire: input.circuit.wire, ...more });

const lead = ({ lost, site, insertWire, ranked, method, atStart, mostMm, terminalTakesMm }: Lead): Partial<Decision> => ({ lost, site, insertWire, ranked, method, lead: { atStart, mostMm, terminalTakesMm } });

/** What is lost of the wire at its cavity. */
const lostAt = ({ finding, input }: At): { readonly fromMm: number; readonly toMm: number } => {
  const cut = finding.cutBackLeftMm + finding.cutBackRightMm;
  return startsAt(input, finding.at.nodeId) ? { fromMm: 0, toMm: cut } : { fromMm: input.run.lengthMm - cut, toMm: input.run.lengthMm };
};

function newTerminal(at: At): Candidate {
  const fit = fitAt(at.input, at.node, at.finding.at.cavity, at.input.circuit.wire);
  const way = newTerminalWay(at.finding, fit, at.input.redos.filter((redo) => redo.findingId === at.finding.id).length);
  return { way, decided: { cavity: work(at, way, { acts: ['crimpTerminal'], fit }) } };
}

function relead(at: At): Candidate {
  const { input, finding, node, electrical } = at;
  const first = fitAt(input, node, finding.at.cavity, input.circuit.wire);
  const made = leadFrom(input, electrical, lostAt(at), startsAt(input, finding.at.nodeId), (first.terminal?.stripMm ?? 0) + input.practice.figures.insideHousingMm);
  const fit = fitAt(input, node, finding.at.cavity, made.insertWire.wire);
  const way = releadWay(input, made, fit);
  return { way, decided: { ...lead(made), cavity: work(at, way, { acts: ['crimpTerminal'], fit, wire: made.insertWire.wire }), extraMm: finding.kind === 'tooShort' ? finding.shortByMm : undefined } };
}

function pigtail(at: At): Candidate | undefined {
  if (!at.node || at.node.kind !== 'connector') return undefined;
  const { way, part, lead: made } = pigtailFor(at.input, at.electrical, at.node, lostAt(at));
  return { way, decided: { ...(made ? lead(made) : {}), cavity: work(at, way, { acts: ['pigtail'], sharedPartIds: part ? [part.id] : [] }) } };
}

function rehouse(at: At, withTerminals: boolean): Candidate | undefined {
  if (!at.node) return undefined;
  const { way, part } = rehouseWay(at.input, at.node);
  if (!withTerminals) return { way, decided: { cavity: work(at, way, { acts: ['rehouse'], sharedPartIds: part ? [part.id] : [] }) } };
  const terminal = newTerminal(at);
  const status = way.status === 'refused' || terminal.way.status === 'refused' ? 'refused' : way.status === 'shelf' || terminal.way.status === 'shelf' ? 'shelf' : 'allowed';
  const because = way.status === status ? way.because : terminal.way.because;
  const both: RankedWay = { ...way, status, because: status === 'allowed' ? `No pigtail will do, so a new housing, and each wire gets a new terminal. ${terminal.way.because}` : because, lacks: [...way.lacks, ...terminal.way.lacks], ruleId: way.status === 'refused' ? way.ruleId : terminal.way.ruleId, allowedIf: way.allowedIf ?? terminal.way.allowedIf };
  return { way: both, decided: { cavity: work(at, both, { name: 'New housing with new terminals', acts: ['rehouse', 'crimpTerminal'], fit: fitAt(at.input, at.node, at.finding.at.cavity, at.input.circuit.wire), sharedPartIds: part ? [part.id] : [] }) } };
}

function extend(at: At, short: number, from: Candidate): Candidate | undefined {
  const { site, insertWire } = from.decided;
  if (!site) return undefined;
  const made = extendWay(at.input, { ...site, lead: undefined }, short, startsAt(at.input, at.finding.at.nodeId));
  return { way: made.way, decided: { site: made.site, lost: made.site.lost, ranked: made.ranked, method: made.method, insertWire, extraMm: short } };
}

function refit(at: At): Candidate {
  const { input, finding, node } = at;
  if (finding.kind === 'lockLost') {
    const { way, part } = refitWay(input, 'The lock piece', (parts) => partsOf(parts, 'lockPiece').find((one) => one.lock === node?.lock && (node.ways === undefined || one.ways === node.ways)));
    const known = node?.lock === undefined ? { ...way, because: `Nobody has noted how ${node?.name ?? 'the connector'} holds its terminals, so the lock piece cannot be named: note it, or put the old piece back.` } : way;
    return { way: known, decided: { cavity: work(at, known, { acts: ['lockPiece'], sharedPartIds: part ? [part.id] : [] }) } };
  }
  if (finding.sort === 'plug') {
    const { way, part } = refitWay(input, 'The plug', (parts) => partsOf(parts, 'plug')[0]);
    return { way, decided: { cavity: work(at, way, { acts: ['plug'], partIds: part ? [part.id] : [] }) } };
  }
  const ofWire = finding.sort !== 'housingSeal';
  const { way, part } = refitWay(input, ofWire ? 'The wire’s seal' : 'The seal round the housing', ofWire ? (parts) => fitWireSeal(partsOf(parts, 'wireSeal'), jacketDiameterMm(input.circuit.wire)) : undefined);
  return { way, decided: { cavity: work(at, way, { acts: ['seal'], partIds: part ? [part.id] : [] }) } };
}

const plainWay = (way: 'correctCavity', because: string): RankedWay => ({ way, status: 'allowed', because, ruleId: `way.${way}`, cost: { splices: 0, minutes: ACT_MINUTES.correct, wireMm: 0, parts: [] }, lacks: [] });

function correct(at: At): Candidate {
  const way = plainWay('correctCavity', at.finding.sort === 'backedOut' ? 'It is whole and only not latched: free it, lift its lance, and seat it again until it clicks.' : 'The right wire in the wrong cavity: free it, look at its lance, and seat it where the pinout says.');
  return { way, decided: { cavity: work(at, way, { acts: ['correct'] }) } };
}

function solderToPin(at: At): Candidate {
  const { input } = at;
  const solder = findPart(input.catalogue, (parts) => partsOf(parts, 'solder').find((part) => part.core === 'rosin'));
  const potting = findPart(input.catalogue, (parts) => partsOf(parts, 'potting')[0]);
  const iron = input.catalogue.tools.find((tool) => tool.tasks.includes('solder'));
  const lacks = [...(solder?.onShelf ? [] : [solder?.part.name ?? 'rosin-core solder']), ...(potting?.onShelf ? [] : [potting?.part.name ?? 'potting compound']), ...(iron ? [] : ['a soldering iron'])];
  const cost = { splices: 0, minutes: ACT_MINUTES.solderToPin, wireMm: 3, parts: [solder?.part.name, potting?.part.name].filter((name) => name !== undefined) };
  const vapour = input.run.zone.fuelVapour;
  const way: RankedWay = vapour
    ? { way: 'solderToPin', status: 'refused', ruleId: 'vapour.iron', allowedIf: 'it were done away from the vapour, at the bench', cost, lacks: [], because: 'There can be fuel vapour here: no iron and no flame, aired or not. Take the part out and solder it at the bench.' }
    : { way: 'solderToPin', status: lacks.length > 0 ? 'shelf' : 'allowed', ruleId: 'way.solderToPin', cost, lacks, because: lacks.length > 0 ? `Not on the shelf: ${lacks.join(', ')}. It can be ordered.` : 'No mating part is to be had: soldered to the pin and potted, with the back held fast so that nothing can move. The one soldered joint that every practice keeps.' };
  return { way, decided: { cavity: work(at, way, { acts: ['solderToPin'], partIds: [solder?.part.id, potting?.part.id].filter((id) => id !== undefined), toolNames: iron ? [iron.name] : [] }) } };
}

/** The ways of a finding at a cavity, in the order in which a master tries them. */
function candidates(at: At): readonly (Candidate | undefined)[] {
  const { finding } = at;
  switch (finding.kind) {
    case 'terminalDamaged':
    case 'terminalMiscrimped':
      return [newTerminal(at), relead(at), pigtail(at)];
    case 'housingBroken':
      return [rehouse(at, false), pigtail(at)];
    case 'housingMelted':
      return [pigtail(at), rehouse(at, true)];
    case 'sealLost':
      return finding.sort === 'wireSeal' ? [newTerminal(at), relead(at), pigtail(at)] : [refit(at)];
    case 'lockLost':
      return [refit(at)];
    case 'cutFlush':
      return [relead(at), pigtail(at)];
    case 'tooShort': {
      const first = relead(at);
      return [first, extend(at, finding.shortByMm, first)];
    }
    case 'misplaced':
      return finding.sort === 'bentLance' ? [newTerminal(at), relead(at), pigtail(at)] : [correct(at)];
    case 'noMatingPart':
      return [solderToPin(at)];
  }
}

const capital = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

/** How the terminal comes out here, where a terminal has to be freed. */
const freeing = (node: HarnessNode | undefined): string =>
  node?.lock === undefined ? 'How its terminals are held is not known: look it up before anything is pried.' : `Its terminals are held by: ${RELEASE_GUIDES[node.lock].name.toLowerCase()}; the steps stand at the connector.`;

function warningsAt({ finding, node, input }: At, chosen: RankedWay): string[] {
  const warnings: string[] = [];
  const hot = finding.kind === 'housingMelted' || finding.sort === 'burnt';
  if (hot && node) warnings.push(hottestAt(input, node));
  if (node?.kind === 'connector' && !['refit', 'solderToPin'].includes(chosen.way)) warnings.push(freeing(node));
  if ((chosen.way === 'pigtail' || chosen.way === 'rehouse') && node) {
    const without = input.circuitsAt(node.id).filter((circuit) => !input.foundAt(node.id).some((other) => other.circuitId === circuit.id));
    if (without.length > 0) warnings.push(`The whole connector is replaced: note the finding for circuit ${without.map((circuit) => circuit.number).join(', ')} as well.`);
  }
  return warnings;
}

function asksAt({ finding }: At, chosen: RankedWay, cavity: Decision['cavity']): string | undefined {
  if (chosen.status === 'shelf') return chosen.lacks.length > 0 ? `Order: ${chosen.lacks.join(', ')}` : 'No terminal known fits this wire';
  if (cavity?.acts.includes('crimpTerminal') && !cavity.terminal) return NOT_NOTED;
  if (finding.note === undefined && finding.kind === 'housingMelted') return 'Which circuit ran hot? Find the cause and note it in the finding';
  if (finding.note === undefined && finding.sort === 'burnt') return 'What burnt it? Find the cause and note it in the finding';
  return undefined;
}

/**
 * What to do about damage at a cavity: the first way that is possible, with every way judged. Where none is possible now, the first that
 * only lacks something on the shelf is planned and what to order is named.
 */
export function decideAtCavity(input: DecideInput, finding: CavityFinding, electrical: Electrical, base: Omit<Decision, 'approach' | 'because' | 'ways'>): Decision {
  const node = input.nodes.get(finding.at.nodeId);
  const at: At = { input, finding, node, electrical };
  const list = candidates(at).filter((one) => one !== undefined);
  const asked = (way: RankedWay): boolean => way.way === input.choice?.use || (input.choice === undefined && way.way === input.held?.way);
  const wanted = list.find(({ way }) => asked(way) && way.status !== 'refused');
  const chosen = wanted ?? list.find(({ way }) => way.status === 'allowed') ?? list.find(({ way }) => way.status === 'shelf');
  const ways = list.map(({ way }) => way);
  const found = capital(findingInWords(finding));
  if (!chosen) return { ...base, approach: 'byHand', ways, because: [found, ways[0]?.because ?? ''], asks: 'Nothing is possible here as it stands' };
  const { decided } = chosen;
  const method = decided.ranked?.find((one) => one.methodId === (input.choice?.use ?? input.held?.use) && (one.status === 'allowed' || one.usableWithReason)) ?? decided.method;
  const passed = ways.slice(0, list.indexOf(chosen)).filter((way) => way.status === 'refused');
  return {
    ...base, ...decided, method, approach: chosen.way.way, ways,
    because: [found, ...passed.map((way) => way.because), chosen.way.because, ...(method ? [method.because] : [])].filter((words) => words !== ''),
    chosenBy: input.choice && (wanted || method?.methodId === input.choice.use) ? input.choice : undefined,
    warnings: [...warningsAt(at, chosen.way), ...(method?.hits.filter((hit) => hit.verdict === 'warn').map((hit) => hit.because) ?? [])],
    asks: asksAt(at, chosen.way, decided.cavity),
  };
}
