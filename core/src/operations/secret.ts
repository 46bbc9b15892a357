import type { Role } from './people.ts';

/** What a role is there for, in a sentence. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  technician: 'Finds, decides, repairs, proves and signs.',
  inspector: 'Reads, proves and signs; changes no repair.',
  lead: 'Does all that a technician does, and sees to the practice, prices and table imports.',
  admin: 'Does all that a lead does, and says who may sign in.',
};

/** A PIN has at least so many figures. */
export const PIN_LEAST = 6;
/** A passphrase has at least so many letters; an admin needs one. */
export const PASSPHRASE_LEAST = 12;
/** Nobody types more, and hashing costs. */
export const SECRET_MOST = 128;

/** As figures in a row, a PIN that many would pick: one figure, a run up or down, a pair over and over, a year twice. */
function isCommonPin(pin: string): boolean {
  const figures = Array.from(pin, Number);
  const steps = new Set(figures.slice(1).map((figure, at) => (10 + figure - (figures[at] ?? 0)) % 10));
  const repeats = [1, 2, 3, 4].some((length) => pin === pin.slice(0, length).repeat(pin.length / length));
  return repeats || (steps.size === 1 && ['0', '1', '9'].includes(String([...steps][0])));
}

/** Words that begin most passphrases that are guessed. */
const COMMON_WORDS = ['password', 'passphrase', 'passwort', 'qwerty', 'qwertz', 'letmein', 'welcome', 'mendum'];

/**
 * Why a PIN or a passphrase will not do for somebody; nothing where it will.
 * @param name of whoever it is for: it may not stand in it
 */
export function whyNoSecret(secret: string, role: Role, name: string): string | undefined {
  const isPin = /^\d+$/.test(secret);
  if (secret.length > SECRET_MOST) return `It has ${secret.length} letters; ${SECRET_MOST} are the most.`;
  if (isPin && role === 'admin')
    return `An admin needs a passphrase of ${PASSPHRASE_LEAST} letters or more, not a PIN.`;
  if (isPin && secret.length < PIN_LEAST)
    return `A PIN has ${PIN_LEAST} figures or more; this one has ${secret.length}.`;
  if (isPin) return isCommonPin(secret) ? 'Many people would pick this PIN: take another.' : undefined;
  if (secret.length < PASSPHRASE_LEAST)
    return `A passphrase has ${PASSPHRASE_LEAST} letters or more; this one has ${secret.length}. A PIN is figures only.`;
  const plain = secret.toLowerCase();
  if (new Set(plain).size < 5 || COMMON_WORDS.some((word) => plain.startsWith(word)))
    return 'Many people would pick this passphrase: take another, three words in a row.';
  return name.length >= 3 && plain.includes(name.toLowerCase()) ? 'The name may not stand in it.' : undefined;
}
