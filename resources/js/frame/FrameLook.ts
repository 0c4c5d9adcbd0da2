import styled from 'styled-components';

/** How the parts of a page stand to one another: three columns, two from 1000 px down, one from 720. */
export const FrameLook = styled.div<{ $drawer: boolean }>`
    display: grid;
    grid-template: 64px minmax(0, 1fr) / 248px minmax(0, 1fr) 296px;
    height: 100vh;
    header {
        grid-column: 1 / -1;
        display: grid;
        grid-template-columns: 248px minmax(0, 1fr) 296px;
        border-bottom: 1.5px solid var(--ink);
    }
    .mark {
        padding: 0 18px;
        display: flex;
        align-items: center;
        gap: 12px;
        font-weight: 800;
        font-stretch: 68%;
        font-size: 22px;
        color: var(--ink);
        text-decoration: none;
        border-right: 1px solid var(--rule);
    }
    .station {
        border-left: 1px solid var(--rule);
        padding: 0 12px 0 14px;
        display: flex;
        flex-direction: column;
        justify-content: center;
        gap: 5px;
        font-size: 12.5px;
        color: var(--pencil);
    }
    .station > span {
        display: flex;
        align-items: center;
        justify-content: space-between;
        gap: 6px;
        /* A worker that is away is told in full, on two lines: the keys beside it stay in reach. */
        min-width: 0;
        line-height: 1.2;
        font-stretch: 90%;
    }
    .station b {
        color: var(--ink);
        font-weight: 620;
    }
    .station .away {
        color: var(--rust);
        font-weight: 650;
    }
    .station button {
        border: 0;
        background: transparent;
        color: var(--pencil);
        padding: 2px 3px;
        cursor: pointer;
        white-space: nowrap;
    }
    .station button:hover {
        color: var(--ink);
    }
    main {
        padding: 16px 22px;
        min-width: 0;
        overflow-y: auto;
    }
    .tray-toggle {
        display: none;
    }
    @media (max-width: 999px) {
        grid-template: 64px minmax(0, 1fr) auto / 220px minmax(0, 1fr);
        height: auto;
        min-height: 100vh;
        header {
            grid-template-columns: 220px minmax(0, 1fr);
            grid-auto-rows: 64px auto;
        }
        header .station {
            grid-column: 1 / -1;
            grid-row: 2;
            padding: 6px 18px;
            border-left: 0;
            border-top: 1px solid var(--rule);
        }
        grid-template-rows: auto minmax(0, 1fr) auto;
        > aside:first-of-type {
            grid-row: 2 / span 2;
            max-height: calc(100vh - 100px);
            position: sticky;
            top: 0;
        }
        > aside:last-of-type:not(:first-of-type) {
            border-left: 0;
            border-top: 1.5px solid var(--rust);
            grid-column: 2;
        }
    }
    @media (max-width: 719px) {
        grid-template-columns: minmax(0, 1fr);
        header {
            grid-template-columns: minmax(0, 1fr) auto;
            grid-template-rows: 56px 64px auto;
        }
        header .mark {
            grid-row: 1;
        }
        header nav {
            grid-column: 1 / -1;
            grid-row: 2;
            padding-left: 0;
            border-top: 1px solid var(--rule);
            overflow-x: auto;
        }
        header .station {
            grid-row: 3;
        }
        .tray-toggle {
            display: block;
            grid-column: 2;
            grid-row: 1;
            align-self: center;
            margin-right: 14px;
            border: 1.3px solid var(--ink);
            background: transparent;
            padding: 6px 12px;
            border-radius: 2px;
        }
        > aside:first-of-type {
            display: ${(p) => (p.$drawer ? 'flex' : 'none')};
            grid-row: auto;
            grid-column: 1;
            height: 60vh;
            position: static;
            border-bottom: 1.5px solid var(--ink);
        }
        > aside:last-of-type:not(:first-of-type) {
            grid-column: 1;
        }
    }
`;
