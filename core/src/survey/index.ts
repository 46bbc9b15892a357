export { EditRefused } from './types.ts';
export type { HarnessEdit, RunChange, Surveyed } from './types.ts';
export { applyEdit, applyEdits } from './edit.ts';
export { setCable } from './cables.ts';
export { alongWith, type WirePlace } from './along.ts';
export { proposeTree, USUAL_ZONE } from './propose.ts';
export type { ProposedTree } from './propose.ts';
export { faceMisses, harnessFromPinout, importEdits, nodeOfConnector } from './importEdits.ts';
export type { Attachment } from './importEdits.ts';
