/**
 * What hands and tools do in a repair. Cautions follow from these and from nothing else: at a cavity as along a run,
 * whatever the method is called. `flame` belongs to no step of ours; it stands here so that a method that needs one
 * could not go without its caution.
 */
export const ACTS = ['cut', 'strip', 'crimp', 'iron', 'hotAir', 'flame', 'glue', 'pull'] as const;
export type Act = (typeof ACTS)[number];
