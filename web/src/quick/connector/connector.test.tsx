import { act, render, renderHook, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it, test } from 'vitest';
import type { WireSize } from '@mendum/core/wire';
import {
  atPlace,
  connectorOf,
  faceOf,
  isWayOf,
  missingFrom,
  NO_CONNECTOR,
  seatsOf,
  tapped,
  useConnectorDraft,
  waysOf,
  withChange,
  type ConnectorDraft,
} from './draft.ts';
import { Seats } from './Seats.tsx';
import { Ways } from './Ways.tsx';

const ONE: WireSize = { basis: 'metric', areaMm2: 1 };
const RED = { cavity: '2', colour: { base: 'red' as const }, size: ONE };

describe('what is tapped of a connector', () => {
  it('the same wire tapped again is taken out, another takes its place', () => {
    const once = tapped(NO_CONNECTOR, 'wires', RED);
    expect(once.wires).toEqual([RED]);
    expect(tapped(once, 'wires', RED).wires).toEqual([]);
    const black = { ...RED, colour: { base: 'black' as const } };
    expect(tapped(once, 'wires', black).wires).toEqual([black]);
    expect(tapped(once, 'pigtail', black)).toMatchObject({ wires: [RED], pigtail: [black] });
  });
  it('a wire whose cavity was taken away comes back with it', () => {
    const draft = tapped(NO_CONNECTOR, 'wires', RED);
    const small = { ...draft, columns: 1 };
    expect(seatsOf(small, 'wires')).toEqual([]);
    expect(missingFrom(small)).toContain('a wire into its cavity');
    expect(seatsOf({ ...small, columns: 2 }, 'wires').map(({ cavity }) => cavity)).toEqual(['2']);
  });
  it('is planned once a wire, what happened and where it is are known', () => {
    const draft: ConnectorDraft = { ...tapped(NO_CONNECTOR, 'wires', RED), damage: 'housingBroken', place: 'cabin' };
    expect(missingFrom(NO_CONNECTOR)).toEqual(['a wire into its cavity', 'what happened', 'where it is']);
    expect(connectorOf({ ...draft, place: undefined })).toBeUndefined();
    expect(missingFrom(draft)).toEqual([]);
    expect(connectorOf({ ...draft, slackMm: 15, lock: 'frontLance' })).toMatchObject({
      face: faceOf(draft),
      wires: [{ cavity: '2' }],
      slackMm: 15,
      lock: 'frontLance',
      pigtail: [],
    });
  });
  it('what is assumed of it may be said otherwise; another place brings its own zone, and keeps the rest', () => {
    const draft: ConnectorDraft = { ...tapped(NO_CONNECTOR, 'wires', RED), damage: 'housingBroken', place: 'cabin' };
    const wet = { ...connectorOf(draft)!.zone, moisture: 'wet' as const };
    const said = withChange(draft, { zone: wet, systemVoltageV: 24, face: faceOf(draft) });
    expect(connectorOf(said)).toMatchObject({ zone: { moisture: 'wet' }, systemVoltageV: 24 });
    expect(said.changed).not.toHaveProperty('face');
    expect(connectorOf(atPlace(said, 'cabin'))).toMatchObject({ zone: { moisture: 'dry' }, systemVoltageV: 24 });
  });
  test.each([
    ['not json', NO_CONNECTOR],
    ['{"shape":"rows","rows":2,"columns":2,"ring":4,"wires":[],"pigtail":[],"changed":7}', NO_CONNECTOR],
    ['{"shape":"rows","rows":9,"columns":2,"ring":4,"wires":[],"pigtail":[]}', NO_CONNECTOR],
    ['{"shape":"rows","rows":2,"columns":2,"ring":4,"wires":[],"pigtail":[],"lock":"glue"}', NO_CONNECTOR],
  ])('a damaged memory counts as none: %s', (kept, draft) => {
    localStorage.setItem('mendum.quickConnector', kept);
    expect(renderHook(useConnectorDraft).result.current[0]).toEqual(draft);
  });
  it('one kept from before ways were tapped is numbered as it was', () => {
    const kept = { ...NO_CONNECTOR, rows: 2, columns: 3, wires: [RED], fromRight: true };
    localStorage.setItem('mendum.quickConnector', JSON.stringify(kept));
    const [draft] = renderHook(useConnectorDraft).result.current;
    expect(draft.wires).toEqual([RED]);
    expect(faceOf(draft).numbering).toEqual({ kind: 'rowWise', fromRight: true });
  });
  it('a way that comes to the same as another one on fewer rows is kept, and seen as that one', () => {
    const kept = { ...NO_CONNECTOR, rows: 1, columns: 3, wires: [RED], way: { kind: 'columnWise' } };
    localStorage.setItem('mendum.quickConnector', JSON.stringify(kept));
    const [draft] = renderHook(useConnectorDraft).result.current;
    expect(draft.wires).toEqual([RED]);
    expect(waysOf(draft).filter((way) => isWayOf(draft, way))).toHaveLength(1);
  });
  it('a way that cannot be is damage', () => {
    localStorage.setItem('mendum.quickConnector', JSON.stringify({ ...NO_CONNECTOR, way: { kind: 'sideways' } }));
    expect(renderHook(useConnectorDraft).result.current[0]).toEqual(NO_CONNECTOR);
  });
  it('is kept on the device until it is begun or started over', () => {
    const { result } = renderHook(useConnectorDraft);
    act(() => result.current[1](tapped(NO_CONNECTOR, 'wires', RED)));
    expect(renderHook(useConnectorDraft).result.current[0].wires).toEqual([RED]);
    act(() => result.current[1](NO_CONNECTOR));
    expect(localStorage.getItem('mendum.quickConnector')).toBeNull();
  });
});

