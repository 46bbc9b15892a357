import type { JointWires } from '../sizing/index.ts';
import { wireFacts } from '../wire/index.ts';
import type { SiteWires } from './types.ts';

/** The joints of a repair with one splice, or with an insert between two. */
export function jointsWanted(site: SiteWires, splices: 1 | 2): JointWires[] {
  const own = wireFacts(site.wire);
  const far = wireFacts(site.farWire);
  const branches = site.branchWires.map(wireFacts);
  const insert = wireFacts(site.insertWire);
  if (site.lead) return site.lead.atStart ? [{ left: [insert], right: [far] }] : [{ left: [own], right: [insert] }];
  if (splices === 1) return [{ left: [own], right: [far, ...branches] }];
  return [
    { left: [own], right: [insert] },
    { left: [insert], right: [far, ...branches] },
  ];
}
