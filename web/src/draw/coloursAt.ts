import type { FindingPlan, SplicePlan } from '@mendum/core/plan';
import type { WireColour } from '@mendum/core/wire';

/**
 * The wires that meet in a splice, by colour: the harness's own, and on the side of an insert, a lead or a pigtail the
 * new one.
 */
export function coloursAt(
  { insert, isLead, lost }: Pick<FindingPlan, 'insert' | 'isLead' | 'lost'>,
  { side }: Pick<SplicePlan, 'side'>,
  own: WireColour,
): { readonly left: WireColour; readonly right: WireColour } {
  if (!insert) return { left: own, right: own };
  const { colour } = insert.wire.wire;
  const newOnLeft = isLead ? lost.fromMm <= 0 : side === 'right';
  return newOnLeft ? { left: colour, right: own } : { left: own, right: colour };
}
