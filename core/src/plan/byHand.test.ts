import { describe, expect, it } from 'vitest';
import { at, planAll, planned } from '../approach/test/atCavity.ts';
import { FULL_SHELF, type Catalogue } from '../catalogue/index.ts';
import { DRY_CABIN, onlyFinding, WET_SHAKING, wire } from '../test/samples.ts';

const withRatchet = (ratchet: boolean): Catalogue => ({
  ...FULL_SHELF,
  tools: FULL_SHELF.tools.map((tool) => ({ ...tool, ratchet })),
});
const ids = (checks: readonly { readonly id: string }[] | undefined): readonly string[] =>
  (checks ?? []).map(({ id }) => id);

describe('a tool without a ratchet: its crimp is looked at once more', () => {
  it.each([
    [false, true],
    [true, false],
  ])('ratchet %s: %s', (ratchet, again) => {
    const catalogue = withRatchet(ratchet);
    const splice = onlyFinding({ kind: 'parted', slackMm: 40 }, { zone: WET_SHAKING, catalogue }).splices[0];
    expect(ids(splice?.checks).includes('crimp.again')).toBe(again);
    const { cavity } = planned(at('terminalDamaged', { slackMm: 25 }), {
      zone: DRY_CABIN,
      circuits: [{ wire: wire(1.5) }],
      terminal: '2.8',
      catalogue,
    });
    expect(ids(cavity?.checks).includes('crimp.again')).toBe(again);
  });
  it('what is soldered is not', () => {
    const { splices } = onlyFinding(
      { kind: 'parted', slackMm: 40 },
      {
        zone: DRY_CABIN,
        circuits: [{ wire: wire(1) }],
        catalogue: {
          ...withRatchet(false),
          parts: FULL_SHELF.parts.filter(({ kind }) => ['solder', 'sleeve'].includes(kind)),
        },
      },
    );
    expect(splices[0]?.methodId).toMatch(/older/);
    expect(ids(splices[0]?.checks)).not.toContain('crimp.again');
  });
});

describe('a kit is not ready while something of it has no name', () => {
  const unanswered = (...of: Parameters<typeof planAll>): readonly string[] => planAll(...of).kit.unanswered;
  const one = [{ wire: wire(1) }];
  it('a ferrule in the wet, which nothing seals', () =>
    expect(
      unanswered(at('terminalDamaged', { slackMm: 25 }), {
        zone: WET_SHAKING,
        circuits: one,
        terminal: 'ferrule8',
        node: { kind: 'end', ways: undefined },
      }),
    ).toEqual(['1']));
  it('a lock piece of a connector whose lock nobody knows', () => {
    expect(unanswered(at('lockLost'), { zone: DRY_CABIN, circuits: one })).toEqual(['1']);
    expect(unanswered(at('lockLost'), { zone: DRY_CABIN, circuits: one, node: { lock: 'frontLance' } })).toEqual([]);
  });
  it('a part that is only to be ordered is counted, and short', () =>
    expect(
      unanswered(at('terminalDamaged', { slackMm: 25 }), {
        zone: DRY_CABIN,
        circuits: one,
        terminal: '2.8',
        catalogue: { ...FULL_SHELF, parts: FULL_SHELF.parts.map((part) => ({ ...part, quantity: 0 })) },
      }),
    ).toEqual([]));
});
