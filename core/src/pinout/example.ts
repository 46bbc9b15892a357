/** A sheet as it may be written: made up, with everything that one needs and some of what one may say besides. */
export const EXAMPLE_SHEET: readonly (readonly string[])[] = [
  [
    'Circuit',
    'Function',
    'From connector',
    'From cavity',
    'To connector',
    'To cavity',
    'Size',
    'Colour',
    'Fuse A',
    'Pair with',
    'Remark',
  ],
  ['101', 'Pump feed', 'X31', '1', 'X32', '1', '2.5 mm²', 'RD', '15', '', ''],
  ['102', 'Pump ground', 'X31', '2', 'G104', '', '2.5 mm²', 'BK', '', '', ''],
  ['103', 'Level sensor', 'X31', '3', 'X32', '2', '0.75 mm²', 'WH', '', '104', ''],
  ['104', 'Level sensor return', 'X31', '4', 'X32', '3', '0.75 mm²', 'BU', '', '103', ''],
  ['105', 'Lamps', 'X31', '5', 'SP3', '', '16 AWG', 'YE/BK', '', '', 'to both lamps'],
  ['', 'spare', 'X31', '6', '', '', '', '', '', '', ''],
];
