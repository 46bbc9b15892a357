import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { placesInWords, placesOf } from './missingPlaces.ts';

describe('places without a cavity, as they are typed', () => {
  test.each([
    ['', []],
    ['1.3', ['1.3']],
    ['1.3, 2.5-2.7', ['1.3', '2.5', '2.6', '2.7']],
    ['9.24-25', ['9.24', '9.25']],
    ['1.3 1.3', ['1.3']],
  ])('“%s”', (text, places) => expect(placesOf(text, 9, 25)).toEqual({ ok: true, places }));
  test.each([
    ['3', '“3” is no place: write row and column, such as 2.5.'],
    ['10.1', '10.1 is not in 9 rows of 25.'],
    ['1.26', '1.26 is not in 9 rows of 25.'],
    ['1.0', '1.0 is not in 9 rows of 25.'],
    ['1.5-1.3', '1.5-1.3 is not in 9 rows of 25.'],
    ['1.5-2.3', '1.5-2.3 reaches over two rows: write each row by itself.'],
  ])('“%s” is refused', (text, why) => expect(placesOf(text, 9, 25)).toEqual({ ok: false, why }));
  it('in words and back they are the same', () => {
    const place = fc.tuple(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 100 }));
    fc.assert(
      fc.property(
        fc.uniqueArray(
          place.map(([row, column]) => `${row}.${column}`),
          { maxLength: 60 },
        ),
        (places) => {
          const read = placesOf(placesInWords(places), 40, 100);
          expect(read.ok && [...read.places].sort()).toEqual([...places].sort());
        },
      ),
    );
  });
});
