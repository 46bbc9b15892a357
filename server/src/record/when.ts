import { format } from 'date-fns';
import type { When } from '@mendum/core/record';

/** An instant in the server's own time, as it stands on sheets. */
export const inLocalTime: When = (iso) => format(new Date(iso), 'yyyy-MM-dd HH:mm');
