import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { VerdictKind } from '../types/generated/props';

export const verdictColour: Record<VerdictKind, string> = {
    Sound: 'var(--tarn)',
    Slow: 'var(--ochre)',
    Shaky: 'var(--plum)',
    Sham: 'var(--rust)',
    Unproven: 'var(--pencil)',
};

const shapes: Record<VerdictKind, ReactNode> = {
    Sound: <circle cx="7" cy="7" r="6" fill="currentColor" />,
    Slow: (
        <>
            <circle cx="7" cy="7" r="5.3" fill="none" stroke="currentColor" strokeWidth="1.5" />
            <path d="M7 1.7a5.3 5.3 0 0 0 0 10.6z" fill="currentColor" />
        </>
    ),
    Shaky: <path d="M1 9l3-5 3 6 3-6 3 5" fill="none" stroke="currentColor" strokeWidth="1.9" />,
    Sham: (
        <>
            <path d="M7 .9L13.1 7 7 13.1.9 7z" fill="none" stroke="currentColor" strokeWidth="1.5" />
            <path d="M1.6 12.4l10.8-10.8" stroke="currentColor" strokeWidth="1.9" />
        </>
    ),
    Unproven: (
        <circle cx="7" cy="7" r="5.3" fill="none" stroke="currentColor" strokeWidth="1.5" strokeDasharray="2.4 2" />
    ),
};

/** A stroke for what is worth saying and bears nothing. */
export function NoteShape() {
    return (
        <svg width={14} height={14} viewBox="0 0 14 14" aria-hidden="true" style={{ color: 'var(--pencil)' }}>
            <path d="M2.5 7h9" stroke="currentColor" strokeWidth="1.5" />
        </svg>
    );
}

/** The shape alone, for places where the word stands beside it. */
export function VerdictShape({ kind, size = 14 }: { kind: VerdictKind; size?: number }) {
    return (
        <svg
            width={size}
            height={size}
            viewBox="0 0 14 14"
            aria-hidden="true"
            style={{ color: verdictColour[kind], flex: 'none' }}
        >
            {shapes[kind]}
        </svg>
    );
}

const Words = styled.span`
    display: inline-flex;
    gap: 6px;
    align-items: center;
    vertical-align: bottom;
    font-weight: 650;
    font-stretch: 82%;
    font-size: 12.5px;
`;

/** Word, shape and colour. */
export function VerdictMark({ kind }: { kind: VerdictKind }) {
    return (
        <Words style={{ color: verdictColour[kind] }}>
            <VerdictShape kind={kind} />
            {kind}
        </Words>
    );
}
