import { findPart, notOnShelf, partsOf, type Lack } from '../../catalogue/index.ts';
import { identityInWords } from '../../connector/index.ts';
import type { Stretch } from '../../damage/index.ts';
import type { HarnessNode } from '../../harness/index.ts';
import { byPreference, leadAt, pigtailWire } from '../../sizing/index.ts';
import { deciding } from '../../method/index.ts';
import type { PigtailPart } from '../../stock/index.ts';
import { figure } from '../../units/index.ts';
import { areaMm2, isSmaller, NEVER_SMALLER_SHARE, ratedC, type WireSpec } from '../../wire/index.ts';
import type { Ask } from '../askTypes.ts';
import type { DecideInput, Electrical, RankedWay } from '../types.ts';
import {
  familyAsks,
  hasWays,
  isOfFamily,
  lackFor,
  otherConnector,
  wiresAt,
  type Bar,
  type OldWire,
} from './belongs.ts';
import { leadFrom, NO_ROOM, SPLICE_MINUTES, startsAt, type Lead } from './lead.ts';

/** A pigtail held against the connector: what bars it, what is to be watched, the copper of the wires that are used. */
interface Judged {
  readonly part: PigtailPart;
  readonly bar?: Bar | undefined;
  readonly warnings: readonly string[];
  readonly usedMm2: number;
}

/** A pigtail's way judged, with its part, its lead for this circuit, and what goes with it. */
export interface PigtailWay {
  readonly way: RankedWay;
  readonly part?: PigtailPart | undefined;
  readonly lead?: Lead | undefined;
  readonly warnings: readonly string[];
  readonly passed: readonly string[];
  readonly asks: readonly Ask[];
}

/** A pigtail's own wire at a cavity against the wire that it replaces. */
function wireBar(part: PigtailPart, { circuit, cavity, placeC }: OldWire): Bar | undefined {
  const lead = leadAt(part, cavity);
  const old = areaMm2(circuit.wire.size);
  if (!lead)
    return {
      ruleId: 'way.noPigtail',
      because: `${part.name} has no wire in cavity ${cavity}, where circuit ${circuit.number} sits.`,
      allowedIf: `it had a wire in cavity ${cavity}`,
    };
  if (lead.areaMm2 < NEVER_SMALLER_SHARE * old - 1e-12)
    return {
      ruleId: 'wire.smaller',
      because: `${part.name}: ${figure(lead.areaMm2)} mm² in cavity ${cavity}, and circuit ${circuit.number} has ${figure(old)}.`,
      allowedIf: `that wire had ${figure(old)} mm²`,
    };
  const stands = Math.min(part.ratedC, lead.ratedC ?? part.ratedC);
  return stands < placeC
    ? {
        ruleId: 'rated.under',
        because: `${part.name}: its wire in cavity ${cavity} is rated ${figure(stands, 0)} °C, and the place reaches ${figure(placeC, 0)}.`,
        allowedIf: `it were rated ${figure(Math.ceil(placeC), 0)} °C or more`,
      }
    : undefined;
}

/** A wire of a lower heat class than the old one is used, and said. */
function cooler(part: PigtailPart, { circuit, cavity }: OldWire): readonly string[] {
  const stands = leadAt(part, cavity)?.ratedC ?? part.ratedC;
  const before = ratedC(circuit.wire);
  return stands < before
    ? [
        `The pigtail’s wire in cavity ${cavity} is rated ${figure(stands, 0)} °C, the old one of circuit ${circuit.number} ${figure(before, 0)}: keep it off what is hot.`,
      ]
    : [];
}

const judge = (part: PigtailPart, node: HarnessNode, wires: readonly OldWire[]): Judged => {
  const bars = [otherConnector(part, node), ...wires.map((wire) => wireBar(part, wire))];
  return {
    part,
    bar: bars.find((bar) => bar !== undefined),
    warnings: wires.flatMap((wire) => cooler(part, wire)),
    usedMm2: wires.reduce((sum, { cavity }) => sum + (leadAt(part, cavity)?.areaMm2 ?? 0), 0),
  };
};

