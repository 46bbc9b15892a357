import { describe, expect, it, test } from 'vitest';
import type { Circuit, CircuitKind, Run } from '../harness/index.ts';
import { GATE_OPEN, jobWith, runOf, WET_SHAKING } from '../test/samples.ts';
import { gateState, type Gate } from './gate.ts';

const said = { by: 'Ines', at: '2030-01-01T08:00:00Z' };
const circuit = (number: string, kind: CircuitKind): Circuit => ({ ...jobWith([]).harness.circuits[0]!, number, kind });
const run = (name: string, fuelVapour: boolean): Run => ({ ...runOf({ zone: { ...WET_SHAKING, fuelVapour } }), name });

describe('what the gate still asks for', () => {
  test.each<[string, Gate, readonly Circuit[], readonly Run[], boolean, readonly string[]]>([
    ['isolation, always', {}, [], [], false, ['isolation']],
    ['nothing once it is dead', GATE_OPEN, [circuit('1', 'power')], [run('A', false)], true, []],
    ['a procedure for airbag', GATE_OPEN, [circuit('1', 'airbag')], [], false, ['airbag']],
    [
      'which is named',
      { ...GATE_OPEN, airbag: { ...said, procedure: 'SRS 4' } },
      [circuit('1', 'airbag')],
      [],
      true,
      [],
    ],
    ['a procedure for high voltage', GATE_OPEN, [circuit('1', 'highVoltage')], [], false, ['highVoltage']],
    [
      'which is named too',
      { ...GATE_OPEN, highVoltage: { ...said, procedure: 'HV 2' } },
      [circuit('1', 'highVoltage')],
      [],
      true,
      [],
    ],
    [
      'an airbag’s procedure is none for high voltage',
      { ...GATE_OPEN, airbag: { ...said, procedure: 'SRS 4' } },
      [circuit('1', 'highVoltage')],
      [],
      false,
      ['highVoltage'],
    ],
    ['vapour, which keeps heat out and stops nothing', GATE_OPEN, [], [run('A', true)], true, ['vapour']],
    ['not once it is measured', { ...GATE_OPEN, vapour: { ...said, reading: '0 %' } }, [], [run('A', true)], true, []],
    [
      'all of it',
      {},
      [circuit('1', 'airbag'), circuit('2', 'highVoltage')],
      [run('A', true)],
      false,
      ['isolation', 'airbag', 'highVoltage', 'vapour'],
    ],
  ])('%s', (_what, gate, damaged, runs, open, entries) => {
    const state = gateState(gate, damaged, runs);
    expect(state.open).toBe(open);
    expect(state.missing.map(({ entry }) => entry)).toEqual(entries);
    expect(state.missing.map(({ stops }) => stops)).toEqual(entries.map((entry) => entry !== 'vapour'));
  });
  it('names the circuits and the runs that it is about, and no others', () => {
    const circuits = [
      circuit('7', 'airbag'),
      circuit('8', 'power'),
      circuit('9', 'airbag'),
      circuit('5', 'highVoltage'),
    ];
    const { missing } = gateState(GATE_OPEN, circuits, [run('Tank run', true), run('Arm run', false)]);
    expect(missing.map(({ because }) => because.slice(0, 40))).toEqual([
      'Circuit 7, 9 is airbag or belt tensioner',
      'Circuit 5 is high voltage: name the make',
      'There can be fuel vapour on Tank run: no',
    ]);
  });
});
