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
  it('the barrel’s nest, where the copper of one end would lie in a smaller one too', () => {
    const [thin, thick] = crimps(1.05, 2.5);
    expect(thin).toMatch(/nest middle \(blue dot\)/);
    expect(thick).toMatch(/nest middle \(blue dot\)/);
  });
  it('a red barrel stamped to 1.5 is not put into the blue nest for its copper', () => {
    const catalogue: Catalogue = {
      ...FULL_SHELF,
      parts: FULL_SHELF.parts.map((part) =>
        part.kind === 'sealedButt'
          ? {
              ...part,
              quantity: Number(part.id === 'sealedButt-small'),
              range: part.id === 'sealedButt-small' ? { minMm2: 0.5, maxMm2: 1.5 } : part.range,
            }
          : part,
      ),
    };
    const [left] = crimps(1.5, 1.5, catalogue);
    expect(left).toBe('Ratchet crimper, insulated barrels, nest as the part’s maker says');
  });
  it('a clip on a whole wire counts that wire once', () => {
    const nests = [
      { name: 'S', range: { minMm2: 1, maxMm2: 3 }, stroke: 'conductor' as const },
      { name: 'L', range: { minMm2: 3, maxMm2: 6 }, stroke: 'conductor' as const },
    ];
    const { splices } = onlyFinding({ kind: 'addCircuit', mainUncut: true, branchWires: [wire(1)] } as never, {
      circuits: [{ wire: wire(1.5) }],
      zone: DRY_CABIN,
      catalogue: withTool('tool-clip', { nests }),
    });
    const crimp = splices[0]?.steps.find(({ key }) => key === 'crimp')?.detail;
    expect(crimp).toMatch(/^Ratchet crimper, open barrels, nest S, 1–3 mm²/);
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
