import { renderToString } from 'react-dom/server';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { OwnOnly } from './OwnOnly.tsx';

afterEach(() => vi.unstubAllGlobals());
const words = (): string => renderToString(<OwnOnly what="the code" toDo="to print it" />);

describe('an address that leads nowhere for others', () => {
  it.each(['localhost', '127.0.0.1'])('is warned of: %s', (hostname) => {
    vi.stubGlobal('location', { hostname });
    expect(words()).toContain('leads to this device only');
  });
  it('is no matter under a name of the network, nor on a sheet that the server makes', () => {
    vi.stubGlobal('location', { hostname: 'workshop' });
    expect(words()).toBe('');
    vi.stubGlobal('location', undefined);
    expect(words()).toBe('');
  });
});
