import { describe, expect, it, test } from 'vitest';
import { OPERATIONS, whyNoSecret, whyNotSigned, type Role, type ToSign } from './index.ts';
import { asksSecret } from './signing.ts';

describe('a PIN or a passphrase', () => {
  test.each([
    ['480593', 'technician', undefined],
    ['48059', 'technician', /6 figures or more; this one has 5/],
    ['111111', 'technician', /take another/],
    ['123456', 'inspector', /take another/],
    ['987654', 'lead', /take another/],
    ['890123', 'lead', /take another/],
    ['121212', 'lead', /take another/],
    ['123123', 'lead', /take another/],
    ['20312031', 'lead', /take another/],
    ['13579135', 'lead', undefined],
    ['480593', 'admin', /An admin needs a passphrase of 12 letters/],
    ['three crows', 'admin', /12 letters or more; this one has 11/],
    ['three crows!', 'admin', undefined],
    ['three crows on a fence', 'technician', undefined],
    ['aaaaaaaaaaaa', 'admin', /take another/],
    ['Password1234', 'admin', /take another/],
    ['the fence of mira aldous', 'admin', /name may not stand in it/],
    ['x'.repeat(129), 'admin', /129 letters; 128 are the most/],
    ['three crows '.repeat(10), 'admin', undefined],
  ] as const)('%s for a %s', (secret, role, why) => {
    const said = whyNoSecret(secret, role, 'Mira Aldous');
    if (why === undefined) expect(said).toBeUndefined();
    else expect(said).toMatch(why);
  });
});

describe('who may sign', () => {
  const job = (kind: 'lamp' | 'airbag' | 'highVoltage', more: Partial<ToSign['job']> = {}): ToSign => ({
    job: {
      findings: [{ circuitId: 'C1' }],
      choices: [],
      harness: {
        circuits: [
          { id: 'C1', kind: kind === 'lamp' ? 'power' : kind },
          { id: 'C2', kind: 'airbag' },
        ],
      },
      ...more,
    },
    ticks: [
      { by: 'Ines Valdur', done: true },
      { by: 'Marek Osei', done: false },
    ],
  });
  const by = (name: string, role: Role = 'technician') => ({ name, role });
  const overruled = job('lamp', { choices: [{ findingId: 'F1' }] });

  test.each([
    ['no rule: whoever made it', by('Ines Valdur'), {}, job('airbag'), undefined],
    ['another: not whoever made it', by('Ines Valdur'), { another: true }, job('lamp'), /made part of this/],
    ['another: the name in other letters', by('ines VALDUR'), { another: true }, job('lamp'), /made part of this/],
    ['another: a lead who made it neither', by('Ines Valdur', 'lead'), { another: true }, job('lamp'), /made part/],
    ['another: somebody else', by('Petra Onslow', 'inspector'), { another: true }, job('lamp'), undefined],
    ['another: whoever took a tick back', by('Marek Osei'), { another: true }, job('lamp'), undefined],
    [
      'another: nobody ticked',
      by('Petra Onslow'),
      { another: true },
      { ...job('lamp'), ticks: [] },
      /No step is ticked/,
    ],
    ['lead: a lamp is anybody’s', by('Ines Valdur'), { lead: true }, job('lamp'), undefined],
    ['lead: an airbag', by('Ines Valdur'), { lead: true }, job('airbag'), /A lead signs this: an airbag/],
    ['lead: high voltage', by('Petra Onslow', 'inspector'), { lead: true }, job('highVoltage'), /high-voltage/],
    ['lead: against the ranking', by('Ines Valdur'), { lead: true }, overruled, /against the ranking/],
    ['lead: by a lead', by('Tomas Reck', 'lead'), { lead: true }, job('airbag'), undefined],
    ['lead: by an admin', by('Mira Aldous', 'admin'), { lead: true }, overruled, undefined],
  ] as const)('%s', (_what, who, rules, toSign, why) => {
    const said = whyNotSigned(who, [rules], toSign);
    if (why === undefined) expect(said).toBeUndefined();
    else expect(said).toMatch(why);
  });
  it('what either practice asks holds', () => {
    for (const rules of [
      [{ lead: true }, undefined],
      [undefined, { lead: true }],
    ])
      expect(whyNotSigned(by('Ines Valdur'), rules, job('airbag'))).toMatch(/A lead/);
  });
});

describe('the PIN is asked for once more', () => {
  it('for a signature, for what is changed in a signed record, and for a choice against the ranking', () => {
    const asks = Object.keys(OPERATIONS).filter((name) => asksSecret(name, { use: 'clipSleeve' }));
    expect(asks).toEqual(['choose', 'sign', 'correctRecord', 'setDue']);
    expect(asksSecret('choose', { use: null })).toBe(false);
  });
});
