import { C, H, readAll } from './test/cases.ts';

readAll('cells of every sort', {
  'sizes and colours that are blank under others are asked': {
    sheet: `
Circuit | From | To | Size | Colour
1 | X31-1 | X32-1 | 1.5 mm² | red
2 | X31-2 | X32-2 | | red
3 | X31-3 | X32-3 | 0.5 mm² |`,
    asks: ['blank:size', 'blank:colour'],
    answers: { 'blank:size': 'above', 'blank:colour': 'above' },
    lines: [H, C, C, C],
    circuits: ['1 Circuit 1 1.5 red X31.1-X32.1', '2 Circuit 2 1.5 red X31.2-X32.2', '3 Circuit 3 0.5 red X31.3-X32.3'],
  },
  'sizes without a unit: each form by itself, decimals are mm²': {
    sheet: `
Circuit | From | To | Gauge | Colour
1 | X31-1 | X32-1 | 20 | red
2 | X31-2 | X32-2 | 2.5 | red
3 | X31-3 | X32-3 | 2 | red
4 | X31-4 | X32-4 | 20ga | red
5 | X31-5 | X32-5 | 16er | red
6 | X31-6 | X32-6 | 20 | red
7 | X31-7 | X32-7 | AWG 18 | red`,
    asks: ['size:20', 'size:2', 'size:20ga', 'size:16er'],
    answers: { 'size:20': 'awg', 'size:2': 'metric', 'size:20ga': 'trade', 'size:16er': 'trade' },
    lines: [H, C, C, C, C, C, C, C],
    circuits: [
      '1 Circuit 1 awg20 red X31.1-X32.1',
      '2 Circuit 2 2.5 red X31.2-X32.2',
      '3 Circuit 3 2 red X31.3-X32.3',
      '4 Circuit 4 trade20 red X31.4-X32.4',
      '5 Circuit 5 trade16 red X31.5-X32.5',
      '6 Circuit 6 awg20 red X31.6-X32.6',
      '7 Circuit 7 awg18 red X31.7-X32.7',
    ],
  },
  'a header that names the unit settles them all': {
    sheet: `
Circuit | From | To | AWG | Colour
1 | X31-1 | X32-1 | 20 | red
2 | X31-2 | X32-2 | 2 | red`,
    asks: [],
    answers: {},
    lines: [H, C, C],
    circuits: ['1 Circuit 1 awg20 red X31.1-X32.1', '2 Circuit 2 awg2 red X31.2-X32.2'],
  },
  'a column “Wire” that is a colour by its cells': {
    sheet: `
Circuit | From | To | Size | Wire
1 | X31-1 | X32-1 | 1.0 | BLK/YEL
2 | X31-2 | X32-2 | 1.0 | WHT`,
    asks: [],
    answers: {},
    lines: [H, C, C],
    circuits: ['1 Circuit 1 1 black/yellow X31.1-X32.1', '2 Circuit 2 1 white X31.2-X32.2'],
  },
  'a column “Wire” of figures, beside nothing that tells': {
    sheet: `
Wire | From | To | Colour
16 | X31-1 | X32-1 | RD
18 | X31-2 | X32-2 | BK`,
    asks: ['column:0'],
    answers: { 'column:0': 'size', 'size:16': 'awg', 'size:18': 'awg' },
    lines: [H, C, C],
    circuits: ['X31.1 Circuit X31.1 awg16 red X31.1-X32.1', 'X31.2 Circuit X31.2 awg18 black X31.2-X32.2'],
  },
  'from connector and from pin are two columns of one end': {
    sheet: `
Circuit | From connector | From pin | To connector | To pin | Size mm2 | Colour
1 | X31 | 1 | X32 | 5 | 1 | red
2 | X31 | 2 | X32 | 6 | 1 | blue`,
    asks: [],
    answers: {},
    lines: [H, C, C],
    circuits: ['1 Circuit 1 1 red X31.1-X32.5', '2 Circuit 2 1 blue X31.2-X32.6'],
  },
  'a “From pin” that holds both': {
    sheet: `
Circuit | From pin | To pin | Size mm2 | Colour
1 | X31-1 | X32-5 | 1 | red`,
    asks: [],
    answers: {},
    lines: [H, C],
    circuits: ['1 Circuit 1 1 red X31.1-X32.5'],
  },
  'German, with what is unbelegt and Reserve': {
    sheet: `
Steckverbinder X31 (14-polig)
Pin-Nr. | Ader-Nr. | Aderfarbe | Querschnitt [mm²] | Leiterart | Funktion | Ziel | Ziel-Pin | Bemerkung
1 | 301 | sw/ge | 0,75 | Litze | Lampe links | X32 | 1 | verdrillt mit 302
2 | 302 | hellblau | 0,75 | Litze | Lampe rechts | X32 | 2 |
3 | | | | | unbelegt | | |
4 | | | | | Reserve | | | Blindstopfen
5 | 305 | rt | 1,5 | massiv | Versorgung | X32 | 3 | geschirmt`,
    asks: [],
    answers: {},
    lines: [H, H, C, C, 'empty', 'plugged', C],
    circuits: [
      '301 Lampe links 0.75 black/yellow X31.1-X32.1',
      '302 Lampe rechts 0.75 light blue X31.2-X32.2',
      '305 Versorgung 1.5 red X31.5-X32.3',
    ],
  },
  'a form that no system reads is asked by itself': {
    sheet: `
Circuit | From | To | Size mm2 | Colour
1 | X31-1 | X32-1 | 1 | SW
2 | X31-2 | X32-2 | 1 | BL/R
3 | X31-3 | X32-3 | 1 | RT`,
    asks: ['colour:BL/R'],
    answers: { 'colour:BL/R': 'blue/red' },
    lines: [H, C, C, C],
    circuits: [
      '1 Circuit 1 1 black X31.1-X32.1',
      '2 Circuit 2 1 blue/red X31.2-X32.2',
      '3 Circuit 3 1 red X31.3-X32.3',
    ],
  },
  'a column of unknown header that looks like what the list is without': {
    sheet: `
Point | Circuit | Colour | Size | Zielpunkt am Bauteil
C1-1 | 11 | RD | 1.0 | L1-2
C1-2 | 12 | BK | 1.0 | GND1`,
    asks: ['column:0', 'column:4'],
    answers: { 'column:0': 'from', 'column:4': 'to' },
    lines: [H, C, C],
    circuits: ['11 Circuit 11 1 red C1.1-L1.2', '12 Circuit 12 1 black C1.2-GND1.12'],
  },
  'colour and size in one cell': {
    sheet: `
Circuit | From | To | Wire
1 | X1-1 | X2-1 | RD/BK 1.5
2 | X1-2 | X2-2 | 2.5 mm² BN
3 | X1-3 | X2-3 | BU (18 AWG)`,
    asks: [],
    answers: {},
    lines: [H, C, C, C],
    circuits: [
      '1 Circuit 1 1.5 red/black X1.1-X2.1',
      '2 Circuit 2 2.5 brown X1.2-X2.2',
      '3 Circuit 3 awg18 blue X1.3-X2.3',
    ],
  },
  'what the application itself says of a terminal and a seal is read': {
    sheet: `
Circuit | From | To | Size mm2 | Colour | Terminal | Seal
1 | X1-1 | X2-1 | 1 | RD | round pin size 12 | wire seal
2 | X1-2 | X2-2 | 1 | BK | 1.5 mm terminal | no seal`,
    asks: [],
    answers: {},
    lines: [H, C, C],
    circuits: ['1 Circuit 1 1 red X1.1-X2.1', '2 Circuit 2 1 black X1.2-X2.2'],
  },
  'a blank in the first line is asked like any other': {
    sheet: `
Circuit | From | To | mm² | Colour
1 | X1-1 | X2-1 | 1 |
2 | X1-2 | X2-2 | 1 | RD`,
    asks: ['blank:colour'],
    answers: { 'blank:colour': 'natural' },
    lines: [H, C, C],
    circuits: ['1 Circuit 1 1 natural X1.1-X2.1', '2 Circuit 2 1 red X1.2-X2.2'],
  },
  'a whole number with a nought, under a header that names the unit': {
    sheet: `
Circuit | From | To | mm² | Colour
1 | X1-1 | X2-1 | 10.0 | RD
2 | X1-2 | X2-2 | 16 | RD`,
    asks: [],
    answers: {},
    lines: [H, C, C],
    circuits: ['1 Circuit 1 10 red X1.1-X2.1', '2 Circuit 2 16 red X1.2-X2.2'],
  },
});
