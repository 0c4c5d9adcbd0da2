import styled from 'styled-components';
import { megabytes } from '../format';
import { share } from './scale';
import type { CeilingProps } from '../types/generated/props';

const Look = styled.ul`
    list-style: none;
    display: grid;
    gap: 3px;
    li {
        display: grid;
        grid-template-columns: minmax(0, 1.2fr) minmax(60px, 0.8fr) minmax(0, 1.6fr);
        gap: 10px;
        align-items: center;
        font-size: 12.5px;
    }
    .figure {
        font-family: var(--figures);
        font-stretch: 75%;
        font-size: 12px;
    }
    small {
        color: var(--pencil);
        font-size: 12px;
        margin-left: 6px;
        font-family: var(--words);
        font-stretch: 84%;
    }
    .own small {
        color: var(--tarn);
        font-weight: 650;
    }
`;

/**
 * Ceilings on one scale, each ten times the one before it at equal steps: open what the standard says, filled what is planned
 * with, a stroke at the least that it gives.
 */
export function Ceilings({ ceilings, sources = false }: { ceilings: readonly CeilingProps[]; sources?: boolean }) {
    return (
        <Look>
            {ceilings.map((ceiling) => (
                <li key={ceiling.link} className={ceiling.isOwn ? 'own' : ''}>
                    <span>{ceiling.link}</span>
                    <svg viewBox="0 0 100 10" height="10" preserveAspectRatio="none" aria-hidden="true" width="100%">
                        <rect
                            x="0.5"
                            y="1.5"
                            width={99 * share(ceiling.nominal)}
                            height="7"
                            fill="none"
                            stroke="var(--ink)"
                            vectorEffect="non-scaling-stroke"
                        />
                        <rect
                            x="0.5"
                            y="1.5"
                            width={99 * share(ceiling.usable)}
                            height="7"
                            fill={ceiling.isOwn ? 'var(--tarn)' : 'var(--rule)'}
                            stroke="var(--ink)"
                            vectorEffect="non-scaling-stroke"
                        />
                        {ceiling.least === null || ceiling.least >= ceiling.usable ? null : (
                            <path
                                d={`M${0.5 + 99 * share(ceiling.least)} 1.5v7`}
                                stroke="var(--ink)"
                                vectorEffect="non-scaling-stroke"
                            />
                        )}
                    </svg>
                    <span className="figure">
                        <span style={{ whiteSpace: 'nowrap' }}>
                            {ceiling.least === null || ceiling.least >= ceiling.usable
                                ? ''
                                : `${megabytes(ceiling.least)}–`}
                            {megabytes(ceiling.usable)} MB/s
                        </span>
                        <small>
                            {ceiling.origin}
                            {sources ? `: ${ceiling.source}` : ''}
                            {sources && ceiling.nominal > ceiling.usable * 1.001
                                ? `; ${megabytes(ceiling.nominal)} on paper`
                                : ''}
                        </small>
                    </span>
                </li>
            ))}
        </Look>
    );
}
