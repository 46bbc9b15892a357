import type { FittedTerminal } from '../approach/index.ts';
import type { Catalogue } from '../catalogue/index.ts';
import type { EarlierRepair, Stretch } from '../damage/index.ts';
import type { Harness } from '../harness/index.ts';
import type { CavityPlan, FindingPlan, Plan } from '../plan/index.ts';
import type { Check } from '../prove/index.ts';
import { figure, formatMm } from '../units/index.ts';
import { colourInWords, wireInWords, type WireSpec } from '../wire/index.ts';

/** Wire that was taken, and what is written on the reel that the cut list takes it from. */
interface WireTaken {
  readonly name: string;
  readonly mm: number;
  readonly reel?: string | undefined;
}

/** A splice, a cover or work at a cavity, as far as a record goes. */
export interface Made {
  readonly id: string;
  readonly make: number;
  readonly atMm: number;
  /** The run on which it is, where that is not its finding's. */
  readonly runId?: string | undefined;
  /** From edge to edge on its run, and how thick; nothing at a cavity. */
  readonly body?: (Stretch & { readonly kind: EarlierRepair['kind']; readonly diameterMm: number }) | undefined;
  readonly checks: readonly Check[];
  readonly method: string;
  readonly materials: readonly string[];
  /** Its parts by name and id: what its materials name with their lots. */
  readonly parts: readonly { readonly name: string; readonly partId?: string | undefined }[];
  readonly wires: readonly WireTaken[];
  /** Where it is, for work at a cavity. */
  readonly at?: { readonly nodeId: string; readonly cavity: string } | undefined;
  /** Tool and nest of each crimp, in words. */
  readonly closedBy: readonly string[];
  /** Tools of its own; absent where they are the chosen method's. */
  readonly tools?: readonly string[] | undefined;
}

/** Cores of a cable that carry nothing and were ended here, by their colours where they are known. */
function sparesEnded({ work: { cable }, steps }: CavityPlan): string[] {
  if (!cable || !steps.some(({ key }) => key === 'spareCores')) return [];
  const { unusedCores, spareColours = [] } = cable;
  return [`unused cores ended: ${spareColours.length === unusedCores ? spareColours.join(', ') : unusedCores}`];
}

/** Tool and nest of a terminal's crimps. */
const crimpsOf = (by: FittedTerminal['crimpedBy']): readonly string[] =>
  by ? [by.conductor, ...(by.jacket === undefined ? [] : [by.jacket])] : [];

/** What is noted of what was taken from the shelf. */
export interface TakenFrom {
  readonly lotOf: (partId: string | undefined) => string | undefined;
  /** What is written on the reel of a circuit's new wire; nothing where its pieces come from several. */
  readonly reelOf: (circuitId: string, of: 'insert' | 'added') => string | undefined;
}
const NOTHING_NOTED: TakenFrom = { lotOf: () => undefined, reelOf: () => undefined };

/** What a shelf says of what a plan takes from it: lots, and reels by the cut list. */
export function takenFrom({ parts, wires }: Catalogue, { kit }: Pick<Plan, 'kit'>, { circuits }: Harness): TakenFrom {
  const cuts = kit.cutGroups.filter(({ from }) => from === 'reel').flatMap(({ list }) => list.cuts);
  return {
    lotOf: (partId) => parts.find(({ id }) => id === partId)?.lot,
    reelOf: (circuitId, of) => {
      const number = circuits.find(({ id }) => id === circuitId)?.number ?? circuitId;
      const piece = `circuit ${number}${of === 'added' ? ' added' : ''}`;
      const isOf = ({ id }: { readonly id: string }): boolean => id === piece || id.startsWith(`${piece} (`);
      const reels = new Set(cuts.filter(({ pieces }) => pieces.some(isOf)).map(({ id }) => id));
      const [only, ...others] = reels;
      return others.length > 0 ? undefined : wires.find(({ id }) => id === only)?.reel;
    },
  };
}

