import { indexJob, type Job } from '../job/index.ts';
import {
  fingerprintOf,
  isBefore,
  levelsOf,
  placesOf,
  type Asked,
  type Level,
  type RunToLayOut,
} from '../layout/index.ts';
import type { LayoutKind } from '../practice/index.ts';
import { decideAll } from './decideAll.ts';
import type { Warm } from './decideOne.ts';
import { layOutRuns } from './layOut.ts';
import { isOffered, type LayoutsToChoose } from './layoutTypes.ts';
import { searchedOf } from './runLayouts.ts';

/** A layout of a run that a longer search may still better. Plain data, so that it goes to a worker. */
export interface LayoutSearch {
  readonly runId: string;
  readonly asked: Asked;
  /** What is to be laid out, from where a plan has its splices. */
  readonly run: RunToLayOut;
  /** All that the search depends on. */
  readonly fingerprint: string;
}

/** Whether more is open than the last few millimetres of wire. */
const isOpen = (asked: Asked, open: Level | undefined): boolean =>
  open !== undefined && isBefore(levelsOf(asked), open, 'insertedMm');

/**
 * Whether a longer search may better one of the layouts of a run, or that of a kind. Where splices are kept nobody
 * searches.
 */
export const isLeft = ({ offers, isKept }: LayoutsToChoose, kind?: LayoutKind): boolean =>
  !isKept &&
  offers.some(
    (offer) =>
      (kind === undefined || offer.kind === kind) && isOpen(offer, isOffered(offer) ? offer.reached.open : offer.open),
  );

/**
 * What a plan of a job has left to longer searches, the layouts that are taken first: runs of many splices, which a plan
 * lays out by the rules, and what it could not prove. What was searched to the end is not searched again.
 */
export function searchesLeft(job: Job, memory: Warm): LayoutSearch[] {
  const index = indexJob(job);
  const { choices } = layOutRuns(job, index, decideAll(job, index, memory), memory);
  const left = [...choices].flatMap(([runId, { all = [], layouts }]) =>
    !layouts || layouts.isKept
      ? []
      : all.flatMap(({ asked, one: { run, laid } }) => {
          if (!isOpen(asked, laid.open)) return [];
          const fingerprint = fingerprintOf(run);
          if (searchedOf(job, runId, asked)?.endedFor === fingerprint) return [];
          return [
            {
              isTaken: asked.kind === layouts.chosen.kind,
              search: {
                runId,
                asked,
                run: { ...run, found: placesOf(laid.items) },
                fingerprint,
              },
            },
          ];
        }),
  );
  return left.sort((a, b) => Number(b.isTaken) - Number(a.isTaken)).map(({ search }) => search);
}
