import { FULL_SHELF, type Catalogue, type Part } from '../../catalogue/index.ts';
import type { Finding } from '../../damage/index.ts';
import { BENCH_SOLDER, CRIMP_ONLY } from '../../practice/index.ts';
import { DRY_CABIN, shelfWithout, WET_SHAKING, wire, type CaseOptions } from '../../test/samples.ts';
import type { WireSpec } from '../../wire/index.ts';

/*
 * Circuits with the answer that the printed tables give, worked out by hand: approach, method, part, strip on both
 * sides.
 */
const awg = (gauge: number, more: Partial<WireSpec> = {}): WireSpec =>
  wire(1, { size: { basis: 'awg', awg: gauge }, ...more });
const trade = (gauge: number): WireSpec => wire(1, { size: { basis: 'trade', awg: gauge } });
export const solid = (gauge: number): WireSpec => awg(gauge, { conductor: { kind: 'solid' } });
const only = (...kinds: Part['kind'][]): Catalogue => ({
  ...FULL_SHELF,
  parts: FULL_SHELF.parts.map((part) => (kinds.includes(part.kind) ? part : { ...part, quantity: 0 })),
});
export const SLACK: Partial<Finding> = { slackMm: 60 };
export const DAMP = { ...DRY_CABIN, moisture: 'damp' as const };
export const VAPOUR = { ...DAMP, fuelVapour: true };

interface Case {
  readonly why: string;
  readonly wire: WireSpec;
  readonly far?: WireSpec;
  readonly finding?: Partial<Finding>;
  readonly options?: CaseOptions;
  readonly kind?: 'power' | 'signal' | 'lowLevel' | 'data' | 'ground';
  readonly approach?: string;
  readonly method: string;
  readonly part?: string;
  readonly strips?: readonly [number, number];
}

