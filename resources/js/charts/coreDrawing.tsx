import { scaleLinear, type ScaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { size } from '../format';
import type { BlockClass, CoreProps, PatchProps } from '../types/generated/props';
import { anchorWithin, apart, stretchTicks } from './axis';
import { visible } from './core';
import type { View } from './zoom';

/** The pieces a core sample is drawn of. */

export const RIBBON = 50;
export const PAD = 10;

const fills: Record<BlockClass, string> = {
    holds: 'var(--tarn)',
    echoes: 'url(#echoes)',
    blank: 'var(--sheet)',
    scrambled: 'url(#scrambled)',
    unreadable: 'url(#unreadable)',
    stale: 'url(#stale)',
};

/** Each class has its own texture, so that none is told by colour alone. */
export function Textures() {
    return (
        <defs>
            <pattern id="echoes" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                <rect width="7" height="7" fill="var(--faint)" />
                <path d="M0 0V7" stroke="var(--rust)" strokeWidth="3" />
            </pattern>
            <pattern id="scrambled" width="6" height="6" patternUnits="userSpaceOnUse">
                <rect width="6" height="6" fill="var(--plum)" />
                <path d="M0 4.5l1.5-3 1.5 3 1.5-3 1.5 3" stroke="var(--sheet)" fill="none" />
            </pattern>
            <pattern id="unreadable" width="6" height="6" patternUnits="userSpaceOnUse">
                <rect width="6" height="6" fill="var(--ink)" />
                <path d="M0 0l6 6M6 0L0 6" stroke="var(--sheet)" />
            </pattern>
            <pattern id="stale" width="6" height="6" patternUnits="userSpaceOnUse">
                <rect width="6" height="6" fill="var(--faint)" />
                <circle cx="3" cy="3" r="1.4" fill="var(--ochre)" />
            </pattern>
        </defs>
    );
}

export function Arc({ from, to, y }: { from: number; to: number; y: number }) {
    const lift = Math.min(92, 18 + Math.abs(to - from) * 0.16);
    return (
        <path
            d={`M${from} ${y}C${from} ${y - lift} ${to} ${y - lift} ${to} ${y}`}
            fill="none"
            stroke="var(--rust)"
            strokeWidth="1.1"
            opacity=".75"
        />
    );
}

/** Where the stretch lies in the whole card. */
export function Window({ core, view, width }: { core: CoreProps; view: View; width: number }) {
    const x = scaleLinear()
        .domain([0, Math.max(core.size, core.label)])
        .range([PAD, width - PAD]);
    const marks = visible(core.patches, width - 2 * PAD, { from: 0, to: Math.max(core.size, core.label) });
    return (
        <g>
            <path d={`M${PAD} 12H${width - PAD}`} stroke="var(--rule)" strokeWidth="7" />
            {marks.map((patch) => (
                <rect
                    key={`${patch.class}${patch.offset}`}
                    x={x(patch.offset)}
                    y={8.5}
                    width={Math.max(1.2, x(patch.offset + patch.length) - x(patch.offset))}
                    height={7}
                    fill={fills[patch.class]}
                />
            ))}
            <rect
                x={x(view.from) - 2}
                y={5}
                width={Math.max(5, x(view.to) - x(view.from) + 4)}
                height={14}
                fill="none"
                stroke="var(--ink)"
                strokeWidth="1.6"
            />
        </g>
    );
}

export function Ribbon({
    x,
    y,
    core,
    view,
}: {
    x: ScaleLinear<number, number>;
    y: number;
    core: CoreProps;
    view: View;
}) {
    const [from, to] = [x(Math.max(0, view.from)), x(Math.min(core.size, view.to))];
    return (
        <g>
            <rect
                x={from}
                y={y}
                width={Math.max(0, to - from)}
                height={RIBBON}
                fill="none"
                stroke="var(--pencil)"
                strokeDasharray="3 3"
            />
            {visible(core.patches, x(view.to) - x(view.from), view).map((patch) => (
                <Piece
                    key={`${patch.class}${patch.offset}`}
                    patch={patch}
                    x={x}
                    y={y}
                    least={core.points === null && core.alarmAt === null ? 1 : 0.5}
                />
            ))}
        </g>
    );
}

/** `least` is how narrow a good one may be: where only places were looked at, the gaps between them are what matters. */
function Piece({
    patch,
    x,
    y,
    least,
}: {
    patch: PatchProps;
    x: ScaleLinear<number, number>;
    y: number;
    least: number;
}) {
    const from = x(patch.offset);
    const width = Math.max(x(patch.offset + patch.length) - from, patch.class === 'holds' ? least : 2.5);
    const notch = patch.class === 'scrambled' || patch.class === 'unreadable';
    return (
        <g>
            <rect
                x={from}
                y={notch ? y - 5 : y}
                width={width}
                height={notch ? RIBBON + 10 : RIBBON}
                fill={fills[patch.class]}
                stroke={patch.class === 'blank' ? 'var(--pencil)' : 'none'}
            >
                <title>{`${patch.class}: ${size(patch.length)} from ${size(patch.offset, 4)}`}</title>
            </rect>
        </g>
    );
}

function Chip({ at, y, children, strong = false }: { at: number; y: number; children: string; strong?: boolean }) {
    const half = children.length * 3.3 + 7;
    return (
        <g>
            {strong ? null : <rect x={at - half} y={y - 14} width={2 * half} height="20" fill="var(--sheet)" />}
            <text
                x={at}
                y={y}
                textAnchor="middle"
                fontWeight={strong ? 700 : 500}
                style={strong ? { fill: 'var(--sheet)' } : {}}
            >
                {children}
            </text>
        </g>
    );
}

/** Names what the eye sees: laps of a card that starts over, what a card keeps, what it drops. */
export function Laps({ x, y, core }: { x: ScaleLinear<number, number>; y: number; core: CoreProps }) {
    const middle = y + RIBBON / 2 + 4;
    const chips: ReactNode[] = [];
    const chip = (from: number, to: number, words: string, strong = false) => {
        if (x(to) - x(from) > words.length * 7 + 10) {
            chips.push(
                <Chip key={from} at={(x(from) + x(to)) / 2} y={middle} strong={strong}>
                    {words}
                </Chip>,
            );
        }
    };
    const lap = core.wrap;
    if (lap !== null && core.points === null && core.alarmAt === null) {
        const begins = core.wrapFrom ?? 0;
        const last = Math.max(begins, core.size - lap);
        for (let k = 0; begins + k * lap < last && k < 40; k += 1) {
            const at = begins + k * lap;
            if (at > 0) {
                chips.push(
                    <path key={`cut${k}`} d={`M${x(at)} ${y}v${RIBBON}`} stroke="var(--sheet)" strokeWidth="2" />,
                );
            }
            chip(at, Math.min(at + lap, last), `lap ${k + 1}`);
        }
        if (core.patches.at(-1)?.class === 'holds') {
            chip(last, core.size, 'last lap holds', true);
        }
    } else if (core.points !== null || core.alarmAt !== null) {
        chip(
            core.size * 0.3,
            core.size * 0.7,
            core.points === null ? 'sampled here and there' : `${core.points} places drawn`,
        );
    } else if (core.behind === null && core.upTo !== null) {
        chip(0, core.size, core.upTo, true);
    } else if (core.behind !== null && core.upTo !== null) {
        chip(0, core.capacity, core.upTo, true);
        chip(core.capacity, core.size, core.behind);
    }
    return <g>{chips}</g>;
}

export function Ruler({ x, y, view }: { x: ScaleLinear<number, number>; y: number; view: View }) {
    const width = (x.range()[1] ?? 0) + PAD;
    const ticks = stretchTicks(view.from, view.to, width - 2 * PAD).map((tick) => ({
        ...tick,
        x: x(tick.at),
        anchor: anchorWithin(x(tick.at), tick.label, width),
    }));
    return (
        <g>
            {ticks.map((tick) => (
                <path key={tick.at} d={`M${x(tick.at)} ${y}v9`} stroke="var(--pencil)" />
            ))}
            {apart(ticks).map((tick) => (
                <text key={tick.at} className="figure pencil" x={tick.x} y={y + 58} textAnchor={tick.anchor}>
                    {tick.label}
                </text>
            ))}
        </g>
    );
}

/** What the label says and what was proven, as two pegs on the ruler. */
export function Pegs({
    x,
    y,
    core,
    width,
    view,
}: {
    x: ScaleLinear<number, number>;
    y: number;
    core: CoreProps;
    width: number;
    view: View;
}) {
    const loose = core.isLoose;
    const proven = x(loose ? 0 : core.capacity);
    const label = x(core.label);
    const foot = y + RIBBON + 26;
    const left = proven < width * 0.62;
    const sees = (at: number) => at >= view.from && at <= view.to;
    // About 7 a letter, and as much again for what the label says.
    const below = left && proven + 7 * core.peg.length + 100 < label ? 0 : 16;
    return (
        <g fontWeight="700">
            {sees(loose ? 0 : core.capacity) ? (
                <>
                    {loose ? null : <path d={`M${proven} ${y - 9}V${foot}`} stroke="var(--ink)" strokeWidth="2.5" />}
                    <text x={proven + (left ? 6 : -6)} y={foot} textAnchor={left ? 'start' : 'end'}>
                        {core.peg}
                    </text>
                </>
            ) : null}
            {sees(core.label) ? (
                <>
                    <path d={`M${label} ${y - 9}V${foot + below}`} stroke="var(--rust)" strokeWidth="2.5" />
                    <text x={label - 6} y={foot + below} textAnchor="end" style={{ fill: 'var(--rust)' }}>
                        label {size(core.label)}
                    </text>
                </>
            ) : null}
        </g>
    );
}
