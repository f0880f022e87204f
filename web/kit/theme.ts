import { createGlobalStyle } from 'styled-components';

/** Three schemes: paper by day, shed for the dark, sun for glare. */
export const SCHEMES = ['auto', 'paper', 'shed', 'sun'] as const;
export type Scheme = (typeof SCHEMES)[number];

export const isScheme = (name: string | null): name is Scheme => SCHEMES.includes(name as Scheme);

export function showScheme(scheme: Scheme): void {
  document.documentElement.dataset.scheme = scheme;
}

const paper = `
  --paper: #F3EFE6; --sheet: #FBF9F4; --ink: #1F2A24; --soft: #4E5750; --rule: #CFC7B6; --line: #8A8473;
  --hedge: #2F5D43; --on-hedge: #FBF9F4; --straw: #875703; --clay: #A63F16; --slate: #40606B; --hatch: #C9A456;
  --layer: #C9A456; --pour: #E4D09B;
  --plate: #1F2A24; --on-plate: #FBF9F4; --plate-hatch: #4E5750;
  color-scheme: light;
`;
const shed = `
  --paper: #171C19; --sheet: #1F2622; --ink: #EDE8DC; --soft: #B4B9AE; --rule: #3C4740; --line: #77807A;
  --hedge: #9CCBAE; --on-hedge: #14201A; --straw: #E2B04A; --clay: #F0946B; --slate: #9DBFCB; --hatch: #8A6E2C;
  --layer: #6B5420; --pour: #4A3D1C;
  --plate: #EDE8DC; --on-plate: #171C19; --plate-hatch: #B4B9AE;
  color-scheme: dark;
`;
const sun = `
  --paper: #FFFFFF; --sheet: #FFFFFF; --ink: #000000; --soft: #26302A; --rule: #7A7568; --line: #3A3A35;
  --hedge: #0E4527; --on-hedge: #FFFFFF; --straw: #5E3C00; --clay: #7E2506; --slate: #1F3D48; --hatch: #8A6414;
  --layer: #D9BE7A; --pour: #F1E3BE;
  --plate: #000000; --on-plate: #FFFFFF; --plate-hatch: #3A3A35;
  color-scheme: light;
`;

export const GlobalStyle = createGlobalStyle`
  :root { ${paper} --body: 'Atkinson Hyperlegible Next Variable', sans-serif; --slab: 'Besley Variable', serif; }
  @media (prefers-color-scheme: dark) { :root { ${shed} } }
  @media (prefers-contrast: more) { :root { ${sun} } }
  :root[data-scheme='paper'] { ${paper} }
  :root[data-scheme='shed'] { ${shed} }
  :root[data-scheme='sun'] { ${sun} }
  @media print { :root { ${sun} } }

  *, *::before, *::after { box-sizing: border-box; }
  html { -webkit-text-size-adjust: 100%; }
  body { margin: 0; background: var(--paper); color: var(--ink); font: 17px/1.4 var(--body); font-variant-numeric: tabular-nums; }
  h1, h2, h3, p, ul, ol, dl, dd, figure { margin: 0; padding: 0; }
  ul, ol { list-style: none; }
  h1, h2, h3 { font-family: var(--slab); font-weight: 600; line-height: 1.15; }
  a { color: inherit; }
  button, input, select, textarea { font: inherit; color: inherit; }
  small { font-size: 15px; }
  :focus-visible { outline: 3px solid var(--slate); outline-offset: 2px; border-radius: 2px; }
  ::placeholder { color: var(--soft); opacity: 1; }
  @media (prefers-reduced-motion: reduce) { *, *::before, *::after { animation: none !important; transition: none !important; } }
`;

/** Below this the margin folds under the line and the places move to the foot. */
export const PHONE = '@media (max-width: 760px)';
