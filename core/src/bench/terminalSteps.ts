import type { CavityWork, EndSeal, FittedTerminal } from '../approach/index.ts';
import { STRIP_TOLERANCE_MM } from '../sizing/index.ts';
import { draft, mm, type StepDraft } from '../step/index.ts';
import { formOf } from '../terminal/index.ts';
import { figure } from '../units/index.ts';
import { sizeInWords } from '../wire/index.ts';

/** A shrunk tube stays still for this long, s. Source: numbers, sleeves. */
const COOL_S = 60;
/** Solder is held still until it has set, s. */
const SET_S = 10;

/** What goes onto the wire before the terminal. */
function onFirst(seal: EndSeal | undefined): StepDraft[] {
  switch (seal?.kind) {
    case 'wireSeal':
      return [
        draft(
          'wireSeal',
          'sleeve',
          'Slide the wire seal on now',
          `${seal.name}, small end towards the terminal.`,
          'It only slides on before crimping: forgetting it costs the terminal.',
        ),
      ];
    case 'sleeve':
      return [
        draft(
          'sleeve',
          'sleeve',
          'Slide the sleeve on now',
          `${seal.name}, well back from the work.`,
          'Forgotten now, it costs the terminal.',
          { figure: mm(seal.cutMm, 0) },
        ),
      ];
    case 'ownTube':
    case 'wrap':
    case undefined:
      return [];
  }
}

/** What closes its barrel once it is on the wire. */
function sealAfter(seal: EndSeal | undefined): StepDraft[] {
  switch (seal?.kind) {
    case 'ownTube':
    case 'sleeve':
      return [
        draft(
          'shrink',
          'shrink',
          seal.kind === 'sleeve' ? 'Shrink the sleeve over barrel and jacket' : 'Shrink its tube over the jacket',
          'Low heat with a reflector, from the barrel towards the wire, until glue shows all round. Then leave it still.',
          'Glue on the tongue is a resistor: wipe it while it is warm.',
          { waitS: COOL_S },
        ),
      ];
    case 'wrap':
      return [
        draft(
          'wrap',
          'wrap',
          'Wrap barrel and jacket',
          `${seal.name}, stretched, half lapped, from the barrel onto the jacket and back.`,
          'Unstretched, it does not fuse.',
          { figure: mm(seal.lengthMm, 0) },
        ),
      ];
    case 'wireSeal':
    case undefined:
      return [];
  }
}

function stripSteps({ wire }: CavityWork, { stripMm, folded, family }: FittedTerminal): StepDraft[] {
  const trimmed = formOf(family).sealing === 'wireSeal' ? ' Then trim against the terminal.' : '';
  return [
    draft(
      'strip',
      'strip',
      'Strip the end',
      `Notch ${sizeInWords(wire.size)}.${trimmed}`,
      'A strand cut or nicked? Cut off and strip again.',
      { figure: mm(stripMm, 1, STRIP_TOLERANCE_MM) },
    ),
    ...(folded
      ? [
          draft(
            'fold',
            'fold',
            'Double the copper over',
            `Back on itself to ${figure(stripMm / 2, 1)} mm, side by side.`,
            'Single, it is loose in this barrel.',
          ),
        ]
      : []),
  ];
}

function holdSteps(terminal: FittedTerminal): StepDraft[] {
  if (terminal.attach === 'solder')
    return [
      draft(
        'terminal',
        'solder',
        'Solder it into the terminal',
        `${terminal.partName}: strands in, heat the barrel, feed into the wire until it is wet through; hold still until it sets.`,
        'Solder under the jacket makes a stiff end that breaks.',
        { waitS: SET_S },
      ),
    ];
  const part = { name: terminal.partName, support: terminal.hasMetalSupport ? ('metal' as const) : undefined };
  const by = terminal.crimpedBy;
  const tool = by && `${by.conductor}${by.jacket === undefined ? '' : `; then the jacket in ${by.jacket}`}`;
  return [
    draft(
      'terminal',
      'crimpTerminal',
      'Crimp the new terminal',
      `${tool === undefined ? '' : `${tool}. `}${formOf(terminal.family).crimp({
        part,
        gripsJacket: terminal.gripsJacket,
        hasWireSeal: terminal.seal?.kind === 'wireSeal',
      })}`,
      formOf(terminal.family).crimpMistake,
      tool === undefined ? {} : { tool },
    ),
  ];
}

/** The steps from a cut end to a terminal that holds, sealed where the place asks for it. */
export function terminalSteps(work: CavityWork): StepDraft[] {
  const { terminal } = work;
  if (!terminal)
    return [
      draft(
        'terminal',
        'crimpTerminal',
        'Crimp the new terminal',
        'Note the terminal’s family at the connector: strip, seal and die follow from it.',
        'A terminal of another family seats and makes no contact.',
      ),
    ];
  return [
    ...onFirst(terminal.seal),
    ...stripSteps(work, terminal),
    ...holdSteps(terminal),
    ...sealAfter(terminal.seal),
  ];
}

/** Fastening of what sits in no housing. */
export function fastenSteps({ terminal, nodeName, at }: CavityWork): StepDraft[] {
  const how = terminal && formOf(terminal.family).fasten(terminal.family);
  return how ? [draft('fasten', 'seat', how.title, `${nodeName}, ${at.cavity}. ${how.detail}`, how.mistake)] : [];
}
