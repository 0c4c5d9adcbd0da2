import { scaleLinear } from 'd3-scale';
import { roomyTicks } from '../charts/axis';
import { grouped, megabytes } from '../format';
import { useWidth } from '../parts/useWidth';
import type { SideProps } from '../types/generated/props';

const ROW = 84;
const LEFT = 14;
const RIGHT = 18;

/** Both sides on one axis: every reading a dot, the middle half a bar, the mean with its interval a bracket. */
export function Sides({ first, second }: { first: SideProps; second: SideProps }) {
    const [ref, width] = useWidth<HTMLDivElement>(660);
    const sides = [first, second];
    const all = sides.flatMap((side) => side.rates);
    const low = Math.min(...all);
    const high = Math.max(...all);
    const room = Math.max((high - low) * 0.06, high * 0.01);
    const x = scaleLinear()
        .domain([Math.max(0, low - room), high + room])
        .nice()
        .range([LEFT, width - RIGHT]);
    const foot = 2 * ROW + 6;
    return (
        <div ref={ref}>
            <svg
                width={width}
                height={foot + 24}
                role="img"
                aria-label={sides.map((side) => `${side.name}: ${summary(side)}`).join('; ')}
            >
                {roomyTicks(x, 8).map((tick) => (
                    <g key={tick}>
                        <path d={`M${x(tick)} 8V${foot}`} stroke="var(--faint)" />
                        <text className="figure pencil" x={x(tick)} y={foot + 16} textAnchor="middle">
                            {grouped(tick)}
                        </text>
                    </g>
                ))}
                {sides.map((side, i) => (
                    <Side
                        key={side.name}
                        side={side}
                        x={x}
                        top={8 + i * ROW}
                        tone={i === 0 ? 'var(--ochre)' : 'var(--tarn)'}
                    />
                ))}
                <path d={`M${LEFT} ${foot}H${width - RIGHT}`} stroke="var(--ink)" strokeWidth="1.2" />
            </svg>
        </div>
    );
}

function summary(side: SideProps): string {
    const margin = side.margin === null ? '' : ` ± ${megabytes(side.margin)}`;
    return `${side.rates.length} readings, mean ${megabytes(side.mean)}${margin} MB/s`;
}

/** The last digits of a reading spread equal ones apart, so that two hundred of them do not hide one another. */
function jitter(rate: number, i: number): number {
    return (((rate * 7919 + i * 31) % 17) + 17) % 17;
}

function Side({ side, x, top, tone }: { side: SideProps; x: (rate: number) => number; top: number; tone: string }) {
    const middle = top + 50;
    const many = side.rates.length > 40;
    return (
        <g>
            <text x={LEFT} y={top + 13} style={{ fontWeight: 680, fontStretch: '84%' }}>
                {side.name}
                <tspan className="pencil" style={{ fontWeight: 400 }}>
                    {`  ${summary(side)}`}
                </tspan>
            </text>
            <rect
                x={x(side.lower)}
                y={middle - 13}
                width={Math.max(1.5, x(side.upper) - x(side.lower))}
                height={26}
                fill={tone}
                opacity="0.24"
            />
            {side.rates.map((rate, i) => (
                <circle
                    key={i}
                    cx={x(rate)}
                    cy={middle - 11 + (22 * jitter(rate, i)) / 16}
                    r={many ? 1.8 : 2.8}
                    fill="var(--ink)"
                    opacity={many ? 0.6 : 0.9}
                />
            ))}
            {side.margin === null ? null : (
                <path
                    d={`M${x(side.mean - side.margin)} ${middle + 20}V${middle + 26}H${x(side.mean + side.margin)}V${middle + 20}`}
                    fill="none"
                    stroke={tone}
                    strokeWidth="1.6"
                />
            )}
            <path d={`M${x(side.mean)} ${middle - 17}V${middle + 26}`} stroke={tone} strokeWidth="2.2" />
        </g>
    );
}
