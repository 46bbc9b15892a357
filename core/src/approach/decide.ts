import {
  addsCircuit,
  damageOf,
  findingInWords,
  isAtCavity,
  isJacketOnly,
  runKindOf,
  shareLeft,
  visibleLengthMm,
} from '../damage/index.ts';
import { nearestByOrder, rankMethods, type RankedMethod, type Site } from '../method/index.ts';
import { chooseInsertWire, reachCostMm } from '../sizing/index.ts';
import { figure } from '../units/index.ts';
import { jacketDiameterMm } from '../wire/index.ts';
import { cableWarnings, sentence, isCutAnyway, lostOf, mustCut, takenByOne } from './copper.ts';
import { asksWithoutMethod, causeAsks, fuseAsks, lengthAsks, loadAsks, orders, readingAsks } from './asks.ts';
import type { Ask } from './askTypes.ts';
import { rankCovers } from './cover.ts';
import { electricalAlong, withSection } from './electrical.ts';
import { siteAt } from './site.ts';
import type { Choice, DecideInput, Decision, Electrical, RankedCover } from './types.ts';
import { addedWork } from './ways/added.ts';
import { decideAtCavity } from './ways/atCavity.ts';
import { fillCavity } from './ways/fillCavity.ts';
import { finish } from './ways/finish.ts';
import { releadBeside, waysOnRun } from './ways/onRun.ts';

/** Wire beyond the loss that an insert is first assumed to need on top, mm; the layout gives the true length. */
const INSERT_GUESS_MM = 150;

/** The chosen entry if it may still be used, else the ranking's own first. */
function pick<T extends { readonly status: string }>(
  ranked: readonly T[],
  wanted: T | undefined,
  usable: boolean,
): T | undefined {
  if (wanted && usable) return wanted;
  const [best] = ranked;
  return best?.status === 'refused' ? undefined : best;
}

function slackSentence(site: Site, method: RankedMethod, { finding, needsTwo }: DecideInput): string {
  const lost = figure(site.lost.toMm - site.lost.fromMm, 1);
  const joint = method.joints[0];
  const lap = joint ? reachCostMm(joint.reach) : 0;
  const takes = lap > 0 ? ` and the joint's lap takes ${figure(lap)}` : '';
  if (addsCircuit(finding))
    return site.mainUncut
      ? 'The main wire stays whole: what is added joins it on a bared window.'
      : `${1 + site.branchWires.length + 1} ends meet here.`;
  if (method.splices === 1)
    return `The cut loses ${lost} mm${takes}; slack is ${figure(site.slackMm, 1)} mm: one splice reaches.`;
  if (needsTwo === 'room')
    return 'One splice would reach, but would lie over another body: two, so that the bundle stays slim.';
  if (needsTwo === 'pair')
    return "One splice would reach, but the pair's other wire needs two: both get two, so that they stay equally long.";
  const gives = site.slackMm > 0 ? `slack is only ${figure(site.slackMm, 1)} mm` : 'there is no slack';
  if (!site.slackKnown)
    return `The cut loses ${lost} mm and nobody has measured the slack here, so it counts as 0: measuring it might save a splice.`;
  if (site.slackMm + 1e-9 >= site.lost.toMm - site.lost.fromMm + lap)
    return `The cut loses ${lost} mm; slack would cover it, but one splice finds no legal place here, so two go outside.`;
  return `The cut loses ${lost} mm${takes} and ${gives}: one splice does not reach.`;
}

/** What else is mended by the same work, and what of the wire's slack goes to other work. */
function sharedWords({ share }: DecideInput): string[] {
  const { takes, cutsOut, othersTakeMm, slackMm } = share;
  const others = takes.filter((one) => !isJacketOnly(one));
  return [
    ...(others.length > 0
      ? [
          `It takes away ${others.map((one) => `${findingInWords(one)} at ${figure(one.fromMm, 0)} mm`).join(', ')} as well: one repair in place of ${takes.length + 1}.`,
        ]
      : []),
    ...cutsOut.map((one) => `The ${one.words} at ${figure(one.fromMm, 0)}–${figure(one.toMm, 0)} mm is cut out whole.`),
    ...(othersTakeMm > 0
      ? [`Of ${figure(slackMm + othersTakeMm, 1)} mm slack on this wire, other cuts take ${figure(othersTakeMm, 1)}.`]
      : []),
  ];
}

