import clsx from 'clsx';
import { NavLink } from 'react-router';
import { useDueQuery } from './api.ts';
import { useAppDispatch, useAppSelector } from './store.ts';
import { themeToggled, unitsToggled } from './view.ts';

/** Small drawings of the things themselves. */
const PLACES = [
  { to: '/jobs', name: 'Jobs', path: 'M3 5h10M3 10h15M3 15h7' },
  {
    to: '/machines',
    name: 'Machines',
    path: 'M2 13V8h6l2-4h4v9M14 9h4v4M5.5 16.5a2 2 0 1 0 0-4 2 2 0 0 0 0 4ZM14.5 17a2.6 2.6 0 1 0 0-5.2 2.6 2.6 0 0 0 0 5.2Z',
  },
  { to: '/shelf', name: 'Shelf', path: 'M2 9h16M2 17h16M4 9V5h3v4M10 9V3h4v6M6 17v-4h5v4M14 17v-3h2v3' },
  { to: '/practice', name: 'Practice', path: 'M4 3h12v14H4ZM7 7h6M7 10.5h6M7 14h3' },
  { to: '/due', name: 'Due back', path: 'M10 3a7 7 0 1 1 0 14 7 7 0 0 1 0-14ZM10 6.5V10l2.5 2' },
] as const;

const KEY = 'flex min-h-14 w-full flex-col items-center justify-center gap-1 text-sm';

/** The narrow rail of places, with who is at the bench, theme and units at its foot. */
export function Rail({ onPerson, onFind }: { readonly onPerson: () => void; readonly onFind: () => void }) {
  const dispatch = useAppDispatch();
  const { person, theme, units } = useAppSelector((state) => state.view);
  const { data: due = [] } = useDueQuery();
  const overdue = due.filter((one) => one.overdue).length;
  return (
    <nav
      aria-label="Places"
      className="no-print sticky top-0 flex h-dvh w-[78px] shrink-0 flex-col border-r border-rule bg-paper"
    >
      <NavLink to="/jobs" aria-label="Mendum, jobs" className="flex h-14 items-center justify-center">
        <svg viewBox="0 0 44 24" className="w-11" aria-hidden>
          <path d="M0 12h44" stroke="var(--ink)" strokeWidth="3" />
          <rect x="10" y="4" width="24" height="16" rx="6" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
          <path d="M16 9h5.2v6H16ZM22.8 9H28v6h-5.2Z" fill="var(--copper)" />
        </svg>
      </NavLink>
      {PLACES.map(({ to, name, path }) => (
        <NavLink
          key={to}
          to={to}
          className={({ isActive }) =>
            clsx(
              KEY,
              'border-l-4',
              isActive
                ? 'border-copper bg-wash font-semibold'
                : 'border-transparent text-soft hover:bg-wash hover:text-ink',
            )
          }
        >
          <svg viewBox="0 0 20 20" className="size-6" fill="none" stroke="currentColor" strokeWidth="1.6" aria-hidden>
            <path d={path} />
          </svg>
          {name}
          {to === '/due' && overdue > 0 ? (
            <span className="rounded-sm bg-scrap px-1.5 text-sm font-semibold text-paper">{overdue} overdue</span>
          ) : null}
        </NavLink>
      ))}
      <div className="mt-auto border-t border-rule">
        <button
          type="button"
          className={clsx(KEY, 'text-soft hover:bg-wash')}
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
          className={clsx(KEY, 'text-soft hover:bg-wash')}
          onClick={() => dispatch(unitsToggled())}
          aria-label={`Lengths in ${units === 'mm' ? 'millimetres; show inches' : 'inches; show millimetres'}`}
        >
          <span className="figure text-base text-ink">{units === 'mm' ? 'mm' : 'in'}</span>Units
        </button>
        <button
          type="button"
          className={clsx(KEY, 'text-soft hover:bg-wash')}
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
          className={clsx(KEY, 'px-1 hover:bg-wash')}
          onClick={onPerson}
          aria-label={person === null ? 'Say who is at the bench' : `At the bench: ${person}. Change`}
        >
          <span className="max-w-full truncate font-semibold">{person?.split(' ')[0] ?? 'Who?'}</span>
          <span className="text-soft">at bench</span>
        </button>
      </div>
    </nav>
  );
}
