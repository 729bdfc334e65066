/** The colours of both themes. No colour stands anywhere else. */
const LIGHT = {
  paper: '#FAF7F0',
  sheet: '#FFFDF8',
  sunk: '#F1ECE0',
  ink: '#221F1A',
  ink2: '#5A5347',
  ink3: '#6B6354',
  edge: '#8A8069',
  hairline: '#D9D1C0',
  left: '#7A2A58',
  right: '#6A5600',
  differs: '#8F1D1D',
  focus: '#1D4E89',
};

const DARK: typeof LIGHT = {
  paper: '#1B1916',
  sheet: '#22201C',
  sunk: '#151310',
  ink: '#ECE6DA',
  ink2: '#B5AC9B',
  ink3: '#9C937F',
  edge: '#7F7766',
  hairline: '#3B372F',
  left: '#E3A0C4',
  right: '#D8BE5A',
  differs: '#F0A08C',
  focus: '#9CC2F0',
};

type Token = keyof typeof LIGHT;

const variables = (colours: typeof LIGHT): string =>
  Object.entries(colours)
    .map(([name, value]) => `--${name}: ${value};`)
    .join(' ');

export const LIGHT_VARIABLES = variables(LIGHT);
export const DARK_VARIABLES = variables(DARK);

/** A colour as styles use it: `colour.ink`. */
export const colour = Object.fromEntries(Object.keys(LIGHT).map((name) => [name, `var(--${name})`])) as Record<
  Token,
  string
>;

export const font = {
  serif: "'Source Serif 4 Variable', Georgia, serif",
  sans: "'Source Sans 3 Variable', system-ui, sans-serif",
  code: "'Source Code Pro Variable', ui-monospace, monospace",
};

/** px */
export const size = { data: 12, interface: 13, prose: 15, heading: 16, title: 24 };
export const space = [0, 2, 4, 8, 12, 16, 24, 40] as const;
