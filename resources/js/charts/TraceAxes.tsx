import type { ScaleLinear } from 'd3-scale';
import { grouped } from '../format';
import { rulerTicks } from './axis';

/** Speed upwards, in MB/s, and the bytes of a card along the foot. */
export function TraceAxes({
    x,
    y,
    size,
    height,
}: {
    x: ScaleLinear<number, number>;
    y: ScaleLinear<number, number>;
    /** Bytes. */
    size: number;
    height: number;
}) {
    const [left = 0, right = 0] = x.range();
    return (
        <>
            {y.ticks(4).map((tick) => (
                <g key={tick}>
                    <path d={`M${left} ${y(tick)}H${right}`} stroke="var(--faint)" />
                    <text className="figure pencil" x={left - 6} y={y(tick) + 4} textAnchor="end">
                        {grouped(tick)}
                    </text>
                </g>
            ))}
            {rulerTicks(size, right - left).map((tick) => (
                <text
                    key={tick.at}
                    className="figure pencil"
                    x={x(tick.at)}
                    y={height + 18}
                    textAnchor={tick.at === 0 ? 'start' : 'middle'}
                >
                    {tick.label}
                </text>
            ))}
        </>
    );
}
