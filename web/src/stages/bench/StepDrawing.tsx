import type { CSSProperties } from 'react';
import type { Make } from '@mendum/core/plan';
import type { BenchStep } from '@mendum/core/step';
import { figure } from '@mendum/core/units';
import type { WireColour } from '@mendum/core/wire';
import { COPPER_HEX, COPPER_LINE_HEX } from '../../shapes/colours.ts';
import { Arrow, Caption, Copper, Dimension, Tube, WIDE, Wire, WORDS_GROWN, Y } from '../../shapes/stepShapes.tsx';
import { BARREL, GLYPHS } from '../../glyph/index.ts';
import { useRoom } from '../../draw/useRoom.ts';
import { useLength } from '../../ui/units.tsx';

/** Captions on a narrow screen are at most so much larger: there they still lie beside each other. */
const MOST_GROWN = 1.5;

/** The thing itself at this step, in the wire's own colours. */
export function StepDrawing({
  step,
  make,
  colour,
}: {
  readonly step: BenchStep;
  readonly make: Make;
  readonly colour: WireColour;
}) {
  const { fixed } = useLength();
  const [box, room] = useRoom<HTMLDivElement>(WIDE);
  const grown = Math.min(MOST_GROWN, Math.max(1, WIDE / room.width));
  const joint = 'joint' in make ? make.joint : undefined;
  const length = step.figure?.unit === 'mm' ? fixed(step.figure.value, step.figure.digits) : undefined;
  const sleeve = (x: number, wide: number, high?: number) => <Tube x={x} wide={wide} high={high} />;
  const wire = (from: number, to: number) => <Wire from={from} to={to} colour={colour} />;
  const picture = (): React.ReactNode => {
    switch (step.drawing) {
      case 'cut':
        return (
          <>
            {wire(2, 320)}
            {wire(352, WIDE)}
            <path d="M336 22v106" stroke="var(--scrap)" strokeWidth={3} strokeDasharray="10 6" />
            <Caption x={336} words={step.key === 'cutInsert' ? 'both ends square' : 'square, copper bright'} />
          </>
        );
      case 'strip':
      case 'fold':
        return (
          <>
            {wire(2, 380)}
            {step.drawing === 'fold' ? (
              <>
                <Copper x={380} wide={110} thick={13} y={Y - 8} />
                <Copper x={380} wide={110} thick={13} y={Y + 8} />
                <path d={`M490 ${Y - 8}a8 8 0 0 1 0 16`} fill="none" stroke={COPPER_HEX} strokeWidth={12} />
              </>
            ) : (
              <Copper x={380} wide={200} />
            )}
            <Dimension from={380} to={step.drawing === 'fold' ? 496 : 580} words={length ?? ''} />
            <Caption x={300} words="clean square edge" />
            <Caption
              x={500}
              words={step.drawing === 'fold' ? 'stripped twice as long, then doubled' : 'no strand cut'}
            />
          </>
        );
      case 'sleeve':
        return (
          <>
            {wire(2, 470)}
            <Copper x={470} wide={120} />
            {sleeve(90, 190)}
            <Dimension from={90} to={280} words={length ?? ''} />
            <Caption x={185} words="parked, away from the heat" />
          </>
        );
      case 'crimp':
        return (('glyph' in make ? GLYPHS[make.glyph].crimpStep : undefined) ?? BARREL.crimpStep)({
          colour,
          key: step.key,
          length,
          sealedBefore: joint?.seal.kind === 'builtIn',
        });
      case 'crimpTerminal':
        return (
          <>
            {wire(2, 250)}
            <Copper x={250} wide={30} />
            <rect x={280} y={Y - 22} width={150} height={44} rx={6} fill="var(--copper)" />
            <rect x={430} y={Y - 10} width={150} height={20} fill="var(--copper)" />
            <path d={`M355 ${Y - 66}v34m-9 -10l9 10l9 -10`} fill="none" stroke="var(--ink)" strokeWidth={4} />
            <Caption x={355} words="on its barrel only" />
          </>
        );
      case 'wrap':
      case 'solder':
        return (
          <>
            {wire(2, 240)}
            {wire(420, WIDE)}
            <rect
              x={240}
              y={Y - 16}
              width={180}
              height={32}
              rx={14}
              fill={step.drawing === 'solder' ? '#B9BDC0' : COPPER_HEX}
            />
            {[262, 286, 310, 334, 358, 382, 404].map((x) => (
              <path key={x} d={`M${x - 8} ${Y + 18}l14 -36`} stroke={COPPER_LINE_HEX} strokeWidth={5} />
            ))}
            <Caption
              x={330}
              words={step.drawing === 'solder' ? "strands' outline stays visible" : 'tight, ends tucked in'}
            />
          </>
        );
      case 'tug':
        return (
          <>
            {wire(60, WIDE - 60)}
            {sleeve(250, 160)}
            <path
              d={`M50 ${Y}H8m12 -10l-12 10l12 10M${WIDE - 50} ${Y}h42m-12 -10l12 10l-12 10`}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={4}
            />
            <Caption x={330} words="straight, by gauge" />
          </>
        );
      case 'shrink':
        return (
          <>
            {wire(2, WIDE)}
            {sleeve(180, 300, 52)}
            <ellipse cx={180} cy={Y} rx={6} ry={24} fill={COPPER_HEX} fillOpacity={0.7} />
            <ellipse cx={480} cy={Y} rx={6} ry={24} fill={COPPER_HEX} fillOpacity={0.7} />
            <path
              d={`M330 34H230m12 -8l-12 8l12 8M330 34h100m-12 -8l12 8l-12 8`}
              fill="none"
              stroke="var(--scrap)"
              strokeWidth={3}
            />
            <Caption x={330} words="middle outwards, glue all round at both ends" />
          </>
        );
      case 'tape':
        return (
          <>
            {wire(2, WIDE)}
            <rect x={200} y={Y - 25} width={260} height={50} rx={4} fill="#4A4E52" stroke="var(--ink)" />
            {[222, 254, 286, 318, 350, 382, 414].map((x) => (
              <path key={x} d={`M${x} ${Y + 25}l24 -50`} stroke="#8C9197" strokeWidth={2} />
            ))}
            <Caption x={330} words="stretched, half lapped" />
          </>
        );
      case 'look':
        return (
          <>
            {wire(2, 270)}
            {wire(390, WIDE)}
            <Copper x={270} wide={120} />
            <circle cx={330} cy={Y} r={62} fill="none" stroke="var(--ink)" strokeWidth={4} />
            <path d={`M374 ${Y + 44}l40 30`} stroke="var(--ink)" strokeWidth={8} />
          </>
        );
      case 'free':
      case 'seat':
        return (
          <>
            {wire(2, 300)}
            <rect x={300} y={Y - 12} width={120} height={24} fill="var(--copper)" />
            <path d={`M360 ${Y - 12}l26 -12v12`} fill="var(--copper)" />
            <path
              d={`M440 ${Y - 44}H620V${Y + 44}H440M440 ${Y - 44}v24M440 ${Y + 44}v-24M440 ${Y - 20}H600V${Y + 20}H440`}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={2.5}
            />
            <path
              d={
                step.drawing === 'free' ? `M400 ${Y + 40}H320m14 -9l-14 9l14 9` : `M320 ${Y + 40}h80m-14 -9l14 9l-14 9`
              }
              fill="none"
              stroke="var(--ink)"
              strokeWidth={4}
            />
            <Caption x={330} words={step.drawing === 'free' ? 'lance pressed down first' : 'click, then pull back'} />
          </>
        );
      case 'press':
        return (
          <>
            {wire(2, WIDE)}
            <rect
              x={250}
              y={Y - 44}
              width={160}
              height={88}
              rx={10}
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth={2}
            />
            <path d={`M300 ${Y - 22}h60l-30 40Z`} fill="var(--copper)" />
            <Arrow x={330} />
          </>
        );
    }
  };
  return (
    <div ref={box} className="mt-5 w-full max-w-[41.25rem] min-w-0" style={{ [WORDS_GROWN]: grown } as CSSProperties}>
      <svg
        viewBox={`0 0 ${WIDE} ${136 + 20 * grown}`}
        className="w-full"
        role="img"
        aria-label={`${step.title}${step.figure ? `, ${figure(step.figure.value, step.figure.digits)} ${step.figure.unit}` : ''}`}
      >
        {picture()}
      </svg>
    </div>
  );
}
