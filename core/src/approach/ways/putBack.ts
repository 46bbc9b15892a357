import { findPart, lackNamed, lackOf, mostOf, notOnShelf, partsOf } from '../../catalogue/index.ts';
import { cavityKindOf } from '../../damage/index.ts';
import type { HarnessNode } from '../../harness/index.ts';
import { toolThat } from '../../method/index.ts';
import { fitWireSeal } from '../../sizing/index.ts';
import type { LockPiecePart } from '../../stock/index.ts';
import { areaMm2, isAluminium, jacketDiameterMm } from '../../wire/index.ts';
import type { RankedWay } from '../types.ts';
import { onceThere, work, type At } from './at.ts';
import { familyAsks, isOfFamily, otherConnector } from './belongs.ts';
import type { Candidate } from './finish.ts';
import { refitWay } from './housing.ts';
import { ACT_MINUTES } from './work.ts';

/**
 * The lock piece for a connector: of its lock, cavities, family and keying; known to be of its family first, then the
 * most in stock.
 */
function lockPieceFor(parts: readonly LockPiecePart[], node: HarnessNode): LockPiecePart | undefined {
  const own = parts.filter(
    (one) =>
      one.lock === node.lock &&
      (node.ways === undefined || one.ways === node.ways) &&
      otherConnector(one, node) === undefined,
  );
  const known = own.filter((one) => isOfFamily(one, node) === true);
  return mostOf(known.length > 0 ? known : own);
}

/** What was lost is put back: a lock piece, a plug, a seal. */
export function refit(at: At): Candidate {
  const { input, finding, node } = at;
  const back = cavityKindOf(finding.kind).putsBack?.(finding) ?? 'wireSeal';
  if (back === 'lockPiece') {
    const { way, part } = refitWay(
      input,
      node?.lock === undefined ? `lock piece for ${node?.name ?? 'the connector'}` : 'The lock piece',
      (parts) => node && lockPieceFor(partsOf(parts, 'lockPiece'), node),
    );
    const known =
      node?.lock === undefined
        ? {
            ...way,
            ruleId: 'way.lockUnknown',
            lacks: [],
            because: `Nobody has noted how ${node?.name ?? 'the connector'} holds its terminals, so the lock piece cannot be named: note it, or put the old piece back.`,
          }
        : way;
    return {
      way: known,
      decided: {
        cavity: work(at, known, {
          acts: ['lockPiece'],
          sharedPartIds: part ? [part.id] : [],
          asks: part && node ? onceThere(at, familyAsks(part, node)) : [],
        }),
      },
    };
  }
  if (back === 'plug') {
    const { way, part } = refitWay(input, 'The plug', (parts) => mostOf(partsOf(parts, 'plug')));
    return { way, decided: { cavity: work(at, way, { acts: ['plug'], partIds: part ? [part.id] : [] }) } };
  }
  const ofWire = back === 'wireSeal';
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

/** Freed, looked at and seated where it belongs. */
export function correct(at: At): Candidate {
  const { at: place, sort } = at.finding;
  if (sort === 'bentLance') {
    const way: RankedWay = {
      ...plainWay('correctCavity', 'Its lance is bent: seated again it would click and not hold.'),
      status: 'refused',
      ruleId: 'way.lanceBent',
      allowedIf: 'its lance were whole',
    };
    return { way, decided: {} };
  }
  const way = plainWay(
    'correctCavity',
    at.finding.sort === 'backedOut'
      ? 'It is whole, just not latched: free it, lift its lance, and seat it again until it clicks.'
      : `The right wire in the wrong cavity: free it, look at its lance, and seat it in cavity ${place.cavity} of ${at.node?.name ?? place.nodeId}, as the pinout has it.`,
  );
  return { way, decided: { cavity: work(at, way, { acts: ['correct'] }) } };
}

/** Soldered to the pin and potted, where no mating part is to be had; never in vapour. */
export function solderToPin(at: At): Candidate {
  const { input } = at;
  const solder = findPart(input.catalogue, (parts) =>
    mostOf(partsOf(parts, 'solder').filter((part) => part.core === 'rosin')),
  );
  const potting = findPart(input.catalogue, (parts) => mostOf(partsOf(parts, 'potting')));
  const iron = toolThat(input.catalogue.tools, 'solder', areaMm2(input.circuit.wire.size));
  const lacks = [
    ...(solder?.onShelf ? [] : [solder ? lackOf(solder.part) : lackNamed('rosin-core solder')]),
    ...(potting?.onShelf ? [] : [potting ? lackOf(potting.part) : lackNamed('potting compound')]),
    ...(iron ? [] : [lackNamed('a soldering iron')]),
  ];
  const cost = {
    splices: 0,
    minutes: ACT_MINUTES.solderToPin,
    wireMm: 3,
    parts: [solder?.part.name, potting?.part.name].filter((name) => name !== undefined),
  };
  const vapour = input.run.zone.fuelVapour;
  const way: RankedWay = isAluminium(input.circuit.wire)
    ? {
        way: 'solderToPin',
        status: 'refused',
        ruleId: 'wire.aluminium',
        cost,
        lacks: [],
        because: 'The wire is aluminium: it is never soldered to a pin for copper.',
      }
    : vapour
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
              : 'Soldered to the pin and potted, with the back held fast so that nothing can move: the one soldered joint that every practice allows.',
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
