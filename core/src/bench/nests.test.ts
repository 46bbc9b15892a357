import { describe, expect, it } from 'vitest';
import { FULL_SHELF, type Catalogue, type Tool } from '../catalogue/index.ts';
import { at, planned } from '../approach/test/atCavity.ts';
import { DRY_CABIN, onlyFinding, WET_SHAKING, wire } from '../test/samples.ts';

const withTool = (id: string, more: Partial<Tool>): Catalogue => ({
  ...FULL_SHELF,
  tools: FULL_SHELF.tools.map((tool) => (tool.id === id ? { ...tool, ...more } : tool)),
});
const crimps = (areaMm2: number, farMm2 = areaMm2, catalogue = FULL_SHELF): readonly string[] =>
  (
    onlyFinding(
      { kind: 'parted', slackMm: 60, farWire: wire(farMm2) },
      { circuits: [{ wire: wire(areaMm2) }], zone: WET_SHAKING, catalogue },
    ).splices[0]?.steps ?? []
  )
    .filter(({ acts }) => acts.includes('crimp'))
    .map(({ detail }) => detail.split('. ')[0] ?? '');

describe('the step of a crimp names tool and nest', () => {
  it('each end of a butt by its own copper', () => {
    expect(crimps(1.5)).toEqual([
      'Ratchet crimper, insulated barrels, nest middle (blue dot), 1.04–2.63 mm², insulated barrel',
      'Ratchet crimper, insulated barrels, nest middle (blue dot), 1.04–2.63 mm², insulated barrel',
    ]);
  });
  it('a step-down in two nests', () => {
    const [thin, thick] = crimps(1, 2.5);
    expect(thin).toMatch(/nest small \(red dot\)/);
    expect(thick).toMatch(/nest middle \(blue dot\)/);
  });
  it('a tool without listed nests by its name alone; one without the nest is not taken', () => {
    expect(crimps(1.5, 1.5, withTool('tool-butt', { nests: undefined }))[0]).toBe('Ratchet crimper, insulated barrels');
    const small = { nests: [{ name: 'red', range: { minMm2: 0.3, maxMm2: 1 }, stroke: 'conductor' as const }] };
    const plan = onlyFinding(
      { kind: 'parted', slackMm: 60 },
      { circuits: [{ wire: wire(1.5) }], zone: WET_SHAKING, catalogue: withTool('tool-butt', small) },
    );
    expect(plan.ranked.find(({ methodId }) => methodId === 'sealedButt')?.status).toBe('shelf');
  });
  it('a terminal: tool, nest for the copper, nest for the jacket', () => {
    const nests = [
      { name: '1', range: { minMm2: 0.5, maxMm2: 1 }, stroke: 'conductor' as const },
      { name: '2', range: { minMm2: 1, maxMm2: 2.5 }, stroke: 'conductor' as const },
      { name: 'J', range: { minMm2: 0.5, maxMm2: 2.5 }, stroke: 'jacket' as const },
    ];
    const detail = (catalogue: Catalogue): string =>
      planned(at('terminalDamaged', { slackMm: 25 }), {
        circuits: [{ wire: wire(1.5) }],
        zone: DRY_CABIN,
        terminal: '2.8',
        catalogue,
      }).cavity?.steps.find(({ key }) => key === 'terminal')?.detail ?? '';
    expect(detail(withTool('tool-housingTerminals', { nests }))).toMatch(
      /^Ratchet crimper, housing terminals, nest 2, 1–2\.5 mm²; then the jacket in nest J, 0\.5–2\.5 mm²\. 2\.8 mm terminal: conductor first, then jacket/,
    );
    expect(detail(FULL_SHELF)).toMatch(/^Ratchet crimper, housing terminals\. 2\.8 mm terminal:/);
  });
});
