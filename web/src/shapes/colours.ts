import type { ColourName } from '@mendum/core/wire';

/** How wire colours are drawn; wires are the only saturated colours on a screen. */
export const WIRE_HEX: Record<ColourName, string> = {
  black: '#26282A',
  white: '#F8F6F0',
  red: '#C8232C',
  green: '#2E8B43',
  blue: '#1F5FB8',
  yellow: '#E9C11E',
  brown: '#7A4A22',
  orange: '#E5791A',
  violet: '#7A3E9D',
  grey: '#8C9197',
  pink: '#E88FAE',
  tan: '#C9A671',
  'light blue': '#7FB8E6',
  'light green': '#93CF7E',
  'dark blue': '#1B2F6B',
  'dark green': '#1C5230',
  turquoise: '#2FB3AC',
  gold: '#C79A2B',
  silver: '#C3C7CB',
  natural: '#DCD3BC',
};

/** Bare copper, and its darker line between strands. */
export const COPPER_HEX = '#C67A3C';
export const COPPER_LINE_HEX = '#9C5A26';
