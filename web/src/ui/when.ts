import { format } from 'date-fns';

/** An instant in the device's own time. */
export const when = (iso: string): string => format(new Date(iso), 'yyyy-MM-dd HH:mm');
export const clockTime = (iso: string): string => format(new Date(iso), 'HH:mm');