export const WET: CaseOptions = { zone: WET_SHAKING };
export const CASES: readonly Case[] = [
  {
    why: '0.13 alone in the extra small',
    wire: wire(0.13),
    options: WET,
    method: 'sealedButt',
    part: 'sealedButt-extra small',
    strips: [6, 6],
  },
  {
    why: '0.35 is in two ranges: the lower upper limit',
    wire: wire(0.35),
    options: WET,
    method: 'sealedButt',
    part: 'sealedButt-extra small',
    strips: [6, 6],
  },
  { why: '0.5', wire: wire(0.5), options: WET, method: 'sealedButt', part: 'sealedButt-small', strips: [7, 7] },
  { why: '1.0 is still small', wire: wire(1), options: WET, method: 'sealedButt', part: 'sealedButt-small' },
  { why: 'trade 16 is 1.0', wire: trade(16), options: WET, method: 'sealedButt', part: 'sealedButt-small' },
  { why: 'true AWG 16 is 1.31', wire: awg(16), options: WET, method: 'sealedButt', part: 'sealedButt-middle' },
  { why: 'AWG 14', wire: awg(14), options: WET, method: 'sealedButt', part: 'sealedButt-middle' },
  { why: 'AWG 12', wire: awg(12), options: WET, method: 'sealedButt', part: 'sealedButt-large' },
  { why: '6', wire: wire(6), options: WET, method: 'sealedButt', part: 'sealedButt-large', strips: [7, 7] },
  {
    why: 'sensor in the wet: the seal is built in',
    wire: wire(0.5),
    kind: 'lowLevel',
    options: WET,
    method: 'sealedButt',
  },
  {
    why: 'sensor, dry, but the lap is not there: fewest splices first',
    wire: wire(0.5),
    kind: 'lowLevel',
    finding: { slackMm: 14 },
    method: 'sealedButt',
    approach: 'oneSplice',
  },
  { why: 'data 0.35, dry', wire: wire(0.35), kind: 'data', method: 'clipSleeve', part: 'clip-S', strips: [8, 8] },
  { why: 'sensor of 0.75 is over the thin ones', wire: wire(0.75), kind: 'lowLevel', method: 'sealedButt' },
  {
    why: 'dry and tight',
    wire: wire(1.5),
    options: { conduitInsideMm: 3.5 },
    method: 'clipSleeve',
    part: 'clip-L',
    strips: [10, 10],
  },
  {
    why: 'no middle butts',
    wire: wire(1.5),
    options: { ...WET, catalogue: shelfWithout('sealedButt-middle') },
    method: 'clipSleeve',
    part: 'clip-L',
  },
  {
    why: 'neither butts nor clips',
    wire: wire(1.5),
    options: { ...WET, catalogue: only('plainButt', 'sleeve') },
    method: 'plainSleeve',
    part: 'plainButt-middle',
    strips: [7, 7],
  },
  {
    why: '4 + 4 in a clip for many wires where nothing else is',
    wire: wire(4),
    options: { ...WET, catalogue: only('multiClip', 'clip', 'sleeve') },
    method: 'multiClipSleeve',
    part: 'multiClip-4–8',
    strips: [14, 14],
  },
  {
    why: '0.5 to 0.75: one barrel holds both',
    wire: wire(0.5),
    far: wire(0.75),
    method: 'sealedButt',
    part: 'sealedButt-small',
  },
  {
    why: '0.75 to 1.5: none holds both',
    wire: wire(0.75),
    far: wire(1.5),
    method: 'stepDown',
    part: 'stepDown-small–middle',
    strips: [7, 7],
  },
  { why: '1.0 to 1.5', wire: wire(1), far: wire(1.5), options: WET, method: 'stepDown', part: 'stepDown-small–middle' },
  {
    why: '4 to 2.5, the thick one first',
    wire: wire(4),
    far: wire(2.5),
    options: WET,
    method: 'stepDown',
    part: 'stepDown-middle–large',
  },
  {
    why: '0.35 to 1.0: small holds both',
    wire: wire(0.35),
    far: wire(1),
    options: WET,
    method: 'sealedButt',
    part: 'sealedButt-small',
  },
  {
    why: '0.22 to 0.5: no barrel, no step-down, so a clip before a fold',
    wire: wire(0.22),
    far: wire(0.5),
    options: WET,
    method: 'clipSleeve',
    part: 'clip-S',
  },
  {
    why: '0.75 to 1.5 without step-downs',
    wire: wire(0.75),
    far: wire(1.5),
    options: { ...WET, catalogue: only('sealedButt', 'clip', 'sleeve') },
    method: 'clipSleeve',
    part: 'clip-L',
  },
  {
    why: '0.22 below every butt: a clip holds it unfolded, which goes first',
    wire: wire(0.22),
    options: { ...WET, catalogue: shelfWithout('sealedButt-extra small') },
    method: 'clipSleeve',
    part: 'clip-S',
  },
  {
    why: '0.22 below every range on the shelf is doubled',
    wire: wire(0.22),
    options: {
      ...WET,
      catalogue: shelfWithout(
        ...FULL_SHELF.parts
          .filter((part) => part.kind !== 'sealedButt' || part.id === 'sealedButt-extra small')
          .map((part) => part.id),
      ),
    },
    method: 'sealedButt',
    part: 'sealedButt-small',
    strips: [14, 14],
  },
  {
    why: 'solid AWG 22',
    wire: solid(22),
    kind: 'signal',
    method: 'sealedButt',
    part: 'sealedButt-small',
    strips: [14, 14],
  },
  {
    why: 'solid AWG 18 doubled is 1.65',
    wire: solid(18),
    kind: 'signal',
    method: 'sealedButt',
    part: 'sealedButt-middle',
    strips: [14, 14],
  },
  {
    why: 'solid AWG 14 doubled is 4.16',
    wire: solid(14),
    kind: 'signal',
    method: 'sealedButt',
    part: 'sealedButt-large',
    strips: [14, 14],
  },
  {
    why: 'solid AWG 12 doubled is too thick for the bore: single, with a warning',
    wire: solid(12),
    kind: 'signal',
    method: 'sealedButt',
    part: 'sealedButt-large',
    strips: [7, 7],
  },
  {
    why: 'bench, 4 mm²: interlaced above what wraps',
    wire: wire(4),
    options: { practice: BENCH_SOLDER },
    method: 'interlacedSolder',
    strips: [12, 12],
  },
  {
    why: 'bench, 0.35',
    wire: wire(0.35),
    options: { practice: BENCH_SOLDER },
    method: 'wrappedSolder',
    strips: [15, 15],
  },
  {
    why: 'bench, damp and still: sealed places as well',
    wire: wire(1.5),
    options: { practice: BENCH_SOLDER, zone: DAMP },
    method: 'wrappedSolder',
  },
  { why: 'bench, shaking', wire: wire(1.5), options: { practice: BENCH_SOLDER, ...WET }, method: 'sealedButt' },
  { why: 'crimp only', wire: wire(1.5), options: { practice: CRIMP_ONLY }, method: 'sealedButt' },
  {
    why: 'only solder-and-seal sleeves, still and dry',
    wire: wire(0.75),
    options: { catalogue: only('solderSleeve') },
    method: 'solderSleeve',
    part: 'solderSleeve-0.5–1.5',
    strips: [8, 8],
  },
  {
    why: 'only caps, still and dry',
    wire: wire(1),
    options: { catalogue: only('cap') },
    method: 'cap',
    part: 'cap-small',
    strips: [9, 9],
  },
  {
    why: 'three wires, 1.5 in all',
    wire: wire(0.5),
    finding: { kind: 'addCircuit', branchWires: [wire(0.5)] },
    method: 'clipSleeve',
    part: 'clip-M',
  },
  {
    why: 'three wires, 3.0 in all: the splice clip closes tighter',
    wire: wire(1),
    finding: { kind: 'addCircuit', branchWires: [wire(1)] },
    method: 'clipSleeve',
    part: 'clip-L',
  },
  {
    why: 'three wires, 7.5 in all',
    wire: wire(2.5),
    finding: { kind: 'addCircuit', branchWires: [wire(2.5)] },
    method: 'multiClipSleeve',
    part: 'multiClip-4–8',
  },
  {
    why: 'four wires, 10 in all',
    wire: wire(2.5),
    finding: { kind: 'addCircuit', branchWires: [wire(2.5), wire(2.5)] },
    method: 'multiClipSleeve',
    part: 'multiClip-8–14',
  },
  {
    why: 'three wires, no clips: two in one end',
    wire: wire(1.5),
    finding: { kind: 'addCircuit', branchWires: [wire(0.75)] },
    options: { catalogue: only('sealedButt') },
    method: 'sealedButt',
    part: 'sealedButt-middle',
  },
  {
    why: 'a clamp-on tap becomes the three-end splice that it should have been',
    wire: wire(1),
    finding: { kind: 'poorRepair', sort: 'clampTap', branchWires: [wire(0.5)] },
    method: 'clipSleeve',
    part: 'clip-L',
  },
  {
    why: 'vapour, not aired: wrapped clip',
    wire: wire(0.75),
    kind: 'signal',
    options: { zone: VAPOUR },
    method: 'clipWrap',
    part: 'clip-M',
  },
  {
    why: 'dry and over what sleeves stand',
    wire: wire(1.5, { jacket: { material: 'ptfe', wall: 'thin' } }),
    kind: 'signal',
    options: { zone: { ...DRY_CABIN, ambientC: 140 } },
    method: 'clipWrap',
  },
  {
    why: 'one of 19 strands, signal: cut out first',
    wire: wire(0.75),
    kind: 'signal',
    finding: { kind: 'strandsLost', strandsLost: 1, strandsTotal: 19 },
    method: 'sealedButt',
    approach: 'oneSplice',
  },
  {
    why: 'jacket over 50',
    wire: wire(1.5),
    finding: { kind: 'jacketRubbed', fromMm: 480, toMm: 540, slackMm: 80 },
    options: WET,
    method: 'sealedButt',
    approach: 'oneSplice',
  },
];
