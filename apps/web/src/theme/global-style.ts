import { createGlobalStyle } from 'styled-components';
import { colour, DARK_VARIABLES, font, LIGHT_VARIABLES, size } from './tokens';

export const GlobalStyle = createGlobalStyle`
  :root { ${LIGHT_VARIABLES} color-scheme: light; }
  :root[data-theme='dark'] { ${DARK_VARIABLES} color-scheme: dark; }
  *, *::before, *::after { box-sizing: border-box; border-radius: 0; }
  html, body, #root { height: 100%; }
  body {
    margin: 0;
    background: ${colour.paper};
    color: ${colour.ink};
    font: 400 ${size.interface}px/1.4 ${font.sans};
    font-variant-numeric: tabular-nums;
  }
  h1, h2, h3, p, ul, ol, dl, dd { margin: 0; padding: 0; }
  h1, h2, h3 { font-family: ${font.serif}; font-weight: 600; line-height: 1.25; }
  h1 { font-size: ${size.title}px; }
  h2 { font-size: ${size.heading}px; }
  h3 { font-size: ${size.prose}px; }
  ul, ol { list-style: none; }
  code { font: 400 ${size.data}px/1.4 ${font.code}; }
  a { color: inherit; text-underline-offset: 3px; }
  button, input, textarea { font: inherit; color: inherit; }
  .field { display: flex; align-items: center; gap: 4px; min-width: 0; }
  :focus-visible { outline: 2px solid ${colour.focus}; outline-offset: 1px; }
  ::placeholder { color: ${colour.ink3}; opacity: 1; }
  @media print {
    :root, :root[data-theme='dark'] { ${LIGHT_VARIABLES} color-scheme: light; }
    html, body, #root { height: auto; background: white; }
  }
  @media (prefers-reduced-motion: reduce) { *, *::before, *::after { animation: none !important; transition: none !important; } }
`;
