import { lackOfSize, type Lack } from '../../catalogue/index.ts';
import {
  studOf,
  isStill,
  isVibrating,
  moistureInWords,
  terminalInWords,
  vibrationInWords,
} from '../../harness/index.ts';
import { lapsed, type RuleHit, type Source, type Verdict } from '../../method/index.ts';
import { colourDisagreement } from '../../stock/index.ts';
import { bodyOf } from '../../terminal/index.ts';
import { capital, figure } from '../../units/index.ts';
import { hit, ratedHits, shelfHit } from '../hits.ts';
import type { EndCase } from './types.ts';

/** A rule about terminals: says nothing where it does not apply. */
export interface EndRule {
  readonly id: string;
  readonly subject: string;
  readonly verdict: Exclude<Verdict, 'prefer'>;
  readonly source: Source;
  readonly allowedIf?: string;
  readonly speaks: (where: EndCase) => string | undefined;
  /** Where it speaks: the part with which it would not. */
  readonly orders?: (where: EndCase) => readonly Lack[];
}

const isSoldered = ({ attach }: EndCase): boolean => attach === 'solder';
/** Terminals that one nut keeps tight. */
const MOST_UNDER_A_NUT = 4;
/** The highest that a soldered terminal stands, °C. Source: numbers, joints. */
const SOLDERED_C = 125;

