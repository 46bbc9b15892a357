import { COPPER_HEX, COPPER_LINE_HEX } from './colours.ts';

const JACKET = '#C8232C';

export const wireFrom = (x1: number, x2: number) => (
  <rect x={x1} y={22} width={Math.max(0, x2 - x1)} height={12} fill={JACKET} stroke="var(--ink)" strokeOpacity={0.7} />
);
export const copper = (x1: number, x2: number) => (
  <rect x={x1} y={24} width={Math.max(0, x2 - x1)} height={8} fill={COPPER_HEX} />
);
export const barrel = (
  <rect x={50} y={17} width={60} height={22} rx={2} fill="var(--copper)" fillOpacity={0.55} stroke="var(--copper)" />
);
export const dent = (x: number) => <path d={`M${x - 5} 16l5 8l5 -8M${x - 5} 40l5 -8l5 8`} fill="var(--ink)" />;
export const sleeve = (
  <rect x={34} y={14} width={92} height={28} rx={9} fill="var(--sheet)" fillOpacity={0.75} stroke="var(--ink)" />
);
export const glue = (x: number) => <ellipse cx={x} cy={28} rx={4} ry={13} fill={COPPER_HEX} fillOpacity={0.8} />;
export const turns = (colour: string) =>
  [58, 70, 82, 94].map((x) => <path key={x} d={`M${x - 3} 40l6 -24`} stroke={colour} strokeWidth={3} />);
export const brush = (x: number) => (
  <path d={`M${x} 24h6M${x} 28h8M${x} 32h6`} stroke={COPPER_LINE_HEX} strokeWidth={2} />
);
export const clip = <rect x={64} y={16} width={32} height={24} rx={5} fill="var(--copper)" />;
export const clipWires = (
  <>
    {wireFrom(2, 46)}
    {wireFrom(114, 158)}
    {copper(46, 114)}
  </>
);

export const terminal = (
  <>
    <rect x={104} y={20} width={50} height={16} rx={2} fill="var(--copper)" fillOpacity={0.55} stroke="var(--copper)" />
    <rect x={72} y={20} width={24} height={16} rx={4} fill="var(--copper)" />
    <rect x={36} y={18} width={22} height={20} rx={4} fill="var(--copper)" />
  </>
);
export const cavity = (
  <path d="M64 8H152V48H64M64 8v10M64 48V38M64 18H140V38H64" fill="none" stroke="var(--ink)" strokeWidth={2} />
);
export const inCavity = (x: number) => (
  <>
    {wireFrom(2, x)}
    <rect x={x} y={22} width={48} height={12} fill="var(--copper)" />
    <path d={`M${x + 24} 22l10 -6v6`} fill="var(--copper)" />
  </>
);
