import { monitorEventLoopDelay } from 'node:perf_hooks';

const RESOLUTION_MS = 5;

/** Tells whoever started this process, when it asks with `busy`, how long this thread was busy at most since the last time, ms. */
export function tellHowBusy(): void {
  if (!process.send) return;
  const delay = monitorEventLoopDelay({ resolution: RESOLUTION_MS });
  process.on('message', (message) => {
    if (message !== 'busy') return;
    const longest = delay.count > 0 ? Math.max(0, delay.max / 1e6 - RESOLUTION_MS) : 0;
    process.send?.({ busy: longest, most: [50, 99, 99.9].map((part) => delay.percentile(part) / 1e6 - RESOLUTION_MS) });
    delay.reset();
    delay.enable();
  });
}
