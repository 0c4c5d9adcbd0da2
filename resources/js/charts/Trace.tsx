import { scaleLinear } from 'd3-scale';
import { megabytes, size } from '../format';
import { useWidth } from '../parts/useWidth';
import type { TraceProps } from '../types/generated/props';
import { roundScale } from './axis';
import { TraceAxes } from './TraceAxes';

const HEIGHT = 104;
const LEFT = 40;

/** Speed along the bytes of a card, as they were written and as they were read back. */
export function Trace({ trace }: { trace: TraceProps }) {
    const [ref, width] = useWidth<HTMLDivElement>(660);
    const all = [...trace.write, ...trace.read].map((point) => point[1]);
    if (all.length === 0) {
        return null;
    }
    const x = scaleLinear()
        .domain([0, trace.size])
        .range([LEFT, width - 64]);
    const y = roundScale(Math.max(...all), HEIGHT, 8);
    const path = (points: readonly [number, number][]) =>
        points.map((point, i) => `${i === 0 ? 'M' : 'L'}${x(point[0]).toFixed(1)} ${y(point[1]).toFixed(1)}`).join('');
    const last = (points: readonly [number, number][]) => points.at(-1)?.[1] ?? 0;
    // Labels of two lines that end close together are moved apart.
    const ends = [y(last(trace.write)), y(last(trace.read))] as const;
    const apart = Math.max(0, 14 - Math.abs(ends[0] - ends[1])) / 2;
    const side = ends[0] < ends[1] ? -1 : 1;
    const words = `Speed along the card: ${range('written', trace.write)}${range('read back', trace.read)}`;

    return (
        <div ref={ref}>
            <svg width={width} height={HEIGHT + 26} role="img" aria-label={words}>
                <TraceAxes x={x} y={y} size={trace.size} height={HEIGHT} />
                <path d={`M${LEFT} ${HEIGHT}H${width - 64}`} stroke="var(--ink)" strokeWidth="1.2" />
                <path d={path(trace.write)} fill="none" stroke="var(--ink)" strokeWidth="1.4" />
                <path d={path(trace.read)} fill="none" stroke="var(--tarn)" strokeWidth="1.4" strokeDasharray="5 3" />
                {trace.write.length === 0 ? null : (
                    <text x={width - 58} y={ends[0] + 4 + side * apart}>
                        written
                    </text>
                )}
                {trace.read.length === 0 ? null : (
                    <text x={width - 58} y={ends[1] + 4 - side * apart} style={{ fill: 'var(--tarn)' }}>
                        read back
                    </text>
                )}
            </svg>
        </div>
    );
}

function range(what: string, points: readonly [number, number][]): string {
    const rates = points.map((point) => point[1]);
    return rates.length === 0
        ? ''
        : `${what} at ${megabytes(Math.min(...rates))} to ${megabytes(Math.max(...rates))} MB/s over ${size(points.at(-1)?.[0] ?? 0)}. `;
}
