import { describe, expect, it } from 'vitest';
import type { EarlierRepair, Finding } from '../damage/index.ts';
import { foundAgain, type Temporary } from './good.ts';

const THEN: Finding = {
  id: 'F3',
  kind: 'jacketRubbed',
  circuitId: 'C21',
  runId: 'R1',
  fromMm: 400,
  toMm: 420,
  cutBackLeftMm: 5,
  cutBackRightMm: 5,
  slackMm: 30,
  temporaryUntil: '2031-03-01',
  reportedAs: 'Flickers.',
  note: 'Tape only, until the harness comes.',
};
const onWire = (kind: EarlierRepair['kind'], fromMm: number, toMm: number, runId = 'R1'): EarlierRepair => ({
  id: 'x',
  kind,
  circuitId: 'C21',
  runId,
  fromMm,
  toMm,
  diameterMm: 5,
  words: 'sealed butt, job 0126',
});
const part = (recordId: string, where?: EarlierRepair, then = where): Temporary => ({
  recordId,
  body: { method: 'Sealed butt', jobNumber: '0126', temporaryUntil: '2031-03-01', onWire: then },
  ...(where && { onWire: where }),
});

describe('what is found where a temporary repair is made good', () => {
  it('its splice from edge to edge, to be cut out', () => {
    expect(foundAgain([part('a', onWire('splice', 410, 436))], THEN)).toEqual({
      id: 'F1',
      kind: 'poorRepair',
      circuitId: 'C21',
      runId: 'R1',
      fromMm: 410,
      toMm: 436,
      cutBackLeftMm: 0,
      cutBackRightMm: 0,
      makesGood: ['a'],
      note: 'Temporary until 2031-03-01: Sealed butt, job 0126.',
    });
  });
  it('both splices and the wire between them; one on another run is named, and stays for its own finding', () => {
    const splices = [part('a', onWire('splice', 410, 436)), part('b', onWire('splice', 500, 526))];
    expect(foundAgain(splices, THEN)).toMatchObject({ fromMm: 410, toMm: 526, makesGood: ['a', 'b'] });
    const apart = [part('a', onWire('splice', 410, 436)), part('b', onWire('splice', 20, 46, 'R2'))];
    expect(foundAgain(apart, THEN)).toMatchObject({ runId: 'R1', fromMm: 410, toMm: 436, makesGood: ['a', 'b'] });
  });
  it('under a cover the jacket as it was found then, moved along with the cover; what was for that time is gone', () => {
    const found = foundAgain([part('a', onWire('cover', 390, 450))], THEN);
    expect(found).toMatchObject({ kind: 'jacketRubbed', fromMm: 400, toMm: 420, cutBackLeftMm: 5, makesGood: ['a'] });
    expect([found.temporaryUntil, found.slackMm, found.reportedAs]).toEqual([undefined, undefined, undefined]);
    expect(found.note).not.toContain('Tape only');
    const moved = foundAgain([part('a', onWire('cover', 450, 510, 'R2'), onWire('cover', 390, 450))], THEN);
    expect(moved).toMatchObject({ runId: 'R2', fromMm: 460, toMm: 480 });
  });
  it('at a cavity what was found there then', () => {
    const then: Finding = { ...THEN, kind: 'terminalDamaged', at: { nodeId: 'X1', cavity: '3' } };
    expect(foundAgain([part('a')], then)).toMatchObject({ kind: 'terminalDamaged', at: then.at, fromMm: 400 });
  });
  it('of nothing there is nothing to make good', () => expect(() => foundAgain([], THEN)).toThrow(RangeError));
});
