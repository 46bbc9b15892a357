import { expose } from 'comlink';
import { knownSections, type KnownSections } from '@mendum/core/bundle';
import type { Catalogue } from '@mendum/core/catalogue';
import type { Job } from '@mendum/core/job';
import {
  bundleProfile,
  lumpDiameterMm,
  thickLying,
  thickSplice,
  type LaidOut,
  type RunToLayOut,
} from '@mendum/core/layout';
import {
  boardOf,
  memories,
  plan,
  searchesLeft,
  takeFound,
  type Board,
  type LayoutSearch,
  type Plan,
} from '@mendum/core/plan';
import type { Practice } from '@mendum/core/practice';

/** A board with the bundle's sections packed, so that the page need not pack them under a finger. */
export interface PackedBoard {
  readonly board: Board;
  readonly sections: KnownSections;
}

function packed(board: Board): PackedBoard {
  const { lengthMm, wires = [], lying = [] } = board.run;
  const bodies = board.items.flatMap((item) => item.splices).map(thickSplice);
  bundleProfile(lengthMm, wires, [...bodies, ...lying.map(thickLying)]);
  lumpDiameterMm(wires, bodies);
  return { board, sections: knownSections(wires.map((wire) => wire.jacketMm)) };
}

const memoryOf = memories(1);

/** Plans off the page's own thread, so that a large job never holds up a finger. */
const planner = {
  plan: (job: Job, practice: Practice, catalogue: Catalogue): Plan => {
    const memory = memoryOf(practice, catalogue);
    return plan(job, memory.practice, memory.catalogue, memory);
  },
  board: (job: Job, practice: Practice, catalogue: Catalogue, runId: string): PackedBoard | undefined => {
    const board = boardOf(job, runId, memoryOf(practice, catalogue));
    return board && packed(board);
  },
  /** What plans of the job have left to longer searches. */
  searches: (job: Job, practice: Practice, catalogue: Catalogue): LayoutSearch[] =>
    searchesLeft(job, memoryOf(practice, catalogue)),
  /** What such a search has found and proven: plans have it from now on. */
  found: (practice: Practice, catalogue: Catalogue, run: RunToLayOut, layout: LaidOut): void =>
    takeFound(memoryOf(practice, catalogue), run, layout),
};
export type Planner = typeof planner;
expose(planner);
