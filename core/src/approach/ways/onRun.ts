import type { Stretch } from '../../damage/index.ts';
import { methodById, type RankedMethod, type Site } from '../../method/index.ts';
import { figure } from '../../units/index.ts';
import type { DecideInput, Decision, Electrical, RankedCover, RankedWay } from '../types.ts';
import { fitAt, leadFrom, releadWay } from './lead.ts';
import { cavityWork, NOT_NOTED, WAY_WORDS } from './work.ts';

interface Copper {
  readonly cut: boolean;
  readonly because: string;
  readonly coverSecond: boolean;
}

function coverWay(covers: readonly RankedCover[], copper: Copper): RankedWay {
  const [cover] = covers;
  if (!cover) return { way: 'cover', status: 'refused', ruleId: 'way.copperLost', because: copper.because, allowedIf: 'the copper were whole and all its strands there', cost: { splices: 0, minutes: 4, wireMm: 0, parts: [] }, lacks: [] };
  return {
    way: 'cover', status: cover.status, ruleId: cover.hits[0]?.ruleId ?? 'way.cover', because: copper.coverSecond ? `Second to cutting it out. ${cover.because}` : cover.because, allowedIf: cover.hits.find((hit) => hit.verdict === 'refuse')?.allowedIf,
    cost: { splices: 0, minutes: 4, wireMm: 0, parts: [cover.partName] }, lacks: cover.status === 'shelf' ? [cover.partName] : [],
  };
}

function spliceWay(way: 'oneSplice' | 'insert', ranked: readonly RankedMethod[], site: Site): RankedWay {
  const splices = way === 'oneSplice' ? 1 : 2;
  const best = ranked.find((method) => method.splices === splices && method.status !== 'refused') ?? ranked.find((method) => method.splices === splices && method.joints.length > 0);
  const lostMm = site.lost.toMm - site.lost.fromMm;
  const cost = { splices, minutes: splices * (best ? methodById(best.methodId).minutes : 5), wireMm: way === 'insert' ? Math.round(lostMm + 80) : 0, parts: best?.joints[0] ? [best.joints[0].partName] : [] };
  if (best && best.status !== 'refused') return { way, status: best.status, ruleId: `way.${way}`, because: best.because, cost, lacks: best.status === 'shelf' ? [best.joints[0]?.partName ?? best.name] : [] };
  if (way === 'oneSplice' && lostMm > site.slackMm) {
    return { way, status: 'refused', ruleId: 'way.slack', allowedIf: `the harness gave back ${figure(lostMm, 1)} mm`, because: site.slackKnown ? `The cut loses ${figure(lostMm, 1)} mm and the harness gives back ${figure(site.slackMm, 1)}.` : `The cut loses ${figure(lostMm, 1)} mm and nobody has measured the slack.`, cost, lacks: [] };
  }
  if (way === 'insert' && !site.twoRequired && ranked.some((method) => method.splices === 1 && method.status !== 'refused')) {
    return { way, status: 'refused', ruleId: 'prefer.fewestSplices', allowedIf: 'slack did not cover what is lost', because: 'One splice reaches, so no second one is made.', cost, lacks: [] };
  }
  const why = best ?? ranked[0];
  const refusal = why?.hits.find((hit) => hit.verdict === 'refuse');
  return { way, status: 'refused', ruleId: refusal?.ruleId ?? 'way.none', allowedIf: refusal?.allowedIf, because: why?.because ?? 'No method makes it.', cost, lacks: [] };
}

/** The ways of a finding along the run: cover, one splice, insert, each with its best method. */
export const waysOnRun = (ranked: readonly RankedMethod[], covers: readonly RankedCover[], site: Site, copper: Copper): RankedWay[] =>
  site.duty === 'add' ? [spliceWay('oneSplice', ranked, site), spliceWay('insert', ranked, site)] : [coverWay(covers, copper), spliceWay('oneSplice', ranked, site), spliceWay('insert', ranked, site)];

/** A new lead from the nearer connector, for a loss so near to it that no splice finds a legal place on both sides. */
export function releadBeside(input: DecideInput, electrical: Electrical, lost: Stretch, ranked: readonly RankedMethod[]): { readonly way: RankedWay; readonly noRoom: string; readonly decided: Partial<Decision>; readonly warnings: readonly string[]; readonly asks: string | undefined } | undefined {
  const noRoom = ranked.find((one) => one.hits.some((hit) => hit.ruleId === 'place.noRoom'));
  if (!noRoom || input.finding.kind === 'addCircuit') return undefined;
  const { run, circuit, nodes } = input;
  const atStart = lost.fromMm <= run.lengthMm - lost.toMm;
  const nodeId = atStart ? run.fromNodeId : run.toNodeId;
  const end = [circuit.from, circuit.to].find((one) => one.nodeId === nodeId);
  if (!end) return undefined;
  const node = nodes.get(nodeId);
  const first = fitAt(input, node, end.cavity, circuit.wire);
  const lead = leadFrom(input, electrical, lost, atStart, (first.terminal?.stripMm ?? 0) + input.practice.figures.insideHousingMm);
  const fit = fitAt(input, node, end.cavity, lead.insertWire.wire);
  const way = releadWay(input, lead, fit);
  const { site, insertWire, method, terminalTakesMm } = lead;
  return {
    way, noRoom: noRoom.because,
    decided: {
      lost: lead.lost, site, insertWire, ranked: lead.ranked, method, lead: { atStart, terminalTakesMm },
      cavity: cavityWork({ name: WAY_WORDS.relead, acts: ['crimpTerminal'], at: end, node, wire: insertWire.wire, fit }),
    },
    warnings: method?.hits.filter((hit) => hit.verdict === 'warn').map((hit) => hit.because) ?? [],
    asks: way.lacks.length > 0 ? `Order: ${way.lacks.join(', ')}` : fit.terminal ? undefined : NOT_NOTED,
  };
}
