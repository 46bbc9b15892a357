/** Reading and writing a field of a part by its path. */
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
