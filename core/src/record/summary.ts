import type { SheetLine } from './types.ts';

const counted = (count: number, one: string, many: string): string => `${count} ${count === 1 ? one : many}`;

/** "3 × Sealed butt, 1 × Adhesive sleeve", the most frequent first. */
function methodsOf(lines: readonly SheetLine[]): string {
  const counts = new Map<string, number>();
  for (const { method } of lines) counts.set(method, (counts.get(method) ?? 0) + 1);
  return [...counts]
    .sort((a, b) => b[1] - a[1])
    .map(([method, count]) => (count === 1 ? method : `${count} × ${method}`))
    .join(', ');
}

/** How far all of it is proved. */
function provedWords(lines: readonly SheetLine[]): string {
  const open = lines.filter(({ standing }) => standing === 'unproved' || standing === 'failed').length;
  const looked = lines.filter(({ standing }) => standing === 'looked').length;
  if (open > 0) return `${open} of ${lines.length} not proved yet.`;
  if (looked === 0) return lines.length === 1 ? 'It passed every check.' : 'All passed every check.';
  return looked === lines.length
    ? 'Looked at, not measured.'
    : `${lines.length - looked} of ${lines.length} passed every check; ${looked} looked at, not measured.`;
}

/** What a sheet says in short, for whoever reads nothing else: what was made, how far it is proved, what is temporary. */
export function summaryOf(lines: readonly SheetLine[]): string {
  if (lines.length === 0) return 'Nothing is made yet.';
  const circuits = new Set(lines.map(({ circuit }) => circuit));
  const [only] = circuits;
  const on = circuits.size === 1 ? `circuit ${only ?? ''}` : counted(circuits.size, 'circuit', 'circuits');
  const days = lines.flatMap(({ temporaryUntil }) => temporaryUntil ?? []).sort();
  const temporary =
    days.length === 0
      ? ''
      : ` ${days.length === lines.length ? 'Temporary' : `${days.length} of them temporary`}: to be made good by ${days[0] ?? ''}.`;
  return `${counted(lines.length, 'repair', 'repairs')} on ${on}: ${methodsOf(lines)}. ${provedWords(lines)}${temporary}`;
}