/** Ways and wires of a connector, and how many wires are in either. */
function Asked() {
  const [draft, setDraft] = useState(NO_CONNECTOR);
  return (
    <>
      <Ways draft={draft} onChange={setDraft} />
      <Seats draft={draft} onChange={setDraft} />
      <p data-testid="counts">
        {draft.wires.length} {draft.pigtail.length}
      </p>
    </>
  );
}

describe('tapping it', () => {
  const tap = (role: string, name: string | RegExp) => userEvent.click(screen.getByRole(role, { name }));
  const face = (title: RegExp) => within(screen.getByRole('group', { name: title }));
  const counts = () => screen.getByTestId('counts').textContent;

  it('rows and columns change the drawing; a wire is picked first, then its cavity', async () => {
    render(<Asked />);
    await tap('button', 'Rows: one more');
    await tap('button', 'In a row: one more');
    expect(face(/^As found/).getAllByRole('button')).toHaveLength(6);
    await userEvent.click(face(/^As found/).getByRole('button', { name: 'Cavity 5, empty' }));
    expect(screen.getByRole('status').textContent).toContain('colour and size first');
    await tap('radio', 'red');
    await userEvent.click(within(screen.getByRole('radiogroup', { name: 'Size' })).getByRole('radio', { name: '1' }));
    await userEvent.click(face(/^As found/).getByRole('button', { name: 'Cavity 5, empty' }));
    expect(face(/^As found/).getByRole('button', { name: /^Cavity 5, circuit 5 Red feed/ })).toBeTruthy();
    expect(counts()).toBe('1 0');
  });
  it('a ring has as many ways as are tapped, and the new one lies beside', async () => {
    render(<Asked />);
    await tap('radio', 'In a ring');
    await tap('button', 'Ways: one less');
    expect(face(/^As found/).getAllByRole('button')).toHaveLength(3);
    await tap('checkbox', /A pigtail for it lies here/);
    expect(face(/^The new one/).getAllByRole('button')).toHaveLength(3);
    await tap('radio', 'green');
    await userEvent.click(within(screen.getByRole('radiogroup', { name: 'Size' })).getByRole('radio', { name: '2.5' }));
    await userEvent.click(face(/^The new one/).getByRole('button', { name: 'Cavity 1, empty' }));
    expect(counts()).toBe('0 1');
    await tap('checkbox', /A pigtail for it lies here/);
    expect(counts()).toBe('0 0');
  });
});
