import { figure } from '../../units/index.ts';
import { areaMm2, JOINT_DROP_MV, resistanceLimits, TURNS_PER_M } from '../../wire/index.ts';
import type { Rule } from '../types.ts';

/** What a kind of circuit asks for, whatever the method. */
export const CARE_RULES: readonly Rule[] = [
  {
    id: 'care.lowLevel',
    subject: 'low-level circuit',
    verdict: 'require',
    overridable: true,
    source: 'physics of copper: resistance at 20 °C of the joint’s length, not under 10 mm',
    speaks: ({ site, joints }) => {
      const [joint] = joints;
      if (site.circuitKind !== 'lowLevel' || !joint) return undefined;
      const { goodMilliohm } = resistanceLimits(site.wire, joint.jointLengthMm);
      return `A low-level signal reads the joint as well: measure it with four leads, at most ${figure(goodMilliohm, 2)} mΩ.`;
    },
  },
  {
    id: 'care.pair',
    subject: 'twisted pair',
    verdict: 'require',
    overridable: true,
    source: 'practice figure: untwisted at most',
    speaks: ({ site, practice }) =>
      site.circuitKind === 'data'
        ? `A data wire: at most ${figure(practice.figures.untwistedAtMostMm, 0)} mm untwisted, twisted again at ${TURNS_PER_M.least}–${TURNS_PER_M.most} turns per metre, both wires equally long.`
        : undefined,
  },
  {
    id: 'care.shield',
    subject: 'shield',
    verdict: 'require',
    overridable: true,
    source: 'trade practice',
    speaks: ({ site }) =>
      site.inShield === true || site.circuitKind === 'shielded'
        ? 'Join the shield by itself, beside the core’s splice, and insulate its drain.'
        : undefined,
  },
  {
    id: 'care.pulsed',
    subject: 'ignition or injector feed',
    verdict: 'require',
    overridable: true,
    source: 'trade practice: usual limit of a drop over one joint',
    speaks: ({ site }) =>
      site.circuitKind === 'ignition'
        ? `An ignition or injector feed pulses: measure the drop over the joint while it runs, at most ${JOINT_DROP_MV} mV; a beeper proves nothing.`
        : undefined,
  },
  {
    id: 'care.stepUp',
    subject: 'larger insert',
    verdict: 'warn',
    overridable: true,
    source: 'our own figure: two sizes of its series',
    speaks: ({ site, splices }) => {
      if (splices !== 2 || site.insertStepsUp <= 2) return undefined;
      return `The insert's ${figure(areaMm2(site.insertWire.size), 2)} mm² is ${site.insertStepsUp} sizes above the ${figure(areaMm2(site.wire.size), 2)} it replaces: check that barrel, terminal and seal still take it.`;
    },
  },
];
