import type { Stretch } from '@mendum/core/damage';
import type { Circuit, Run } from '@mendum/core/harness';
import type { Job } from '@mendum/core/job';
import type { FindingPlan, Plan, RunPlan } from '@mendum/core/plan';
import { byFirstCut, cutsOn, plansOn } from '@mendum/core/plan';
import { figure } from '@mendum/core/units';
import { colourInWords, sizeInWords } from '@mendum/core/wire';
import { escaped } from '../drawn/escaped.ts';

/** A run with its plan, as it is drawn for the bench. */
export interface TemplateOf {
  readonly job: Job;
  readonly plan: Plan;
  readonly run: Run;
  readonly runPlan: RunPlan;
}

/** A part of a run that fits on a sheet: the stretch, and which of the touched circuits. Lengths and places in mm. */
export interface TemplatePart extends Stretch {
  readonly circuits: readonly Circuit[];
}

const INK = '#1D2021';
const SOFT = '#5E5A52';
const COPPER = '#A8541F';
/** Heights on the sheet, mm. */
const RULER_MM = 15;
/** Between the ruler and the first circuit. */
const GAP_MM = 2;
const ROW_MM = 11;
const FOOT_MM = 12;
/** The bar to check the print with, mm. */
const CHECK_MM = 100;

export const partHeightMm = (rows: number): number => RULER_MM + GAP_MM + rows * ROW_MM + FOOT_MM;
/** How many circuits fit under one ruler on a sheet of a height. */
export const rowsThatFit = (heightMm: number): number =>
  Math.max(1, Math.floor((heightMm - RULER_MM - GAP_MM - FOOT_MM) / ROW_MM));

/** The circuits of a run that something is done on, in the order of their cuts. */
export function touchedCircuits({ job, plan, run }: Pick<TemplateOf, 'job' | 'plan' | 'run'>): Circuit[] {
  const made = plansOn(plan.findings, run)
    .filter((finding) => finding.splices.length > 0 || finding.cover)
    .sort(byFirstCut);
  return [...new Set(made.map((finding) => finding.circuitId))].flatMap(
    (id) => job.harness.circuits.find((circuit) => circuit.id === id) ?? [],
  );
}

function text(
  x: number,
  y: number,
  words: string,
  look: {
    readonly size?: number;
    readonly anchor?: 'start' | 'middle' | 'end';
    readonly colour?: string;
    readonly bold?: boolean;
  } = {},
): string {
  const { size = 3, anchor = 'start', colour = INK, bold = false } = look;
  return `<text x="${x.toFixed(3)}" y="${y.toFixed(3)}" font-size="${size}" text-anchor="${anchor}" fill="${colour}" font-family="Sheet"${bold ? ' font-weight="bold"' : ''}>${escaped(words)}</text>`;
}
const line = (x1: number, y1: number, x2: number, y2: number, wide: number, colour = INK, dash = ''): string =>
  `<line x1="${x1.toFixed(3)}" y1="${y1.toFixed(3)}" x2="${x2.toFixed(3)}" y2="${y2.toFixed(3)}" stroke="${colour}" stroke-width="${wide}"${dash === '' ? '' : ` stroke-dasharray="${dash}"`}/>`;
const box = (x: number, y: number, wide: number, high: number, look: string): string =>
  `<rect x="${x.toFixed(3)}" y="${y.toFixed(3)}" width="${wide.toFixed(3)}" height="${high.toFixed(3)}" ${look}/>`;

/** A ruler with every millimetre, longer at 5 and 10, and a figure at every 10. */
function ruler(part: TemplatePart, x: (mm: number) => number): string {
  const ticks: string[] = [line(x(part.fromMm), RULER_MM, x(part.toMm), RULER_MM, 0.25)];
  for (let mm = Math.ceil(part.fromMm); mm <= part.toMm; mm += 1) {
    const long = mm % 10 === 0 ? 4 : mm % 5 === 0 ? 2.8 : 1.6;
    ticks.push(line(x(mm), RULER_MM - long, x(mm), RULER_MM, mm % 10 === 0 ? 0.2 : 0.1));
    if (mm % 10 === 0)
      ticks.push(
        text(x(mm), RULER_MM - 5, String(mm), {
          size: mm % 50 === 0 ? 3.4 : 2.4,
          anchor: mm <= part.fromMm + 2 ? 'start' : mm >= part.toMm - 2 ? 'end' : 'middle',
          bold: mm % 50 === 0,
        }),
      );
  }
  return ticks.join('');
}

