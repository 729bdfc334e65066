/** A time of the server, as people read it: `25 Nov 2026, 08:39`. */
export const formatWhen = (iso: string): string =>
  new Date(iso).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
  });

/** The same where there is little room: `25 Nov, 08:39`. */
export const formatWhenShort = (iso: string): string =>
  new Date(iso).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

/** A time of today, in ms since 1970: `14:31`. */
export const formatTime = (ms: number): string =>
  new Date(ms).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
