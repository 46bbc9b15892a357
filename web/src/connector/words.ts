import type { EndUse, FeatureKind, NodeKind, SealState } from '@mendum/core/harness';

export const NODE_WORDS: Record<NodeKind, string> = {
  connector: 'connector',
  branch: 'branch',
  grommet: 'grommet',
  clip: 'clip',
  splice: 'splice that is there',
  end: 'end',
};
export const FEATURE_WORDS: Record<FeatureKind, string> = {
  branch: 'branch',
  grommet: 'grommet',
  clip: 'clip',
  flex: 'bends in use',
};
export const SEAL_WORDS: Record<SealState, string> = {
  seal: 'wire seal',
  plug: 'plug',
  none: 'none needed',
  missing: 'missing',
};
export const USE_WORDS: Record<EndUse, string> = {
  housing: 'sits in a housing',
  stays: 'must not come off',
  screwStays: 'its screw stays in',
  parted: 'is parted often',
  tab: 'tab of a relay or switch',
  clamp: 'screw clamp',
};
