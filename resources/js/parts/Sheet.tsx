import type { ReactNode } from 'react';
import styled from 'styled-components';

const Look = styled.figure`
    background: var(--sheet);
    border: 1px solid var(--rule);
    margin-top: 14px;
    padding: 11px 16px 9px;
    figcaption {
        display: flex;
        justify-content: space-between;
        gap: 16px;
        font-size: 12.5px;
        color: var(--pencil);
        margin-bottom: 4px;
    }
    figcaption b {
        color: var(--ink);
        font-weight: 680;
        font-stretch: 82%;
        font-size: 14px;
        margin-right: 8px;
    }
    svg {
        display: block;
        max-width: 100%;
    }
`;

/** A picture on its own sheet: what it is, how it was got, in which unit. */
export function Sheet({
    title,
    caption,
    aside,
    children,
}: {
    title: string;
    caption?: ReactNode;
    aside?: ReactNode;
    children: ReactNode;
}) {
    return (
        <Look>
            <figcaption>
                <span>
                    <b>{title}</b>
                    {caption}
                </span>
                <span>{aside}</span>
            </figcaption>
            {children}
        </Look>
    );
}

/** A ruled table. */
export const Ruled = styled.table`
    width: 100%;
    border-collapse: collapse;
    font-size: 12.5px;
    margin-top: 10px;
    @media (max-width: 560px) {
        /* What is hidden for the eye is placed by it, and not by the page. */
        position: relative;
        display: block;
        overflow-x: auto;
    }
    th {
        text-align: left;
        font-weight: 560;
        color: var(--pencil);
        font-stretch: 82%;
        border-bottom: 1px solid var(--ink);
        padding: 4px 6px;
    }
    td {
        padding: 5px 6px;
        border-bottom: 1px solid var(--rule);
        vertical-align: top;
    }
    a {
        color: inherit;
    }
    .n {
        text-align: right;
        white-space: nowrap;
    }
    td.figure {
        white-space: nowrap;
    }
    td.n,
    td.figure {
        font-family: var(--figures);
        font-stretch: 75%;
        font-size: 12px;
    }
    .struck {
        color: var(--pencil);
        text-decoration: line-through;
    }
`;

export const Title = styled.div`
    display: flex;
    justify-content: space-between;
    align-items: flex-start;
    gap: 18px;
    h1 {
        font-size: 24px;
        line-height: 1.1;
        font-weight: 760;
        font-stretch: 76%;
    }
    h1 .tag {
        margin-right: 9px;
        white-space: nowrap;
    }
    @media (max-width: 560px) {
        flex-wrap: wrap;
    }
    p {
        color: var(--pencil);
        font-size: 13px;
        margin-top: 5px;
    }
    p b {
        color: var(--ink);
        font-weight: 600;
    }
    p .pinch {
        color: var(--rust);
        font-weight: 700;
    }
    > :last-child:not(:first-child) {
        flex: none;
    }
`;
