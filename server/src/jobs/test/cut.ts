import type { Finding } from '@mendum/core/damage';

export const cut = (more: Partial<Finding> = {}): object => ({
  id: 'new',
  circuitId: 'C26',
  runId: 'R1',
  kind: 'parted',
  fromMm: 800,
  toMm: 805,
  cutBackLeftMm: 2,
  cutBackRightMm: 2,
  slackMm: 30,
  ...more,
});
