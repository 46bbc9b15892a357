import type { Act } from '../step/index.ts';

/** A caution that is shown on the plan and on every sheet where it applies. */
export interface Caution {
  readonly id: string;
  readonly text: string;
}

/** On every plan and every report. */
export const MANUAL_FIRST: Caution = {
  id: 'manual',
  text: "The maker's service manual and local codes come first: they override what is proposed here.",
};

/** What is done in a job and where, as far as cautions go. */
export interface CautionCase {
  /** Everything that its steps do. */
  readonly acts: ReadonlySet<Act>;
  readonly leadedSolder: boolean;
  readonly fuelVapour: boolean;
  readonly airbag: boolean;
  readonly highVoltage: boolean;
}

const does =
  (...acts: readonly Act[]) =>
  ({ acts: done }: CautionCase): boolean =>
    acts.some((act) => done.has(act));

const CAUTIONS: readonly (Caution & { readonly applies: (job: CautionCase) => boolean })[] = [
  { ...MANUAL_FIRST, applies: () => true },
  {
    id: 'isolate',
    text: 'Battery off or the circuit proved dead, engine off and cold, work supported.',
    applies: () => true,
  },
  {
    id: 'airbag',
    text: "Airbag and belt circuits: the maker's procedure and waiting time, no probing.",
    applies: (job) => job.airbag,
  },
  {
    id: 'highVoltage',
    text: 'Orange high-voltage cable: qualified people only. Charged capacitors stay dangerous.',
    applies: (job) => job.highVoltage,
  },
  { id: 'eyes', text: 'Eye protection when cutting, stripping and soldering.', applies: does('cut', 'strip', 'iron') },
  {
    id: 'vapour',
    text: 'Fuel vapour: no flame, no iron; hot air only once aired and measured.',
    applies: (job) => job.fuelVapour,
  },
  {
    id: 'hotAir',
    text: 'Hot air burns skin and starts fires: low setting, reflector, keep it moving; flame never near fuel.',
    applies: does('hotAir', 'flame'),
  },
  {
    id: 'iron',
    text: 'Hot iron: mind burns and drips, and ventilate.',
    applies: does('iron'),
  },
  {
    id: 'lead',
    text: 'Leaded solder: wash hands, no food.',
    applies: (job) => job.leadedSolder && job.acts.has('iron'),
  },
  { id: 'ratchet', text: 'Ratchet tools do not let go: mind your fingers.', applies: does('crimp') },
  { id: 'glue', text: 'Potting compound: gloves, fresh air, and its own safety sheet.', applies: does('glue') },
  {
    id: 'rules',
    text: 'Aviation, road-legal and marine work have rules of their own, and they come first.',
    applies: () => true,
  },
];

/** The cautions that apply, in order of weight. */
export const cautionsFor = (job: CautionCase): Caution[] =>
  CAUTIONS.filter((caution) => caution.applies(job)).map(({ id, text }) => ({ id, text }));
