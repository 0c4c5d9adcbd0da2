import type { ScaleLinear } from 'd3-scale';
import { grouped, megabytes, reached } from '../format';
import { useWidth } from '../parts/useWidth';
import type { ClaimLineProps, ClaimWayProps } from '../types/generated/props';
import { anchorWithin, clipped, fitsRight, roomyTicks, roundScale, wallIsNear } from './axis';

const ROW = 74;
const TOP = 54;
const LEFT = 54;
/** About how wide a letter of the wall's name is. */
const LETTER = 5.8;
const halo = { paintOrder: 'stroke', stroke: 'var(--sheet)', strokeWidth: 4, strokeLinejoin: 'round' } as const;

/** The picture in words, for who cannot see it. */
export function claimLineWords(line: ClaimLineProps): string {
    const ways = line.ways.map((way) => {
        const parts = [
            way.median === null
                ? `${way.way} not measured`
                : `${way.way} ${reached(way.median)} MB/s, median of ${way.runs.length}`,
            way.claim === null ? 'label claims nothing' : `label claims ${megabytes(way.claim)} MB/s`,
            way.floor === null ? null : `${way.floorMark ?? 'class'} floor ${megabytes(way.floor)} MB/s`,
            way.struck === null ? null : `not trusted: ${way.struck}`,
            way.untold === null ? null : `cannot be told here: ${way.untold}`,
        ];
        return parts.filter((part) => part !== null).join(', ');
    });
    const wall =
        line.wall === null
            ? ''
            : line.least === null || line.least >= line.wall
              ? `; the slowest link, ${line.wallName ?? ''}, gives ${megabytes(line.wall)} MB/s`
              : `; this chain gives ${megabytes(line.least)} to ${megabytes(line.wall)} MB/s in practice, ` +
                `the slowest link is ${line.wallName ?? ''}`;
    return `${ways.join('; ')}${wall}.`;
}

/**
 * One axis in MB/s: each run a dot, the median a bar, a bracket where the class floor stands, a flag where the label's
 * claim stands, a wall where the slowest link ends, and before it the range that the chain gives in practice: a figure that
 * falls short in there cannot be told to be the card's.
 */
export function ClaimLine({ line }: { line: ClaimLineProps }) {
    const [ref, width] = useWidth<HTMLDivElement>(660);
    const others = line.ways.flatMap((way) =>
        [...way.runs, way.claim, way.floor].filter((value): value is number => value !== null),
    );
    const near = line.wall !== null && wallIsNear(line.wall, others);
    const right = width - 10;
    const x = roundScale(Math.max(...others, near ? (line.wall ?? 0) : 0) * 1.04, LEFT, right);
    const base = TOP + ROW * line.ways.length - 26;
    const ticks = roomyTicks(x, 8);

    return (
        <div ref={ref}>
            <svg width={width} height={base + 24} role="img" aria-label={claimLineWords(line)}>
                {ticks.map((tick) => (
                    <g key={tick}>
                        <path d={`M${x(tick)} 20V${base}`} stroke="var(--faint)" />
                        <text
                            className="figure pencil"
                            x={x(tick)}
                            y={base + 18}
                            textAnchor={anchorWithin(x(tick), grouped(tick), width)}
                        >
                            {grouped(tick)}
                        </text>
                    </g>
                ))}
                {line.wall === null || line.least === null || line.least >= line.wall ? null : (
                    <Range from={x(line.least)} to={near ? x(line.wall) : right} base={base} />
                )}
                <path d={`M${LEFT} ${base}H${right}`} stroke="var(--ink)" strokeWidth="1.3" />
                {line.wall === null ? null : (
                    <Wall
                        at={near ? x(line.wall) : null}
                        name={
                            line.least === null || line.least >= line.wall
                                ? `ends at ${megabytes(line.wall)}: ${line.wallName ?? 'the chain'}`
                                : `chain gives ${megabytes(line.least)}–${megabytes(line.wall)}: ${line.wallName ?? ''}`
                        }
                        base={base}
                        right={right}
                    />
                )}
                {line.ways.map((way, row) => (
                    <Way
                        key={way.way}
                        way={way}
                        y={TOP + ROW * row}
                        x={x}
                        right={right}
                        wall={near && line.wall !== null ? x(line.wall) : null}
                    />
                ))}
            </svg>
        </div>
    );
}

