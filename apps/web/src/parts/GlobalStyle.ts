import { createGlobalStyle } from 'styled-components';
import { colour, FONT, MONO, THEME_CSS } from './tokens.js';

export const GlobalStyle = createGlobalStyle`
  ${THEME_CSS}
  *, *::before, *::after { box-sizing: border-box; }
  body {
    margin: 0;
    background: ${colour('paper')};
    color: ${colour('ink')};
    font: 450 17px/1.45 ${FONT};
    -webkit-text-size-adjust: 100%;
  }
  a { color: inherit; text-underline-offset: 3px; }
  button { font: inherit; }
  .mono { font-family: ${MONO}; }
  :focus-visible { outline: 3px solid ${colour('focus')}; outline-offset: 2px; }
  @media (prefers-reduced-motion: reduce) {
    *, *::before, *::after { transition: none !important; animation: none !important; }
  }
  @media print {
    body { background: ${colour('sheet')}; }
    .no-print { display: none !important; }
  }
`;
