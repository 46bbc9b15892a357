import { shortByMm as shortOf } from '../../damage/index.ts';
import { keepOuts, runGrown, type Run } from '../../harness/index.ts';
import { deciding, rankMethods, type RankedMethod, type Site } from '../../method/index.ts';
import { centreFromFace } from '../../sizing/index.ts';
import { figure } from '../../units/index.ts';
import { freeWireBeside } from '../freeWire.ts';
import type { DecideInput, Lengthening, RankedWay } from '../types.ts';
import type { Redo } from '../redoTypes.ts';
import { SPLICE_MINUTES } from './lead.ts';

/** How finely places for the cuts of one lead are tried, mm. */
const STEP_MM = 1;
const DUST_MM = 1e-6;

/**
 * Where one wire of a lead is cut, on the run as it was, and how far its faces lie apart on the run as it will be; mm.
 */
interface Cut {
  readonly atMm: number;
  readonly facesMm: number;
}

/**
 * Faces apart so that both bodies lie with the layout's own distance, mm: 77 for two bodies of 36 on butts with 40
 * between.
 */
function facesForBodiesMm({ joints }: RankedMethod, betweenBodiesMm: number): number {
  const [left, right = left] = joints;
  if (!left || !right) return 0;
  const inward = centreFromFace(0, 'left', left.reach) - centreFromFace(0, 'right', right.reach);
  return (left.bodyLengthMm + right.bodyLengthMm) / 2 + betweenBodiesMm + inward;
}

/**
 * Where the wires of one lead are cut, one after the other: as near to the connector as there is room to work, each at
 * the next place where neither of its two bodies comes nearer to another's than the layout's own distance, nor into a
 * keep-out. None when the run is too short for all of them.
 */
function cutsOf(
  input: DecideInput,
  method: RankedMethod,
  byMm: number,
  atStart: boolean,
  wires: number,
): Cut[] | undefined {
  const { run, nodes, practice } = input;
  const { betweenBodiesMm, preferFromConnectorMm, clearMm } = practice.figures;
  const bodyMm = Math.max(...method.joints.map((joint) => joint.bodyLengthMm));
  const facesMm = Math.max(byMm, facesForBodiesMm(method, betweenBodiesMm));
  const will = run.lengthMm + byMm;
  const [left, right = left] = method.joints;
  if (!left || !right) return undefined;
  const centresAt = (atMm: number): readonly number[] => [
    centreFromFace(atMm, 'left', left.reach),
    centreFromFace(atMm + facesMm, 'right', right.reach),
  ];
  const taken: number[] = [];
  const isFree = (atMm: number): boolean => {
    const bars = keepOuts(runGrown(run, [{ byMm, beyondMm: atMm }]), nodes, clearMm);
    return centresAt(atMm).every(
      (centre) =>
        taken.every((other) => Math.abs(other - centre) >= bodyMm + betweenBodiesMm - DUST_MM) &&
        bars.every((bar) => centre + bodyMm / 2 <= bar.fromMm + DUST_MM || centre - bodyMm / 2 >= bar.toMm - DUST_MM),
    );
  };
  const firstMm = atStart ? preferFromConnectorMm + bodyMm / 2 : will - preferFromConnectorMm - bodyMm / 2 - facesMm;
  const cuts: Cut[] = [];
  let atMm = firstMm;
  while (cuts.length < wires) {
    if (atMm - bodyMm / 2 < 0 || atMm + facesMm + bodyMm / 2 > will) return undefined;
    if (isFree(atMm)) {
      cuts.push({ atMm, facesMm });
      taken.push(...centresAt(atMm));
    }
    atMm += atStart ? STEP_MM : -STEP_MM;
  }
  return cuts;
}

/** By how much a lead grows, and which of its wires this one is: all wires of one lead get one length. */
function leadOf(
  { finding, foundAt }: DecideInput,
  nodeId: string,
  shortByMm: number,
): { readonly byMm: number; readonly order: number } {
  const wires = foundAt(nodeId).filter((one) => shortOf(one) !== undefined);
  return {
    byMm: Math.max(shortByMm, ...wires.map((one) => shortOf(one) ?? 0)),
    order: Math.max(
      0,
      wires.findIndex((one) => one.id === finding.id),
    ),
  };
}

