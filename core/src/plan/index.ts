export type { CavityPlan, CoverPlan, SplicePlan } from './made.ts';
export type { FindingPlan, InsertPlan, PieceOfWork, Plan, PlanTotals, RunPlan } from './types.ts';
export type { ElectricalCheck, ElectricalLine, LimitStanding } from './electricalTypes.ts';
export { planChanges, whatIfInputs } from './whatIf.ts';
export type { PlanChange, WhatIf } from './whatIf.ts';
export { plan } from './plan.ts';
export { planOne } from './replan.ts';
export { warm } from './decideOne.ts';
export type { Warm } from './decideOne.ts';
export { memories } from './remembered.ts';
export { minutesOf } from './minutes.ts';
export { allNeeds } from './needs.ts';
export { allMakes, leftFindings, makesOf } from './makes.ts';
export type { Make } from './makes.ts';
export { heldBy, partsTaken } from './begun.ts';
export { asLaid } from './grow.ts';
export { slackOf } from './together/slack.ts';
export {
  boardOf,
  checkWishes,
  choosing,
  findingPlanAt,
  findingsOnRun,
  keptAsPlanned,
  pinnedAt,
  plannedPins,
  runPlanAt,
  searchedAnew,
  searchedFor,
  unpinned,
} from './board.ts';
export type { Board } from './board.ts';
export { takeFound } from './runLayouts.ts';
export { isLeft, searchesLeft } from './searches.ts';
export type { LayoutSearch } from './searches.ts';
export { isOffered } from './layoutTypes.ts';
export type { LayoutOffer, LayoutsToChoose, NoOffer } from './layoutTypes.ts';
export { byFirstCut, cutsOn, plansOn, seenOn } from './seenOn.ts';