/** What the kind of damage itself warns of. */
function findingWarnings(input: DecideInput, { placeC }: Electrical): readonly string[] {
  const { finding, circuit } = input;
  if (isAtCavity(finding)) return [];
  const share = shareLeft(finding);
  const left = share < 1 && share > 0 ? { leftA: electricalAlong(input, share).bundledA } : {};
  const { wire, kind: circuitKind, fuseA } = circuit;
  return runKindOf(finding.kind).warnings?.(finding, { wire, circuitKind, placeC, fuseA, ...left }) ?? [];
}

/** What is refused of the wire that was asked for, a fuse too large, and what the damage warns of. */
const warningsOf = (input: DecideInput, electrical: Electrical, insertRefused: string | undefined): string[] => [
  ...(insertRefused === undefined ? [] : [insertRefused]),
  ...cableWarnings(input),
  ...findingWarnings(input, electrical),
];

/** Said where what somebody chose may not be used any more. */
const gaveWay = ({ by }: Choice): string =>
  `The choice of ${by} can no longer be used here; the ranking's first stands instead.`;

function chooseCover(covers: readonly RankedCover[], use: string | undefined): RankedCover | undefined {
  const wanted = covers.find((cover) => cover.coverId === use);
  return pick(covers, wanted, wanted?.status !== 'refused');
}

/**
 * What to do about one finding and by which method: stopped at the gate, covered, or cut out with the fewest splices
 * that any allowed method reaches with, each with its reasons. Pure.
 */
export function decide(input: DecideInput): Decision {
  const decision = decided(input);
  const asks = lengthAsks(input, decision);
  return asks.length === 0 ? decision : { ...decision, asks: [...decision.asks, ...asks] };
}

