import type { FittedTerminal } from '../approach/index.ts';
import type { Catalogue } from '../catalogue/index.ts';
import type { EarlierRepair, Stretch } from '../damage/index.ts';
import type { CavityPlan, FindingPlan } from '../plan/index.ts';
import type { Check } from '../prove/index.ts';
import { figure, formatMm } from '../units/index.ts';
import { colourInWords, wireInWords } from '../wire/index.ts';

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

/** Of which lot a part is, by its id; none where nobody noted one. */
export type LotOf = (partId: string | undefined) => string | undefined;
export const NO_LOTS: LotOf = () => undefined;

/** Lots of the parts that are in use on a shelf. */
export const lotsOn =
  ({ parts }: Pick<Catalogue, 'parts'>): LotOf =>
  (partId) =>
    parts.find(({ id }) => id === partId)?.lot;

/** The splices, the cover and the work at a cavity of a finding. @param lotOf of which lot its parts are */
export function madeOf(finding: FindingPlan, lotOf: LotOf = NO_LOTS): Made[] {
  const ofLot = (words: string, partId: string | undefined): string => {
    const lot = lotOf(partId);
    return lot === undefined ? words : `${words}, lot ${lot}`;
  };
  const splices = finding.splices.map((splice): Made => {
    const { seal } = splice.joint;
    const cover =
      seal.kind === 'sleeve'
        ? [ofLot(`${seal.name}, cut ${seal.cutMm} mm`, seal.partId)]
        : seal.kind === 'wrap'
          ? [ofLot(`${seal.name}, ${figure(seal.lengthMm, 0)} mm`, seal.partId)]
          : [];
    const insert =
      finding.insert && (finding.isLead ? finding.approach !== 'pigtail' : splice.side === 'left')
        ? [
            `${wireInWords(finding.insert.wire.wire)}, ${colourInWords(finding.insert.wire.wire.colour)}, ${formatMm(finding.insert.lengthMm, 0)}`,
          ]
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
      closedBy: splice.closedBy ? [...new Set([splice.closedBy.left, splice.closedBy.right])] : [],
      materials: [
        ofLot(splice.joint.partName, splice.joint.partId),
        ...cover,
        ...insert,
        ...(splice.shield ? [`shield: ${splice.shield.joint.partName}`] : []),
      ],
    };
  });
  const { cover } = finding;
  const coverPart = finding.covers.find(({ coverId }) => coverId === cover?.coverId)?.partId;
  for (const cavity of [finding.cavity, finding.far]) {
    if (!cavity) continue;
    const { work } = cavity;
    const materials = [
      ...(work.terminal
        ? [
            ofLot(work.terminal.partName, work.terminal.partId),
            ...(work.terminal.seal ? [work.terminal.seal.name] : []),
          ]
        : []),
      ...(finding.added && (cavity === finding.far || !finding.far)
        ? [`${wireInWords(work.wire)}, ${colourInWords(work.wire.colour)}, ${formatMm(finding.added.lengthMm, 0)}`]
        : []),
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
          closedBy: [],
          materials: [ofLot(`${cover.partName}, ${figure(cover.lengthMm, 0)} mm`, coverPart)],
        },
      ]
    : splices;
}
