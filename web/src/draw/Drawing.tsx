import type { ComponentProps } from 'react';
import type { Room } from './useRoom.ts';

/** A drawing that grows with the text of the browser: all in it is in units of its room. */
export function Drawing({
  room: { width, grown },
  high,
  ...svg
}: Omit<ComponentProps<'svg'>, 'width' | 'height' | 'viewBox'> & { readonly room: Room; readonly high: number }) {
  return <svg width={width * grown} height={high * grown} viewBox={`0 0 ${width} ${high}`} {...svg} />;
}