/** What the chain gives in practice, hatched from its low end to its high one. */
function Range({ from, to, base }: { from: number; to: number; base: number }) {
    const strokes: string[] = [];
    for (let at = from; at < to + base; at += 7) {
        // Each stroke leans to the left and is cut off at the edges of the range.
        const [top, foot] = [Math.min(at, to), Math.max(at - (base - 20), from)];
        if (foot < top) {
            strokes.push(`M${top} ${20 + (at - top)}L${foot} ${20 + (at - foot)}`);
        }
    }
    return (
        <g data-part="range" aria-hidden="true">
            <rect x={from} y={20} width={Math.max(0, to - from)} height={base - 20} fill="var(--faint)" opacity=".55" />
            <path d={strokes.join('')} stroke="var(--pencil)" strokeWidth=".8" opacity=".45" />
            <path d={`M${from} 20V${base}`} stroke="var(--pencil)" strokeDasharray="4 3" />
        </g>
    );
}

function Wall({ at, name, base, right }: { at: number | null; name: string; base: number; right: number }) {
    if (at === null) {
        return (
            <text x={right} y="12" textAnchor="end" className="pencil">
                <title>{name}</title>
                {clipped(name, right - 16 * LETTER, LETTER)}, further right →
            </text>
        );
    }
    // Where there is no room on its left it stands on its right, and where there is none either, on the wider side.
    const [left, after] = [at - 8, right - at - 12];
    const isLeft = left > name.length * LETTER || left > after;
    return (
        <g>
            <path d={`M${at} 6V${base}`} stroke="var(--ink)" strokeWidth="5" />
            <path d={`M${at + 4.5} 6V${base}`} stroke="var(--ink)" strokeDasharray="2 3" />
            <text x={isLeft ? at - 8 : at + 12} y="13" textAnchor={isLeft ? 'end' : 'start'} style={halo}>
                <title>{name}</title>
                {clipped(name, isLeft ? left : after, LETTER)}
            </text>
        </g>
    );
}

function Way({
    way,
    y,
    x,
    right,
    wall,
}: {
    way: ClaimWayProps;
    y: number;
    x: ScaleLinear<number, number>;
    right: number;
    wall: number | null;
}) {
    const struck = way.struck !== null;
    const untold = way.untold !== null;
    const flag =
        way.claim === null ? null : flagged(x(way.claim), wall !== null && x(way.claim) < wall ? wall - 4 : right);
    const value = beside(x(way.median ?? 0), reached(way.median ?? 0), untold, flag, right);
    return (
        <g>
            <text x="0" y={y + 4} fontWeight="650">
                {way.way}
            </text>
            {way.floor === null ? null : <Floor at={x(way.floor)} y={y} name={`${way.floorMark ?? ''} floor`} />}
            {way.median === null ? (
                <text
                    x={way.floor !== null && x(way.floor) < LEFT + 120 ? x(way.floor) + 12 : LEFT + 8}
                    y={y + 4}
                    className="pencil"
                    style={halo}
                >
                    not measured yet
                </text>
            ) : (
                <g opacity={struck ? 0.55 : 1}>
                    <path d={`M${x(0)} ${y}H${x(way.median)}`} stroke="var(--ink)" strokeWidth="9" opacity=".13" />
                    <path
                        d={`M${x(way.median)} ${y - 14}V${y + 14}`}
                        stroke="var(--ink)"
                        strokeWidth={untold ? 2 : 3}
                        strokeDasharray={untold ? '3 3' : undefined}
                    />
                    {way.runs.map((run, i) => (
                        <circle
                            key={i}
                            cx={x(run)}
                            cy={y + (i - (way.runs.length - 1) / 2) * Math.min(4.6, 26 / way.runs.length)}
                            r="2.6"
                            fill={struck || untold || i === way.leftOut ? 'var(--sheet)' : 'var(--ink)'}
                            stroke={i === way.leftOut ? 'var(--plum)' : 'var(--ink)'}
                        />
                    ))}
                    <text
                        className="figure"
                        x={value.x}
                        y={y - 10}
                        textAnchor={value.side === 1 ? 'start' : 'end'}
                        fontWeight="700"
                        style={{ ...halo, fontSize: 12, textDecoration: struck ? 'line-through' : 'none' }}
                    >
                        {reached(way.median)}
                        {value.says === '' ? null : (
                            <tspan style={{ fontFamily: 'var(--words)', fontWeight: 650 }}>{value.says}</tspan>
                        )}
                    </text>
                </g>
            )}
            {way.claim === null || flag === null ? null : (
                <Flag flag={flag} y={y} name={`label ${megabytes(way.claim)}`} />
            )}
        </g>
    );
}

