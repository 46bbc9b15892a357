import { methodBook, type BookEntry } from '../method/index.ts';

type Condition = Pick<BookEntry, 'id' | 'subject' | 'verdict' | 'title' | 'because' | 'otherSide' | 'source'>;

const condition = (id: string, subject: string, verdict: BookEntry['verdict'], title: string, because: string, otherSide: string, source: string): Condition => ({ id, subject, verdict, title, because, otherSide, source });

const TABLE = 'approach by finding';

/** What decides about ways of mending, before a method is looked at: conditions of the approaches, in their order. */
const CONDITIONS: readonly Condition[] = [
  condition('way.copperLost', 'cover', 'refuse', 'Covering copper that is not whole', 'A cover hides the hot spot and leaves it.', 'One strand of many carries nothing that is missed.', TABLE),
  condition('cover.noFreeEnd', 'cover', 'refuse', 'A sleeve over a place with no free end', 'It cannot be slid on.', '', TABLE),
  condition('cover.clothDamp', 'cover', 'refuse', 'Cloth tape in damp or wet', 'It holds water against the place.', 'It was there from the works.', 'cloth tape where dry'),
  condition('cover.fusingWet', 'cover', 'warn', 'A wrap in the wet', 'Free an end if you can, and use a sleeve.', 'Stretched self-fusing tape holds for years.', 'self-fusing tape where damp'),
  condition('way.cover', 'cover', 'prefer', 'Cover whole copper', 'Nothing is cut.', '', TABLE),
  condition('way.slack', 'splice', 'refuse', 'One splice where slack does not cover what is lost', 'The wire would be pulled tight, and the splice with it.', 'A harness gives more than it seems to.', 'lost + lap ≤ slack'),
  condition('way.oneSplice', 'splice', 'prefer', 'One splice where slack covers it', 'Every splice is one more thing that can fail.', '', TABLE),
  condition('way.insert', 'splice', 'prefer', 'Insert where one splice does not reach', 'Same colour, never smaller.', '', TABLE),
  condition('way.none', 'splice', 'refuse', 'No method makes it', 'What each method lacks stands at the method.', '', TABLE),
  condition('way.tailTooShort', 'terminal', 'refuse', 'A new terminal on a tail too short', 'It takes its strip, 2 mm and what is lost.', 'The wire stretches a little.', 'strip + 2 + lost ≤ slack'),
  condition('way.terminalUnknown', 'terminal', 'shelf', 'No terminal that fits', 'Copper, jacket and seal must all be in range.', '', TABLE),
  condition('way.newTerminal', 'terminal', 'prefer', 'New terminal first', 'No splice at all.', '', TABLE),
  condition('way.relead', 'terminal', 'prefer', 'New lead with its own terminal', 'It needs no slack, and one splice where there is room.', '', TABLE),
  condition('way.extend', 'too short', 'prefer', 'Lengthen by an insert', 'Where no terminal or die is there.', '', TABLE),
  condition('way.pigtail', 'housing', 'prefer', 'Pigtail, mapped by cavity', 'Its colours match nothing.', 'A new housing needs no splice.', TABLE),
  condition('way.noPigtail', 'housing', 'refuse', 'No pigtail with its ways and no wire smaller', 'A wire smaller than the old runs hot.', '', TABLE),
  condition('wire.smaller', 'wire', 'refuse', 'A wire smaller than the one it replaces', 'It runs hotter than its fuse knows.', 'The load is small.', 'never smaller: at least 0.95 of the copper'),
  condition('way.lockUnknown', 'housing', 'refuse', 'Moving terminals whose lock nobody knows', 'Pried, they come out bent.', 'One gets them out somehow.', TABLE),
  condition('way.noHousing', 'housing', 'refuse', 'No such housing', 'Cavities and lock must be the same.', '', TABLE),
  condition('way.rehouse', 'housing', 'prefer', 'Move good terminals into a new housing', 'Nothing is cut.', '', TABLE),
  condition('way.refit', 'seal or lock piece', 'prefer', 'Put back what is lost', 'A wire seal that only slides on before crimping means a new terminal.', '', TABLE),
  condition('way.correctCavity', 'cavity', 'prefer', 'Free it, look at its lance, seat it', 'The right wire in the wrong cavity is the most common mistake of all.', '', TABLE),
  condition('way.fillCavity', 'circuit to be added', 'prefer', 'Fill a free cavity', 'No wire is cut; the plug comes out.', '', TABLE),
  condition('way.solderToPin', 'no mating part', 'prefer', 'Solder to the pin and pot the back', 'Only with the back held fast: the one soldered joint that every practice keeps.', 'A soldered pin is never parted again.', TABLE),
];

/** Every rule there is: what decides about ways, then about methods, then the order of preference. */
export const ruleBook = (): BookEntry[] => [...CONDITIONS.map((entry) => ({ ...entry, switchable: false })), ...methodBook()];
