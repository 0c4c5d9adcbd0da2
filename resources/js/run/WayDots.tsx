import { scaleLinear } from 'd3-scale';
import { roomyTicks } from '../charts/axis';
import { grouped, reached } from '../format';
import { useWidth } from '../parts/useWidth';
import type { WayProps } from '../types/generated/props';

const HEIGHT = 74;
const LEFT = 12;
const RIGHT = 12;

/** Every reading of one way in order, with their mean and its interval; what lies apart is ringed and named. */
export function WayDots({ way }: { way: WayProps }) {
    const [ref, width] = useWidth<HTMLDivElement>(660);
    const low = Math.min(...way.rates, way.mean - (way.margin ?? 0));
    const high = Math.max(...way.rates, way.mean + (way.margin ?? 0));
    const room = Math.max((high - low) * 0.15, high * 0.01);
    const x = scaleLinear()
        .domain([Math.max(0, low - room), high + room])
        .nice()
        .range([LEFT, width - RIGHT]);
    const y = (i: number) => 12 + (26 * (i + 0.5)) / way.rates.length;
    return (
        <div ref={ref}>
            <svg
                width={width}
                height={HEIGHT}
                role="img"
                aria-label={`${way.way}: ${way.rates.map((rate) => reached(rate)).join(', ')} MB/s`}
            >
                {roomyTicks(x, 6).map((tick) => (
                    <g key={tick}>
                        <path d={`M${x(tick)} 6V48`} stroke="var(--faint)" />
                        <text className="figure pencil" x={x(tick)} y={62} textAnchor="middle">
                            {grouped(tick)}
                        </text>
                    </g>
                ))}
                {way.margin === null ? null : (
                    <rect
                        x={x(way.mean - way.margin)}
                        y={8}
                        width={Math.max(2, x(way.mean + way.margin) - x(way.mean - way.margin))}
                        height={38}
                        fill="var(--tarn)"
                        opacity="0.18"
                    />
                )}
                <path d={`M${x(way.mean)} 8V46`} stroke="var(--tarn)" strokeWidth="2" />
                {way.rates.map((rate, i) => (
                    <g key={i}>
                        <circle cx={x(rate)} cy={y(i)} r="3" fill="var(--ink)" />
                        {way.apart.includes(i) ? (
                            <>
                                <circle
                                    cx={x(rate)}
                                    cy={y(i)}
                                    r="7"
                                    fill="none"
                                    stroke="var(--rust)"
                                    strokeWidth="1.4"
                                />
                                <text x={x(rate) + 10} y={y(i) + 4} style={{ fill: 'var(--rust)', fontSize: 11.5 }}>
                                    {`run ${i + 1}`}
                                </text>
                            </>
                        ) : null}
                    </g>
                ))}
                <path d={`M${LEFT} 48H${width - RIGHT}`} stroke="var(--ink)" />
            </svg>
        </div>
    );
}
