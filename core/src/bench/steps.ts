import { RECOVERS_AT_C, STRIP_TOLERANCE_MM } from '../sizing/index.ts';
import { TURNS_PER_M } from '../wire/index.ts';
import { figure } from '../units/index.ts';
import { draft, mm, type BenchStep, type StepDraft } from '../step/index.ts';
import { familyOf } from '../family/index.ts';
import type { SpliceToMake } from './types.ts';
import type { RankedCover } from '../approach/index.ts';
import { shieldBackSteps, shieldJoinSteps } from './shieldSteps.ts';

/** Glue sets and the joint keeps still this long, s. */
const COOL_S = 60;

function cutSteps(make: SpliceToMake): StepDraft[] {
  if (make.whole) return [];
  const square = `Cut square, with a cutter, not a knife.${make.habits.batch === 'oneAtATime' ? ' This wire only: it is finished before the next is cut.' : ''}`;
  const steps: StepDraft[] = [];
  if (make.side !== 'right') {
    steps.push(
      draft(
        'cutLeft',
        'cut',
        `Cut ${make.leftName} end`,
        `At ${figure(make.cutLeftMm, 0)} mm from ${make.fromName}. ${square}`,
        'Copper dull or green at the cut? Cut back until it is bright.',
        { figure: mm(make.cutLeftMm, 0) },
      ),
    );
  }
  if (make.side !== 'left') {
    steps.push(
      draft(
        'cutRight',
        'cut',
        `Cut ${make.rightName} end`,
        `At ${figure(make.cutRightMm, 0)} mm from ${make.fromName}. ${square}`,
        'Copper dull or green at the cut? Cut back until it is bright.',
        { figure: mm(make.cutRightMm, 0) },
      ),
    );
  }
  if (make.insertMm !== undefined && (make.isLead || make.side !== 'right')) {
    steps.push(
      draft(
        'cutInsert',
        'cut',
        make.isLead ? 'Cut the new lead' : 'Cut the insert',
        make.insertWords ?? '',
        'Too short cannot be mended: measure, then cut.',
        { figure: mm(make.insertMm, 0) },
      ),
    );
  }
  return steps;
}

/** A crimp names the tool and its nest first: the wrong nest is the fault that looks good. */
function withTool(step: StepDraft, { crimpedBy }: SpliceToMake): StepDraft {
  if (!crimpedBy || !step.acts.includes('crimp')) return step;
  const by = step.key === 'crimpRight' ? crimpedBy.right : crimpedBy.left;
  return { ...step, tool: by, detail: `${by}. ${step.detail}` };
}

const PARK_WORDS: Record<SpliceToMake['parkSide'], (make: SpliceToMake) => string> = {
  left: (make) => `on the ${make.leftName} wire`,
  right: (make) => `on the ${make.rightName} wire`,
  insert: () => 'on the insert',
  clamp: (make) => `on the ${make.leftName} wire, with a heat clamp between`,
};

function sleeveSteps(make: SpliceToMake): StepDraft[] {
  const { seal } = make.joint;
  if (seal.kind !== 'sleeve') return [];
  const built = seal.buildUp
    ? [
        draft(
          'buildUp',
          'shrink',
          seal.buildUp.side === 'both' ? 'Build both sides up' : 'Build the thin jacket up',
          `${seal.buildUp.name}, ${figure(seal.buildUp.cutMm, 0)} mm, shrunk on ${seal.buildUp.side === 'both' ? 'the wires of each side' : 'the thinner wire'} just beside the strip.`,
          'Over bare copper it would keep the sleeve from gripping.',
          { figure: mm(seal.buildUp.cutMm, 0), waitS: COOL_S },
        ),
      ]
    : [];
  return [
    draft(
      'sleeve',
      'sleeve',
      'Slide the sleeve on now',
      `${seal.name}, cut ${figure(seal.cutMm, 0)} mm, parked ${PARK_WORDS[make.parkSide](make)}, ${figure(make.parkAtMm, 0)} mm from the work.`,
      'Forgetting it is the classic redo: no sleeve goes on afterwards.',
      { figure: mm(seal.cutMm, 0) },
    ),
    ...built,
  ];
}

function stripSteps(make: SpliceToMake): StepDraft[] {
  const { left, right } = make.joint;
  const foldWords = (folded: boolean): string => (folded ? ' Double it over, flat side by side.' : '');
  const strip = (key: string, title: string, end: SpliceToMake['joint']['left']): StepDraft =>
    draft(
      key,
      end.folded ? 'fold' : 'strip',
      title,
      `Notch ${make.notch}.${foldWords(end.folded)}`,
      'A strand cut or nicked? Cut off and strip again.',
      { figure: mm(end.stripMm, 1, STRIP_TOLERANCE_MM) },
    );
  if (left.stripMm === 0 && right.stripMm === 0) return [];
  if (make.whole) {
    return [
      draft(
        'window',
        'strip',
        'Bare a window',
        `On the whole wire, at ${figure(make.cutLeftMm, 0)} mm from ${make.fromName}: ring the jacket twice, slit between, peel it off. Notch ${make.notch}.`,
        'A strand nicked on a wire that stays whole? Then it has to be cut after all.',
        { figure: mm(left.stripMm, 1, STRIP_TOLERANCE_MM) },
      ),
      strip('stripRight', 'Strip the wire that joins it', right),
    ];
  }
  if (left.stripMm === right.stripMm) return [strip('strip', 'Strip both ends', left)];
  return [
    strip('stripLeft', `Strip ${make.leftName} end`, left),
    strip('stripRight', `Strip ${make.rightName} end`, right),
  ];
}

