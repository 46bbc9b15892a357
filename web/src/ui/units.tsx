import { figure, MM_PER_INCH, mmToInches } from '@mendum/core/units';
import { useAppSelector } from '../app/store.ts';

/** A length in the chosen view: whole or one decimal in mm, three decimals in inches. */
export function useLength(): {
  readonly unit: string;
  readonly unitMm: number;
  readonly show: (mm: number, digits?: number) => string;
  readonly plain: (mm: number, digits?: number) => string;
  /** As many decimals as there are, zeros too: strips read 7.0. */
  readonly fixed: (mm: number, digits?: number) => string;
} {
  const inch = useAppSelector((state) => state.view.units) === 'inch';
  const plain = (mm: number, digits = 1): string => (inch ? figure(mmToInches(mm), 2) : figure(mm, digits));
  const unit = inch ? 'in' : 'mm';
  const fixed = (mm: number, digits = 1): string => (inch ? mmToInches(mm).toFixed(2) : mm.toFixed(digits));
  return { unit, unitMm: inch ? MM_PER_INCH : 1, plain, fixed, show: (mm, digits) => `${plain(mm, digits)} ${unit}` };
}

/** A figure in the monospace, its unit after it in the text face. */
export function Figure({
  value,
  unit,
  className = '',
}: {
  readonly value: string;
  readonly unit?: string | undefined;
  readonly className?: string;
}) {
  return (
    <span className={`whitespace-nowrap ${className}`}>
      <span className="figure">{value}</span>
      {unit === undefined ? null : <span className="font-normal text-soft"> {unit}</span>}
    </span>
  );
}

/** A length as a figure, in the chosen view. */
export function Length({
  mm,
  digits,
  className,
}: {
  readonly mm: number;
  readonly digits?: number;
  readonly className?: string;
}) {
  const { plain, unit } = useLength();
  return <Figure value={plain(mm, digits)} unit={unit} className={className ?? ''} />;
}
