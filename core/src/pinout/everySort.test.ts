import { C, H, readAll } from './test/cases.ts';

readAll('sheets of every sort', {
  'a list of one connector: where its wires go is asked once': {
    sheet: `
Connector X31
Pin | Ckt | Colour | Size (mm²) | Function
1 | 101 | RD | 1.0 | Pump feed
2 | 102 | BK | 1.0 | Pump ground
3 | | | | spare`,
    asks: ['to'],
    answers: { to: '?' },
    lines: [H, H, C, C, 'empty'],
    circuits: [
      '101 Pump feed 1 red X31.1-Far-end-not-known.101',
      '102 Pump ground 1 black X31.2-Far-end-not-known.102',
    ],
  },
  'cavities numbered at row starts only: asked, and counted on': {
    sheet: `
Cavity | Circuit | Colour | mm2
1 | 11 | RD | 1
 | 12 | BK | 1
 | 13 | BN | 1
4 | 14 | GN | 1
 | 15 | YE | 1
 | n/c | |`,
    asks: ['rowStarts', 'from'],
    answers: { rowStarts: 'countOn', from: 'X9', to: 'ECU' },
    lines: [H, C, C, C, C, C, 'empty'],
    circuits: [
      '11 Circuit 11 1 red X9.1-ECU.11',
      '12 Circuit 12 1 black X9.2-ECU.12',
      '13 Circuit 13 1 brown X9.3-ECU.13',
      '14 Circuit 14 1 green X9.4-ECU.14',
      '15 Circuit 15 1 yellow X9.5-ECU.15',
    ],
  },
  'two lists side by side, each with its connector over it': {
    sheet: `
X31 | | | | X32 | |
Pin | Circuit | Colour | | Pin | Circuit | Colour
1 | 11 | RD | | 1 | 21 | BN
2 | 12 | BK | | 2 | spare |
3 | 13 | WH | | | |`,
    asks: ['noSizes', 'to'],
    answers: { to: '?', noSizes: '0.75 mm²' },
    lines: [H, H, H, H, C, C, C, 'empty', C],
    circuits: [
      '11 Circuit 11 0.75 red X31.1-Far-end-not-known.11',
      '21 Circuit 21 0.75 brown X32.1-Far-end-not-known.21',
      '12 Circuit 12 0.75 black X31.2-Far-end-not-known.12',
      '13 Circuit 13 0.75 white X31.3-Far-end-not-known.13',
    ],
  },
  'far ends that are no cavities: splices, grounds, fuses, a cut end': {
    sheet: `
Circuit | From | To | Size | Colour
1 | X31-1 | SP3 | 1.0 mm² | red
2 | X31-2 | SP3 | 1.0 mm² | red
3 | X31-3 | GND2 | 1.0 mm² | black
4 | X31-4 | Masse | 1.0 mm² | black
5 | X31-5 | F12 | 1.0 mm² | red
6 | X31-6 | cut | 1.0 mm² | blue
7 | X31-7 | open | 1.0 mm² | blue`,
    asks: [],
    answers: {},
    lines: [H, C, C, C, C, C, C, C],
    circuits: [
      '1 Circuit 1 1 red X31.1-SP3.1',
      '2 Circuit 2 1 red X31.2-SP3.2',
      '3 Circuit 3 1 black X31.3-GND2.3',
      '4 Circuit 4 1 black X31.4-Masse.4',
      '5 Circuit 5 1 red X31.5-F12.5',
      '6 Circuit 6 1 blue X31.6-Cut-ends.6',
      '7 Circuit 7 1 blue X31.7-Cut-ends.7',
    ],
  },
  'a far end in words is asked by itself': {
    sheet: `
Circuit | From | Goes to | Size | Colour
1 | X31-1 | Headlamp, left | 1.0 mm² | red
2 | X31-2 | X32-2 | 1.0 mm² | blue`,
    asks: ['end:headlamp, left'],
    answers: { 'end:headlamp, left': 'place' },
    lines: [H, C, C],
    circuits: ['1 Circuit 1 1 red X31.1-Headlamp,-left.1', '2 Circuit 2 1 blue X31.2-X32.2'],
  },
  'a far connector that is blank is never that of the line above': {
    sheet: `
Circuit | Connector | Cavity | To connector | To cavity | Size mm² | Colour | Fuse
1 | X31 | 1 | X32 | 1 | 1 | red | 10
2 | | 2 | | 2 | 1 | blue |
3 | | 3 | | | 1 | green |`,
    asks: ['toConnector', 'blank:to'],
    answers: { toConnector: 'X33', 'blank:to': 'unknown' },
    lines: [H, C, C, C],
    circuits: [
      '1 Circuit 1 1 red X31.1-X32.1',
      '2 Circuit 2 1 blue X31.2-X33.2',
      '3 Circuit 3 1 green X31.3-Far-end-not-known.3',
    ],
  },
  'one number twice in a list of one end: two wires, until somebody says that they are one': {
    sheet: `
Connector | Pin | Circuit | Colour | Size mm2
X31 | 1 | 11 | RD | 1
X31 | 2 | 11 | RD | 1
X31 | 3 | 12 | BK | 1`,
    asks: ['number:11', 'to'],
    answers: { 'number:11': 'own', to: '?' },
    lines: [H, C, C, C],
    circuits: [
      '11 Circuit 11 1 red X31.1-Far-end-not-known.11',
      '11-2 Circuit 11-2 1 red X31.2-Far-end-not-known.11-2',
      '12 Circuit 12 1 black X31.3-Far-end-not-known.12',
    ],
  },
  'a number three times in a list of both ends': {
    sheet: `
Circuit | From | To | Size mm2 | Colour
7 | X31-1 | SP1 | 1 | RD
7 | X31-2 | SP1 | 1 | RD
7 | SP1 | X32-2 | 1 | RD`,
    asks: ['number:7'],
    answers: { 'number:7': 'own' },
    lines: [H, C, C, C],
    circuits: [
      '7 Circuit 7 1 red X31.1-SP1.7',
      '7-2 Circuit 7-2 1 red X31.2-SP1.7',
      '7-3 Circuit 7-3 1 red SP1.7-X32.2',
    ],
  },
  'a title that names no connector: “plug of the loom”': {
    sheet: `
Plug of the lamp loom |||
Pin | Circuit | Colour | mm² | To
1 | 11 | RD | 1 | X32-1`,
    asks: ['from'],
    answers: { from: 'X31' },
    lines: [H, H, C],
    circuits: ['11 Circuit 11 1 red X31.1-X32.1'],
  },
  'a second list under headers of its own': {
    sheet: `
Connector X10
Cav | Ckt | Color | mm2
1 | 31 | BK | 1

Connector X11
Pin | mm2 | Colour | Wire no | Function
1 | 1 | RD | 71 | Lamp`,
    asks: ['to'],
    answers: { to: '?' },
    lines: [H, H, C, H, H, C],
    circuits: ['31 Circuit 31 1 black X10.1-Far-end-not-known.31', '71 Lamp 1 red X11.1-Far-end-not-known.71'],
  },
  'titles, notes, a legend and a footer are no circuits': {
    sheet: `
Loader boom loom, sheet 2 of 4 ||||
Issued | 2031-04 | |
Pin | Circuit | Colour | mm² | To
1 | 11 | RD | 1 | X32-1
Notes: |||
see drawing 14 for the routing | | |
2 | 12 | BK | 1 | X32-2
RD = red | BK = black | |
Checked by | I. Valdur | |
Page 2 of 4 | | |`,
    asks: ['from'],
    answers: { from: 'X31' },
    lines: [H, H, H, C, H, H, C, H, H, H],
    circuits: ['11 Circuit 11 1 red X31.1-X32.1', '12 Circuit 12 1 black X31.2-X32.2'],
  },
  'unused cavities in many words': {
    sheet: `
Connector | Pin | Circuit | Colour | mm² | To
X31 | 1 | 11 | RD | 1 | X32-1
X31 | 2 | N/C | - | - | -
X31 | 3 | spare | | |
X31 | 4 | - | not used | |
X31 | 5 | frei | | |
X31 | 6 | nicht belegt | | |
X31 | 7 | | | | blank
X31 | 8 | plug | | |
X31 | 9 | cavity plug | | |`,
    asks: [],
    answers: {},
    lines: [H, C, 'empty', 'empty', 'empty', 'empty', 'empty', 'empty', 'plugged', 'plugged'],
    circuits: ['11 Circuit 11 1 red X31.1-X32.1'],
  },
  'a cavity by itself is empty and no heading, where cavities are called so': {
    sheet: `
Cavity | Circuit | Colour | mm²
A1 | 1 | RD | 1
A2 | | |
B1 | 2 | BK | 1`,
    asks: ['from'],
    answers: { from: 'X9', to: '?' },
    lines: [H, C, 'empty', C],
    circuits: ['1 Circuit 1 1 red X9.A1-Far-end-not-known.1', '2 Circuit 2 1 black X9.B1-Far-end-not-known.2'],
  },
  'a list of two columns: a line of two cells is whole, whatever its cavity is called': {
    sheet: `
Pin | Circuit
1 | 101
B+ | 102
GND | 103`,
    asks: ['noColours', 'from', 'noSizes'],
    answers: { from: 'X1', to: '?', noSizes: '1 mm²', noColours: 'natural' },
    lines: [H, C, C, C],
    circuits: [
      '101 Circuit 101 1 natural X1.1-Far-end-not-known.101',
      '102 Circuit 102 1 natural X1.B+-Far-end-not-known.102',
      '103 Circuit 103 1 natural X1.GND-Far-end-not-known.103',
    ],
  },
  'a footer of short words': {
    sheet: `
Pin | Circuit | Colour | mm² | To
1 | 101 | RD | 1 | X2-1
Rev | B | | |`,
    asks: ['from'],
    answers: { from: 'X1' },
    lines: [H, C, H],
    circuits: ['101 Circuit 101 1 red X1.1-X2.1'],
  },
  'a connector that is called like a splice is one, where its cavities are named': {
    sheet: `
Circuit | From connector | From cavity | To connector | To cavity | mm² | Colour
1 | S1 | 3 | F2 | 1 | 1 | RD
2 | S1 | 4 | SP3 | 2 | 1 | BK`,
    asks: [],
    answers: {},
    lines: [H, C, C],
    circuits: ['1 Circuit 1 1 red S1.3-F2.1', '2 Circuit 2 1 black S1.4-SP3.2'],
  },
});
