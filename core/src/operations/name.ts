/** A name as it is compared: the same however it is written. */
export const nameKey = (name: string): string => name.normalize('NFKC').trim().toLowerCase();
