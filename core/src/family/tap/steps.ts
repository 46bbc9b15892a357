import { draft, type StepDraft } from '../../step/index.ts';
import type { JoinWork } from '../types.ts';

/** The tap pressed over both wires. */
export const tapSteps = ({ joint }: JoinWork): StepDraft[] => [
  draft(
    'press',
    'press',
    'Press the tap home',
    `${joint.partName} over both wires, flat, latched.`,
    'Temporary: it gets a label with the day it comes back.',
  ),
];
