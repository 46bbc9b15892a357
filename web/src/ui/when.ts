import { intlFormatDistance, lightFormat } from 'date-fns';

/** An instant in the device's own time. */
export const when = (iso: string): string => lightFormat(new Date(iso), 'yyyy-MM-dd HH:mm');
export const clockTime = (iso: string): string => lightFormat(new Date(iso), 'HH:mm');
/** How long ago something happened, in words; a clock that is behind the server's never makes it the future. */
export const ago = (iso: string): string =>
  intlFormatDistance(Math.min(Date.parse(iso), Date.now()), Date.now(), { locale: 'en' });