/** The splices, the cover and the work at a cavity of a finding. @param shelf what its parts and wires were taken from */
export function madeOf(finding: FindingPlan, shelf: TakenFrom = NOTHING_NOTED): Made[] {
  const ofLot = (words: string, partId: string | undefined): string => {
    const lot = shelf.lotOf(partId);
    return lot === undefined ? words : `${words}, lot ${lot}`;
  };
  const cut = (wire: WireSpec, mm: number, of: 'insert' | 'added'): WireTaken => ({
    name: `${wireInWords(wire)}, ${colourInWords(wire.colour)}`,
    mm,
    reel: shelf.reelOf(finding.circuitId, of),
  });
  const wireWords = ({ name, mm, reel }: WireTaken): string =>
    `${name}, ${formatMm(mm, 0)}${reel === undefined ? '' : `, reel ${reel}`}`;
  const splices = finding.splices.map((splice): Made => {
    const { seal } = splice.joint;
    const cover =
      seal.kind === 'sleeve'
        ? [ofLot(`${seal.name}, cut ${seal.cutMm} mm`, seal.partId)]
        : seal.kind === 'wrap'
          ? [ofLot(`${seal.name}, ${figure(seal.lengthMm, 0)} mm`, seal.partId)]
          : [];
    const wires =
      finding.insert && (finding.isLead ? finding.approach !== 'pigtail' : splice.side === 'left')
        ? [cut(finding.insert.wire.wire, finding.insert.lengthMm, 'insert')]
        : [];
    return {
      id: splice.id,
      make: splice.make,
      atMm: splice.centreMm,
      runId: splice.runId,
      body: { kind: 'splice', fromMm: splice.fromMm, toMm: splice.toMm, diameterMm: splice.joint.bodyDiameterMm },
      checks: splice.checks,
      method: splice.methodName,
      parts: [
        { name: splice.joint.partName, partId: splice.joint.partId },
        ...(seal.kind === 'sleeve' || seal.kind === 'wrap' ? [{ name: seal.name, partId: seal.partId }] : []),
      ],
      wires,
      closedBy: splice.closedBy ? [...new Set([splice.closedBy.left, splice.closedBy.right])] : [],
      materials: [
        ofLot(splice.joint.partName, splice.joint.partId),
        ...cover,
        ...wires.map(wireWords),
        ...(splice.shield ? [`shield: ${splice.shield.joint.partName}`] : []),
      ],
    };
  });
  const { cover } = finding;
  const coverPart = finding.covers.find(({ coverId }) => coverId === cover?.coverId)?.partId;
  for (const cavity of [finding.cavity, finding.far]) {
    if (!cavity) continue;
    const { work } = cavity;
    const wires =
      finding.added && (cavity === finding.far || !finding.far)
        ? [cut(work.wire, finding.added.lengthMm, 'added')]
        : [];
    const materials = [
      ...(work.terminal
        ? [
            ofLot(work.terminal.partName, work.terminal.partId),
            ...(work.terminal.seal ? [work.terminal.seal.name] : []),
          ]
        : []),
      ...wires.map(wireWords),
      ...sparesEnded(cavity),
      `${work.nodeName}, cavity ${work.at.cavity}`,
    ];
    splices.push({
      id: cavity.id,
      make: cavity.make,
      runId: cavity.runId,
      atMm: cavity.atMm,
      checks: cavity.checks,
      method: cavity.name,
      parts: work.terminal ? [{ name: work.terminal.partName, partId: work.terminal.partId }] : [],
      wires,
      at: { nodeId: work.at.nodeId, cavity: work.at.cavity },
      closedBy: crimpsOf(work.terminal?.crimpedBy),
      materials,
      tools: work.toolNames,
    });
  }
  return cover
    ? [
        ...splices,
        {
          id: cover.id,
          make: cover.make,
          atMm: cover.atMm,
          body: { kind: 'cover', ...cover.covers, diameterMm: cover.diameterMm },
          checks: cover.checks,
          method: cover.name,
          parts: [{ name: cover.partName, partId: coverPart }],
          wires: [],
          closedBy: [],
          materials: [ofLot(`${cover.partName}, ${figure(cover.lengthMm, 0)} mm`, coverPart)],
        },
      ]
    : splices;
}
