import { memo } from 'react';
import { bundleSection } from '@mendum/core/bundle';
import { figure } from '@mendum/core/units';
import { colourInWords, type WireColour } from '@mendum/core/wire';
import { WIRE_HEX } from '../shapes/colours.ts';

/** One thing that lies in the bundle at a place. */
export interface InSection {
  readonly key: string;
  /** The wire's jacket, and what lies in its place. */
  readonly wireMm: number;
  readonly diameterMm: number;
  readonly colour: WireColour;
  readonly isSplice: boolean;
}

interface CrossSectionProps {
  readonly parts: readonly InSection[];
  readonly size?: number;
  /** What the drawing's width stands for, mm, where several are to the same scale; else the bundle itself. */
  readonly acrossMm?: number | undefined;
}

/** The bundle at one place, cut through: every wire to scale in its colour, splices ringed. */
export const CrossSection = memo(function CrossSection({ parts, size = 120, acrossMm }: CrossSectionProps) {
  const bodies = new Map(
    parts.flatMap((part, index): [number, number][] => (part.isSplice ? [[index, part.diameterMm]] : [])),
  );
  const { circles, diameterMm } = bundleSection(
    parts.map((part) => part.wireMm),
    bodies,
  );
  const scale = (size - 6) / Math.max(1, acrossMm ?? diameterMm);
  const words = `Cross-section ${figure(diameterMm, 1)} mm across: ${parts.map((part) => `${colourInWords(part.colour)}${part.isSplice ? ' (splice)' : ''}`).join(', ')}`;
  return (
    <svg
      width={`${size / 16}rem`}
      height={`${size / 16}rem`}
      viewBox={`${-size / 2} ${-size / 2} ${size} ${size}`}
      role="img"
      aria-label={words}
      className="shrink-0"
    >
      <circle r={(diameterMm * scale) / 2 + 1.5} fill="none" stroke="var(--copper)" strokeWidth={1.5} />
      {circles.map((circle, index) => {
        const part = parts[index];
        if (!part) return null;
        const at = { cx: circle.xMm * scale, cy: circle.yMm * scale };
        const r = (circle.diameterMm * scale) / 2;
        return part.isSplice ? (
          <g key={part.key}>
            <circle {...at} r={r - 0.5} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={1.4} />
            <circle {...at} r={r * 0.5} fill={WIRE_HEX[part.colour.base]} stroke="var(--copper)" strokeWidth={2} />
          </g>
        ) : (
          <g key={part.key}>
            <circle
              {...at}
              r={r - 0.5}
              fill={WIRE_HEX[part.colour.base]}
              stroke="var(--ink)"
              strokeWidth={1}
              strokeOpacity={0.75}
            />
            {part.colour.stripe === undefined ? null : (
              <circle {...at} r={r * 0.4} fill={WIRE_HEX[part.colour.stripe]} />
            )}
          </g>
        );
      })}
    </svg>
  );
});
