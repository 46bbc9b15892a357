import type { ReactNode } from 'react';
import { copper, glue, sleeve, turns, wireFrom } from '../../shapes/lookShapes.tsx';

/**
 * How seals, covers and shields look, good and bad, by check and answer; a joint's own looks stand with its drawing.
 */
export const SEAL_PICTURES: Readonly<Record<string, ReactNode>> = {
  'seal.glue good': (
    <>
      {wireFrom(2, 158)}
      {sleeve}
      {glue(34)}
      {glue(126)}
    </>
  ),
  'seal.glue noGlue': (
    <>
      {wireFrom(2, 158)}
      {sleeve}
      {glue(34)}
    </>
  ),
  'seal.glue window': (
    <>
      {wireFrom(2, 158)}
      {sleeve}
      {glue(34)}
      {glue(126)}
      <path d="M72 16l10 8l-6 8l12 8" fill="none" stroke="var(--scrap)" strokeWidth={3} />
    </>
  ),
  'seal.wrap good': (
    <>
      {wireFrom(2, 158)}
      <rect x={40} y={17} width={80} height={22} rx={3} fill="#4A4E52" />
      {turns('#8C9197')}
    </>
  ),
  'seal.wrap gap': (
    <>
      {wireFrom(2, 158)}
      {copper(70, 86)}
      <rect x={40} y={17} width={28} height={22} rx={3} fill="#4A4E52" />
      <rect x={88} y={17} width={32} height={22} rx={3} fill="#4A4E52" />
    </>
  ),
  'cover.copper good': (
    <>
      {wireFrom(2, 62)}
      {wireFrom(98, 158)}
      {copper(62, 98)}
    </>
  ),
  'cover.copper strands': (
    <>
      {wireFrom(2, 62)}
      {wireFrom(98, 158)}
      {copper(62, 98)}
      <path d="M70 24l6 6l6 -6ZM84 26h10" fill="var(--paper)" stroke="#1F5C49" strokeWidth={3} />
    </>
  ),
};
