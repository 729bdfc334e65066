const KEY = 'dialoga.theme';
export type Theme = 'light' | 'dark';

/** The theme chosen here before, else the system's. */
export function currentTheme(): Theme {
  const chosen = localStorage.getItem(KEY);
  if (chosen === 'light' || chosen === 'dark') return chosen;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light';
}

export function showTheme(theme: Theme): void {
  document.documentElement.dataset.theme = theme;
}

export function chooseTheme(theme: Theme): void {
  localStorage.setItem(KEY, theme);
  showTheme(theme);
}
