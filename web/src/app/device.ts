import { keep, recall } from './kept.ts';

/** What a device remembers of who signs in on it: names, the last one first, and whether it is a shared one. */
interface Device {
  readonly names: readonly string[];
  readonly shared: boolean;
}
const KEY = 'mendum.device';
const NAMES_MOST = 8;

export function rememberedDevice(): Device {
  const { names, shared } = (recall(KEY) ?? {}) as Partial<Device>;
  return {
    names: Array.isArray(names) ? names.filter((name): name is string => typeof name === 'string') : [],
    shared: shared === true,
  };
}

/** Somebody signed in: their name is offered first the next time. */
export function rememberSignIn(name: string, shared: boolean): void {
  const others = rememberedDevice().names.filter((one) => one !== name);
  keep(KEY, { names: [name, ...others].slice(0, NAMES_MOST), shared });
}
