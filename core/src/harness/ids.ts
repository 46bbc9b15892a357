/** An id made from a name or a number: without spaces, slashes and hashes, 80 characters at most. */
export const idFrom = (name: string): string => name.replace(/[\s/#]+/g, '-').slice(0, 80);
/** The id of a circuit, from its number. */
export const circuitIdFrom = (number: string): string => idFrom(`C${number}`);
