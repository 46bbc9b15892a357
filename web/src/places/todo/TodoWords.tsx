import type { Todo } from '@mendum/core/operations';
import { Length } from '../../ui/units.tsx';

/** What is to be done, on which circuit and where, and who saw it when. */
export function TodoWords({ todo }: { readonly todo: Todo }) {
  const { words, circuitNumber, place, by, at, seenIn } = todo;
  return (
    <span>
      <b>{words}</b>
      <span className="block text-soft">
        {circuitNumber === undefined ? null : (
          <>
            circuit <span className="figure">{circuitNumber}</span>,{' '}
          </>
        )}
        {place === undefined ? null : 'cavity' in place ? (
          <>
            {place.connector}, cavity <span className="figure">{place.cavity}</span>;{' '}
          </>
        ) : (
          <>
            <Length mm={place.atMm} digits={0} /> from {place.fromName};{' '}
          </>
        )}
        {by}, <span className="figure">{at.slice(0, 10)}</span>
        {seenIn === undefined ? '' : `, job ${seenIn.number}`}
      </span>
    </span>
  );
}