/** What is done on one circuit: its wire, splices at their true length, cuts with their place, and the insert. */
function circuitRow(
  findings: readonly FindingPlan[],
  circuit: Circuit,
  part: TemplatePart,
  top: number,
  x: (mm: number) => number,
): string {
  const y = top + 6.2;
  const inside = (mm: number): number => Math.min(part.toMm, Math.max(part.fromMm, mm));
  const shown = (from: number, to: number): boolean => to > part.fromMm && from < part.toMm;
  const out = [
    line(x(part.fromMm), y, x(part.toMm), y, 0.5, SOFT),
    text(
      x(part.fromMm) + 1,
      top + 2.6,
      `${circuit.number} ${circuit.function} · ${colourInWords(circuit.wire.colour)} · ${sizeInWords(circuit.wire.size)}`,
      { size: 2.6, bold: true },
    ),
  ];
  for (const finding of findings) {
    if (finding.insert && shown(finding.x1Mm, finding.x2Mm)) {
      out.push(line(x(inside(finding.x1Mm)), y, x(inside(finding.x2Mm)), y, 1.4, COPPER));
      const middle = (inside(finding.x1Mm) + inside(finding.x2Mm)) / 2;
      out.push(
        text(x(middle), top + 9.8, `insert ${figure(finding.insert.lengthMm, 0)}`, {
          size: 2.4,
          anchor: 'middle',
          colour: COPPER,
        }),
      );
    }
    if (
      finding.cover &&
      shown(finding.cover.atMm - finding.cover.lengthMm / 2, finding.cover.atMm + finding.cover.lengthMm / 2)
    ) {
      const [from, to] = [
        inside(finding.cover.atMm - finding.cover.lengthMm / 2),
        inside(finding.cover.atMm + finding.cover.lengthMm / 2),
      ];
      out.push(
        box(
          x(from),
          y - 2,
          x(to) - x(from),
          4,
          `fill="none" stroke="${INK}" stroke-width="0.25" stroke-dasharray="1.2 0.8"`,
        ),
        text(x((from + to) / 2), top + 10.2, finding.cover.name, { size: 2.4, anchor: 'middle' }),
      );
    }
    for (const splice of finding.splices) {
      if (!shown(splice.fromMm, splice.toMm)) continue;
      const [from, to] = [inside(splice.fromMm), inside(splice.toMm)];
      out.push(
        box(x(from), y - 2.2, x(to) - x(from), 4.4, `rx="1.6" fill="#ffffff" stroke="${INK}" stroke-width="0.3"`),
      );
      if (splice.centreMm >= part.fromMm && splice.centreMm <= part.toMm)
        out.push(
          line(x(splice.centreMm), y - 2.2, x(splice.centreMm), y + 2.2, 0.15, SOFT),
          text(x(splice.centreMm), y + 0.9, splice.methodName, { size: 2.2, anchor: 'middle' }),
        );
    }
    for (const [index, cut] of cutsOn(finding).entries()) {
      if (cut < part.fromMm || cut > part.toMm) continue;
      out.push(
        line(x(cut), top + 2.9, x(cut), top + 9.6, 0.25, COPPER, '0.8 0.5'),
        text(x(cut) + (index === 0 ? -0.6 : 0.6), top + 10.2, `cut ${figure(cut, 1)}`, {
          size: 2.4,
          anchor: index === 0 ? 'end' : 'start',
          bold: true,
        }),
      );
    }
  }
  return out.join('');
}

function svgOf(wideMm: number, highMm: number, content: string): string {
  const [wide, high] = [wideMm.toFixed(3), highMm.toFixed(3)];
  const size = `width="${wide}mm" height="${high}mm" viewBox="0 0 ${wide} ${high}"`;
  return `<svg xmlns="http://www.w3.org/2000/svg" ${size}>${content}</svg>`;
}

/** A part of the run at true size, as SVG with its size in mm: one unit of the drawing is one millimetre. */
export const templateSvg = (of: TemplateOf, part: TemplatePart): string =>
  svgOf(part.toMm - part.fromMm, partHeightMm(part.circuits.length), drawn(of, part));

/** Stretches of a run at true size as one drawing, one below the other. */
export function templateDrawing(of: TemplateOf, stretches: readonly Stretch[]): string {
  const circuits = touchedCircuits(of);
  const high = partHeightMm(circuits.length);
  const parts = stretches.map(
    (stretch, index) =>
      `<g transform="translate(0 ${(index * high).toFixed(3)})">${drawn(of, { ...stretch, circuits })}</g>`,
  );
  const wide = Math.max(...stretches.map(({ fromMm, toMm }) => toMm - fromMm));
  return svgOf(wide, high * stretches.length, parts.join(''));
}

/** A part of the run, drawn from its own left upper corner. */
function drawn(of: TemplateOf, part: TemplatePart): string {
  const wide = part.toMm - part.fromMm;
  const high = partHeightMm(part.circuits.length);
  const x = (mm: number): number => mm - part.fromMm;
  const bottom = RULER_MM + GAP_MM + part.circuits.length * ROW_MM;
  const keeps = of.runPlan.keepOuts
    .filter((keep) => keep.toMm > part.fromMm && keep.fromMm < part.toMm)
    .map((keep) => {
      const [from, to] = [Math.max(keep.fromMm, part.fromMm), Math.min(keep.toMm, part.toMm)];
      return (
        box(x(from), RULER_MM, to - from, bottom - RULER_MM, 'fill="#E9E2D4"') +
        text(
          x((from + to) / 2),
          bottom + 3,
          keep.kind === 'flex' ? `${keep.name}, bends: no splice` : `${keep.name}: no splice`,
          { size: 2.4, anchor: 'middle', colour: SOFT },
        )
      );
    });
  const rows = part.circuits.map((circuit, index) =>
    circuitRow(
      plansOn(of.plan.findings, of.run).filter((finding) => finding.circuitId === circuit.id),
      circuit,
      part,
      RULER_MM + GAP_MM + index * ROW_MM,
      x,
    ),
  );
  const check =
    wide >= CHECK_MM + 4
      ? line(2, high - 3.5, 2 + CHECK_MM, high - 3.5, 0.5) +
        line(2, high - 5.5, 2, high - 1.5, 0.25) +
        line(2 + CHECK_MM, high - 5.5, 2 + CHECK_MM, high - 1.5, 0.25) +
        text(2 + CHECK_MM + 2, high - 2.6, `This bar is ${CHECK_MM} mm: measure it before you use the sheet.`, {
          size: 2.6,
        })
      : '';
  return `${keeps.join('')}${ruler(part, x)}${rows.join('')}${check}`;
}
