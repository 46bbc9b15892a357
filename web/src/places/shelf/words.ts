import { kindOf, type Part } from '@mendum/core/catalogue';
import { SHELF_GROUPS, type ShelfGroup } from '@mendum/core/stock';

/** What a part takes, in a few words. */
export const fits = (part: Part): string => kindOf(part.kind).fits(part);

export interface Group {
  readonly id: ShelfGroup;
  readonly title: string;
}

/** The groups of the shelf's list, in its order. */
export const GROUPS: readonly Group[] = (Object.keys(SHELF_GROUPS) as ShelfGroup[]).map((id) => ({
  id,
  title: SHELF_GROUPS[id],
}));

/** The group that a part is listed in. */
export const groupOf = (part: Part): ShelfGroup => kindOf(part.kind).group;
