import type { Part } from './types.ts';

/** A figure or word that a kind of part has: where it stands in the part, what it is called, in what unit, among which choices. */
export interface PartField {
  /** Path in the part, with a dot where it is nested. */
  readonly path: string;
  readonly title: string;
  readonly unit?: 'mm' | 'mm²' | '°C';
  readonly type: 'number' | 'text' | 'choice';
  readonly optional?: boolean;
}

const mm = (path: string, title: string): PartField => ({ path, title, unit: 'mm', type: 'number' });
const range = (path: string, title = 'Copper'): PartField[] => [
  { path: `${path}.minMm2`, title: `${title} from`, unit: 'mm²', type: 'number' },
  { path: `${path}.maxMm2`, title: `${title} to`, unit: 'mm²', type: 'number' },
];
const jackets: PartField[] = [mm('jacketMm.minMm', 'Jacket from'), mm('jacketMm.maxMm', 'Jacket to')];
const choice = (path: string, title: string): PartField => ({ path, title, type: 'choice' });
const ways: PartField = { path: 'ways', title: 'Ways', type: 'number' };

const BUTT = [
  ...range('range'),
  mm('barrelIdMm', 'Bore'),
  mm('barrelLengthMm', 'Barrel length'),
  mm('overallLengthMm', 'Length over all'),
  mm('crimpedDiameterMm', 'Thickness crimped'),
];
const CLIP = [
  ...range('totalRange', 'Copper in all'),
  mm('barrelLengthMm', 'Barrel length'),
  mm('lapMm', 'Lap'),
  mm('crimpedDiameterMm', 'Thickness crimped'),
];
const HOUSING = [choice('lock', 'Lock family'), ways];

/** What each kind of part has besides what all have. */
export const PART_FIELDS: Record<Part['kind'], readonly PartField[]> = {
  sealedButt: BUTT,
  plainButt: BUTT,
  stepDown: [
    ...range('smallRange', 'Small end'),
    ...range('largeRange', 'Large end'),
    mm('barrelLengthMm', 'Barrel length'),
    mm('overallLengthMm', 'Length over all'),
    mm('crimpedDiameterMm', 'Thickness crimped'),
  ],
  clip: CLIP,
  multiClip: CLIP,
  cap: [
    ...range('totalRange', 'Copper in all'),
    mm('depthMm', 'Depth'),
    mm('lengthMm', 'Length over all'),
    mm('diameterMm', 'Thickness'),
  ],
  solderSleeve: [
    ...range('range'),
    mm('lapMm', 'Lap'),
    mm('overallLengthMm', 'Length over all'),
    mm('diameterMm', 'Thickness'),
  ],
  sleeve: [
    choice('series', 'Series'),
    mm('suppliedIdMm', 'Bore supplied'),
    mm('recoveredIdMm', 'Bore shrunk'),
    mm('stickMm', 'Stick length'),
  ],
  tape: [choice('tape', 'Tape'), mm('widthMm', 'Width'), mm('thicknessMm', 'Thickness')],
  solder: [choice('alloy', 'Alloy'), choice('core', 'Core')],
  piercingTap: [...range('range'), mm('lengthMm', 'Length over all'), mm('thickMm', 'Thickness')],
  terminal: [
    choice('family', 'Terminal family'),
    ...range('range'),
    ...jackets.map((field) => ({ ...field, optional: true })),
    mm('stripMm', 'Strip'),
  ],
  wireSeal: jackets,
  plug: [],
  potting: [],
  housing: HOUSING,
  lockPiece: HOUSING,
  pigtail: [
    ways,
    { path: 'areaMm2', title: 'Copper of each wire', unit: 'mm²', type: 'number' },
    mm('leadMm', 'Wire length'),
  ],
};

export const PART_KIND_WORDS: Record<Part['kind'], string> = {
  sealedButt: 'sealed butt',
  plainButt: 'plain butt barrel',
  stepDown: 'step-down butt',
  clip: 'splice clip',
  multiClip: 'multi-wire clip',
  cap: 'closed-end cap',
  solderSleeve: 'solder-and-seal sleeve',
  sleeve: 'sleeve',
  tape: 'tape',
  solder: 'solder',
  piercingTap: 'piercing tap',
  terminal: 'terminal',
  wireSeal: 'wire seal',
  plug: 'plug',
  potting: 'potting',
  housing: 'housing',
  lockPiece: 'lock piece',
  pigtail: 'pigtail',
};

type Tree = { readonly [key: string]: unknown };
const isTree = (value: unknown): value is Tree => typeof value === 'object' && value !== null;

/** What stands at a field of a part; nothing where it has none. */
export const fieldOf = (part: object, path: string): unknown =>
  path.split('.').reduce<unknown>((at, key) => (isTree(at) ? at[key] : undefined), part);

/** What stands at a field, as text; empty where it has none. */
export function fieldText(part: object, path: string): string {
  const value = fieldOf(part, path);
  return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
}

/** A part with one field put anew; an undefined value takes it away, and what is empty then. */
export function withField<T extends object>(part: T, path: string, value: unknown): T {
  const [first = '', ...rest] = path.split('.');
  const tree = part as Tree;
  const inner = rest.length === 0 ? value : withField(isTree(tree[first]) ? tree[first] : {}, rest.join('.'), value);
  const others = Object.fromEntries(Object.entries(tree).filter(([key]) => key !== first));
  const empty = inner === undefined || (isTree(inner) && Object.keys(inner).length === 0);
  return (empty ? others : { ...tree, [first]: inner }) as T;
}
