import type { AnyTool, CommonTask, PartKind, Task } from '../stock/index.ts';
import { FAMILIES } from './families.ts';
import type { Family, Method } from './types.ts';

type AnyFamily = (typeof FAMILIES)[number];
type KindOf<F> = F extends { readonly parts: readonly (infer K)[] } ? K : never;

/** A way of joining wires, by its name. */
export type MethodId = AnyFamily['methods'][number]['id'];
/** Name of a family's drawing. */
export type GlyphName = AnyFamily['glyph'];
/** A part that one family is made with. */
export type FamilyPart = KindOf<AnyFamily> extends infer K ? (K extends PartKind<infer P> ? P : never) : never;
/** What a family's own tool does. */
export type FamilyTask = AnyFamily extends infer F ? (F extends AnyFamily ? keyof F['tasks'] & string : never) : never;

/** What any tool does. */
export type ToolTask = CommonTask | FamilyTask;
/** Any method there is. */
export type AnyMethod = Method<MethodId, ToolTask>;

/** Every method there is, by family. */
export const METHODS: readonly AnyMethod[] = FAMILIES.flatMap((one): readonly AnyMethod[] => one.methods);
export const METHOD_IDS: readonly MethodId[] = METHODS.map(({ id }) => id);

const METHOD_BY_ID: ReadonlyMap<string, AnyMethod> = new Map(METHODS.map((method) => [method.id, method]));
const FAMILY_BY_METHOD: ReadonlyMap<string, Family> = new Map(
  FAMILIES.flatMap((one) => one.methods.map(({ id }): [string, Family] => [id, one as unknown as Family])),
);

function found<T>(map: ReadonlyMap<string, T>, id: string): T {
  const one = map.get(id);
  if (!one) throw new RangeError(`There is no method "${id}": use ${METHOD_IDS.join(', ')}.`);
  return one;
}

/** The method of an id. @throws RangeError on an id that no family has */
export const methodById = (id: string): AnyMethod => found(METHOD_BY_ID, id);
/** The family that a method belongs to. @throws RangeError on an id that no family has */
export const familyOf = (methodId: string): Family => found(FAMILY_BY_METHOD, methodId);
/** The drawing of a method. @throws RangeError on an id that no family has */
export const glyphOf = (methodId: string): GlyphName => familyOf(methodId).glyph as GlyphName;

/** Every kind of part that a family is made with. */
export const FAMILY_KINDS = FAMILIES.flatMap((one): readonly KindOf<AnyFamily>[] => one.parts);
/** What the families' own tools do, and one of each tool. */
export const FAMILY_TASKS = Object.assign({}, ...FAMILIES.map((one) => one.tasks)) as Readonly<
  Record<FamilyTask, Task>
>;
export const FAMILY_TOOLS = FAMILIES.flatMap((one): readonly AnyTool<FamilyTask>[] => one.tools);
