const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];

/**
 * A number of things as it is spoken: "no steps", "one step", "two steps", "10 steps". @param number a whole number,
 * not below 0
 */
export const counted = (number: number, one: string): string =>
  `${NUMBERS[number] ?? String(number)} ${one}${number === 1 ? '' : 's'}`;

/** Words as they begin a sentence. */
export const capital = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}`;

/** How large a file is: "33 kB", "2.3 MB". @param bytes a whole number; a kB is 1000 of them */
export const fileSize = (bytes: number): string =>
  bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
