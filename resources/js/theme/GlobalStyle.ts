import { createGlobalStyle } from 'styled-components';

/** The workshop ledger: warm paper, dark ink, ruled lines. `night` is for dark sets: dim and warm. */
export const GlobalStyle = createGlobalStyle`
    :root {
        --paper: #F4F0E6; --sheet: #FCFAF4; --ink: #1E2320; --pencil: #5E635C; --rule: #D8D1C0; --faint: #E9E3D5;
        --rust: #A8441C; --on-rust: #FFFDF8; --tarn: #1D6467; --ochre: #8A5E08; --plum: #6A3F73;
        --words: 'Archivo Variable', sans-serif;
        --figures: 'Martian Mono Variable', monospace;
        color-scheme: light;
    }
    :root[data-theme='night'] {
        --paper: #171A18; --sheet: #1E2220; --ink: #EDE6D6; --pencil: #A7A493; --rule: #3A3F3A; --faint: #272C29;
        --rust: #E0793F; --on-rust: #171A18; --tarn: #5DB3AE; --ochre: #D9A63A; --plum: #BE8CC9;
        color-scheme: dark;
    }
    *, *::before, *::after { box-sizing: border-box; }
    body {
        margin: 0; background: var(--paper); color: var(--ink);
        font: 400 14px/1.4 var(--words); -webkit-font-smoothing: antialiased;
    }
    h1, h2, h3, p, ul, ol, figure, table { margin: 0; padding: 0; }
    button, input, select { font: inherit; color: inherit; }
    kbd {
        font-family: var(--figures);
        font-stretch: 75%;
        font-weight: 500;
        font-size: 11px;
        border: 1px solid var(--rule);
        border-bottom-width: 2px;
        padding: 1px 5px;
        border-radius: 3px;
        color: var(--pencil);
        background: var(--sheet);
    }
    .sr {
        position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap;
    }
    svg text { fill: var(--ink); font-family: var(--words); font-size: 12px; }
    svg .figure { font-family: var(--figures); font-stretch: 75%; font-size: 10.5px; }
    svg .pencil { fill: var(--pencil); }
    :focus-visible, [data-focus-visible] { outline: 2.5px solid var(--tarn); outline-offset: 2px; }
    @media (prefers-reduced-motion: reduce) { *, *::before, *::after { animation: none !important; transition: none !important; } }
    main p a,
    main figcaption a {
        color: inherit;
    }
`;
