import { scaleLog } from 'd3-scale';
import { megabytes } from '../format';
import { useWidth } from '../parts/useWidth';
import type { FitModeProps, WallProps } from '../types/generated/props';
import { clipped } from './axis';

const FOOT = 26;
const LETTER = 6.1;
const halo = { paintOrder: 'stroke', stroke: 'var(--sheet)', strokeWidth: 4, strokeLinejoin: 'round' } as const;

type Row = { camera: string } | { mode: FitModeProps };

/** A row for each camera, and under it one for each of its modes. */
function rows(modes: readonly FitModeProps[]): Row[] {
    return modes.flatMap((mode, i) => [
        ...(mode.camera === modes[i - 1]?.camera ? [] : [{ camera: mode.camera }]),
        { mode },
    ]);
}

/**
 * What each mode writes, and with how much to spare, as a bar on one axis of proportions; what the card keeps up and what its
 * mark promises as walls. At the end of a bar how long it lasts, or the word that says no.
 */
export function MinutesSheet({ modes, walls }: { modes: readonly FitModeProps[]; walls: readonly WallProps[] }) {
    const [box, width] = useWidth<HTMLDivElement>(660);
    const isNarrow = width < 560;
    const height = isNarrow ? 38 : 22.6;
    // Where it is narrow each wall has a line of its own for its name.
    const head = isNarrow ? 18 + 16 * walls.length : 30;
    const [left, right] = isNarrow ? [4, width - 8] : [190, width - 160];
    const figures = [...modes.flatMap((mode) => [mode.rate, mode.need]), ...walls.map((wall) => wall.rate)];
    const x = scaleLog()
        .domain([Math.min(8, ...figures) * 0.9, Math.max(100, ...figures) * 1.1])
        .range([left, right])
        .clamp(true);
    const ticks = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000].filter((tick) => {
        const [from, to] = x.domain() as [number, number];
        return tick >= from && tick <= to;
    });
    // Figures under the axis that stand apart; the first one of each that touch.
    const shown = ticks.filter((tick, i) => i === 0 || x(tick) - x(ticks[i - 1] ?? tick) > 30 || i % 2 === 0);
    const all = rows(modes);
    const end = head + all.length * height + 4;
    return (
        <div ref={box}>
            <svg width={width} height={end + FOOT} role="img" aria-label={describe(modes, walls)}>
                {ticks.map((tick) => (
                    <path key={tick} d={`M${x(tick)} ${head}V${end}`} stroke="var(--faint)" />
                ))}
                <path d={`M${left} ${end}H${right}`} stroke="var(--ink)" strokeWidth="1.2" />
                {shown.map((tick) => (
                    <text key={tick} x={x(tick)} y={end + 16} textAnchor="middle" className="figure pencil">
                        {tick}
                    </text>
                ))}
                <Walls walls={walls} x={x} head={head} end={end} width={width} isNarrow={isNarrow} />
                {all.map((row, i) => {
                    const y = head + i * height + (isNarrow ? 12 : 15);
                    return 'camera' in row ? (
                        <g key={row.camera}>
                            <text x="0" y={y} fontWeight="720" style={{ fontStretch: '82%' }}>
                                {clipped(row.camera, width, LETTER)}
                            </text>
                            <path d={`M0 ${y + 6}H${width}`} stroke="var(--rule)" />
                        </g>
                    ) : (
                        <Bar
                            key={row.mode.id}
                            mode={row.mode}
                            y={y}
                            x={x}
                            left={left}
                            width={width}
                            isNarrow={isNarrow}
                        />
                    );
                })}
            </svg>
        </div>
    );
}

