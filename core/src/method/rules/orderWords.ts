import { moistureInWords } from '../../harness/index.ts';
import { counted, figure } from '../../units/index.ts';
import type { MethodCase } from '../types.ts';

/** Bodies nearer than this in thickness are called equal, mm. */
const EQUALLY_THICK_MM = 0.05;

/** Thickness of the thickest body of a method, mm; 0 while nothing holds the copper. */
export const bodyMm = ({ joints }: MethodCase): number => Math.max(0, ...joints.map((joint) => joint.bodyDiameterMm));

/** "two splices". */
export const splicesInWords = ({ splices }: MethodCase): string => counted(splices, 'splice');

const slimmerBy = (one: MethodCase, other: MethodCase): string | undefined => {
  const mm = bodyMm(other) - bodyMm(one);
  return mm > EQUALLY_THICK_MM ? `${figure(mm, 1)} mm slimmer` : undefined;
};
/** "one step fewer", "two steps more"; nothing where they take the same. */
const stepsAgainst = (one: MethodCase, other: MethodCase, than: 'fewer' | 'more'): string | undefined => {
  const steps = than === 'fewer' ? other.method.steps - one.method.steps : one.method.steps - other.method.steps;
  return steps > 0 ? `${counted(steps, 'step')} ${than}` : undefined;
};

/** What a method's seal asks for or lacks, against one that has it built in. */
const SEAL_AGAINST: Readonly<Record<MethodCase['method']['seal'], string | undefined>> = {
  builtIn: undefined,
  sleeve: 'needs a sleeve slid on first',
  wrap: 'needs a wrapped seal',
  none: 'has no seal',
};

/** Why the earlier of two methods in the plain order goes before the later. */
export function orderBecause(better: MethodCase, worse: MethodCase): string {
  const fewer = stepsAgainst(better, worse, 'fewer');
  if (better.method.seal === 'builtIn' && worse.method.seal !== 'builtIn') {
    const sentence =
      better.site.zone.moisture === 'dry'
        ? 'Its seal is built in'
        : `The run ${moistureInWords(better.site.zone)}, and its seal is built in`;
    return worse.method.seal === 'sleeve'
      ? `${sentence}: ${fewer ? `${fewer} and ` : ''}no sleeve to forget.`
      : `${sentence}${fewer ? `: ${fewer}` : ''}.`;
  }
  if (better.family.joins !== 'solder' && worse.family.joins === 'solder')
    return 'A crimp is a cold weld with nothing to wick; solder comes after it here.';
  const gains = [slimmerBy(better, worse), fewer].filter((gain) => gain !== undefined);
  return gains.length > 0 ? `As sound, and ${gains.join(', ')}.` : 'As sound, and the more usual of the two.';
}

/**
 * What the later of two methods in the plain order has and lacks: slimmer or not, what its seal asks for, and how many
 * steps more. Nothing where it has no word of its own: then the praise of the earlier one is said, under that one's
 * name.
 */
export function orderAgainst(better: MethodCase, worse: MethodCase): string | undefined {
  const lacks = SEAL_AGAINST[worse.method.seal];
  const steps = stepsAgainst(worse, better, 'more');
  const more = steps ? `: ${steps}` : '';
  if (worse.family.joins === 'solder' && better.family.joins !== 'solder')
    return `Solder comes after a crimp here${lacks ? `, and this ${lacks}` : ''}${more}.`;
  if (lacks === undefined || worse.family.joins === 'solder') return undefined;
  const has = slimmerBy(worse, better);
  return `${has ? `${has.charAt(0).toUpperCase()}${has.slice(1)}` : 'As sound'}, but ${lacks}${more}.`;
}
