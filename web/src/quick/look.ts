import clsx from 'clsx';

/** A tile to tap. */
export const tile = (isPicked: boolean): string =>
  clsx(
    'flex min-h-14 flex-col items-center justify-center gap-1 rounded-sm border-2 px-2 py-1.5 text-center leading-tight',
    isPicked ? 'border-copper bg-wash font-semibold' : 'border-rule hover:bg-wash',
  );