/** What lengthening a lead turns into, where the run has room for it. */
export interface Lengthened {
  readonly way: RankedWay;
  readonly site: Site;
  readonly ranked: readonly RankedMethod[];
  readonly method?: RankedMethod | undefined;
  readonly lengthens?: Lengthening | undefined;
}

/** How far the part moved, what is put in, how the run grows, and what of old wire goes. */
function lengthenedWords({ finding, run }: DecideInput, byMm: number, cutOutMm: number): string {
  const [mm, before, after] = [byMm, run.lengthMm, run.lengthMm + byMm].map((length) => figure(length, 0));
  return [
    ...(finding.sort === 'moved' ? [`The part moved ${mm} mm away.`] : []),
    `Cut once, and ${mm} mm more between two splices, same colour, never smaller. ${run.name} grows from ${before} to ${after} mm.`,
    ...(cutOutMm > DUST_MM ? [`${figure(cutOutMm, 1)} mm of old wire goes, so that both splices have room.`] : []),
  ].join(' ');
}

const wholeOf = (run: Run): number => run.lengthMm / 2;

/**
 * A lead made longer by an insert between two splices: the wire is cut once and nothing is thrown away; only where the
 * length that is missing leaves no room for its two bodies is as much old wire cut out as they need. A redo has taken
 * what lay between them. Source: numbers, lengthening: faces X apart on the run as it will be.
 */
export function extendWay(
  input: DecideInput,
  site: Site,
  nodeId: string,
  shortByMm: number,
  atStart: boolean,
  redo?: Redo,
): Lengthened {
  const { run } = input;
  const { byMm, order } = leadOf(input, nodeId, shortByMm);
  const middle = { fromMm: wholeOf(run), toMm: wholeOf(run) };
  // Whether bodies find room is seen on the run as it will be: here no keep-out of the run as it was may bar a method.
  const free = { keepOuts: [], keepOutsBeyond: undefined, within: undefined };
  const rough: Site = { ...site, ...free, lost: middle, twoRequired: true, ...freeWireBeside(run, middle) };
  const ranked = rankMethods(rough, input.shelf);
  const [best] = ranked;
  const possible = ranked
    .filter(({ status }) => status !== 'refused')
    .map((one) => ({ one, cut: cutsOf(input, one, byMm, atStart, order + 1)?.[order] }));
  const { one: method, cut } = possible.find((each) => each.cut ?? redo) ?? { one: possible[0]?.one, cut: undefined };
  const lost = redo
    ? { fromMm: redo.lostFromMm, toMm: Math.max(redo.lostFromMm, redo.lostToMm - byMm) }
    : cut
      ? { fromMm: cut.atMm, toMm: cut.atMm + cut.facesMm - byMm }
      : middle;
  const here: Site = { ...site, twoRequired: true, lost, ...freeWireBeside(run, lost) };
  const cost = {
    splices: 2,
    minutes: 2 * SPLICE_MINUTES,
    wireMm: Math.round(cut?.facesMm ?? byMm),
    parts: method ? [method.joints[0]?.partName ?? method.name] : [],
  };
  if (!method || (!cut && !redo))
    return {
      site: here,
      ranked,
      way: {
        way: 'extend',
        status: 'refused',
        ruleId: method ? 'place.noRoom' : (deciding(best?.hits ?? [])?.ruleId ?? 'place.noRoom'),
        allowedIf: 'two splices found a legal place',
        cost,
        lacks: [],
        because: method
          ? `${run.name} is too short for two splices on each wire of this lead.`
          : (best?.because ?? 'No two splices find a legal place on this run.'),
      },
    };
  const cutOutMm = lost.toMm - lost.fromMm;
  return {
    site: here,
    ranked,
    method,
    lengthens: { byMm },
    way: {
      way: 'extend',
      status: method.status,
      ruleId: 'way.extend',
      cost,
      lacks: method.lacks,
      because: lengthenedWords(input, byMm, redo ? 0 : cutOutMm),
    },
  };
}
