import { orderInWords } from '../../catalogue/index.ts';
import type { FindingPlan } from '../../plan/index.ts';
import { figure } from '../../units/index.ts';
import { wireInWords } from '../../wire/index.ts';

const list = (items: readonly string[]): string => (items.length === 0 ? '–' : items.join('; '));
const mm = (value: number): string => figure(value, 1);

const wayLine = ({ way, status, ruleId, because, allowedIf, cost, lacks }: FindingPlan['ways'][number]): string =>
  `- ${way}, ${status} (${ruleId}): ${because}${allowedIf === undefined ? '' : ` Possible if ${allowedIf}.`} [${cost.splices} splices, ${cost.minutes} min, ${cost.wireMm} mm: ${list(cost.parts)}]${lacks.length > 0 ? ` Order ${list(lacks.map(orderInWords))}.` : ''}`;

const coverLine = ({
  coverId,
  status,
  partName,
  lengthMm,
  diameterMm,
  toolNames,
  lacks,
  hits,
}: FindingPlan['covers'][number]): string =>
  `- ${coverId}, ${status}: ${partName}, ${mm(lengthMm)} mm, ${mm(diameterMm)} thick; tools ${list(toolNames)}; lacks ${list(lacks.map(orderInWords))}; rules ${list(hits.map(({ ruleId }) => ruleId))}`;

function cavityLines({ cavity }: FindingPlan): readonly string[] {
  if (!cavity) return [];
  const { acts, at, nodeName, name, terminal, partIds, sharedPartIds, toolNames, wire, unknown } = cavity.work;
  return [
    `At ${nodeName} ${at.cavity}: ${name}; acts ${list(acts)}; wire ${wireInWords(wire)}`,
    `  parts ${list(partIds)}; for the whole connector ${list(sharedPartIds)}; tools ${list(toolNames)}`,
    ...(terminal
      ? [
          `  terminal ${terminal.partName}, ${terminal.attach}, strip ${mm(terminal.stripMm)}${terminal.folded ? ', folded' : ''}; ${terminal.fitsWords}; seal ${terminal.seal ? `${terminal.seal.kind} ${terminal.seal.name}` : 'none'}`,
        ]
      : []),
    ...(unknown === undefined ? [] : [`  not known: ${unknown}`]),
    `  steps ${list(cavity.steps.map(({ key }) => key))}`,
  ];
}

/** All that a person is told of one finding, as text: what an example is held to. */
export function cardText(title: string, plan: FindingPlan): string {
  const { lost, insert, electrical: e } = plan;
  return [
    `## ${title}`,
    '',
    `**${plan.headline}**`,
    '',
    plan.because.join(' '),
    '',
    ...plan.warnings.map((words) => `- ▲ ${words}`),
    ...plan.asks.map(
      ({ does, words, at }) => `- needs you, ${does}: ${words}${at ? ` → ${Object.values(at).join(' ')}` : ''}`,
    ),
    ...plan.passed.map((words) => `- not taken: ${words}`),
    ...plan.ways.map(wayLine),
    ...plan.covers.map(coverLine),
    ...cavityLines(plan),
    ...plan.splices.map(
      ({ side, methodName, joint, centreMm, parkSide, redosLeft }) =>
        `- splice ${side}: ${methodName}, ${joint.partName}, centre ${mm(centreMm)}, sleeve parked ${parkSide}, redos left ${redosLeft ?? '–'}`,
    ),
    ...(insert
      ? [
          `- insert ${mm(insert.lengthMm)} mm of ${wireInWords(insert.wire.wire)}${insert.wire.colourDiffers ? ', another colour' : ''}`,
        ]
      : []),
    ...(plan.cover ? [`- cover ${plan.cover.id}`] : []),
    `- lost ${mm(lost.fromMm)}–${mm(lost.toMm)}, slack ${mm(plan.slackMm)}, left ${mm(plan.slackLeftMm)}${plan.isLead ? ', a new lead' : ''}`,
    `- ${figure(e.areaMm2)} mm², alone ${figure(e.aloneA, 1)} A, of ${e.loadedWires} loaded ${figure(e.bundledA, 1)}, weakest ${figure(e.weakest.amps, 1)} (${e.weakest.where}), place ${figure(e.placeC, 0)} °C, fuse ${e.fuseA ?? '–'} ${e.fuseProtects === undefined ? '' : e.fuseProtects ? 'protects' : 'does not protect'}`,
    `- methods: ${list(plan.ranked.slice(0, 4).map(({ methodId, status }) => `${methodId} ${status}`))}`,
    '',
  ].join('\n');
}
