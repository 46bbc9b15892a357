/** Least bend radius as a multiple of the bundle, where it lies still and where it moves. Source: numbers, layout. */
export const BEND_FIXED = 4;
export const BEND_MOVING = 10;
