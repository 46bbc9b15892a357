import { facts } from '../../test/samples.ts';
import { caseOf, rated, sleeve, type Sides } from './caseOf.ts';

/** Both sides of every rule about the place. */
export const PLACE_SIDES: Sides = {
  'solder.vibrating': [
    [
      /vibrates|shakes/,
      caseOf('wrappedSolder', { zone: { vibration: 'moderate' } }),
      caseOf('wrappedSolder', { zone: { vibration: 'low' } }),
      caseOf('clipSleeve', { zone: { vibration: 'high' } }),
    ],
    [/breaks beside it/, caseOf('solderSleeve', { zone: { vibration: 'high' } }), caseOf('solderSleeve')],
  ],
  'solder.flexing': [
    [
      /^Hinge bends in use/,
      caseOf('lapSolder', { site: { flexing: 'Hinge' } }),
      caseOf('lapSolder'),
      caseOf('sealedButt', { site: { flexing: 'Hinge' } }),
    ],
  ],
  'solder.hot': [
    [
      /reach 126 °C; a soldered joint is rated 125/,
      caseOf('wrappedSolder', { site: { placeC: 126 } }),
      caseOf('wrappedSolder', { site: { placeC: 125 } }),
      caseOf('clipSleeve', { site: { placeC: 126 } }),
    ],
  ],
  'vapour.iron': [
    [
      /no iron and no flame/,
      caseOf('wrappedSolder', { zone: { fuelVapour: true }, site: { vapourAired: true } }),
      caseOf('wrappedSolder'),
      caseOf('solderSleeve', { zone: { fuelVapour: true } }),
      caseOf('clipSleeve', { zone: { fuelVapour: true } }),
    ],
    [
      /no iron/,
      caseOf('windowSolderWrap', { zone: { fuelVapour: true } }),
      caseOf('windowClipWrap', { zone: { fuelVapour: true } }),
    ],
  ],
  'vapour.hotAir': [
    [
      /waits until the zone is aired/,
      caseOf('sealedButt', { zone: { fuelVapour: true } }),
      caseOf('sealedButt', { zone: { fuelVapour: true }, site: { vapourAired: true } }),
      caseOf('sealedButt'),
      caseOf('clipWrap', { zone: { fuelVapour: true } }),
      caseOf('wrappedSolder', { zone: { fuelVapour: true } }),
    ],
  ],
  'seal.wrapInWet': [
    [
      /tape does not seal/,
      caseOf('clipWrap', { zone: { moisture: 'damp' } }),
      caseOf('clipWrap'),
      caseOf('clipSleeve', { zone: { moisture: 'wet' } }),
      caseOf('clipWrap', { zone: { moisture: 'wet', fuelVapour: true } }),
    ],
    [
      /tape does not seal/,
      caseOf('clipWrap', { zone: { moisture: 'wet', fuelVapour: true }, site: { vapourAired: true } }),
    ],
  ],
  'seal.wrapInDry': [
    [
      /The wire is cut, so a sleeve can be slid on/,
      caseOf('clipWrap'),
      caseOf('clipSleeve'),
      caseOf('clipWrap', { zone: { moisture: 'damp' } }),
      caseOf('clipWrap', { zone: { fuelVapour: true } }),
      caseOf('clipWrap', { site: { placeC: 126 } }),
    ],
    [/The wire is cut/, caseOf('plainWrap', { site: { placeC: 125 } })],
    [/An end can be freed/, caseOf('windowClipWrap', { site: { freedEndMm: 5 } }), caseOf('windowClipWrap')],
  ],
  'seal.missing': [
    [
      /this joint has no seal/,
      caseOf('piercingTap', { zone: { moisture: 'damp' } }),
      caseOf('piercingTap'),
      caseOf('cap', { zone: { moisture: 'wet' } }),
      caseOf('clipWrap', { zone: { moisture: 'wet' } }),
    ],
  ],
  'rated.under': [
    [
      /^Part is rated 105 °C; ambient and own heating reach 106/,
      caseOf('sealedButt', { joint: rated(105), site: { placeC: 106 } }),
      caseOf('sealedButt', { joint: rated(105), site: { placeC: 105 } }),
    ],
  ],
  'seal.singleWall': [
    [
      /Sleeve has no glue/,
      caseOf('clipSleeve', { joint: sleeve(30, false), zone: { moisture: 'damp' } }),
      caseOf('clipSleeve', { joint: sleeve(30, false) }),
      caseOf('clipSleeve', { joint: sleeve(30), zone: { moisture: 'damp' } }),
    ],
  ],
  'place.thick': [
    [
      /^Its body is 6.1 mm thick and the conduit leaves/,
      caseOf('sealedButt', { joint: { bodyDiameterMm: 6.1 }, site: { conduitMarginMm: 6 - facts(1.5).jacketMm } }),
      caseOf('sealedButt', { joint: { bodyDiameterMm: 6 }, site: { conduitMarginMm: 6 - facts(1.5).jacketMm } }),
      caseOf('sealedButt', { joint: { bodyDiameterMm: 99 } }),
    ],
    [/the conduit leaves 0/, caseOf('sealedButt', { site: { conduitMarginMm: -50 } })],
  ],
  'cap.place': [
    [
      /open at one end/,
      caseOf('cap', { zone: { moisture: 'damp' } }),
      caseOf('cap'),
      caseOf('cap', { zone: { vibration: 'low' } }),
      caseOf('sealedButt', { zone: { moisture: 'damp' } }),
    ],
    [/only where it is dry and still/, caseOf('cap', { zone: { vibration: 'moderate' } })],
  ],
  'cap.sensitive': [
    [
      /^A low-level circuit: a cap's resistance wanders/,
      caseOf('cap', { site: { circuitKind: 'lowLevel' } }),
      caseOf('cap', { site: { circuitKind: 'signal' } }),
      caseOf('clipSleeve', { site: { circuitKind: 'lowLevel' } }),
    ],
    [
      /^A data circuit/,
      caseOf('cap', { site: { circuitKind: 'data' } }),
      caseOf('cap', { site: { circuitKind: 'ground' } }),
    ],
    [/^A shielded circuit/, caseOf('cap', { site: { circuitKind: 'shielded' } })],
  ],
  'window.mainUncut': [
    [
      /main wire must stay whole/,
      caseOf('sealedButt', { site: { mainUncut: true } }),
      caseOf('sealedButt'),
      caseOf('windowClipWrap', { site: { mainUncut: true } }),
      caseOf('piercingTap', { site: { mainUncut: true } }),
    ],
  ],
  'window.noFreeEnd': [
    [
      /no end can be freed/,
      caseOf('windowClipSleeve'),
      caseOf('windowClipSleeve', { site: { freedEndMm: 4 } }),
      caseOf('windowClipWrap'),
      caseOf('clipSleeve'),
    ],
  ],
  'tap.permanent': [
    [
      /^A piercing tap loses contact and lets water in: never as a permanent/,
      caseOf('piercingTap'),
      caseOf('piercingTap', { site: { temporaryUntil: '2030-01-01' } }),
      caseOf('cap'),
    ],
  ],
};
