import { findPart, mostOf, notOnShelf, partsOf } from '../../catalogue/index.ts';
import { RELEASE_GUIDES } from '../../connector/index.ts';
import { findingInWords, type CavityFinding, type Stretch } from '../../damage/index.ts';
import type { HarnessNode } from '../../harness/index.ts';
import { fitWireSeal } from '../../sizing/index.ts';
import { jacketDiameterMm } from '../../wire/index.ts';
import { alsoLost, capital } from '../copper.ts';
import type { DecideInput, Decision, Electrical, RankedWay, Redo } from '../types.ts';
import { finish, type Candidate, type Undecided } from './finish.ts';
import { hottestAt, refitWay, rehouseWay } from './housing.ts';
import { fitAt, leadDecided, pigtailFor, releadFrom, startsAt } from './lead.ts';
import { extendWay } from './lengthen.ts';
import { newTerminalWay } from './tail.ts';
import { ACT_MINUTES, cavityWork, WAY_WORDS, type WorkOf } from './work.ts';

type At = {
  readonly input: DecideInput;
  readonly finding: CavityFinding;
  readonly node: HarnessNode | undefined;
  readonly electrical: Electrical;
};

const work = (
  { finding, node, input }: At,
  way: RankedWay,
  more: Pick<WorkOf, 'acts'> & Partial<WorkOf>,
): Decision['cavity'] =>
  cavityWork({ name: WAY_WORDS[way.way], at: finding.at, node, wire: input.circuit.wire, ...more });

/** What is lost of the wire at its cavity: cut back, and what redos of a joint beyond it have taken since. */
function lostAt({ finding, input }: At): Stretch {
  const { lengthMm } = input.run;
  const cut = finding.cutBackLeftMm + finding.cutBackRightMm;
  const redo = redosOf(input, finding).at(-1);
  const also = alsoLost(input);
  return startsAt(input, finding.at.nodeId)
    ? { fromMm: 0, toMm: Math.max(cut, redo?.lostToMm ?? 0, ...also.map((one) => one.toMm)) }
    : {
        fromMm: Math.min(lengthMm - cut, redo?.lostFromMm ?? lengthMm, ...also.map((one) => one.fromMm)),
        toMm: lengthMm,
      };
}

const redosOf = (input: DecideInput, finding: CavityFinding): readonly Redo[] =>
  input.redos.filter((redo) => redo.findingId === finding.id);

function newTerminal(at: At): Candidate {
  const fit = fitAt(at.input, at.node, at.finding.at.cavity, at.input.circuit.wire, at.electrical);
  const also = alsoLost(at.input);
  const { lengthMm } = at.input.run;
  const alsoMm = startsAt(at.input, at.finding.at.nodeId)
    ? Math.max(0, ...also.map((one) => one.toMm))
    : Math.max(0, ...also.map((one) => lengthMm - one.fromMm));
  const { way, takesMm } = newTerminalWay(at.input, at.finding, fit, alsoMm);
  return { way, decided: { takesMm, cavity: work(at, way, { acts: ['crimpTerminal'], fit }) } };
}

const relead = (at: At): Candidate => releadFrom(at.input, at.electrical, lostAt(at), at.finding.at);

