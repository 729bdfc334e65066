const KEY = 'dialoga.name';

/** The name under which this browser ticks. */
export const rememberedName = (): string => localStorage.getItem(KEY) ?? '';

export function rememberName(name: string): void {
  localStorage.setItem(KEY, name);
}
