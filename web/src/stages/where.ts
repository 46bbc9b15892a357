import type { Make } from '@mendum/core';

/** What a make is called: a splice, a cover, or work at a cavity. */
export const makeWord = (make: Make): string => ('centreMm' in make ? 'splice' : 'work' in make ? make.name.toLowerCase() : 'cover');

/** The cavity at which a make is, where it is at one. */
export const cavityOf = (make: Make): string | undefined => ('work' in make ? `${make.work.nodeName} ${make.work.at.cavity}` : undefined);

/** Where a make lies along its run, mm. */
export const atOf = (make: Make): number => ('centreMm' in make ? make.centreMm : make.atMm);
