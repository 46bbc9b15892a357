import { Working } from '../ui/empty.tsx';

/** The rail stands at once, while the script of the place whose address was opened comes. */
export function Coming() {
  return (
    <div className="p-8">
      <Working words="Opening…" />
    </div>
  );
}
