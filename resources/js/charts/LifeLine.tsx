import { scaleLinear } from 'd3-scale';
import { megabytes, reached } from '../format';
import { useWidth } from '../parts/useWidth';
import type { LifeProps } from '../types/generated/props';
import { clipped } from './axis';
import { months, placed } from './life';

const halo = { paintOrder: 'stroke', stroke: 'var(--sheet)', strokeWidth: 4, strokeLinejoin: 'round' } as const;
const TOP = 20;
const UPPER = 150;
const LETTER = 5.9;

/**
 * Everything that happened to a card on one line of time; above it what it kept up and what it read, on one chain, with the line
 * through the figures and what it must never fall under.
 */
export function LifeLine({ life }: { life: LifeProps }) {
    const [box, width] = useWidth<HTMLDivElement>(660);
    const isNarrow = width < 560;
    const [left, right] = [44, width - 8];
    const x = scaleLinear([0, life.days], [left, right]);
    const shown = [...life.writes, ...life.reads];
    const hasFigures = shown.length > 0;
    const most = Math.max(10, ...shown.map((one) => one.rate), ...life.floors.map((floor) => floor.rate));
    const y = scaleLinear([0, most], [TOP + UPPER, TOP]).nice(4);
    const axis = hasFigures ? TOP + UPPER : 8;
    const lane = axis + 58;
    const below = lane + 34;
    const trend = life.trend;
    return (
        <div ref={box}>
            <svg width={width} height={below} role="img" aria-label={describe(life)}>
                {hasFigures ? (
                    <>
                        {y.ticks(3).map((tick) => (
                            <g key={tick}>
                                <path d={`M${left} ${y(tick)}H${right}`} stroke="var(--faint)" />
                                <text x={left - 8} y={y(tick) + 4} textAnchor="end" className="figure pencil">
                                    {tick}
                                </text>
                            </g>
                        ))}
                        {life.floors.map((floor, i) => (
                            <g key={floor.name}>
                                <path
                                    d={`M${left} ${y(floor.rate)}H${right}`}
                                    stroke={i === 0 ? 'var(--tarn)' : 'var(--rust)'}
                                    strokeDasharray="6 4"
                                    strokeWidth="1.4"
                                />
                                <text
                                    x={i === 0 ? left + 3 : right - 3}
                                    y={i === 0 ? y(floor.rate) - 5 : y(floor.rate) + 14}
                                    textAnchor={i === 0 ? 'start' : 'end'}
                                    fontWeight="660"
                                    style={{ ...halo, fill: i === 0 ? 'var(--tarn)' : 'var(--rust)', fontSize: 11.5 }}
                                >
                                    {clipped(`${floor.name} ${megabytes(floor.rate)}`, (right - left) / 2 - 8, LETTER)}
                                </text>
                            </g>
                        ))}
                        {trend === null ? null : (
                            <path
                                d={`M${x(trend.begins)} ${y(trend.from)}L${x(trend.ends)} ${y(trend.to)}`}
                                stroke={trend.isTold ? 'var(--ochre)' : 'var(--pencil)'}
                                strokeWidth={trend.isTold ? 2.6 : 1.2}
                            />
                        )}
                        {life.reads.map((one) => (
                            <circle
                                key={one.run}
                                cx={x(one.day)}
                                cy={y(one.rate)}
                                r="3.6"
                                fill="var(--sheet)"
                                stroke="var(--pencil)"
                                strokeWidth="1.5"
                            >
                                <title>{`reads ${reached(one.rate)} MB/s, ${one.words}`}</title>
                            </circle>
                        ))}
                        {life.writes.map((one) => (
                            <circle key={one.run} cx={x(one.day)} cy={y(one.rate)} r="4.4" fill="var(--ink)">
                                <title>{`keeps up ${reached(one.rate)} MB/s, ${one.words}`}</title>
                            </circle>
                        ))}
                        {trend === null ? null : (
                            <text
                                x={right}
                                y={TOP - 6}
                                textAnchor="end"
                                fontWeight="660"
                                style={{ ...halo, fill: trend.isTold ? 'var(--ochre)' : 'var(--pencil)' }}
                            >
                                {trend.words}
                            </text>
                        )}
                    </>
                ) : null}
                <path d={`M${left} ${axis}H${right}`} stroke="var(--ink)" strokeWidth="1.2" />
                {months(life.begins, life.days, right - left).map((month) => (
                    <g key={month.at}>
                        <path d={`M${x(month.at)} ${axis}v5`} stroke="var(--ink)" />
                        <text x={x(month.at) + 3} y={axis + 16} className="pencil" style={{ fontSize: 11.5 }}>
                            {month.label}
                        </text>
                    </g>
                ))}
                <path d={`M${left} ${lane}H${right}`} stroke="var(--rule)" />
                {placed(life.events, x, left, right, isNarrow).map(({ event, at, label, side, anchor }) => (
                    <g key={`${event.day} ${event.words}`}>
                        <title>{`${event.on}: ${event.words}${event.detail === '' ? '' : `, ${event.detail}`}`}</title>
                        <path
                            d={`M${at} ${lane - 7}v14`}
                            stroke={colour(event.kind)}
                            strokeWidth={event.kind === 'trouble' ? 2.6 : 1.6}
                        />
                        {label === '' ? null : (
                            <text
                                x={at}
                                y={side === 'above' ? lane - 12 : lane + 20}
                                textAnchor={anchor}
                                style={{ ...halo, fill: colour(event.kind), fontSize: 11.5 }}
                            >
                                {label}
                            </text>
                        )}
                    </g>
                ))}
            </svg>
        </div>
    );
}

function colour(kind: string): string {
    return kind === 'trouble' ? 'var(--plum)' : kind === 'test' || kind === 'said' ? 'var(--pencil)' : 'var(--ink)';
}

function describe(life: LifeProps): string {
    const figures = life.writes.map((one) => `${reached(one.rate)} MB/s`).join(', ');
    const events = life.events.map((one) => `${one.on} ${one.words}`).join('; ');
    const kept = figures === '' ? 'No long write on a named chain.' : `Kept up on ${life.chain}: ${figures}.`;
    return `${kept} ${life.trend?.words ?? ''} ${events}.`;
}
