import { describe, expect, it, test } from 'vitest';
import type { CavityFitting, Zone } from '../../harness/index.ts';
import { BENCH_SOLDER, CRIMP_ONLY } from '../../practice/index.ts';
import { DRY_CABIN, facts } from '../../test/samples.ts';
import { BARE, endAt, only, spokenAt, terminals, withTool } from '../test/ends.ts';
import { END_RULES } from './rules.ts';
import type { EndSite } from './types.ts';

const DAMP: Zone = { ...DRY_CABIN, moisture: 'damp' };
const SHAKING: Zone = { ...DRY_CABIN, vibration: 'high' };
const VAPOUR: Zone = { ...DRY_CABIN, fuelVapour: true };
const SOLID = facts(1.5, { conductor: { kind: 'solid' } });

describe('each rule speaks on one side of its limit and is silent on the other', () => {
  const ring: CavityFitting = { terminal: 'ringM6' };
  const solder = 'ringM6 solder';
  const still = { catalogue: BARE, practice: BENCH_SOLDER };
  interface Side {
    readonly at: EndSite;
    readonly id?: string;
  }
  const SIDES: readonly (readonly [string, string, Side, Side])[] = [
    [
      'end.use',
      'a fork for a ground',
      { at: endAt({ terminal: 'forkM6', use: 'stays' }) },
      { at: endAt({ terminal: 'ringM6', use: 'stays' }) },
    ],
    [
      'end.solid',
      'solid wire in a ferrule',
      { at: endAt({ terminal: 'ferrule8' }, { wire: SOLID }) },
      { at: endAt({ terminal: 'ferrule8' }) },
    ],
    [
      'end.amps',
      'a load of 10.1 A on a ring for 10',
      {
        at: endAt(ring, { loadA: 10.1, catalogue: only('terminal-ringM6-middle', { ratedA: 10 }) }),
        id: 'ringM6 insulated',
      },
      {
        at: endAt(ring, { loadA: 10, catalogue: only('terminal-ringM6-middle', { ratedA: 10 }) }),
        id: 'ringM6 insulated',
      },
    ],
    [
      'end.sealMissing',
      'a ferrule in the damp',
      { at: endAt({ terminal: 'ferrule8' }, { zone: DAMP }) },
      { at: endAt({ terminal: 'ferrule8' }) },
    ],
    [
      'end.soldered',
      'a collar under an iron',
      { at: endAt(ring, { practice: BENCH_SOLDER }), id: solder },
      { at: endAt(ring, still), id: solder },
    ],
    [
      'end.soldered',
      'a contact of a housing, soldered',
      { at: endAt({ terminal: '2.8' }, { ...still, isConnector: true }), id: '2.8 solder' },
      { at: endAt(ring, still), id: solder },
    ],
    [
      'solder.vibrating',
      'soldered where it shakes',
      { at: endAt(ring, { ...still, zone: SHAKING }), id: solder },
      { at: endAt(ring, still), id: solder },
    ],
    [
      'solder.flexing',
      'soldered where it bends',
      { at: endAt(ring, { ...still, flexing: 'Boom hinge' }), id: solder },
      { at: endAt(ring, still), id: solder },
    ],
    [
      'solder.hot',
      'soldered at 126 °C',
      { at: endAt(ring, { ...still, placeC: 125.1 }), id: solder },
      { at: endAt(ring, { ...still, placeC: 125 }), id: solder },
    ],
    [
      'vapour.iron',
      'an iron in vapour, aired or not',
      { at: endAt(ring, { ...still, zone: VAPOUR, vapourAired: true }), id: solder },
      { at: endAt(ring, still), id: solder },
    ],
    [
      'practice.crimpOnly',
      'a shop that never solders',
      { at: endAt(ring, { catalogue: BARE, practice: CRIMP_ONLY }), id: solder },
      { at: endAt(ring, still), id: solder },
    ],
    [
      'practice.solderStillAndDry',
      'crimp first, in the damp',
      { at: endAt(ring, { catalogue: BARE, zone: DAMP }), id: solder },
      { at: endAt(ring, { catalogue: BARE }), id: solder },
    ],
    [
      'tool.hand',
      'pliers without a ratchet',
      { at: endAt(ring, { catalogue: withTool('tool-looseTerminals', { ratchet: false }) }) },
      { at: endAt(ring) },
    ],
    [
      'tool.calibration',
      'a day after its calibration',
      {
        at: endAt(ring, {
          asOf: '2030-05-02',
          catalogue: withTool('tool-looseTerminals', { calibratedUntil: '2030-05-01' }),
        }),
      },
      {
        at: endAt(ring, {
          asOf: '2030-05-01',
          catalogue: withTool('tool-looseTerminals', { calibratedUntil: '2030-05-01' }),
        }),
      },
    ],
    [
      'end.foldMissing',
      'solid wire where no bore takes two side by side',
      { at: endAt(ring, { wire: facts(4, { conductor: { kind: 'solid' } }) }) },
      { at: endAt(ring, { wire: facts(0.5, { conductor: { kind: 'solid' } }) }) },
    ],
    [
      'end.solidShaking',
      'solid wire where it shakes',
      { at: endAt(ring, { wire: SOLID, zone: SHAKING }) },
      { at: endAt(ring, { wire: SOLID }) },
    ],
    [
      'end.open',
      'a blade in the damp',
      { at: endAt({ terminal: 'blade6.3' }, { zone: DAMP }) },
      { at: endAt({ terminal: 'blade6.3' }) },
    ],
    [
      'end.mateFirst',
      'a bullet of which nobody noted the size',
      { at: endAt({ use: 'parted' }) },
      { at: endAt({ use: 'parted', terminal: 'bullet5' }) },
    ],
    [
      'end.screwShaking',
      'a fork where it shakes',
      { at: endAt({ terminal: 'forkM5' }, { zone: SHAKING }) },
      { at: endAt({ terminal: 'ringM5' }, { zone: SHAKING }) },
    ],
    [
      'wire.aluminium',
      'aluminium under a lug',
      {
        at: endAt({ terminal: 'lugM8' }, { wire: facts(35, { conductor: { kind: 'stranded', metal: 'aluminium' } }) }),
      },
      { at: endAt({ terminal: 'lugM8' }, { wire: facts(35) }) },
    ],
    [
      'end.stack',
      'five rings under one nut',
      { at: endAt({ terminal: 'ringM8' }, { sharedBy: 5 }) },
      { at: endAt({ terminal: 'ringM8' }, { sharedBy: 4 }) },
    ],
    [
      'end.stack',
      'under a nut, not on a tab',
      { at: endAt({ terminal: 'lugM8' }, { sharedBy: 12, wire: facts(35) }) },
      { at: endAt({ terminal: 'blade6.3' }, { sharedBy: 12 }) },
    ],
    [
      'end.noGrip',
      'a pin without jacket wings where it shakes',
      {
        at: endAt(
          { terminal: '2.8' },
          { isConnector: true, zone: SHAKING, catalogue: only('terminal-2.8', { jacketMm: undefined }) },
        ),
      },
      { at: endAt({ terminal: '2.8' }, { isConnector: true, zone: SHAKING }) },
    ],
    [
      'part.colour',
      'a ring whose colour is of another class',
      { at: endAt(ring, { catalogue: only('terminal-ringM6-middle', { colour: 'yellow' }) }), id: 'ringM6 insulated' },
      { at: endAt(ring), id: 'ringM6 insulated' },
    ],
    [
      'rated.under',
      'a ring for 105 °C at 106',
      { at: endAt(ring, { placeC: 105.1 }), id: 'ringM6 insulated' },
      { at: endAt(ring, { placeC: 105 }), id: 'ringM6 insulated' },
    ],
    [
      'shelf.part',
      'none on the shelf',
      { at: endAt(ring, { catalogue: terminals((part) => ({ ...part, quantity: 0 })) }) },
      { at: endAt(ring) },
    ],
  ];
  test.each(SIDES)('%s: %s', (rule, _, speaks, silent) => {
    expect(spokenAt(speaks.at, speaks.id)).toContain(rule);
    expect(spokenAt(silent.at, silent.id)).not.toContain(rule);
  });
  it('what a shop has switched off is not said', () => {
    const practice = { ...BENCH_SOLDER, off: ['solder.vibrating'] };
    expect(spokenAt(endAt(ring, { catalogue: BARE, zone: SHAKING, practice }), solder)).not.toContain(
      'solder.vibrating',
    );
  });
  it('no rule is without an example here', () => {
    const examples = SIDES.map(([rule]) => rule);
    expect(END_RULES.map(({ id }) => id).filter((id) => !examples.includes(id))).toEqual([]);
  });
});
