import {
  centresWithin,
  centreWindowOfLead,
  centreWindowOfOne,
  centreWindowsOfTwo,
  legalCentres,
  type Window,
} from '../sizing/index.ts';
import { spareOf } from './redo.ts';
import type { SizedJoint } from '../family/index.ts';
import type { SiteRoom, SiteWires } from './types.ts';

/** What finding room looks at. */
type Site = SiteRoom & Pick<SiteWires, 'lead'>;

const legal = (site: Site, window: Window, { bodyLengthMm }: SizedJoint, keepOuts: Site['keepOuts']): Window[] =>
  legalCentres(centresWithin(window, bodyLengthMm, site.within), bodyLengthMm, keepOuts);

function windowOf(site: Site, joint: SizedJoint, side: 'only' | 'left' | 'right'): Window {
  if (site.lead) return centreWindowOfLead(site.lost, site.lead.atStart, joint.reach, site.lead.mostMm);
  if (side === 'only') return centreWindowOfOne(site.lost, spareOf(joint, site.lost, site.slackMm));
  return centreWindowsOfTwo(site.lost, joint.reach, joint.reach)[side];
}

/** Whether one body by itself finds a legal place: on its run, or past its end where its circuit goes on. */
export const hasPlace = (site: Site, joint: SizedJoint, side: 'only' | 'left' | 'right'): boolean => {
  const window = windowOf(site, joint, side);
  return (
    legal(site, window, joint, site.keepOuts).length > 0 ||
    (side !== 'only' &&
      site.keepOutsBeyond !== undefined &&
      legal(site, window, joint, site.keepOutsBeyond()).length > 0)
  );
};

function hasRoomForTwo(site: Site, first: SizedJoint, second: SizedJoint, keepOuts: Site['keepOuts']): boolean {
  const leftmost = legal(site, windowOf(site, first, 'left'), first, keepOuts)[0]?.fromMm;
  const rightmost = legal(site, windowOf(site, second, 'right'), second, keepOuts).at(-1)?.toMm;
  if (leftmost === undefined || rightmost === undefined) return false;
  return rightmost - leftmost >= (first.bodyLengthMm + second.bodyLengthMm) / 2 - 1e-9;
}

/**
 * Whether the joints' bodies find a legal place, by their windows and the keep-outs; a circuit's own two never overlap.
 */
export function hasRoom(site: Site, joints: readonly SizedJoint[]): boolean {
  const [first, second] = joints;
  if (!first) return false;
  if (!second) return legal(site, windowOf(site, first, 'only'), first, site.keepOuts).length > 0;
  return (
    hasRoomForTwo(site, first, second, site.keepOuts) ||
    (site.keepOutsBeyond !== undefined && hasRoomForTwo(site, first, second, site.keepOutsBeyond()))
  );
}
