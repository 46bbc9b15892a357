import clsx from 'clsx';
import { useAppDispatch, useAppSelector } from './store.ts';
import { themeToggled, unitsToggled } from './view.ts';

interface RailKeysProps {
  /** How each key looks. */
  readonly look: string;
  readonly onPerson: () => void;
  readonly onFind: () => void;
}

/** What belongs to no place: find, units, theme, who is at the bench. */
export function RailKeys({ look, onPerson, onFind }: RailKeysProps) {
  const dispatch = useAppDispatch();
  const { person, theme, units } = useAppSelector((state) => state.view);
  return (
    <>
      <button
        type="button"
        className={clsx(look, 'text-soft')}
        onClick={onFind}
        aria-label="Find a circuit"
        aria-keyshortcuts="/"
      >
        <svg viewBox="0 0 20 20" className="size-5" fill="none" stroke="currentColor" strokeWidth="1.8" aria-hidden>
          <circle cx="8.5" cy="8.5" r="5" />
          <path d="M12.3 12.3 17 17" />
        </svg>
        Find
      </button>
      <button
        type="button"
        className={clsx(look, 'text-soft')}
        onClick={() => dispatch(unitsToggled())}
        aria-label={`Lengths in ${units === 'mm' ? 'millimetres; show inches' : 'inches; show millimetres'}`}
      >
        <span className="figure text-base text-ink">{units === 'mm' ? 'mm' : 'in'}</span>Units
      </button>
      <button
        type="button"
        className={clsx(look, 'text-soft')}
        onClick={() => dispatch(themeToggled())}
        aria-label={theme === 'dark' ? 'Light theme, for daylight' : 'Dark theme, for under a machine'}
      >
        <svg viewBox="0 0 20 20" className="size-5" aria-hidden>
          <circle cx="10" cy="10" r="7" fill="none" stroke="currentColor" strokeWidth="1.8" />
          <path d="M10 3a7 7 0 0 1 0 14Z" fill="currentColor" />
        </svg>
        {theme === 'dark' ? 'Light' : 'Dark'}
      </button>
      <button
        type="button"
        className={clsx(look, 'px-1')}
        onClick={onPerson}
        aria-label={person === null ? 'Say who is at the bench' : `At the bench: ${person}. Change`}
      >
        <span className="max-w-full truncate font-semibold">{person?.split(' ')[0] ?? 'Who?'}</span>
        <span className="text-soft">at bench</span>
      </button>
    </>
  );
}
