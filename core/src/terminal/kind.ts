import {
  LOOSE_FAMILIES,
  TERMINAL_FAMILIES,
  terminalForm,
  terminalInWords,
  type TerminalFamily,
} from '../harness/index.ts';
import {
  BARREL_NESTS,
  choiceField,
  jacketFields,
  mayLack,
  mmField,
  rangeFields,
  rangeInWords,
  TERMINAL_BODIES,
  type AnyTool,
  type CommonTask,
  type PartKind,
  type TerminalBody,
  type TerminalPart,
} from '../stock/index.ts';
import { figure } from '../units/index.ts';
import { FORMS } from './forms/index.ts';
import type { Form } from './types.ts';

export const BODY_WORDS: Readonly<Record<TerminalBody, string>> = {
  bare: 'bare',
  insulated: 'insulating collar',
  ownTube: 'adhesive tube of its own',
};
const MOST_AMPS = 1000;
const FERRULES = LOOSE_FAMILIES.filter((family) => terminalForm(family) === 'ferrule');
const CLOSED_BARRELS = LOOSE_FAMILIES.filter((family) => !['ferrule', 'lug'].includes(terminalForm(family)));

/** All that is to be said of the form that a family belongs to. */
export const formOf = (family: TerminalFamily): Form => FORMS[terminalForm(family)];

/** What a part's barrel has round it, as it says or as is usual for its form. */
export const bodyOf = (part: Pick<TerminalPart, 'family' | 'body'>): TerminalBody =>
  part.body ?? formOf(part.family).body;

/** Terminals, whatever form they have. */
export const TERMINAL: PartKind<TerminalPart> = {
  kind: 'terminal',
  words: 'terminal',
  group: 'terminals',
  fields: [
    choiceField(
      'family',
      'Terminal family',
      TERMINAL_FAMILIES.map((value) => ({ value, words: terminalInWords(value) })),
    ),
    ...rangeFields('range'),
    ...jacketFields(true),
    mmField('stripMm', 'Strip'),
    mayLack(
      choiceField(
        'body',
        'Round its barrel',
        TERMINAL_BODIES.map((value) => ({ value, words: BODY_WORDS[value] })),
      ),
    ),
    mayLack(
      choiceField('support', 'Under the jacket support', [
        { value: 'metal', words: 'metal: a second crimp' },
        { value: 'plastic', words: 'no metal' },
      ]),
    ),
    mayLack({ path: 'ratedA', title: 'Carries', unit: 'A', type: 'number', from: 0, to: MOST_AMPS }),
    mayLack(mmField('barrelIdMm', 'Bore')),
    mayLack(mmField('barrelLengthMm', 'Barrel length')),
    mayLack(mmField('barrelOuterMm', 'Thickness crimped')),
  ],
  fits: (part) =>
    [
      rangeInWords(part.range),
      `strip ${figure(part.stripMm)} mm`,
      ...(part.jacketMm ? [`jacket ${figure(part.jacketMm.minMm)}–${figure(part.jacketMm.maxMm)} mm`] : []),
      ...(part.ratedA === undefined ? [] : [`${figure(part.ratedA)} A`]),
      ...(bodyOf(part) === 'ownTube' ? ['tube of its own'] : []),
    ].join(', '),
  usual: Object.values(FORMS).flatMap(({ usual }) => usual),
};

/** Tools that crimp terminals: those of the forms, and the one that does every insulated barrel. */
export const TERMINAL_TOOLS: readonly AnyTool<CommonTask>[] = [
  ...Object.values(FORMS).flatMap(({ tools }) => tools),
  {
    id: 'tool-looseTerminals',
    name: 'Ratchet crimper, insulated terminals and ferrules',
    tasks: ['crimpTerminal'],
    range: { minMm2: 0.12, maxMm2: 6.64 },
    families: LOOSE_FAMILIES.filter((family) => terminalForm(family) !== 'lug'),
    nests: [
      ...BARREL_NESTS.map((nest) => ({ ...nest, families: CLOSED_BARRELS })),
      { name: 'ferrule', range: { minMm2: 0.25, maxMm2: 6 }, stroke: 'conductor', families: FERRULES },
    ],
    ratchet: true,
  },
];
