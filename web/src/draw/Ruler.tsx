import type { ScaleLinear } from 'd3-scale';
import { figure } from '@mendum/core/units';

interface RulerProps {
  readonly x: ScaleLinear<number, number>;
  readonly plot: { readonly left: number; readonly right: number };
  readonly top: number;
  readonly words: string;
  /** Mm in one of the unit that is shown. */
  readonly unitMm: number;
}

/**
 * The ruler over the run, with round figures in the unit that is shown: its ticks are at whole inches or millimetres.
 */
export function Ruler({ x: mmScale, plot, top, words, unitMm }: RulerProps) {
  const x = mmScale.copy().domain(mmScale.domain().map((mm) => mm / unitMm));
  const labels = x.ticks(Math.max(3, Math.floor((plot.right - plot.left) / 110)));
  const step = (labels[1] ?? 100) - (labels[0] ?? 0);
  const small = x.ticks(labels.length * 5).filter((at) => Math.abs(at / step - Math.round(at / step)) > 1e-6);
  return (
    <g>
      <text x={plot.left - 10} y={top - 14} textAnchor="end" fontSize={14} fill="var(--soft)">
        {words}
      </text>
      <line x1={plot.left} x2={plot.right} y1={top} y2={top} stroke="var(--ink)" />
      {small.map((at) => (
        <line key={at} x1={x(at)} x2={x(at)} y1={top - 5} y2={top} stroke="var(--ink)" strokeOpacity={0.6} />
      ))}
      {labels.map((at) => (
        <g key={at}>
          <line x1={x(at)} x2={x(at)} y1={top - 9} y2={top} stroke="var(--ink)" />
          <text x={x(at)} y={top - 15} textAnchor="middle" fontSize={15} fill="var(--ink)" className="figure">
            {figure(at, 2)}
          </text>
        </g>
      ))}
    </g>
  );
}
