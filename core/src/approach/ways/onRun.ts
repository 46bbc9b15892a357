import { branchesOf, type Stretch } from '../../damage/index.ts';
import { deciding, type RankedMethod, type Site } from '../../method/index.ts';
import { methodById } from '../../family/index.ts';
import { figure } from '../../units/index.ts';
import type { Practice } from '../../practice/index.ts';
import type { DecideInput, Electrical, RankedCover, RankedWay } from '../types.ts';
import type { Candidate } from './finish.ts';
import { releadFrom, SPLICE_MINUTES } from './lead.ts';
import { ACT_MINUTES } from './work.ts';

interface Copper {
  readonly cut: boolean;
  readonly because: string;
  readonly coverSecond: boolean;
}

function coverWay(covers: readonly RankedCover[], copper: Copper): RankedWay {
  const [cover] = covers;
  if (!cover)
    return {
      way: 'cover',
      status: 'refused',
      ruleId: 'way.copperLost',
      because: copper.because,
      allowedIf: 'the copper were whole and all its strands there',
      cost: { splices: 0, minutes: ACT_MINUTES.cover, wireMm: 0, parts: [] },
      lacks: [],
    };
  return {
    way: 'cover',
    status: cover.status,
    ruleId: deciding(cover.hits)?.ruleId ?? 'way.cover',
    because: copper.coverSecond ? `Second to cutting it out. ${cover.because}` : cover.because,
    allowedIf: deciding(cover.hits)?.allowedIf,
    cost: { splices: 0, minutes: ACT_MINUTES.cover, wireMm: 0, parts: [cover.partName] },
    lacks: cover.lacks,
  };
}

/** What is said of a way that no method makes, where no rule of one says more. */
const NONE_SO = {
  oneSplice: 'One splice finds no legal place here, or its lap takes more than the slack.',
  insert: 'No method makes both its splices here.',
} as const;

/**
 * Wire that an insert takes before it is laid out, about: from body to body with their distance, and no less than what
 * is lost; mm.
 */
const insertAboutMm = (lostMm: number, best: RankedMethod | undefined, practice: Practice): number =>
  Math.round(
    Math.max(
      lostMm,
      Math.max(0, ...(best?.joints.map((joint) => joint.bodyLengthMm) ?? [])) + practice.figures.betweenBodiesMm,
    ),
  );

function spliceWay(
  way: 'oneSplice' | 'insert',
  ranked: readonly RankedMethod[],
  site: Site,
  practice: Practice,
): RankedWay {
  const splices = way === 'oneSplice' ? 1 : 2;
  const best =
    ranked.find((method) => method.splices === splices && method.status !== 'refused') ??
    ranked.find((method) => method.splices === splices && method.joints.length > 0);
  const lostMm = site.lost.toMm - site.lost.fromMm;
  const cost = {
    splices,
    minutes: splices * (best ? methodById(best.methodId).minutes : SPLICE_MINUTES),
    wireMm: way === 'insert' ? insertAboutMm(lostMm, best, practice) : 0,
    parts: best?.joints[0] ? [best.joints[0].partName] : [],
  };
  if (best && best.status !== 'refused')
    return { way, status: best.status, ruleId: `way.${way}`, because: best.because, cost, lacks: best.lacks };
  if (way === 'oneSplice' && lostMm > site.slackMm) {
    return {
      way,
      status: 'refused',
      ruleId: 'way.slack',
      allowedIf: `slack were ${figure(lostMm, 1)} mm`,
      because: site.slackKnown
        ? `The cut loses ${figure(lostMm, 1)} mm and ${site.slackMm > 0 ? `slack is only ${figure(site.slackMm, 1)}` : 'there is no slack'}.`
        : `The cut loses ${figure(lostMm, 1)} mm and nobody has measured the slack.`,
      cost,
      lacks: [],
    };
  }
  if (
    way === 'insert' &&
    !site.twoRequired &&
    ranked.some((method) => method.splices === 1 && method.status !== 'refused')
  ) {
    return {
      way,
      status: 'refused',
      ruleId: 'prefer.fewestSplices',
      allowedIf: 'slack did not cover what is lost',
      because: 'One splice reaches, so no second one is made.',
      cost,
      lacks: [],
    };
  }
  const why = best ?? ranked[0];
  const refusal = why?.hits.find((hit) => hit.verdict === 'refuse');
  return {
    way,
    status: 'refused',
    ruleId: refusal?.ruleId ?? 'way.none',
    allowedIf: refusal?.allowedIf,
    because: refusal?.because ?? NONE_SO[way],
    cost,
    lacks: [],
  };
}

/** The ways of a finding along the run: cover, one splice, insert, each with its best method. */
export const waysOnRun = (
  ranked: readonly RankedMethod[],
  covers: readonly RankedCover[],
  site: Site,
  copper: Copper,
  practice: Practice,
): RankedWay[] => [
  ...(site.duty === 'add' ? [] : [coverWay(covers, copper)]),
  spliceWay('oneSplice', ranked, site, practice),
  spliceWay('insert', ranked, site, practice),
];

/** A new lead from the nearer connector, for a loss so near to it that no splice finds a legal place on both sides. */
export function releadBeside(
  input: DecideInput,
  electrical: Electrical,
  lost: Stretch,
  ranked: readonly RankedMethod[],
): { readonly lead: Candidate; readonly noRoom: string } | undefined {
  const { run, circuit, finding } = input;
  const noRoom = ranked.find((one) => one.hits.some((hit) => hit.ruleId === 'place.noRoom'));
  if (!noRoom || branchesOf(finding).length > 0) return undefined;
  const nodeId = lost.fromMm <= run.lengthMm - lost.toMm ? run.fromNodeId : run.toNodeId;
  const end = [circuit.from, circuit.to].find((one) => one.nodeId === nodeId);
  return end && { lead: releadFrom(input, electrical, lost, end), noRoom: noRoom.because };
}
