import { Link } from '@inertiajs/react';
import styled from 'styled-components';
import { Sheet } from '../parts/Sheet';
import type { CopyProps, LapProps } from '../types/generated/props';

const Track = styled.div`
    position: relative;
    height: 46px;
    margin: 2px 0;
    border-bottom: 1.2px solid var(--ink);
    .bar {
        position: absolute;
        left: 0;
        bottom: 0;
        height: 16px;
        border-right: 2px solid var(--ink);
        background: var(--tarn);
        opacity: 0.3;
    }
    .bar.first {
        opacity: 0.75;
    }
    .name {
        position: absolute;
        left: 0;
        top: 8px;
        font-size: 12.5px;
        white-space: nowrap;
        line-height: 1.2;
    }
    .name b {
        font-family: var(--figures);
        font-stretch: 75%;
        font-weight: 600;
    }
`;

/** The laps on one clock: what was copied, read back and shown when. */
export function Laps({ laps, struck = false }: { laps: readonly LapProps[]; struck?: boolean }) {
    const whole = Math.max(...laps.map((lap) => lap.seconds));
    const sorted = [...laps].sort((a, b) => a.seconds - b.seconds);
    return (
        <div role="img" aria-label={laps.map((lap) => `${lap.words} after ${lap.time}, ${lap.rate}`).join('; ')}>
            {sorted.map((lap, i) => {
                return (
                    <Track key={lap.words} aria-hidden="true">
                        <span
                            className={`bar${i === 0 ? ' first' : ''}`}
                            style={{ width: `${(100 * lap.seconds) / whole}%` }}
                        />
                        <span className="name" style={struck ? { textDecoration: 'line-through' } : {}}>
                            {lap.words} after <b>{lap.time}</b>
                            {', '}
                            <b>{lap.rate}</b>
                        </span>
                    </Track>
                );
            })}
        </div>
    );
}

export function CopySheet({ copy, linked = true }: { copy: CopyProps; linked?: boolean }) {
    return (
        <Sheet
            title={copy.title}
            caption={copy.what}
            aside={linked ? <Link href={`/runs/${copy.id}`}>whole</Link> : null}
        >
            {copy.laps.length === 0 ? null : <Laps laps={copy.laps} struck={copy.struck} />}
            <p style={{ fontSize: 13 }}>{copy.bound}.</p>
            {copy.notes.map((note) => (
                <p key={note} style={{ fontSize: 12.5, color: 'var(--pencil)' }}>
                    {note}
                </p>
            ))}
        </Sheet>
    );
}
