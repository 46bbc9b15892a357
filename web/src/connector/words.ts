import type { FeatureKind, NodeKind, SealState } from '@mendum/core';

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
