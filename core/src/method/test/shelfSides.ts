import { FULL_SHELF, lackNamed, type Part } from '../../catalogue/index.ts';
import type { MethodCase } from '../types.ts';
import { BENCH_SOLDER, CRIMP_ONLY } from '../../practice/index.ts';
import { wire } from '../../test/samples.ts';
import { built, caseOf, hand, ratchet, sleeve, twoOf, type Sides } from './caseOf.ts';

const ALUMINIUM = wire(16, { conductor: { kind: 'stranded', metal: 'aluminium' } });

/** A sealed butt whose part is listed on the shelf so. */
const usesPart = (id: string, more: Partial<Part>): MethodCase => {
  const where = caseOf('sealedButt', { joint: { usesPartIds: [id] } });
  const part = { ...FULL_SHELF.parts.find((one) => one.id === id)!, ...more } as Part;
  return { ...where, facts: { ...where.facts, byId: new Map([[id, part]]) } };
};

/** Both sides of every rule about practice, shelf, sleeve and care. */
export const SHELF_SIDES: Sides = {
  'wire.aluminium': [
    [/aluminium: no copper part/, caseOf('sealedButt', { site: { wire: ALUMINIUM } }), caseOf('sealedButt')],
    [/aluminium/, caseOf('wrappedSolder', { site: { farWire: ALUMINIUM } }), caseOf('wrappedSolder')],
    [/aluminium/, caseOf('heavySleeve', { site: { branchWires: [ALUMINIUM] } })],
    [/aluminium/, caseOf('heavySleeve', { site: { insertWire: ALUMINIUM } })],
  ],
  'practice.crimpOnly': [
    [
      /crimp only/,
      caseOf('wrappedSolder', { practice: CRIMP_ONLY }),
      caseOf('wrappedSolder'),
      caseOf('clipSleeve', { practice: CRIMP_ONLY }),
    ],
    [/crimp only/, caseOf('solderSleeve', { practice: CRIMP_ONLY })],
  ],
  'practice.solderStillAndDry': [
    [
      /crimp first allows solder only where it is still and dry/,
      caseOf('wrappedSolder', { zone: { moisture: 'damp' } }),
      caseOf('wrappedSolder'),
      caseOf('wrappedSolder', { zone: { moisture: 'damp' }, practice: BENCH_SOLDER }),
      caseOf('clipSleeve', { zone: { moisture: 'damp' } }),
    ],
  ],
  'sleeve.cannotSlide': [
    [
      /The sleeve is 30 mm and there is only 29 mm/,
      caseOf('clipSleeve', { joint: sleeve(30), case: { freeMm: 29 } }),
      caseOf('clipSleeve', { joint: sleeve(30), case: { freeMm: 30 } }),
      caseOf('sealedButt', { case: { freeMm: 1 } }),
    ],
    [
      /The sleeve is 40 mm and there is only 39 mm/,
      twoOf('clipSleeve', sleeve(40), sleeve(30), { case: { freeMm: 39 } }),
      twoOf('clipSleeve', sleeve(40), sleeve(30), { case: { freeMm: 40 } }),
    ],
  ],
  'shelf.part': [
    [
      /Not on the shelf: Clip L/,
      caseOf('clipSleeve', { case: { missingParts: [lackNamed('Clip L')] } }),
      caseOf('clipSleeve'),
    ],
  ],
  'shelf.tool': [
    [
      /There is no crimper for open clips and no hot-air gun for this size/,
      caseOf('clipSleeve', { case: { missingTasks: ['crimpClip', 'hotAir'] } }),
      caseOf('clipSleeve'),
    ],
  ],
  'tool.hand': [
    [
      /Pliers has no ratchet/,
      caseOf('clipSleeve', { case: { tools: [hand] } }),
      caseOf('clipSleeve', { case: { tools: [ratchet] } }),
      caseOf('clipSleeve', { case: { tools: [{ ...hand, tasks: ['hotAir'] }] } }),
    ],
    [/Pliers/, caseOf('clipSleeve', { case: { tools: [{ ...hand, tasks: ['hotAir', 'crimpClip'] }] } })],
  ],
  'tool.calibration': [
    [
      /calibrated until 2030-05-01/,
      caseOf('clipSleeve', { case: { tools: [ratchet] }, site: { asOf: '2030-05-02' } }),
      caseOf('clipSleeve', { case: { tools: [ratchet] }, site: { asOf: '2030-05-01' } }),
      caseOf('clipSleeve', { case: { tools: [ratchet] } }),
      caseOf('clipSleeve', { case: { tools: [{ ...ratchet, ratchet: false }] }, site: { asOf: '2030-05-02' } }),
      caseOf('clipSleeve', { case: { tools: [{ ...ratchet, tasks: ['hotAir'] }] }, site: { asOf: '2030-05-02' } }),
    ],
    [
      /was never calibrated/,
      caseOf('clipSleeve', {
        case: { tools: [{ ...ratchet, calibratedUntil: undefined }] },
        site: { asOf: '2030-05-02' },
      }),
      caseOf('clipSleeve', { case: { tools: [{ ...ratchet, calibratedUntil: undefined }] } }),
    ],
  ],
  'part.colour': [
    [
      /is yellow, which by convention is large/,
      usesPart('sealedButt-middle', { colour: 'yellow' }),
      usesPart('sealedButt-middle', { colour: 'blue' }),
      usesPart('sealedButt-middle', { colour: undefined }),
      caseOf('sealedButt'),
    ],
  ],
  'sleeve.park': [
    [
      /Only 59 mm to park the sleeve \(60 wanted\)/,
      caseOf('clipSleeve', { joint: sleeve(30), case: { freeMm: 59 } }),
      caseOf('clipSleeve', { joint: sleeve(30), case: { freeMm: 60 } }),
      caseOf('clipSleeve', { joint: sleeve(30), case: { freeMm: 29 } }),
      caseOf('sealedButt', { case: { freeMm: 1 } }),
    ],
    [
      /Only 129 mm to park the sleeve \(130 wanted\)/,
      caseOf('wrappedSolder', { joint: sleeve(30), case: { freeMm: 129 } }),
      caseOf('wrappedSolder', { joint: sleeve(30), case: { freeMm: 130 } }),
    ],
    [/Only 30 mm/, caseOf('clipSleeve', { joint: sleeve(30), case: { freeMm: 30 } })],
  ],
  'fold.missing': [
    [/goes in single/, caseOf('sealedButt', { joint: { foldMissing: true } }), caseOf('sealedButt')],
    [/goes in single/, twoOf('sealedButt', {}, { foldMissing: true })],
  ],
  'sleeve.buildUp': [
    [
      /Build the thinner jacket up with Short sleeve/,
      caseOf('clipSleeve', { joint: built }),
      caseOf('clipSleeve', { joint: sleeve(30) }),
      caseOf('sealedButt'),
    ],
    [
      /Build the wires of both sides up with Short sleeve/,
      twoOf('clipSleeve', sleeve(30), {
        seal: { ...built.seal, buildUp: { partId: 'b', name: 'Short sleeve', cutMm: 20, side: 'both' } } as never,
      }),
    ],
  ],
  'solid.vibrating': [
    [
      /Solid wire does not belong/,
      caseOf('sealedButt', {
        zone: { vibration: 'moderate' },
        site: { wire: wire(1.5, { conductor: { kind: 'solid' } }) },
      }),
      caseOf('sealedButt', { zone: { vibration: 'low' }, site: { wire: wire(1.5, { conductor: { kind: 'solid' } }) } }),
      caseOf('sealedButt', { zone: { vibration: 'high' } }),
    ],
    [
      /Solid wire/,
      caseOf('sealedButt', {
        zone: { vibration: 'high' },
        site: { farWire: wire(1.5, { conductor: { kind: 'solid' } }) },
      }),
    ],
    [
      /Solid wire/,
      caseOf('clipSleeve', {
        zone: { vibration: 'high' },
        site: { branchWires: [wire(1, { conductor: { kind: 'solid' } })] },
      }),
    ],
  ],
  'care.lowLevel': [
    [
      /four leads, at most/,
      caseOf('clipSleeve', { site: { circuitKind: 'lowLevel' } }),
      caseOf('clipSleeve'),
      caseOf('clipSleeve', { site: { circuitKind: 'lowLevel' }, case: { joints: [] } }),
    ],
  ],
  'care.pair': [
    [
      /at most 50 mm untwisted, twisted again at 33–50 turns/,
      caseOf('clipSleeve', { site: { circuitKind: 'data' } }),
      caseOf('clipSleeve'),
    ],
  ],
  'care.shield': [
    [/Join the shield by itself/, caseOf('clipSleeve', { site: { circuitKind: 'shielded' } }), caseOf('clipSleeve')],
  ],
  'care.pulsed': [[/at most 50 mV/, caseOf('clipSleeve', { site: { circuitKind: 'ignition' } }), caseOf('clipSleeve')]],
  'care.stepUp': [
    [
      /is 3 sizes above the 1.5 it replaces/,
      caseOf('clipSleeve', { site: { insertStepsUp: 3 }, case: { splices: 2 } }),
      caseOf('clipSleeve', { site: { insertStepsUp: 2 }, case: { splices: 2 } }),
      caseOf('clipSleeve', { site: { insertStepsUp: 3 } }),
    ],
  ],
};
