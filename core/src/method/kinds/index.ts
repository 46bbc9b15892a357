import type { Method, MethodId } from '../types.ts';
import { plainSleeve, plainWrap, sealedButt } from './butt.ts';
import { clipSleeve, clipWrap } from './clip.ts';
import { piercingTap } from './piercingTap.ts';
import { wrappedSolder } from './wrappedSolder.ts';

/** Every method there is. */
export const METHODS: readonly Method[] = [sealedButt, clipSleeve, plainSleeve, wrappedSolder, clipWrap, plainWrap, piercingTap];

const BY_ID = Object.fromEntries(METHODS.map((method) => [method.id, method])) as Record<MethodId, Method>;

/** The method of an id. */
export const methodById = (id: MethodId): Method => BY_ID[id];
