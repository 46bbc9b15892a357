import { isStill, isVibrating, moistureInWords, vibrationInWords, type CircuitKind } from '../../harness/index.ts';
import { isAluminium } from '../../wire/index.ts';
import { capital, figure } from '../../units/index.ts';
import { jacketDiameterMm } from '../../wire/index.ts';
import { ratedHigher } from '../missing.ts';
import { ratedWords } from '../pick.ts';
import type { Rule } from '../types.ts';

/** Circuits that read a joint along with their signal, as they are called. */
const SENSITIVE: Partial<Record<CircuitKind, string>> = {
  lowLevel: 'low-level',
  data: 'data',
  shielded: 'shielded',
};

/** Refusals that come from the place: they hold in every practice. */
export const PLACE_RULES: readonly Rule[] = [
  {
    id: 'wire.aluminium',
    isOfWire: true,
    subject: 'wire',
    verdict: 'refuse',
    overridable: false,
    source: 'trade practice',
    allowedIf: 'the wire were copper',
    speaks: ({ site }) =>
      [site.wire, site.farWire, ...site.branchWires, site.insertWire].some(isAluminium)
        ? 'The wire is aluminium: no copper part and no solder holds it. It needs the maker’s own procedure and parts.'
        : undefined,
  },
  {
    id: 'solder.vibrating',
    subject: 'soldered joint',
    verdict: 'refuse',
    overridable: false,
    source: 'trade practice',
    allowedIf: 'the zone did not vibrate',
    speaks: ({ family, site }) =>
      family.joins === 'solder' && isVibrating(site.zone)
        ? `The run ${vibrationInWords(site.zone)}: wicked solder makes a stiff end, and the wire breaks beside it.`
        : undefined,
  },
  {
    id: 'solder.flexing',
    subject: 'soldered joint',
    verdict: 'refuse',
    overridable: false,
    source: 'trade practice',
    allowedIf: 'no part of the run bent in use',
    speaks: ({ family, site }) =>
      family.joins === 'solder' && site.flexing !== undefined
        ? `${site.flexing} bends in use: the stiff end of a soldered joint breaks on a run that moves.`
        : undefined,
  },
  {
    id: 'solder.hot',
    subject: 'soldered joint',
    verdict: 'refuse',
    overridable: false,
    source: 'trade practice: soldered joints are rated 125 °C',
    allowedIf: 'the place stayed under 125 °C',
    speaks: ({ family, site }) =>
      family.joins === 'solder' && site.placeC > 125
        ? `The place can reach ${figure(site.placeC, 0)} °C; a soldered joint is rated 125.`
        : undefined,
  },
  {
    id: 'vapour.iron',
    subject: 'iron or flame',
    verdict: 'refuse',
    overridable: false,
    source: 'trade practice',
    allowedIf: 'there were no fuel vapour',
    speaks: ({ method, site }) =>
      (method.acts.includes('iron') || method.acts.includes('flame')) && site.zone.fuelVapour
        ? 'There can be fuel vapour here: no iron and no flame, aired or not.'
        : undefined,
  },
  {
    id: 'vapour.hotAir',
    subject: 'hot air',
    verdict: 'refuse',
    overridable: false,
    source: 'trade practice',
    allowedIf: 'the zone were aired and measured, and the gate said so',
    speaks: ({ method, site }) =>
      method.acts.includes('hotAir') && !method.acts.includes('iron') && site.zone.fuelVapour && !site.vapourAired
        ? 'There can be fuel vapour here: shrinking with hot air waits until the zone is aired and measured.'
        : undefined,
  },
  {
    id: 'seal.wrapInWet',
    subject: 'wrapped seal',
    verdict: 'refuse',
    overridable: false,
    source: 'trade practice',
    allowedIf: 'vapour forbade heat here',
    speaks: ({ method, site }) =>
      method.seal === 'wrap' && site.zone.moisture !== 'dry' && (!site.zone.fuelVapour || site.vapourAired)
        ? `The run ${moistureInWords(site.zone)} and heat is allowed: tape does not seal a cut wire, an adhesive sleeve does.`
        : undefined,
  },
  {
    id: 'seal.wrapInDry',
    subject: 'wrapped seal',
    verdict: 'refuse',
    overridable: false,
    source: 'trade practice',
    allowedIf: 'no sleeve could be slid on, or none were rated for the heat of the place',
    speaks: ({ method, site, facts }) =>
      method.seal === 'wrap' &&
      site.zone.moisture === 'dry' &&
      !site.zone.fuelVapour &&
      facts.bestSleeveC >= site.placeC &&
      !(method.window && site.freedEndMm === undefined)
        ? method.window
          ? 'An end can be freed, so a sleeve can be slid on: tape is for where none can.'
          : 'The wire is cut, so a sleeve can be slid on: tape is for where none can.'
        : undefined,
  },
  {
    id: 'seal.missing',
    subject: 'open joint',
    verdict: 'refuse',
    overridable: false,
    source: 'trade practice',
    allowedIf: 'the run stayed dry',
    speaks: ({ method, family, site }) =>
      method.seal === 'none' && !family.openEnded && site.zone.moisture !== 'dry'
        ? `The run ${moistureInWords(site.zone)} and this joint has no seal.`
        : undefined,
  },
  {
    id: 'rated.under',
    subject: 'temperature',
    verdict: 'refuse',
    overridable: false,
    source: 'stamped on the part, else usual; physics of copper: own heating by its load',
    allowedIf: 'the place stayed cooler',
    speaks: ({ joints, site }) => {
      const weak = joints.flatMap((joint) => joint.rated).find((item) => item.ratedC < site.placeC);
      return weak && ratedWords(weak, site.placeC);
    },
    orders: ratedHigher,
  },
  {
    id: 'seal.singleWall',
    subject: 'single-wall sleeve',
    verdict: 'refuse',
    overridable: false,
    source: 'trade practice',
    allowedIf: 'the run stayed dry',
    speaks: ({ joints, site }) => {
      const plain = joints.map(({ seal }) => seal).find((seal) => seal.kind === 'sleeve' && !seal.adhesive);
      return plain?.kind === 'sleeve' && site.zone.moisture !== 'dry'
        ? `The run ${moistureInWords(site.zone)} and ${plain.name} has no glue: water creeps in at both ends.`
        : undefined;
    },
  },
  {
    id: 'place.thick',
    subject: 'thickness',
    verdict: 'warn',
    overridable: true,
    source: 'geometry of the harness: conduit bore less bundle',
    speaks: ({ joints, site }) => {
      if (site.conduitMarginMm === undefined) return undefined;
      const thickest = jacketDiameterMm(site.wire) + site.conduitMarginMm;
      const thick = Math.max(...joints.map((joint) => joint.bodyDiameterMm));
      return thick > thickest
        ? `Its body is ${figure(thick, 1)} mm thick and the conduit leaves ${figure(Math.max(0, thickest), 1)}: take the next conduit, or leave it open there.`
        : undefined;
    },
  },
  {
    id: 'cap.place',
    subject: 'closed-end cap',
    verdict: 'refuse',
    overridable: false,
    source: 'trade practice',
    allowedIf: 'the run stood still and dry',
    speaks: ({ family, site }) =>
      family.openEnded && (site.zone.moisture !== 'dry' || isVibrating(site.zone))
        ? `The run ${site.zone.moisture === 'dry' ? vibrationInWords(site.zone) : moistureInWords(site.zone)}: ${family.openEnded.because}, so only where it is dry and still.`
        : undefined,
  },
  {
    id: 'cap.sensitive',
    subject: 'closed-end cap',
    verdict: 'refuse',
    overridable: false,
    source: 'trade practice',
    allowedIf: 'the circuit carried power',
    speaks: ({ family, site }) => {
      const sort = SENSITIVE[site.circuitKind] ?? (site.inShield ? SENSITIVE.shielded : undefined);
      return family.openEnded && sort !== undefined ? `A ${sort} circuit: ${family.openEnded.reading}.` : undefined;
    },
  },
  {
    id: 'window.mainUncut',
    subject: 'main wire',
    verdict: 'refuse',
    overridable: false,
    source: 'trade practice',
    allowedIf: 'the main wire might be cut',
    speaks: ({ method, site }) =>
      site.mainUncut && !method.leavesWhole
        ? 'The main wire must stay whole, and this joint cuts it: bare a window on it instead.'
        : undefined,
  },
  {
    id: 'window.noFreeEnd',
    subject: 'sleeve',
    verdict: 'refuse',
    overridable: false,
    source: 'geometry of the harness',
    allowedIf: 'an end were freed',
    speaks: ({ method, site }) =>
      method.window && method.seal === 'sleeve' && site.freedEndMm === undefined
        ? 'Nothing is cut and no end can be freed, so no sleeve can be slid over the window.'
        : undefined,
  },
  {
    id: 'tap.permanent',
    subject: 'piercing tap',
    verdict: 'refuse',
    overridable: false,
    source: 'trade practice',
    allowedIf: 'it were a temporary repair with a date to come back',
    speaks: ({ family, site }) =>
      family.temporary !== undefined && site.temporaryUntil === undefined
        ? `${capital(family.temporary)}: never as a permanent repair, only as a temporary with a date.`
        : undefined,
  },
];

/** Refusals that come from the shop's school. */
export const PRACTICE_RULES: readonly Rule[] = [
  {
    id: 'practice.crimpOnly',
    subject: 'soldered joint',
    verdict: 'refuse',
    overridable: true,
    source: 'the shop’s school',
    allowedIf: 'the practice were crimp first or bench solder',
    speaks: ({ family, practice }) =>
      family.joins === 'solder' && practice.school === 'crimpOnly' ? 'The practice is crimp only.' : undefined,
  },
  {
    id: 'practice.solderStillAndDry',
    subject: 'soldered joint',
    verdict: 'refuse',
    overridable: true,
    source: 'the shop’s school',
    allowedIf: 'the run stayed dry, or the practice were bench solder',
    speaks: ({ family, practice, site }) =>
      family.joins === 'solder' &&
      practice.school === 'crimpFirst' &&
      isStill(site.zone) &&
      site.zone.moisture !== 'dry'
        ? `The run ${moistureInWords(site.zone)}: crimp first allows solder only where it is still and dry.`
        : undefined,
  },
];