function Bar({
    mode,
    y,
    x,
    left,
    width,
    isNarrow,
}: {
    mode: FitModeProps;
    y: number;
    x: (rate: number) => number;
    left: number;
    width: number;
    isNarrow: boolean;
}) {
    const fill = mode.may ? 'var(--tarn)' : 'var(--pencil)';
    const at = isNarrow ? y + 11 : y - 4;
    const said = mode.may ? mode.lasts : mode.words;
    const room = isNarrow ? width - said.length * 7.4 - 12 : left - 14;
    return (
        <g>
            <text
                x={isNarrow ? 4 : 10}
                y={y}
                className={mode.may ? '' : 'pencil'}
                style={{ ...halo, fontStretch: '88%' }}
            >
                <title>{`${mode.name}, ${mode.writes}`}</title>
                {clipped(mode.name, room, LETTER)}
            </text>
            <path
                d={`M${left} ${at}H${x(mode.rate)}`}
                stroke={fill}
                strokeWidth="8"
                {...(mode.may ? {} : { opacity: 0.35 })}
            />
            <path
                d={`M${x(mode.rate)} ${at}H${x(mode.need)}`}
                stroke={fill}
                strokeWidth="8"
                strokeDasharray="1.5 2"
                opacity={mode.may ? 0.75 : 0.4}
            />
            {mode.may ? (
                <text x={width} y={y} textAnchor="end" className="figure" fontWeight="700" style={halo}>
                    {mode.lasts}
                </text>
            ) : (
                <text
                    x={width}
                    y={y}
                    textAnchor="end"
                    fontWeight="600"
                    style={{ ...halo, fill: 'var(--rust)', fontSize: 11.5 }}
                >
                    {mode.words}
                </text>
            )}
            {isNarrow || !mode.may || (mode.words === '' && !mode.isCalibrated) ? null : (
                <text
                    x={width - mode.lasts.length * 7.6 - 8}
                    y={y}
                    textAnchor="end"
                    className="pencil"
                    style={{ fontSize: 10.5 }}
                >
                    {mode.words === '' ? 'calibrated' : clipped(mode.words, 150 - mode.lasts.length * 7.6, 5.4)}
                </text>
            )}
        </g>
    );
}

/** The lower wall is named on its left and the higher one on its right; where it is narrow, wherever there is room. */
function Walls({
    walls,
    x,
    head,
    end,
    width,
    isNarrow,
}: {
    walls: readonly WallProps[];
    x: (rate: number) => number;
    head: number;
    end: number;
    width: number;
    isNarrow: boolean;
}) {
    const sorted = [...walls].sort((a, b) => a.rate - b.rate);
    return sorted.map((wall, i) => {
        const isMeasured = wall.name === 'measured';
        const colour = isMeasured ? 'var(--ochre)' : 'var(--tarn)';
        const name = `${wall.name} ${megabytes(wall.rate)}`;
        const at = x(wall.rate);
        const fitsLeft = at - 4 - name.length * 6.6 > 0;
        const fitsRight = at + 4 + name.length * 6.6 < width;
        const isLeft = isNarrow || sorted.length === 1 ? !fitsRight : i === 0 && fitsLeft;
        return (
            <g key={wall.name}>
                <path
                    d={`M${at} ${isNarrow ? 18 + 16 * i : head - 8}V${end}`}
                    stroke={colour}
                    strokeWidth={isMeasured ? 3 : 1.6}
                    {...(isMeasured ? {} : { strokeDasharray: '6 4' })}
                />
                <text
                    x={isLeft ? at - 4 : at + 4}
                    y={isNarrow ? 13 + 16 * i : 13}
                    textAnchor={isLeft ? 'end' : 'start'}
                    fontWeight="680"
                    style={{ ...halo, fill: colour }}
                >
                    {name}
                </text>
            </g>
        );
    });
}

function describe(modes: readonly FitModeProps[], walls: readonly WallProps[]): string {
    const known = walls.map((wall) => `${wall.name} ${megabytes(wall.rate)} MB/s`).join(', ');
    const each = modes.map((mode) => {
        const said = mode.may ? [mode.lasts, mode.words].filter((one) => one !== '').join(', ') : `no, ${mode.words}`;
        return `${mode.camera}, ${mode.name}, writes ${megabytes(mode.rate)} MB/s: ${said}`;
    });
    return `${known === '' ? 'Nothing is known of what it keeps up' : known}. ${each.join('; ')}.`;
}