function pigtail(at: At): Candidate | undefined {
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

function rehouse(at: At, withTerminals: boolean): Candidate | undefined {
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

function extend(at: At, short: number, from: Candidate): Candidate | undefined {
  const { site, insertWire } = from.decided;
  if (!site) return undefined;
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

function refit(at: At): Candidate {
  const { input, finding, node } = at;
  if (finding.kind === 'lockLost') {
    const { way, part } = refitWay(
      input,
      node?.lock === undefined ? `lock piece for ${node?.name ?? 'the connector'}` : 'The lock piece',
      (parts) =>
        mostOf(
          partsOf(parts, 'lockPiece').filter(
            (one) => one.lock === node?.lock && (node.ways === undefined || one.ways === node.ways),
          ),
        ),
    );
    const known =
      node?.lock === undefined
        ? {
            ...way,
            because: `Nobody has noted how ${node?.name ?? 'the connector'} holds its terminals, so the lock piece cannot be named: note it, or put the old piece back.`,
          }
        : way;
    return {
      way: known,
      decided: { cavity: work(at, known, { acts: ['lockPiece'], sharedPartIds: part ? [part.id] : [] }) },
    };
  }
  if (finding.sort === 'plug') {
    const { way, part } = refitWay(input, 'The plug', (parts) => mostOf(partsOf(parts, 'plug')));
    return { way, decided: { cavity: work(at, way, { acts: ['plug'], partIds: part ? [part.id] : [] }) } };
  }
  const ofWire = finding.sort !== 'housingSeal';
  const { way, part } = refitWay(
    input,
    ofWire ? 'The wire’s seal' : 'The seal round the housing',
    ofWire ? (parts) => fitWireSeal(partsOf(parts, 'wireSeal'), jacketDiameterMm(input.circuit.wire)) : undefined,
  );
  return { way, decided: { cavity: work(at, way, { acts: ['seal'], partIds: part ? [part.id] : [] }) } };
}

const plainWay = (way: 'correctCavity', because: string): RankedWay => ({
  way,
  status: 'allowed',
  because,
  ruleId: `way.${way}`,
  cost: { splices: 0, minutes: ACT_MINUTES.correct, wireMm: 0, parts: [] },
  lacks: [],
});

function correct(at: At): Candidate {
  const way = plainWay(
    'correctCavity',
    at.finding.sort === 'backedOut'
      ? 'It is whole and only not latched: free it, lift its lance, and seat it again until it clicks.'
      : 'The right wire in the wrong cavity: free it, look at its lance, and seat it where the pinout says.',
  );
  return { way, decided: { cavity: work(at, way, { acts: ['correct'] }) } };
}

function solderToPin(at: At): Candidate {
  const { input } = at;
  const solder = findPart(input.catalogue, (parts) =>
    mostOf(partsOf(parts, 'solder').filter((part) => part.core === 'rosin')),
  );
  const potting = findPart(input.catalogue, (parts) => mostOf(partsOf(parts, 'potting')));
  const iron = input.catalogue.tools.find((tool) => tool.tasks.includes('solder'));
  const lacks = [
    ...(solder?.onShelf ? [] : [solder?.part.name ?? 'rosin-core solder']),
    ...(potting?.onShelf ? [] : [potting?.part.name ?? 'potting compound']),
    ...(iron ? [] : ['a soldering iron']),
  ];
  const cost = {
    splices: 0,
    minutes: ACT_MINUTES.solderToPin,
    wireMm: 3,
    parts: [solder?.part.name, potting?.part.name].filter((name) => name !== undefined),
  };
  const vapour = input.run.zone.fuelVapour;
  const way: RankedWay = vapour
    ? {
        way: 'solderToPin',
        status: 'refused',
        ruleId: 'vapour.iron',
        allowedIf: 'it were done away from the vapour, at the bench',
        cost,
        lacks: [],
        because:
          'There can be fuel vapour here: no iron and no flame, aired or not. Take the part out and solder it at the bench.',
      }
    : {
        way: 'solderToPin',
        status: lacks.length > 0 ? 'shelf' : 'allowed',
        ruleId: 'way.solderToPin',
        cost,
        lacks,
        because:
          lacks.length > 0
            ? notOnShelf(lacks)
            : 'No mating part is to be had: soldered to the pin and potted, with the back held fast so that nothing can move. The one soldered joint that every practice keeps.',
      };
  return {
    way,
    decided: {
      cavity: work(at, way, {
        acts: ['solderToPin'],
        partIds: [solder?.part.id, potting?.part.id].filter((id) => id !== undefined),
        toolNames: iron ? [iron.name] : [],
      }),
    },
  };
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

/** How the terminal comes out here, where a terminal has to be freed. */
const freeing = (node: HarnessNode | undefined): string =>
  node?.lock === undefined
    ? 'How its terminals are held is not known: look it up before anything is pried.'
    : `Its terminals are held by: ${RELEASE_GUIDES[node.lock].name.toLowerCase()}; the steps stand at the connector.`;

function warningsAt({ finding, node, input }: At, chosen: RankedWay): string[] {
  const warnings: string[] = [];
  const hot = finding.kind === 'housingMelted' || finding.sort === 'burnt';
  if (hot && node) warnings.push(hottestAt(input, node));
  if (node?.kind === 'connector' && !['refit', 'solderToPin'].includes(chosen.way)) warnings.push(freeing(node));
  if ((chosen.way === 'pigtail' || chosen.way === 'rehouse') && node) {
    const without = input
      .circuitsAt(node.id)
      .filter((circuit) => !input.foundAt(node.id).some((other) => other.circuitId === circuit.id));
    if (without.length > 0)
      warnings.push(
        `The whole connector is replaced: note the finding for circuit ${without.map((circuit) => circuit.number).join(', ')} as well.`,
      );
  }
  return warnings;
}

/** The cause of heat, which has to be found and noted. */
function causeAt({ finding }: At): string | undefined {
  if (finding.note !== undefined) return undefined;
  if (finding.kind === 'housingMelted') return 'Which circuit ran hot? Find the cause and note it in the finding';
  return finding.sort === 'burnt' ? 'What burnt it? Find the cause and note it in the finding' : undefined;
}

/**
 * What to do about damage at a cavity: the first way that is possible, with every way judged. Where none is possible now, the first that
 * only lacks something on the shelf is planned and what to order is named.
 */
export function decideAtCavity(
  input: DecideInput,
  finding: CavityFinding,
  electrical: Electrical,
  base: Undecided,
): Decision {
  const { choice, held } = input;
  const at: At = { input, finding, node: input.nodes.get(finding.at.nodeId), electrical };
  const list = candidates(at).filter((one) => one !== undefined);
  const asked = list.find(
    ({ way }) => way.way === (input.share.way ?? choice?.use ?? held?.way) && way.status !== 'refused',
  );
  const chosen =
    asked ?? list.find(({ way }) => way.status === 'allowed') ?? list.find(({ way }) => way.status === 'shelf');
  const ways = list.map(({ way }) => way);
  const found = capital(findingInWords(finding));
  if (!chosen)
    return {
      ...base,
      approach: 'byHand',
      ways,
      because: [found, ways[0]?.because ?? ''],
      asks: 'Nothing is possible here as it stands',
    };
  const passed = ways
    .slice(0, list.indexOf(chosen))
    .filter((way) => way.status === 'refused')
    .map((way) => way.because);
  return finish(input, base, chosen, {
    ways,
    because: [found, ...passed],
    warnings: warningsAt(at, chosen.way),
    cause: causeAt(at),
    wayAsked: choice !== undefined && asked?.way.way === choice.use,
  });
}
