import { Link } from '@inertiajs/react';
import styled from 'styled-components';
import { TallyMarks } from '../parts/TallyMarks';
import type { StageProps } from '../types/generated/props';

const Look = styled.nav`
    position: relative;
    display: flex;
    min-width: 0;
    padding-left: 20px;
    a {
        position: relative;
        flex: 1;
        min-width: 76px;
        padding: 11px 4px 0 11px;
        color: var(--pencil);
        text-decoration: none;
        font-weight: 560;
        font-stretch: 80%;
        font-size: 15px;
        border-left: 1px solid var(--rule);
        background-image: repeating-linear-gradient(
            90deg,
            transparent 0 calc(20% - 1px),
            var(--rule) calc(20% - 1px) 20%
        );
        background-size: 100% 6px;
        background-position: bottom;
        background-repeat: no-repeat;
    }
    a:last-child {
        border-right: 1px solid var(--rule);
    }
    a::before {
        content: '';
        position: absolute;
        left: -1px;
        bottom: 0;
        width: 1.5px;
        height: 12px;
        background: var(--ink);
    }
    a:hover {
        color: var(--ink);
    }
    a[aria-current] {
        color: var(--ink);
        font-weight: 760;
        background: var(--sheet);
        box-shadow: inset 0 -4px 0 var(--rust);
    }
    [role='img'] {
        display: block;
        margin-top: 4px;
        color: var(--pencil);
    }
    a:focus-visible {
        outline-offset: -3px;
    }
`;

/** The stages in working order, like marks on a rule; the strokes under each count the cards that wait there. */
export function Line({ stages, stage, tag }: { stages: readonly StageProps[]; stage: string; tag: string | null }) {
    return (
        <Look aria-label="Stages">
            {stages.map((entry) => (
                <Link
                    key={entry.key}
                    href={tag === null ? `/${entry.key}` : `/${entry.key}/${tag}`}
                    {...(entry.key === stage ? { 'aria-current': 'page' as const } : {})}
                >
                    {entry.label}
                    <TallyMarks count={entry.waiting} what="cards wait here" />
                </Link>
            ))}
        </Look>
    );
}
