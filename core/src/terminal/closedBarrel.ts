import { LOOSE_FAMILIES, terminalForm, terminalInWords, type TerminalFamily } from '../harness/index.ts';
import { BARREL_CLASSES, usual, type TerminalPart } from '../stock/index.ts';
import type { Form } from './types.ts';
import { capital } from '../units/index.ts';

/** The name of a part of a family: "Ring M6". */
export const named = (family: TerminalFamily): string => capital(terminalInWords(family));

/**
 * Strip with its brush, bore and thickness of an insulated barrel, by class, mm. Source: numbers, joints; thickness as
 * of a butt.
 */
const BY_CLASS = {
  small: { stripMm: 7, barrelIdMm: 1.7, outerMm: 4.2 },
  middle: { stripMm: 7, barrelIdMm: 2.3, outerMm: 5.2 },
  large: { stripMm: 8, barrelIdMm: 3.5, outerMm: 6.9 },
} as const;
const BARREL_MM = 10;

/**
 * A family's terminals with a closed barrel: three sizes with a collar that insulates, and three with a tube and glue
 * of their own.
 */
const closedBarrels = (family: TerminalFamily): readonly TerminalPart[] =>
  (['insulated', 'ownTube'] as const).flatMap((body) =>
    (['small', 'middle', 'large'] as const).map((size): TerminalPart => ({
      ...usual,
      kind: 'terminal',
      family,
      id: `terminal-${family}-${size}${body === 'ownTube' ? '-tube' : ''}`,
      name: `${named(family)}${body === 'ownTube' ? ' with adhesive tube' : ''}, ${size}`,
      range: BARREL_CLASSES[size].range,
      stripMm: BY_CLASS[size].stripMm,
      colour: BARREL_CLASSES[size].colour,
      body,
      barrelIdMm: BY_CLASS[size].barrelIdMm,
      barrelLengthMm: BARREL_MM,
      barrelOuterMm: BY_CLASS[size].outerMm,
      ratedC: body === 'ownTube' ? 125 : 105,
    })),
  );

/** How an insulated barrel is crimped. */
const closedBarrelCrimp = (name: string, support: TerminalPart['support']): string =>
  `${name}: barrel in its nest by colour dot, tongue out, seam to the smooth side. Wire in to the stop, jacket up to the barrel. Crimp halfway along it, never on the rim${support === 'metal' ? '; then a second crimp over the jacket, where the metal support is' : ''}.`;

/** The mistake that people make with an insulated barrel. */
const CLOSED_BARREL_MISTAKE = 'The wrong nest is the fault that looks good: look for its mark, and pull.';

/**
 * What every form on an insulated barrel has alike: how its barrel is chosen, crimped, sealed and tugged, and its usual
 * parts.
 */
export const onClosedBarrel = (form: Form['form']) =>
  ({
    form,
    nestBy: 'barrel',
    body: 'insulated',
    solid: 'folded',
    sealing: 'sleeve',
    soldered: 'allowed',
    crimpMistake: CLOSED_BARREL_MISTAKE,
    crimp: ({ part }) => closedBarrelCrimp(part.name, part.support),
    isTugged: true,
    usual: LOOSE_FAMILIES.filter((family) => terminalForm(family) === form).flatMap(closedBarrels),
    tools: [],
  }) satisfies Partial<Form>;
