import { scaleLinear, type ScaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { size } from '../format';
import { useWidth } from '../parts/useWidth';
import type { BlockClass, CoreProps, PatchProps } from '../types/generated/props';
import { rulerTicks } from './axis';
import { arcsOf, visible } from './core';

const RIBBON = 50;
const PAD = 10;

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

/** The whole card as one ribbon, like a drilled core. */
export function CoreSample({ core }: { core: CoreProps }) {
    const [ref, width] = useWidth<HTMLDivElement>(660);
    const arcs = arcsOf(core.patches);
    const y = arcs.length > 0 ? 104 : 44;
    const whole = Math.max(core.size, core.label);
    const x = scaleLinear()
        .domain([0, whole])
        .range([PAD, width - PAD]);

    return (
        <div ref={ref}>
            <svg width={width} height={y + RIBBON + 66} role="img" aria-label={core.summary}>
                <Textures />
                {arcs.map((arc) => (
                    <Arc key={arc.from} from={x(arc.from)} to={x(arc.to)} y={y - 4} />
                ))}
                <Ribbon x={x} y={y} core={core} />
                <Laps x={x} y={y} core={core} />
                <Ruler x={x} y={y + RIBBON} size={whole} />
                <Pegs x={x} y={y} core={core} width={width} />
            </svg>
        </div>
    );
}

function Arc({ from, to, y }: { from: number; to: number; y: number }) {
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

function Ribbon({ x, y, core }: { x: ScaleLinear<number, number>; y: number; core: CoreProps }) {
    return (
        <g>
            <rect
                x={x(0)}
                y={y}
                width={x(core.size) - x(0)}
                height={RIBBON}
                fill="none"
                stroke="var(--pencil)"
                strokeDasharray="3 3"
            />
            {visible(core.patches, x(core.size) - x(0), core.size).map((patch) => (
                <Piece key={`${patch.class}${patch.offset}`} patch={patch} x={x} y={y} />
            ))}
        </g>
    );
}

function Piece({ patch, x, y }: { patch: PatchProps; x: ScaleLinear<number, number>; y: number }) {
    const from = x(patch.offset);
    const width = Math.max(x(patch.offset + patch.length) - from, patch.class === 'holds' ? 0 : 2.5);
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
function Laps({ x, y, core }: { x: ScaleLinear<number, number>; y: number; core: CoreProps }) {
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
    if (core.wrap !== null) {
        const lap = core.wrap;
        const last = Math.max(0, core.size - lap);
        for (let k = 0; k * lap < last && k < 40; k += 1) {
            if (k > 0) {
                chips.push(
                    <path key={`cut${k}`} d={`M${x(k * lap)} ${y}v${RIBBON}`} stroke="var(--sheet)" strokeWidth="2" />,
                );
            }
            chip(k * lap, Math.min((k + 1) * lap, last), `lap ${k + 1}`);
        }
        chip(last, core.size, 'last lap holds', true);
    } else if (core.condition === 'drops') {
        chip(0, core.capacity, 'holds', true);
        chip(core.capacity, core.size, 'nothing kept');
    } else if (core.condition === 'whole') {
        chip(0, core.size, 'everything holds', true);
    }
    return <g>{chips}</g>;
}

function Ruler({ x, y, size: whole }: { x: ScaleLinear<number, number>; y: number; size: number }) {
    const ticks = rulerTicks(whole);
    return (
        <g>
            {ticks.map((tick) => (
                <g key={tick.at}>
                    <path d={`M${x(tick.at)} ${y}v9`} stroke="var(--pencil)" />
                    <text
                        className="figure pencil"
                        x={x(tick.at)}
                        y={y + 58}
                        textAnchor={tick.at === 0 ? 'start' : tick.at > whole * 0.96 ? 'end' : 'middle'}
                    >
                        {tick.label}
                    </text>
                </g>
            ))}
        </g>
    );
}

/** What the label says and what was proven, as two pegs on the ruler. */
function Pegs({ x, y, core, width }: { x: ScaleLinear<number, number>; y: number; core: CoreProps; width: number }) {
    const words: Record<CoreProps['condition'], string> = {
        whole: `proven ${size(core.capacity)}`,
        wraps: `really ${size(core.capacity)}`,
        drops: `really ${size(core.capacity)}`,
        faulty: `${size(core.capacity)} holds, not all`,
        unknown: 'nothing proven',
    };
    const proven = x(core.condition === 'faulty' ? 0 : core.capacity);
    const label = x(core.label);
    const foot = y + RIBBON + 26;
    const left = proven < width * 0.62;
    return (
        <g fontWeight="700">
            {core.condition === 'faulty' ? null : (
                <path d={`M${proven} ${y - 9}V${foot}`} stroke="var(--ink)" strokeWidth="2.5" />
            )}
            <text x={proven + (left ? 6 : -6)} y={foot} textAnchor={left ? 'start' : 'end'}>
                {words[core.condition]}
            </text>
            <path d={`M${label} ${y - 9}V${foot + (left ? 0 : 16)}`} stroke="var(--rust)" strokeWidth="2.5" />
            <text x={label - 6} y={foot + (left ? 0 : 16)} textAnchor="end" style={{ fill: 'var(--rust)' }}>
                label {size(core.label)}
            </text>
        </g>
    );
}
