import type { EndUse, TerminalFamily, TerminalForm } from '../harness/index.ts';
import type { Check } from '../prove/index.ts';
import type { AnyTool, CommonTask, TerminalBody, TerminalPart } from '../stock/index.ts';

/** How well a form serves a use: 0 is what it is made for; a word says why it does not do there. */
export type Serves = number | string;

/** What is asked of a terminal's crimp: its part, and whether its jacket is gripped. */
export interface CrimpWork {
  readonly part: Pick<TerminalPart, 'name' | 'support'>;
  readonly gripsJacket: boolean;
  readonly hasWireSeal: boolean;
}

/** All that is to be said of one form of terminal, except its families' names, which belong to the harness. */
export interface Form {
  readonly form: TerminalForm;
  /** Whether its nest goes by the barrel, or by the copper in it, as of barrels that are closed round it. */
  readonly nestBy: 'barrel' | 'copper';
  /** What its barrel usually has round it. */
  readonly body: TerminalBody;
  /** What each use asks of it. */
  readonly serves: Readonly<Record<EndUse, Serves>>;
  /** What solid wire does in it: it goes in, it is doubled over in the barrel, or a word says why it stays out. */
  readonly solid: 'single' | 'folded' | { readonly refused: string };
  /**
   * A sleeve or a tube of its own can keep water out of its barrel; a word says why not. A housing's terminal has a
   * wire seal instead.
   */
  readonly sealing: 'wireSeal' | 'sleeve' | { readonly refused: string };
  /** What stays open to the wet although its barrel is sealed. */
  readonly staysOpen?: string;
  /**
   * What has to be measured at the other half before one of its sizes is taken; nothing where the end itself says the
   * size.
   */
  readonly mateFirst?: string;
  /** Solder in it in place of the crimp: nothing said against it, or why not. */
  readonly soldered: 'allowed' | { readonly refused: string };
  /**
   * Good and no more up to this, from the wire to the mating contact, mΩ; none where that is no contact to measure.
   * Source: numbers, current.
   */
  contactMilliohm(family: TerminalFamily): number | undefined;
  /** How it is crimped, in a sentence about the part. */
  crimp(work: CrimpWork): string;
  /** The mistake that people make in it. */
  readonly crimpMistake: string;
  /** How it is fastened where it belongs; none where it sits in a housing. */
  fasten(
    family: TerminalFamily,
  ): { readonly title: string; readonly detail: string; readonly mistake: string } | undefined;
  /** A hand's tug says something about it. */
  readonly isTugged: boolean;
  /** What is looked at. */
  looks(work: CrimpWork): readonly Check[];
  /** One of each usual size, and the tools that crimp them. */
  readonly usual: readonly TerminalPart[];
  readonly tools: readonly AnyTool<CommonTask>[];
}
