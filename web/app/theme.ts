import { createGlobalStyle, css } from 'styled-components';

export type ThemeName = 'day' | 'evening' | 'outdoor';
export const THEMES: readonly { readonly value: ThemeName; readonly label: string }[] = [
  { value: 'day', label: 'Day' },
  { value: 'evening', label: 'Evening' },
  { value: 'outdoor', label: 'Outdoor' },
];

/** Colours by role. `-ink` roles are for words on ground and sheet, at 4.5:1 or more. */
const day = css`
  --ground: #edf1ee;
  --sheet: #f8faf7;
  --ink: #14302a;
  --quiet: #52665f;
  --hair: #c9d4cd;
  --chalk: #d9480f;
  --chalk-ink: #b23607;
  --frost: #1f6f9c;
  --sun: #b7791f;
  --sun-ink: #875508;
  --timber: #b98a58;
  --timber-face: #d3b18a;
  --timber-edge: #5a3c1c;
  --wall: #a9774a;
  --soil: #d8cdbd;
  --straw: #dcc688;
  --leaf: #9db58b;
  --pipe: #8b9aa0;
  --pipe-face: #bcc7cb;
  --pipe-edge: #14302a;
  --film: rgb(159 199 196 / 0.38);
  --film-edge: #5d8f8b;
  --fails: #b3261e;
  --tight: #855900;
  --holds: #24703f;
  --strip: #14302a;
  --strip-ink: #f3f6f2;
  --strip-quiet: #b4c6be;
  --strip-hair: #33524a;
  --act: #f4e6b8;
  --act-ink: #14302a;
  --rule: #e3c97d;
  --rule-ink: #14302a;
  --rule-line: #6f5a22;
  --caution: #fdf3dc;
`;

const evening = css`
  --ground: #12211d;
  --sheet: #182b26;
  --ink: #e8efe9;
  --quiet: #a9bdb4;
  --hair: #355046;
  --chalk: #ff8a55;
  --chalk-ink: #ff9a6b;
  --frost: #7fc0e4;
  --sun: #e3b25c;
  --sun-ink: #e3b25c;
  --timber: #8d6a44;
  --timber-face: #6b4d2e;
  --timber-edge: #e0c7a4;
  --wall: #7b5837;
  --soil: #3b332a;
  --straw: #6f6136;
  --leaf: #50683f;
  --pipe: #97a8ae;
  --pipe-face: #4c5b60;
  --pipe-edge: #e8efe9;
  --film: rgb(159 199 196 / 0.2);
  --film-edge: #9fc7c4;
  --fails: #ff9d93;
  --tight: #f0c265;
  --holds: #84d39f;
  --strip: #0a1512;
  --strip-ink: #f3f6f2;
  --strip-quiet: #b4c6be;
  --strip-hair: #2c463e;
  --rule: #b99b4d;
  --rule-ink: #101c18;
  --rule-line: #4d3d12;
  --caution: #3a3016;
`;

const outdoor = css`
  --ground: #fff;
  --sheet: #fff;
  --ink: #000;
  --quiet: #222;
  --hair: #555;
  --chalk: #a32a00;
  --chalk-ink: #a32a00;
  --frost: #003f66;
  --sun: #6b4200;
  --sun-ink: #6b4200;
  --timber: #e6d3b8;
  --timber-face: #f3e6d2;
  --timber-edge: #000;
  --wall: #cdb08a;
  --soil: #eee5d6;
  --straw: #efe4c2;
  --leaf: #c3d6b3;
  --pipe: #888;
  --pipe-face: #ddd;
  --pipe-edge: #000;
  --film: #eef6f5;
  --film-edge: #000;
  --fails: #9b0000;
  --tight: #5c3d00;
  --holds: #00521f;
  --strip: #000;
  --strip-ink: #fff;
  --strip-quiet: #fff;
  --strip-hair: #777;
  --act: #fff;
  --act-ink: #000;
  --rule: #ffe9a8;
  --rule-ink: #000;
  --rule-line: #000;
  --caution: #fff7df;
`;

export const GlobalStyle = createGlobalStyle`
  :root { ${day} font-size: 16px; color-scheme: light; --target: 36px; }
  :root[data-theme='evening'] { ${evening} color-scheme: dark; }
  /* One step larger, for sun and gloves. */
  :root[data-theme='outdoor'] { ${outdoor} font-size: 20px; --target: 48px; }
  @media (pointer: coarse) { :root { --target: 46px; } }
  *, *::before, *::after { box-sizing: border-box; }
  html, body, #root { height: 100%; margin: 0; }
  body {
    background: var(--ground);
    color: var(--ink);
    font-family: 'Atkinson Hyperlegible Next', system-ui, sans-serif;
    line-height: 1.4;
    overflow-wrap: break-word;
  }
  /* Where names stand: one without a place to break breaks anywhere, rather than the layout. */
  h1, h2, h3, a, b, header span { overflow-wrap: anywhere; }
  h1, h2, h3, p, dl, dd, ul, ol, figure, fieldset, legend { margin: 0; padding: 0; border: 0; }
  h1 { font-size: 1.25rem; font-weight: 600; }
  h2 { font-size: 1rem; font-weight: 600; }
  h3 { font-size: 0.9375rem; font-weight: 600; }
  ul, ol { list-style: none; }
  button, input, select { font: inherit; color: inherit; }
  a { color: inherit; }
  input { accent-color: var(--ink); }
  .measure { font-family: 'Atkinson Hyperlegible Mono', ui-monospace, monospace; font-variant-numeric: tabular-nums; }
  :focus-visible { outline: 3px solid var(--chalk); outline-offset: 1px; }
  .visually-hidden { position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap; }
  @media (prefers-reduced-motion: reduce) { * { transition: none !important; animation: none !important; } }
  .paper-only { display: none; }
  @media print {
    :root, :root[data-theme] { ${outdoor} font-size: 13px; --timber: #fff; --timber-face: #fff; --pipe-face: #fff; --wall: #fff; --soil: #f2f2f2; --pipe: #fff; --film: #fff; --chalk: #000; --chalk-ink: #000; --rule: #fff; --fails: #000; --tight: #000; --holds: #000; }
    html, body, #root { height: auto; }
    .screen-only { display: none !important; }
    [role='region'] { overflow: visible !important; }
    .paper-only { display: revert; }
  }
`;
