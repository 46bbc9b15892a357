import type { ReactNode } from 'react';
import { HOT, INK } from './Pictures.tsx';

const wire = <path d="M2 32H40" stroke="var(--soft)" strokeWidth={10} />;
const barrel = <rect x={38} y={24} width={24} height={16} rx={3} fill="var(--sheet)" {...INK} />;
const ring = <path d="M62 28h8a18 18 0 1 1 0 8h-8Z M88 23a9 9 0 1 0 .1 0Z" fillRule="evenodd" {...HOT} />;

/** What each answer looks like. */
export const TERMINAL_PICTURES: Readonly<Record<string, ReactNode>> = {
  'where.housing': (
    <>
      {wire}
      <path d="M40 8H112V22H40ZM40 42H112V56H40Z" fill="var(--wash)" {...INK} />
      <path d="M38 26H92V38H38Z" {...HOT} />
    </>
  ),
  'where.loose': (
    <>
      {wire}
      {barrel}
      {ring}
    </>
  ),
  'contact.flat': (
    <>
      {wire}
      {barrel}
      <path d="M62 22H108l6 4v12l-6 4H62Z" {...HOT} />
    </>
  ),
  'contact.round': (
    <>
      {wire}
      {barrel}
      <path d="M62 27H108a5 5 0 0 1 0 10H62Z" {...HOT} />
    </>
  ),
  'end.closed': (
    <>
      {wire}
      {barrel}
      {ring}
    </>
  ),
  'end.open': (
    <>
      {wire}
      {barrel}
      <path d="M62 28h8q2 -14 18 -14h24v9H92a9 9 0 0 0 0 18h20v9H88q-16 0 -18 -14h-8Z" {...HOT} />
    </>
  ),
  'end.folded': (
    <>
      {wire}
      {barrel}
      <path d="M62 22H110V42H62Z" {...HOT} />
      <path d="M66 26H110M66 38H110M96 26q-6 6 0 12" fill="none" stroke="var(--ink)" strokeWidth={2} />
    </>
  ),
  'end.roundEnd': (
    <>
      {wire}
      {barrel}
      <path d="M62 25H98q6 0 6 3q0 -4 6 -1q8 5 0 10q-6 3 -6 -1q0 3 -6 3H62Z" {...HOT} />
    </>
  ),
  'end.tube': (
    <>
      {wire}
      <path d="M38 20h14v24H38Z" fill="var(--sheet)" {...INK} />
      <path d="M52 27H104V37H52Z" {...HOT} />
    </>
  ),
  'barrel.thin': (
    <>
      {wire}
      <rect x={34} y={22} width={30} height={20} rx={5} {...HOT} />
      <path d="M64 28h6a18 18 0 1 1 0 8h-6Z M88 23a9 9 0 1 0 .1 0Z" fillRule="evenodd" fill="var(--sheet)" {...INK} />
    </>
  ),
  'barrel.thick': (
    <>
      <path d="M2 32H34" stroke="var(--soft)" strokeWidth={26} />
      <path d="M30 14H66V50H30Z" {...HOT} />
      <path d="M42 14v36M54 14v36" stroke="var(--ink)" strokeWidth={2} />
      <path d="M66 24h6a18 18 0 1 1 0 16h-6Z M90 23a9 9 0 1 0 .1 0Z" fillRule="evenodd" fill="var(--sheet)" {...INK} />
    </>
  ),
};