const bySize = byPreference(({ part, usedMm2 }: Judged & { readonly id: string; readonly quantity: number }) => ({
  upperLimitMm2: usedMm2,
  diameterMm: part.ways,
  lengthMm: 0,
}));

/**
 * The pigtails with the connector's cavities, best first: known to be of its family, no lower heat class, the least
 * copper.
 */
function judged(parts: readonly PigtailPart[], node: HarnessNode, wires: readonly OldWire[]): readonly Judged[] {
  const doubt = ({ part }: Judged): number => (isOfFamily(part, node) === true ? 0 : 1);
  return parts
    .filter((part) => hasWays(part, node, Math.max(1, wires.length)))
    .map((part) => ({ ...judge(part, node, wires), id: part.id, quantity: part.quantity }))
    .sort((a, b) => doubt(a) - doubt(b) || a.warnings.length - b.warnings.length || bySize(a, b));
}

/**
 * The wire that a mapping card says comes out of the pigtail for this circuit: that pigtail lies on the bench already.
 */
function mappedWire({ mappings, circuit }: DecideInput, node: HarnessNode) {
  const card = mappings.find(({ nodeId }) => nodeId === node.id);
  const join = card?.joins.find(({ circuitId }) => circuitId === circuit.id);
  return join && card?.pigtail.find(({ cavity }) => cavity === join.pigtailCavity);
}

/** Why the wire that lies on the bench may not be used for this circuit. */
function mappedBar(
  wire: NonNullable<ReturnType<typeof mappedWire>>,
  { circuit }: DecideInput,
  { placeC }: Electrical,
): Bar | undefined {
  if (isSmaller(wire.size, circuit.wire.size))
    return {
      ruleId: 'wire.smaller',
      because: `Its wire in cavity ${wire.cavity} is smaller than the circuit's own: no wire of a pigtail may be.`,
      allowedIf: 'its wires were no smaller',
    };
  return wire.ratedC !== undefined && wire.ratedC < placeC
    ? {
        ruleId: 'rated.under',
        because: `Its wire in cavity ${wire.cavity} is rated ${figure(wire.ratedC, 0)} °C, and the place reaches ${figure(placeC, 0)}.`,
        allowedIf: `it were rated ${figure(Math.ceil(placeC), 0)} °C or more`,
      }
    : undefined;
}

/** "2.5 mm² or more in 1, 2; 0.75 in 4". */
function wiresWanted(wires: readonly OldWire[]): string {
  const byArea = new Map<number, string[]>();
  for (const { circuit, cavity } of wires) {
    const area = areaMm2(circuit.wire.size);
    byArea.set(area, [...(byArea.get(area) ?? []), cavity]);
  }
  const [first, ...rest] = [...byArea].sort(([a], [b]) => b - a);
  if (!first) return '';
  const at = ([area, cavities]: readonly [number, readonly string[]], more = ''): string =>
    `${figure(area)}${more} in ${cavities.join(', ')}`;
  return [at(first, ' mm² or more'), ...rest.map((one) => at(one))].join('; ');
}

/** What would have to be ordered where no pigtail that is known will do. */
function wanted(node: HarnessNode, wires: readonly OldWire[]): Lack {
  const hottest = Math.max(...wires.map(({ placeC }) => placeC));
  const fits = [
    `${node.ways ?? wires.length}-way`,
    identityInWords(node.identity ?? {}),
    wiresWanted(wires),
    `for ${figure(Math.ceil(hottest), 0)} °C`,
  ];
  return {
    name: `Pigtail for ${node.name}`,
    number: 1,
    fits: fits.filter((words) => words !== '').join(', '),
    isUnlisted: true,
  };
}

/**
 * A pigtail judged: it fits by family, keying and cavities, and wire by wire by copper and heat; one splice for every
 * wire.
 */
