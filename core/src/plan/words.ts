import { familyOf, methodById } from '../family/index.ts';
import { WAY_WORDS, type Decision } from '../approach/index.ts';
import { formatMm } from '../units/index.ts';

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** A joint's part and seal in a few words: "sealed butt, middle", "splice clip L + adhesive sleeve 6/2". */
function jointWords(decision: Decision): string {
  const names = (decision.method?.joints ?? []).map((joint) =>
    joint.seal.kind === 'sleeve' || joint.seal.kind === 'wrap'
      ? `${familyOf(joint.methodId).joins === 'solder' ? lower(methodById(joint.methodId).name.split(' + ')[0] ?? '') : lower(joint.partName)} + ${lower(joint.seal.name)}`
      : lower(joint.partName),
  );
  return [...new Set(names)].join(' and ');
}

/** A new terminal and its seal in a few words. */
function terminalWords({ cavity }: Decision): string {
  const terminal = cavity?.terminal;
  return terminal
    ? `${lower(terminal.partName)}${terminal.seal ? ` + ${lower(terminal.seal.name)}` : ''}`
    : 'a terminal still to be named';
}

/** What goes onto the other end of a wire that is added. */
const farWords = (decision: Decision): string =>
  decision.cavity ? `; ${terminalWords(decision)} at its other end` : '';

/** What is done about a finding, in one line. */
export function headline(decision: Decision, insertMm: number | undefined): string {
  switch (decision.approach) {
    case 'oneSplice':
      return `One splice: ${jointWords(decision)}${farWords(decision)}`;
    case 'insert':
      return `Two splices and ${formatMm(insertMm ?? 0, 0)} of new wire: ${jointWords(decision)}${farWords(decision)}`;
    case 'relead':
      return `New lead of ${formatMm(insertMm ?? 0, 0)} with ${terminalWords(decision)}, one splice: ${jointWords(decision)}`;
    case 'extend':
      return `Lengthened by two splices and ${formatMm(insertMm ?? 0, 0)} of new wire: ${jointWords(decision)}`;
    case 'pigtail':
      return `Pigtail: ${jointWords(decision)} on this wire`;
    case 'newTerminal':
      return `New terminal: ${terminalWords(decision)}`;
    case 'fillCavity':
      return `Into the free cavity: ${terminalWords(decision)}`;
    case 'rehouse':
    case 'refit':
    case 'correctCavity':
    case 'solderToPin':
    case 'otherCavity':
    case 'solderedLead':
      return decision.cavity?.name ?? WAY_WORDS[decision.approach];
    case 'cover':
      return `Cover: ${lower(decision.cover?.partName ?? '')}, ${formatMm(decision.cover?.lengthMm ?? 0, 0)}`;
    case 'withOther':
      return 'Cut out together with the place beside it';
    case 'procedure':
      return 'By the named procedure only';
    case 'stopped':
      return 'Stopped at the gate';
    case 'byHand':
      return 'Nothing is possible as it stands';
  }
}
