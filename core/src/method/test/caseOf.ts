import { FULL_SHELF, type Tool } from '../../catalogue/index.ts';
import { familyOf, methodById, type MethodId, type SizedJoint } from '../../family/index.ts';
import type { Zone } from '../../harness/index.ts';
import { CRIMP_FIRST, type Practice } from '../../practice/index.ts';
import { DRY_CABIN, wire } from '../../test/samples.ts';
import { jointsWanted } from '../wanted.ts';
import type { MethodCase, Site } from '../types.ts';

const SITE: Site = {
  circuitKind: 'power',
  duty: 'join',
  wire: wire(1.5),
  farWire: wire(1.5),
  branchWires: [],
  insertWire: wire(1.5),
  insertStepsUp: 0,
  zone: DRY_CABIN,
  placeC: 40,
  vapourAired: false,
  lost: { fromMm: 100, toMm: 110 },
  slackMm: 30,
  slackKnown: true,
  keepOuts: [],
  freeLeftMm: 400,
  freeRightMm: 400,
  twoRequired: false,
};

interface Put {
  readonly zone?: Partial<Zone>;
  readonly site?: Partial<Site>;
  readonly joint?: Partial<SizedJoint>;
  readonly practice?: Practice;
  readonly case?: Partial<MethodCase>;
}

/** A method at a place, as the rules see it. */
export function caseOf(id: MethodId, put: Put = {}): MethodCase {
  const method = methodById(id);
  const practice = put.practice ?? CRIMP_FIRST;
  const site: Site = { ...SITE, ...put.site, zone: { ...DRY_CABIN, ...put.zone } };
  const wires = jointsWanted(site, 1);
  const sized = method.size({ wires: wires[0]!, duty: site.duty, parts: FULL_SHELF.parts, practice });
  const joint = sized.ok ? sized.joints[0] : undefined;
  return {
    method,
    family: familyOf(id),
    site,
    practice,
    catalogue: FULL_SHELF,
    facts: { byId: new Map(), bestSleeveC: 125, bores: [] },
    wires,
    joints: joint ? [{ ...joint, ...put.joint }] : [],
    splices: 1,
    freeMm: 400,
    tools: [],
    missingTasks: [],
    missingParts: [],
    passed: [],
    ...put.case,
  };
}
export const hand: Tool = { id: 't', name: 'Pliers', tasks: ['crimpClip'], ratchet: false };
export const ratchet: Tool = { ...hand, ratchet: true, calibratedUntil: '2030-05-01' };
export const sleeve = (cutMm: number, adhesive = true): Partial<SizedJoint> => ({
  seal: {
    kind: 'sleeve',
    partId: 's',
    name: 'Sleeve',
    suppliedIdMm: 6,
    recoveredIdMm: 2,
    cutMm,
    passesMm: 4,
    gripsMm: 3,
    adhesive,
  },
});
export const built: Partial<SizedJoint> = {
  seal: {
    ...sleeve(30).seal!,
    buildUp: { partId: 'b', name: 'Short sleeve', cutMm: 20, side: 'left' },
  } as SizedJoint['seal'],
};
/** The same method with two joints, each with what is said of it. */
export const twoOf = (
  id: MethodId,
  first: Partial<SizedJoint>,
  second: Partial<SizedJoint>,
  put: Put = {},
): MethodCase => {
  const where = caseOf(id, put);
  return { ...where, splices: 2, joints: [first, second].map((more) => ({ ...where.joints[0]!, ...more })) };
};
export const rated = (ratedC: number): Partial<SizedJoint> => ({ rated: [{ name: 'Part', ratedC }] });

/** Of every rule a place where it speaks, what it says there, and the places nearest to it where it does not. */
export type Sides = Readonly<
  Record<string, readonly (readonly [says: RegExp, spoken: MethodCase, ...silent: MethodCase[]])[]>
>;
