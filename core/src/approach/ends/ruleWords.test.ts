import { describe, expect, it, test } from 'vitest';
import { FULL_SHELF, type Catalogue } from '../../catalogue/index.ts';
import type { CavityFitting, Zone } from '../../harness/index.ts';
import { BENCH_SOLDER } from '../../practice/index.ts';
import { DRY_CABIN, facts } from '../../test/samples.ts';
import { BARE, endAt, only, terminals, withTool } from '../test/ends.ts';
import { END_PREFERENCES } from './order.ts';
import { rankEnds } from './rank.ts';
import { endBook } from './reasons.ts';
import { END_RULES } from './rules.ts';
import type { EndSite } from './types.ts';

const DAMP: Zone = { ...DRY_CABIN, moisture: 'damp' };
const SHAKING: Zone = { ...DRY_CABIN, vibration: 'high' };
const SOLID = facts(1.5, { conductor: { kind: 'solid' } });

/** Housing terminals take any jacket: only the seal is in question. */
const bareHousing = (of: Catalogue): Catalogue => ({
  ...of,
  parts: of.parts.map((part) =>
    part.kind === 'terminal' && part.family === '2.8' ? { ...part, jacketMm: undefined } : part,
  ),
});

describe('a rule says its figures, and is silent where it has none', () => {
  const ring: CavityFitting = { terminal: 'ringM6' };
  const words = (at: EndSite, rule: string, id?: string): string | undefined =>
    rankEnds(at)
      .find((one) => id === undefined || one.id === id)
      ?.hits.find(({ ruleId }) => ruleId === rule)?.because;
  const tenAmps = only('terminal-ringM6-middle', { ratedA: 10 });
  const noSeals: Catalogue = { ...FULL_SHELF, parts: FULL_SHELF.parts.filter(({ kind }) => kind !== 'wireSeal') };
  const huge = { ...facts(1.5), jacketMm: 60 };
  test.each<[string, EndSite, string, string | undefined, string?]>([
    [
      'a load over its rating',
      endAt(ring, { loadA: 12.34, catalogue: tenAmps }),
      'end.amps',
      'Ring M6, middle carries 10 A; the load is 12.3.',
      'ringM6 insulated',
    ],
    ['a load that nobody knows', endAt(ring, { catalogue: tenAmps }), 'end.amps', undefined, 'ringM6 insulated'],
    ['a rating that nobody knows', endAt(ring, { loadA: 100 }), 'end.amps', undefined, 'ringM6 insulated'],
    [
      'a ferrule in the wet',
      endAt({ terminal: 'ferrule8' }, { zone: { ...DAMP, moisture: 'wet' } }),
      'end.sealMissing',
      'The place gets wet. A screw clamp is open, and a ferrule in it cannot be sealed: it belongs inside a dry box.',
    ],
    [
      'a jacket that no wire seal takes',
      endAt({ terminal: '2.8' }, { zone: DAMP, isConnector: true, wire: huge, catalogue: bareHousing(noSeals) }),
      'end.sealMissing',
      'No wire seal takes a jacket of 60 mm.',
    ],
    [
      'a jacket that no sleeve grips',
      endAt(ring, { zone: DAMP, wire: huge }),
      'end.sealMissing',
      'The place is damp, and no adhesive sleeve passes the barrel and grips the 60 mm jacket.',
      'ringM6 insulated',
    ],
    [
      'a tube under an iron',
      endAt(ring, { practice: BENCH_SOLDER, catalogue: terminals((part) => ({ ...part, body: 'ownTube' })) }),
      'end.soldered',
      'Its tube melts under an iron: only a bare terminal is soldered.',
      'ringM6 solder',
    ],
    [
      'a collar under an iron',
      endAt(ring, { practice: BENCH_SOLDER }),
      'end.soldered',
      'Its collar melts under an iron: only a bare terminal is soldered.',
      'ringM6 solder',
    ],
    [
      'an iron is no hand tool to be watched',
      endAt(ring, { catalogue: BARE, practice: BENCH_SOLDER }),
      'tool.hand',
      undefined,
      'ringM6 solder',
    ],
    [
      'nor one to be calibrated',
      endAt(ring, { catalogue: withTool('tool-iron', { ratchet: true }), practice: BENCH_SOLDER, asOf: '2030-05-01' }),
      'tool.calibration',
      undefined,
      'ringM6 solder',
    ],
    [
      'a tool without a ratchet is not one to be calibrated',
      endAt(ring, { catalogue: withTool('tool-looseTerminals', { ratchet: false }), asOf: '2030-05-01' }),
      'tool.calibration',
      undefined,
    ],
    ['no day to hold it against', endAt(ring), 'tool.calibration', undefined],
    [
      'never calibrated',
      endAt(ring, { asOf: '2030-05-01' }),
      'tool.calibration',
      'Ratchet crimper, insulated terminals and ferrules was never calibrated: pull a sample before you trust it.',
    ],
    [
      'a bench that solders, in the damp',
      endAt(ring, { catalogue: BARE, zone: DAMP, practice: BENCH_SOLDER }),
      'practice.solderStillAndDry',
      undefined,
      'ringM6 solder',
    ],
    ['stranded wire in a ferrule', endAt({ terminal: 'ferrule8' }), 'end.solid', undefined],
    ['solid wire in a ring', endAt(ring, { wire: SOLID }), 'end.solid', undefined],
    [
      'a fork where it shakes',
      endAt({ terminal: 'forkM5' }, { zone: SHAKING }),
      'end.screwShaking',
      'The run shakes hard: a fork slides out when its screw works loose. A ring, if the screw may come out.',
    ],
    ['a blade where it shakes', endAt({ terminal: 'blade6.3' }, { zone: SHAKING }), 'end.screwShaking', undefined],
    ['an end of which nothing is noted but its terminal', endAt({ terminal: 'forkM5' }), 'end.use', undefined],
  ])('%s', (_, at, rule, because, id) => expect(words(at, rule, id)).toBe(because));
  it('a seal that is rated under the place is refused by its name', () => {
    const catalogue: Catalogue = {
      ...FULL_SHELF,
      parts: FULL_SHELF.parts.map((part) =>
        part.kind === 'wireSeal' ? { ...part, ratedC: 90 } : part.kind === 'terminal' ? { ...part, ratedC: 150 } : part,
      ),
    };
    const hits = rankEnds(endAt({ terminal: '2.8' }, { isConnector: true, zone: DAMP, placeC: 130, catalogue }))[0]
      ?.hits;
    expect(hits?.map(({ ruleId, because }) => [ruleId, because])).toEqual([
      ['rated.under', 'Wire seal 2.2–2.9 is rated 90 °C; ambient and own heating reach 130.'],
    ]);
  });
});

describe('as a shop reads it', () => {
  it('every rule and preference of terminals alone stands in the book with its reasons, and none is switched off', () => {
    const book = endBook();
    const own = [...END_RULES, ...END_PREFERENCES].map(({ id }) => id).filter((id) => id.startsWith('end.'));
    expect(book.map(({ id }) => id)).toEqual(own);
    expect(book.every(({ switchable, title, because }) => !switchable && title.length > 5 && because.length > 5)).toBe(
      true,
    );
    expect(book.find(({ id }) => id === 'end.amps')).toMatchObject({
      subject: 'current',
      verdict: 'refuse',
      allowedIf: 'the load were less, or a terminal that carries it were available',
    });
    expect(book.find(({ id }) => id === 'end.crimped')?.verdict).toBe('prefer');
  });
});