function closeSteps(make: SpliceToMake): StepDraft[] {
  const { joint } = make;
  const family = familyOf(joint.methodId);
  const { seal } = joint;
  const steps: StepDraft[] = [];
  if (family.proof.isTugged) {
    steps.push(
      draft(
        'tug',
        'tug',
        'Tug it',
        'Straight, by gauge, and no further: it stays in service.',
        'A twist proves nothing and loosens the copper.',
        { figure: { value: make.tugN, digits: 0, unit: 'N' } },
      ),
    );
  }
  if ((seal.kind === 'builtIn' && !family.sealsInOne) || seal.kind === 'sleeve') {
    const glued = seal.kind === 'builtIn' || seal.adhesive;
    const bring = seal.kind === 'sleeve' ? 'Bring the sleeve over the middle of the joint. ' : '';
    steps.push(
      draft(
        'shrink',
        'shrink',
        'Shrink the sleeve',
        `${bring}Hot air with the reflector, low, from the middle outwards, ${glued ? 'until glue shows all round at both ends' : 'until it is tight all round: a single wall has no glue'}. Then keep it still.`,
        'Ends first traps air and leaves a window.',
        { waitS: COOL_S, figure: { value: RECOVERS_AT_C, digits: 0, unit: '°C' } },
      ),
    );
  }
  if (seal.kind === 'wrap') {
    steps.push(
      draft(
        'tape',
        'tape',
        'Wrap the seal',
        `${seal.name}, stretched, half lapped, over jacket on both sides. No heat.`,
        'Jacket not reached: water creeps in.',
        { figure: mm(seal.lengthMm, 0) },
      ),
    );
  }
  if (make.twistBack)
    steps.push(
      draft(
        'twist',
        'wrap',
        'Twist the pair again',
        `To ${TURNS_PER_M.least}–${TURNS_PER_M.most} turns per metre; at most ${figure(make.untwistedAtMostMm, 0)} mm stays untwisted at the splice.`,
        'One wire longer than the other disturbs the pair.',
        { figure: mm(make.untwistedAtMostMm, 0) },
      ),
    );
  return steps;
}

/** The steps that make a splice, in order; the sleeve is a step before the joint. */
export function stepsFor(make: SpliceToMake): BenchStep[] {
  const drafts = [
    ...cutSteps(make),
    ...sleeveSteps(make),
    ...shieldBackSteps(make),
    ...stripSteps(make),
    ...familyOf(make.joint.methodId)
      .joinSteps(make)
      .map((step) => withTool(step, make)),
    ...closeSteps(make),
    ...shieldJoinSteps(make),
  ];
  return drafts.map((step) => ({
    ...step,
    spliceId: make.spliceId,
    id: `${make.spliceId}#${make.make}/${make.joint.methodId}/${step.key}`,
  }));
}

/** The steps that cover a jacket. */
export function stepsForCover(
  spliceId: string,
  make: number,
  cover: RankedCover,
  atMm: number,
  fromName: string,
  overlapMm: number,
): BenchStep[] {
  const look = draft(
    'look',
    'look',
    'Look at the copper',
    `At ${figure(atMm, 0)} mm from ${fromName}: bright, every strand there.`,
    'A strand gone? Change the finding: then it is cut out.',
    { figure: mm(atMm, 0) },
  );
  const sleeve = [
    draft(
      'free',
      'sleeve',
      'Free the end',
      'Release the terminal from its housing; note its cavity first.',
      'The right wire in the wrong cavity is the most common mistake of all.',
    ),
    draft(
      'sleeve',
      'sleeve',
      'Slide the sleeve over',
      `${cover.partName}, cut ${figure(cover.lengthMm, 0)} mm, centred on the place.`,
      `Too short: it must lie ${figure(overlapMm)} mm over sound jacket on both sides.`,
      { figure: mm(cover.lengthMm, 0) },
    ),
    draft(
      'shrink',
      'shrink',
      'Shrink the sleeve',
      'From the middle outwards, until glue shows all round at both ends.',
      'Ends first traps air.',
      { waitS: COOL_S },
    ),
    draft('refit', 'look', 'Refit the terminal', 'Same cavity, straight in, click, pull back.', 'No click, no seat.'),
  ];
  const tape = [
    draft(
      'tape',
      'tape',
      'Wrap it',
      `${cover.partName}, half lapped, ${figure(overlapMm)} mm over sound jacket on both sides.`,
      'Start and end on clean jacket.',
      { figure: mm(cover.lengthMm, 0) },
    ),
  ];
  return [look, ...(cover.coverId === 'sleeveCover' ? sleeve : tape)].map((step) => ({
    ...step,
    spliceId,
    id: `${spliceId}#${make}/${cover.coverId}/${step.key}`,
  }));
}