function Floor({ at, y, name }: { at: number; y: number; name: string }) {
    return (
        <g>
            <path d={`M${at} ${y - 19}h-6v38h6`} fill="none" stroke="var(--tarn)" strokeWidth="2" />
            <text
                x={Math.max(at, LEFT + 26)}
                y={y - 25}
                textAnchor="middle"
                fontWeight="650"
                style={{ ...halo, fill: 'var(--tarn)' }}
            >
                {name}
            </text>
        </g>
    );
}

/** A flag on its pole: how far its cloth reaches, and where room ends. */
interface Flagged {
    at: number;
    tip: number;
    right: number;
}

/** The cloth turns to the side where it has room. */
function flagged(at: number, right: number): Flagged {
    return { at, tip: at + 28 <= right ? at + 26 : at - 26, right };
}

/** Where the figure of a median stands, to which side it is set, and what is said behind it. */
interface Beside {
    x: number;
    side: 1 | -1;
    says: string;
}

/** As close to the median as the flag leaves room, with as many words as fit. */
function beside(at: number, figure: string, untold: boolean, flag: Flagged | null, right: number): Beside {
    const [low, high] = flag === null ? [at, at] : [Math.min(flag.at, flag.tip), Math.max(flag.at, flag.tip)];
    const stands = (side: 1 | -1, says: string): Beside | null => {
        const length = says.length * LETTER + (figure.length + 1) * 7;
        const near = at + 7 * side;
        const [from, to] = side === 1 ? [near, near + length] : [near - length, near];
        // Over the cloth it would not be read: it moves to the far side of it.
        const over = flag !== null && to > low && from < high;
        const x = over ? (side === 1 ? high + 5 : low - 5) : near;
        return (side === 1 ? x + length <= right : x - length >= LEFT - 6) ? { x, side, says } : null;
    };
    for (const says of untold ? [' cannot be told here', ' cannot tell', ''] : ['']) {
        const found = stands(-1, says) ?? stands(1, says);
        if (found !== null) {
            return found;
        }
    }
    return { x: at - 7, side: -1, says: '' };
}

/** The words turn to the side where they have room. */
function Flag({ flag, y, name }: { flag: Flagged; y: number; name: string }) {
    const { at, tip, right } = flag;
    const cloth = tip > at ? 1 : -1;
    const words = fitsRight(at, name, right) ? 1 : -1;
    return (
        <g>
            <path
                data-solid
                d={`M${at} ${y - 20}h${26 * cloth}l${-6 * cloth} 6 ${6 * cloth} 6h${-26 * cloth}`}
                fill="var(--rust)"
                stroke="var(--rust)"
                strokeWidth="1.2"
            />
            <path d={`M${at} ${y + 26}V${y - 20}`} stroke="var(--rust)" strokeWidth="1.2" />
            <text
                x={at + 5 * words}
                y={y + 25}
                textAnchor={words === 1 ? 'start' : 'end'}
                fontWeight="600"
                style={{ ...halo, fill: 'var(--rust)' }}
            >
                {name}
            </text>
        </g>
    );
}
