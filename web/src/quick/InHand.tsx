import clsx from 'clsx';
import { NavLink } from 'react-router';

const KINDS = [
  { to: '/quick', words: 'Wires' },
  { to: '/quick/connector', words: 'A connector' },
] as const;

/** What is in the hand: wires, or a connector with its wires. */
export function InHand() {
  return (
    <nav aria-label="What is in the hand" className="mb-5 flex flex-wrap gap-1.5">
      {KINDS.map(({ to, words }) => (
        <NavLink
          key={to}
          to={to}
          end
          className={({ isActive }) =>
            clsx(
              'inline-flex min-h-11 items-center rounded-sm border-2 px-4 text-lg',
              isActive ? 'border-copper bg-wash font-semibold' : 'border-rule hover:bg-wash',
            )
          }
        >
          {words}
        </NavLink>
      ))}
    </nav>
  );
}