/** What bars a terminal, or is to be watched at it, in the order in which it is said. */
export const END_RULES: readonly EndRule[] = [
  {
    id: 'end.use',
    subject: 'what the end is for',
    verdict: 'refuse',
    source: 'trade practice',
    allowedIf: 'the end were for something else',
    speaks: ({ form, site }) => {
      const serves = site.fitting?.use === undefined ? 0 : form.serves[site.fitting.use];
      return typeof serves === 'string' ? serves : undefined;
    },
  },
  {
    id: 'wire.aluminium',
    subject: 'wire',
    verdict: 'refuse',
    source: 'trade practice',
    allowedIf: 'the wire were copper',
    speaks: ({ site }) =>
      site.wire.aluminium
        ? 'The wire is aluminium: no terminal for copper holds it. It needs the maker’s own procedure and parts.'
        : undefined,
  },
  {
    id: 'end.solid',
    subject: 'solid wire',
    verdict: 'refuse',
    source: 'trade practice',
    allowedIf: 'the wire were stranded',
    speaks: ({ form, site }) => (site.wire.solid && typeof form.solid === 'object' ? form.solid.refused : undefined),
  },
  {
    id: 'end.amps',
    subject: 'current',
    verdict: 'refuse',
    source: 'stamped on the part, else usual: current',
    allowedIf: 'the load were less, or a terminal that carries it were available',
    speaks: ({ part, site }) =>
      part.ratedA !== undefined && site.loadA !== undefined && site.loadA > part.ratedA + 1e-9
        ? `${part.name} carries ${figure(part.ratedA, 1)} A; the load is ${figure(site.loadA, 1)}.`
        : undefined,
    orders: ({ part, site: { loadA = 0, placeC, wire } }) => [
      lackOfSize(
        capital(terminalInWords(part.family)),
        `${figure(wire.areaMm2, 3)} mm², ${figure(loadA, 1)} A or more`,
        placeC,
      ),
    ],
  },
  {
    id: 'end.sealMissing',
    subject: 'seal',
    verdict: 'refuse',
    source: 'trade practice',
    allowedIf: 'the place stayed dry',
    speaks: ({ form, seal, wantsSeal, site }) => {
      if (!wantsSeal || seal) return undefined;
      if (typeof form.sealing === 'object') return `The place ${moistureInWords(site.zone)}. ${form.sealing.refused}`;
      const jacket = figure(site.wire.jacketMm);
      return form.sealing === 'wireSeal'
        ? `No wire seal takes a jacket of ${jacket} mm.`
        : `The place ${moistureInWords(site.zone)}, and no adhesive sleeve passes the barrel and grips the ${jacket} mm jacket.`;
    },
    orders: ({ form, site: { wire, placeC } }) =>
      form.sealing === 'wireSeal' ? [lackOfSize('Wire seal', `jacket ${figure(wire.jacketMm)} mm`, placeC)] : [],
  },
  {
    id: 'end.soldered',
    subject: 'soldered terminal',
    verdict: 'refuse',
    source: 'trade practice',
    speaks: (where) => {
      if (!isSoldered(where)) return undefined;
      if (where.form.soldered !== 'allowed') return where.form.soldered.refused;
      return bodyOf(where.part) === 'bare'
        ? undefined
        : `${bodyOf(where.part) === 'ownTube' ? 'Its tube' : 'Its collar'} melts under an iron: only a bare terminal is soldered.`;
    },
  },
  {
    id: 'solder.vibrating',
    subject: 'soldered terminal',
    verdict: 'refuse',
    source: 'trade practice',
    allowedIf: 'the zone did not vibrate',
    speaks: (where) =>
      isSoldered(where) && isVibrating(where.site.zone)
        ? `The run ${vibrationInWords(where.site.zone)}: wicked solder makes a stiff end, and the wire breaks beside it.`
        : undefined,
  },
  {
    id: 'solder.flexing',
    subject: 'soldered terminal',
    verdict: 'refuse',
    source: 'trade practice',
    allowedIf: 'no part of the run bent in use',
    speaks: (where) =>
      isSoldered(where) && where.site.flexing !== undefined
        ? `${where.site.flexing} bends in use: the stiff end of a soldered terminal breaks there.`
        : undefined,
  },
  {
    id: 'solder.hot',
    subject: 'soldered terminal',
    verdict: 'refuse',
    source: 'trade practice: soldered joints are rated 125 °C',
    allowedIf: 'the place stayed under 125 °C',
    speaks: (where) =>
      isSoldered(where) && where.site.placeC > SOLDERED_C
        ? `The place can reach ${figure(where.site.placeC, 0)} °C; solder is rated ${SOLDERED_C}.`
        : undefined,
  },
  {
    id: 'vapour.iron',
    subject: 'iron or flame',
    verdict: 'refuse',
    source: 'trade practice',
    allowedIf: 'there were no fuel vapour',
    speaks: (where) =>
      isSoldered(where) && where.site.zone.fuelVapour
        ? 'There can be fuel vapour here: no iron and no flame, aired or not.'
        : undefined,
  },
  {
    id: 'practice.crimpOnly',
    subject: 'practice',
    verdict: 'refuse',
    source: 'the shop’s school',
    allowedIf: 'the shop soldered',
    speaks: (where) =>
      isSoldered(where) && where.site.practice.school === 'crimpOnly' ? 'This shop works crimp only.' : undefined,
  },
  {
    id: 'practice.solderStillAndDry',
    subject: 'practice',
    verdict: 'refuse',
    source: 'the shop’s school',
    allowedIf: 'the place were still and dry',
    speaks: (where) =>
      isSoldered(where) &&
      where.site.practice.school === 'crimpFirst' &&
      !(isStill(where.site.zone) && where.site.zone.moisture === 'dry')
        ? 'This shop’s practice is crimp first: solder only where it is still and dry.'
        : undefined,
  },
  {
    id: 'tool.hand',
    subject: 'tool',
    verdict: 'warn',
    source: 'the tool’s own record',
    speaks: ({ tool, attach }) =>
      tool && attach === 'crimp' && !tool.ratchet
        ? `${tool.name} has no ratchet: squeeze to the stop, tug every crimp, look at each one twice.`
        : undefined,
  },
  {
    id: 'tool.calibration',
    subject: 'tool',
    verdict: 'warn',
    source: 'the tool’s own record: calibrated until',
    speaks: ({ tool, attach, site }) => {
      return tool && tool.ratchet && attach === 'crimp' && site.asOf !== undefined
        ? lapsed(tool, site.asOf)
        : undefined;
    },
  },
  {
    id: 'end.foldMissing',
    subject: 'fold-over',
    verdict: 'warn',
    source: 'stamped on the part, else usual: copper range and bore',
    speaks: ({ foldMissing }) =>
      foldMissing ? 'No barrel takes this copper doubled over: it goes in single, so tug it with care.' : undefined,
  },
  {
    id: 'end.solidShaking',
    subject: 'solid wire',
    verdict: 'warn',
    source: 'trade practice',
    speaks: ({ site }) =>
      site.wire.solid && isVibrating(site.zone)
        ? 'Solid wire breaks at its terminal in a shaking run: join a stranded tail of the same size to it.'
        : undefined,
  },
  {
    id: 'end.open',
    subject: 'moisture',
    verdict: 'warn',
    source: 'trade practice',
    speaks: ({ form, site }) =>
      form.staysOpen !== undefined && site.zone.moisture !== 'dry'
        ? `${form.staysOpen} Grease as the maker says, or a sealed connector.`
        : undefined,
  },
  {
    id: 'end.mateFirst',
    subject: 'the other half',
    verdict: 'warn',
    source: 'trade practice',
    speaks: ({ form, site }) => (site.fitting?.terminal === undefined ? form.mateFirst : undefined),
  },
  {
    id: 'end.screwShaking',
    subject: 'vibration',
    verdict: 'warn',
    source: 'trade practice',
    speaks: ({ form, site }) =>
      typeof form.serves.stays === 'string' && form.serves.screwStays === 0 && isVibrating(site.zone)
        ? `The run ${vibrationInWords(site.zone)}: ${lower(form.serves.stays)} A ring, if the screw may come out.`
        : undefined,
  },
  {
    id: 'end.stack',
    subject: 'stud',
    verdict: 'warn',
    source: 'our own figure: terminals under one nut',
    speaks: ({ part, site }) =>
      site.sharedBy > MOST_UNDER_A_NUT && studOf(part.family) !== undefined
        ? `${site.sharedBy} terminals under one nut: ${MOST_UNDER_A_NUT} at most keep tight. Give the others a stud of their own, or join their wires first.`
        : undefined,
  },
  {
    id: 'end.noGrip',
    subject: 'jacket',
    verdict: 'warn',
    source: 'stamped on the part, else usual: jacket',
    speaks: ({ form, part, site }) =>
      form.form === 'housing' && part.jacketMm === undefined && isVibrating(site.zone)
        ? `Nothing on ${part.name} grips the jacket: tie the wire close behind the connector.`
        : undefined,
  },
  {
    id: 'part.colour',
    subject: 'part',
    verdict: 'warn',
    source: 'stamped on the part, else usual: colour',
    speaks: ({ part }) => colourDisagreement(part),
  },
];

const lower = (text: string): string => `${text.charAt(0).toLowerCase()}${text.slice(1)}`;

/** Everything that is said of a terminal at an end. */
export const hitsOf = (where: EndCase): readonly RuleHit[] => [
  ...END_RULES.flatMap((rule): RuleHit[] => {
    if (where.site.practice.off.includes(rule.id)) return [];
    const because = rule.speaks(where);
    return because === undefined
      ? []
      : [hit(rule.id, rule.verdict, because, rule.source, rule.allowedIf, rule.orders?.(where))];
  }),
  ...ratedHits([where.part, ...(where.sealPart ? [where.sealPart] : [])], where.site.placeC),
  ...(where.lacks.length > 0 ? [shelfHit(...where.lacks)] : []),
];
