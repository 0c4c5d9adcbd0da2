import { scaleLinear } from 'd3-scale';
import { reached, size } from '../format';
import { useWidth } from '../parts/useWidth';
import type { CourseProps } from '../types/generated/props';
import { roundScale } from './axis';
import { TraceAxes } from './TraceAxes';

const HEIGHT = 168;
const LEFT = 44;
const RIGHT = 78;

/** Speed along the bytes of one long write: plateaus as bars, cliffs as falls, the lowest window shaded, the class floor drawn in. */
export function CourseTrace({ course }: { course: CourseProps }) {
    const [ref, width] = useWidth<HTMLDivElement>(660);
    const x = scaleLinear()
        .domain([0, course.size])
        .range([LEFT, width - RIGHT]);
    const most = Math.max(course.markFloor ?? 0, ...course.points.map((point) => point[1]));
    const y = roundScale(most, HEIGHT, 14);
    const degrees = [...course.heat, ...course.noted].map(([, celsius]) => celsius);
    const warm = scaleLinear()
        .domain([Math.min(20, ...degrees), Math.max(70, ...degrees)])
        .range([HEIGHT - 8, 18]);
    const heat = course.heat
        .map(([at, celsius], i) => `${i === 0 ? 'M' : 'L'}${x(at).toFixed(1)} ${warm(celsius).toFixed(1)}`)
        .join('');
    const last = course.heat[course.heat.length - 1] ?? course.noted[course.noted.length - 1];
    const line = course.points
        .map(([end, rate], i) => `${i === 0 ? `M${x(0)} ${y(rate)}` : ''}L${x(end).toFixed(1)} ${y(rate).toFixed(1)}`)
        .join('');
    return (
        <div ref={ref}>
            <svg width={width} height={HEIGHT + 26} role="img" aria-label={course.summary}>
                <TraceAxes x={x} y={y} size={course.size} height={HEIGHT} />
                {course.floor === null ? null : (
                    <rect
                        x={x(course.floorFrom)}
                        y={8}
                        width={Math.max(3, x(course.floorTo) - x(course.floorFrom))}
                        height={HEIGHT - 8}
                        fill="var(--ochre)"
                        opacity="0.22"
                    />
                )}
                <path d={line} fill="none" stroke="var(--ink)" strokeWidth="1.2" />
                {last === undefined ? null : (
                    <g>
                        {course.heat.length > 1 ? (
                            <path d={heat} fill="none" stroke="var(--plum)" strokeWidth="1.4" strokeDasharray="1 3" />
                        ) : null}
                        {course.noted.map(([at, celsius], i) => (
                            <path
                                key={i}
                                d={`M${x(at) - 4} ${warm(celsius)}h8m-4 -4v8`}
                                stroke="var(--plum)"
                                strokeWidth="1.6"
                            />
                        ))}
                        <text
                            x={Math.min(x(last[0]), width - RIGHT) - 4}
                            y={warm(last[1]) - 6}
                            textAnchor="end"
                            style={{ fill: 'var(--plum)', fontWeight: 600 }}
                        >{`${Math.round(last[1])} °C`}</text>
                    </g>
                )}
                {course.plateaus.map(([from, to, rate]) => (
                    <path
                        key={from}
                        d={`M${x(from)} ${y(rate)}H${x(to)}`}
                        stroke="var(--tarn)"
                        strokeWidth="4"
                        opacity="0.45"
                    />
                ))}
                {course.cliffs.map((at, i) => (
                    <g key={at}>
                        <path
                            d={`M${x(at)} 12V${HEIGHT}`}
                            stroke="var(--rust)"
                            strokeWidth="1.4"
                            strokeDasharray="2 3"
                        />
                        <text
                            x={x(at) + 5}
                            y={20 + 14 * (i % 3)}
                            style={{ fill: 'var(--rust)', fontWeight: 600 }}
                        >{`falls at ${size(at, 1)}`}</text>
                    </g>
                ))}
                {floors(course, y, HEIGHT).map(([name, at]) => (
                    <g key={name}>
                        <path d={`M${LEFT} ${at}H${width - RIGHT}`} stroke="var(--tarn)" strokeDasharray="1 5" />
                        <text className="pencil" x={width - RIGHT + 5} y={at + 4} style={{ fontSize: 11.5 }}>
                            {name}
                        </text>
                    </g>
                ))}
                <Level
                    y={course.markFloor === null ? null : y(course.markFloor)}
                    words={`${course.mark ?? ''} floor`}
                    right={width - RIGHT}
                    colour="var(--tarn)"
                />
                <Level
                    y={course.floor === null ? null : y(course.floor)}
                    words={course.floor === null ? '' : `lowest ${reached(course.floor)}`}
                    right={width - RIGHT}
                    colour="var(--ochre)"
                    below={
                        course.floor !== null &&
                        course.markFloor !== null &&
                        Math.abs(y(course.floor) - y(course.markFloor)) < 15
                    }
                />
                <path d={`M${LEFT} ${HEIGHT}H${width - RIGHT}`} stroke="var(--ink)" strokeWidth="1.2" />
            </svg>
            <p style={{ fontSize: 12.5, color: 'var(--pencil)', margin: '2px 0 4px' }}>{course.summary}</p>
        </div>
    );
}

/** The floors of the other classes that stand apart from what is named there already, and from one another. */
function floors(course: CourseProps, y: (rate: number) => number, foot: number): [string, number][] {
    const taken = [course.markFloor, course.floor].filter((rate) => rate !== null).map((rate) => y(rate));
    const drawn: [string, number][] = [];
    for (const [name, rate] of course.classes) {
        const at = y(rate);
        if (at > 12 && at < foot - 4 && taken.every((other) => Math.abs(other - at) > 15)) {
            drawn.push([name, at]);
            taken.push(at);
        }
    }
    return drawn;
}

/** A level across the picture, named at its end. */
function Level({
    y,
    words,
    right,
    colour,
    below = false,
}: {
    y: number | null;
    words: string;
    right: number;
    colour: string;
    below?: boolean;
}) {
    return y === null ? null : (
        <g>
            <path d={`M${LEFT} ${y}H${right}`} stroke={colour} strokeWidth="1.4" strokeDasharray="7 4" />
            <text x={right + 5} y={y + (below ? 15 : 4)} style={{ fill: colour, fontWeight: 600, fontStretch: '82%' }}>
                {words}
            </text>
        </g>
    );
}
