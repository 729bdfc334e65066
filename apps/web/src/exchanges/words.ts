import type { Station } from '@dialoga/core/model';

/** `every 100 ms`, `on request` */
export function cadenceWords(ms: number | null): string {
  if (ms === null) return 'on request';
  return ms % 1000 === 0 && ms >= 1000 ? `every ${ms / 1000} s` : `every ${ms} ms`;
}

/** Where a partner that is not of this project comes from: `of North works: GateCtl, revision 12`. Empty: its own. */
export function partnerWords({ party, takenFrom }: Station): string {
  if (takenFrom) return `of ${takenFrom.project}: ${takenFrom.station}, revision ${takenFrom.revision}`;
  return party === 'own'
    ? ''
    : party === 'outside'
      ? 'external, only described'
      : 'of another project, which is not set';
}
