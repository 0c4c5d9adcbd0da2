import { scaleLinear } from 'd3-scale';
import { useWidth } from '../parts/useWidth';
import type { BarProps, LaneProps } from '../types/generated/props';
import { LEFT, LETTER, RIGHT, ROW, stepOf, TOP } from './lanes';

/** Minutes and seconds from the start: `12:05`, `1:02:05`. */
export function clock(seconds: number): string {
    const whole = Math.round(seconds);
    const two = (n: number) => String(n).padStart(2, '0');
    const hours = Math.floor(whole / 3600);
    const minutes = Math.floor((whole % 3600) / 60);
    return hours > 0 ? `${hours}:${two(minutes)}:${two(whole % 60)}` : `${minutes}:${two(whole % 60)}`;
}

/** Round times along the top, as many as find room. */
function minutes(done: number, x: (seconds: number) => number): number[] {
    const room = (clock(done).length + 2) * LETTER;
    const step = stepOf(x, room);
    return Array.from({ length: Math.floor(done / step) + 1 }, (_, i) => i * step).filter(
        (tick) => tick === 0 || x(tick) + room / 2 < x(done) + RIGHT,
    );
}

const FILL: Record<string, string> = { copy: 'var(--tarn)', relay: 'var(--pencil)' };

/** Who does what when: a lane for each slot and each drive that copies on, hands at the foot. */
export function Runbook({ lanes, done, free }: { lanes: readonly LaneProps[]; done: number; free: number }) {
    const [ref, width] = useWidth<HTMLDivElement>(660);
    const x = scaleLinear()
        .domain([0, Math.max(done, 1)])
        .range([LEFT, width - RIGHT]);
    const height = TOP + lanes.length * ROW + 26;
    const foot = TOP + lanes.length * ROW;
    const freeText = `cards free ${clock(free)}`;
    const doneText = `done ${clock(done)}`;
    // Both stand under the lanes; where they would touch, the first moves to the left of its line.
    const isTight = x(free) + (freeText.length + doneText.length + 3) * LETTER > x(done);
    const words = lanes
        .map(
            (lane) =>
                `${lane.name}: ${lane.bars.map((bar) => `${bar.words} ${clock(bar.from)} to ${clock(bar.until)}`).join(', ')}`,
        )
        .join('. ');
    return (
        <div ref={ref}>
            <svg width={width} height={height} role="img" aria-label={`Runbook. ${words}.`}>
                {minutes(done, x).map((tick) => (
                    <g key={tick}>
                        <path d={`M${x(tick)} ${TOP - 8}V${foot}`} stroke="var(--faint)" />
                        <text
                            className="figure pencil"
                            x={x(tick)}
                            y={TOP - 14}
                            textAnchor={tick === 0 ? 'start' : 'middle'}
                        >
                            {clock(tick)}
                        </text>
                    </g>
                ))}
                {lanes.map((lane, i) => (
                    <g key={lane.name} transform={`translate(0 ${TOP + i * ROW})`}>
                        <text x={0} y={18} fontWeight={lane.name === 'hands' ? 700 : 500}>
                            {lane.name}
                        </text>
                        <path d={`M${LEFT} ${ROW - 2}H${width - RIGHT}`} stroke="var(--rule)" />
                        {inOrder(lane.bars).map((bar, n) =>
                            bar.kind === 'hands' ? (
                                <Hand key={n} bar={bar} x={x} />
                            ) : (
                                <Bar key={n} bar={bar} x={x} until={wordsUntil(lane.bars, bar)} />
                            ),
                        )}
                    </g>
                ))}
                <path d={`M${x(free)} ${TOP - 8}V${foot + 6}`} stroke="var(--rust)" strokeDasharray="4 3" />
                <path d={`M${x(done)} ${TOP - 8}V${foot + 6}`} stroke="var(--tarn)" strokeWidth="2" />
                <text
                    x={
                        isTight
                            ? x(free) -
                              (x(done) - x(free) < doneText.length * LETTER + 12
                                  ? doneText.length * LETTER + 12 - (x(done) - x(free))
                                  : 4)
                            : x(free) + 4
                    }
                    y={foot + 19}
                    textAnchor={isTight ? 'end' : 'start'}
                    fontWeight="700"
                    style={{ fill: 'var(--rust)' }}
                >
                    {freeText}
                </text>
                <text x={x(done)} y={foot + 19} textAnchor="end" fontWeight="700" style={{ fill: 'var(--tarn)' }}>
                    {doneText}
                </text>
            </svg>
        </div>
    );
}

/** Read-backs behind what goes on beside them. */
function inOrder(bars: readonly BarProps[]): BarProps[] {
    return [...bars].sort((one, other) => Number(other.kind === 'read back') - Number(one.kind === 'read back'));
}

/** As far as a bar's own words may reach: to where another begins, and nowhere where another lies over its beginning. */
function wordsUntil(bars: readonly BarProps[], bar: BarProps): number {
    const others = bars.filter((other) => other !== bar);
    const isUnder = others.some(
        (other) =>
            other.from <= bar.from &&
            other.until > bar.from &&
            (other.kind !== 'read back' ||
                (bar.kind === 'read back' &&
                    (other.until > bar.until ||
                        (other.until === bar.until && bars.indexOf(other) < bars.indexOf(bar))))),
    );
    return isUnder
        ? bar.from
        : Math.min(bar.until, ...others.filter((other) => other.from > bar.from).map((other) => other.from));
}

function Bar({ bar, x, until }: { bar: BarProps; x: (seconds: number) => number; until: number }) {
    const [from, to] = [x(bar.from), x(bar.until)];
    const isBack = bar.kind === 'read back';
    const room = x(until) - from - 8;
    const word = isBack ? 'read back' : bar.tag;
    return (
        <g>
            <rect
                x={from}
                y={4}
                width={Math.max(1.5, to - from)}
                height={19}
                fill={isBack ? 'var(--sheet)' : FILL[bar.kind]}
                stroke={isBack ? 'var(--ink)' : 'none'}
                strokeDasharray={isBack ? '3 2' : undefined}
                opacity={isBack ? 0.75 : 1}
            />
            {room > word.length * LETTER ? (
                <text
                    x={from + 5}
                    y={17.5}
                    fontWeight="600"
                    style={{ fontSize: 11.5, fill: isBack ? 'var(--ink)' : 'var(--sheet)' }}
                >
                    {word}
                </text>
            ) : null}
        </g>
    );
}

/** A cross on the line for each time that hands are at work. */
function Hand({ bar, x }: { bar: BarProps; x: (seconds: number) => number }) {
    return (
        <path
            d={`M${x(bar.from)} 8V21M${x(bar.from) - 4} 14.5H${Math.max(x(bar.until), x(bar.from) + 4)}`}
            stroke="var(--rust)"
            strokeWidth="2"
            fill="none"
        />
    );
}