export function pigtailFor(
  input: DecideInput,
  electrical: Electrical,
  node: HarnessNode,
  lost: Stretch,
  cavity: string,
): PigtailWay {
  const wires = wiresAt(input, node);
  const mapped = mappedWire(input, node);
  const of = (parts: readonly PigtailPart[]): readonly Judged[] => judged(parts, node, wires);
  const found = mapped
    ? undefined
    : findPart(input.catalogue, (parts) => of(partsOf(parts, 'pigtail')).find(({ bar }) => !bar)?.part);
  const part = found?.part;
  const there = of(partsOf(input.catalogue.parts, 'pigtail')).filter(({ part: one }) => one.quantity > 0);
  const bars = there.flatMap(({ bar }) => bar ?? []);
  const count = Math.max(1, wires.length);
  const cost = {
    splices: count,
    minutes: SPLICE_MINUTES * count,
    wireMm: 0,
    parts: [part?.name ?? 'pigtail'],
  };
  const no = ({ ruleId, because, allowedIf }: Bar, lacks: readonly Lack[] = []): PigtailWay => ({
    way: { way: 'pigtail', status: 'refused', ruleId, because, allowedIf, cost, lacks },
    warnings: [],
    passed: [],
    asks: [],
  });
  const bar = mapped && mappedBar(mapped, input, electrical);
  if (bar) return no(bar);
  if (!part && !mapped) {
    const order = wanted(node, wires);
    const none = `No known pigtail will do: ${order.fits}.`;
    return no(
      {
        ruleId: bars[0]?.ruleId ?? 'way.noPigtail',
        because: [none, ...bars.map(({ because }) => because)].join(' '),
        allowedIf: bars[0]?.allowedIf ?? 'a pigtail with wires large enough were available',
      },
      [order],
    );
  }
  const made = leadFrom(input, electrical, lost, startsAt(input, node.id), 0, {
    wire: leadWire(input, part, mapped, cavity),
    ...(part ? { mostMm: part.leadMm } : {}),
  });
  if (!made.method)
    return no({
      ruleId: deciding(made.ranked[0]?.hits ?? [])?.ruleId ?? 'place.noRoom',
      because: made.ranked[0]?.because ?? NO_ROOM,
      allowedIf: 'its wires reached a legal place',
    });
  const lacks = [
    ...(found && !found.onShelf ? [lackFor(found.part, node)] : []),
    ...(made.method.status === 'shelf' ? made.method.lacks : []),
  ];
  return {
    lead: made,
    part,
    warnings: part ? (of([part])[0]?.warnings ?? []) : [],
    passed: mapped ? [] : bars.map(({ because }) => because),
    asks: part ? familyAsks(part, node) : [],
    way: {
      way: 'pigtail',
      status: lacks.length > 0 ? 'shelf' : 'allowed',
      ruleId: 'way.pigtail',
      cost,
      lacks,
      because:
        lacks.length > 0
          ? notOnShelf(lacks)
          : `A pigtail${ofFamily(part, node)}, no wire smaller than the one it replaces: ${count === 1 ? 'one splice' : `${count} splices, one for every wire`}, mapped by cavity and never by colour.`,
    },
  };
}

const ofFamily = (part: PigtailPart | undefined, node: HarnessNode): string =>
  part && isOfFamily(part, node) === true && node.identity?.family !== undefined
    ? ` of its family, ${node.identity.family}`
    : '';

/**
 * What the pigtail's wire for this circuit is made of; nothing but a colour that nobody listed is the harness wire's.
 */
function leadWire(
  { circuit }: DecideInput,
  part: PigtailPart | undefined,
  mapped: ReturnType<typeof mappedWire>,
  cavity: string,
): WireSpec {
  if (mapped) return pigtailWire(mapped.size, mapped.colour, mapped.ratedC);
  const lead = part && leadAt(part, cavity);
  return pigtailWire(
    { basis: 'metric', areaMm2: lead?.areaMm2 ?? areaMm2(circuit.wire.size) },
    lead?.colour ?? circuit.wire.colour,
    lead?.ratedC ?? part?.ratedC,
  );
}
