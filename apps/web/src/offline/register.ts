/** Keeps the page's files in this browser, where it can: a page of the built application, from this machine or over HTTPS. */
export function keepPage(): void {
  if (import.meta.env.PROD && 'serviceWorker' in navigator)
    void navigator.serviceWorker.register('/service-worker.js').catch(() => undefined);
}