function decided(input: DecideInput): Decision {
  const { finding, circuit, gate, choice, practice, catalogue } = input;
  const electrical = electricalAlong(input);
  const { share } = input;
  const lost = lostOf(input);
  const redoCount = input.redos.filter((redo) => redo.findingId === finding.id).length;
  const base = {
    findingId: finding.id,
    circuitId: circuit.id,
    runId: finding.runId,
    ranked: [],
    covers: [],
    ways: [],
    warnings: [],
    lost,
    slackMm: share.slackMm,
    within: share.within,
    takes: share.takes.map((one) => one.id),
    electrical,
    redoCount,
    asks: [],
  };

  if (circuit.kind === 'airbag' || circuit.kind === 'highVoltage') {
    const entry = gate[circuit.kind];
    return entry
      ? { ...base, approach: 'procedure', because: [`Only what the named procedure says: ${entry.procedure}.`] }
      : {
          ...base,
          approach: 'stopped',
          because: [
            `No plan for ${circuit.kind === 'airbag' ? 'an airbag or belt circuit' : 'high voltage'} until the maker's procedure or a qualified person is named at the gate.`,
          ],
          asks: [
            {
              does: 'note',
              words: 'Name the procedure at the gate',
              at: { on: 'gate', entry: circuit.kind },
            },
          ],
        };
  }

  if (share.takenBy)
    return {
      ...base,
      approach: 'withOther',
      takenBy: share.takenBy.id,
      because: [sentence(findingInWords(finding)), takenByOne(finding, share.takenBy)],
    };
  if (isAtCavity(finding)) return decideAtCavity(input, finding, electrical, base);
  if ('freeCavity' in finding && finding.freeCavity) return fillCavity(input, finding, finding.freeCavity, base);
  const copper = mustCut(input, finding, electrical.placeC);

  const jacketMm = jacketDiameterMm(circuit.wire);
  const coverSite = {
    damageMm: visibleLengthMm(finding),
    jacketMm,
    freedEndMm: finding.freedEndMm ?? (isCutAnyway(input) ? jacketMm : undefined),
    zone: input.run.zone,
    placeC: electrical.placeC,
    vapourAired: gate.vapour !== undefined,
  };
  const covers = !copper.cut || copper.coverSecond ? rankCovers(coverSite, practice, catalogue) : [];
  const insertWire = chooseInsertWire(
    circuit.wire,
    catalogue.wires,
    electrical.placeC,
    lost.toMm - lost.fromMm + INSERT_GUESS_MM,
    { asked: finding.insertWire, otherColours: input.otherColours },
  );
  const site = siteAt(input, lost, electrical, insertWire, copper.two || input.needsTwo !== undefined);
  const ranked = rankMethods(site, input.shelf);
  const warnings = warningsOf(input, electrical, insertWire.refusedBecause);
  const use = choice?.use ?? input.held?.use;
  const wantedMethod = ranked.find((method) => method.methodId === use);
  const coverWanted = covers.some((cover) => cover.coverId === use);

  if (covers.length > 0 && redoCount === 0 && !wantedMethod && (!copper.cut || coverWanted)) {
    const cover = chooseCover(covers, use);
    if (cover) {
      const chosenBy = choice && cover.coverId === choice.use ? choice : undefined;
      const share = shareLeft(finding);
      const covered = share < 1 ? electricalAlong(input, share) : electrical;
      const spare = copper.coverSecond
        ? ['One lost strand of a signal may be covered; cutting it out is the better repair.']
        : [];
      return {
        ...base,
        electrical: covered,
        approach: 'cover',
        because: [copper.because, cover.because],
        ways: waysOnRun(ranked, covers, site, copper, practice),
        covers,
        ranked,
        cover,
        chosenBy,
        warnings: [
          ...(covered === electrical ? warnings : warningsOf(input, covered, insertWire.refusedBecause)),
          ...spare,
          ...(choice && !chosenBy ? [gaveWay(choice)] : []),
        ],
        site,
        asks: [...orders(cover.lacks), ...loadAsks(input, covered), ...fuseAsks(input, covered)],
      };
    }
  }
  const method = pick(
    ranked,
    wantedMethod,
    wantedMethod?.status === 'allowed' || wantedMethod?.usableWithReason === true,
  );
  if (!method) {
    const ways = waysOnRun(ranked, covers, site, copper, practice);
    const beside = releadBeside(input, electrical, lost, ranked);
    if (beside?.lead.decided.method) {
      return finish(input, { ...base, covers }, beside.lead, {
        ways: [...ways, beside.lead.way],
        because: [copper.because, beside.noRoom],
        warnings: findingWarnings(input, electrical),
        wayAsked: false,
      });
    }
    return {
      ...base,
      approach: 'byHand',
      ways,
      because: [
        copper.because,
        `No method is allowed here. ${(nearestByOrder(ranked)?.method ?? ranked[0])?.because ?? ''}`,
      ],
      ranked,
      covers,
      warnings,
      site,
      asks: asksWithoutMethod(ranked, input),
    };
  }
  const mended =
    method.splices === 2
      ? withSection(input, { where: 'the insert', facts: input.runFacts, wire: insertWire.wire })
      : electrical;
  const dropped = choice && method.methodId !== choice.use ? [gaveWay(choice)] : [];
  const added = addedWork(input, electrical);
  return {
    ...base,
    electrical: mended,
    approach: method.splices === 1 ? 'oneSplice' : 'insert',
    ...(added.decided.far ? { cavity: added.decided.far } : {}),
    ...(added.decided.added ? { added: added.decided.added } : {}),
    because: [
      copper.because,
      ...sharedWords(input),
      slackSentence(site, method, input),
      method.because,
      ...added.because,
    ].filter((sentence) => sentence !== ''),
    ways: waysOnRun(ranked, covers, site, copper, practice),
    ranked,
    covers,
    method,
    site,
    chosenBy: choice && method.methodId === choice.use ? choice : undefined,
    insertWire: method.splices === 2 ? insertWire : undefined,
    warnings: [
      ...(mended === electrical ? warnings : warningsOf(input, mended, insertWire.refusedBecause)),
      ...dropped,
      ...method.hits.filter((hit) => hit.verdict === 'warn').map((hit) => hit.because),
      ...added.warnings,
    ],
    asks: [...asksOf(method, mended, input), ...added.asks],
  };
}

const asksOf = (method: RankedMethod, electrical: Electrical, input: DecideInput): readonly Ask[] => [
  ...orders(method.status === 'shelf' ? method.lacks : []),
  ...readingAsks(input),
  ...loadAsks(input, electrical),
  ...fuseAsks(input, electrical),
  ...causeAsks(input.finding, damageOf(input.finding.kind).asks?.(input.finding)),
];
