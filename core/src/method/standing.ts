/** Why one stands first that has no allowed rival. */
export const ONLY_ONE = 'The only one that every rule allows here.';

/** Why one stands where it stands that no preference tells apart from its rival. */
export const equalTo = (rival: string): string => `No preference tells it apart from ${rival}.`;
