import { scaleLinear } from 'd3-scale';
import { useWidth } from '../parts/useWidth';
import type { FollowLaneProps, PassageProps, SwapProps } from '../types/generated/props';
import { LEFT, LETTER, RIGHT, ROW, stepOf, TOP } from './lanes';
import { clock } from './Runbook';

/** Time of day as the clock on the wall has it: `22:08`. */
function ofDay(beganAt: number, seconds: number): string {
    const at = new Date((beganAt + seconds) * 1000);
    return `${String(at.getUTCHours()).padStart(2, '0')}:${String(at.getUTCMinutes()).padStart(2, '0')}`;
}

const COLOUR: Record<string, string> = { copy: 'var(--tarn)', relay: 'var(--pencil)', 'read back': 'var(--ink)' };

/** What was planned as outlines, what happened filled in, and a line where it is now. */
export function FollowBook({
    lanes,
    swaps,
    now,
    done,
    planned,
    beganAt,
}: {
    lanes: readonly FollowLaneProps[];
    swaps: readonly SwapProps[];
    now: number;
    done: number;
    planned: number;
    beganAt: number;
}) {
    const [ref, width] = useWidth<HTMLDivElement>(660);
    const end = Math.max(done, planned, now, 1);
    const x = scaleLinear()
        .domain([0, end])
        .range([LEFT, width - RIGHT]);
    const rows = lanes.length + 1;
    const height = TOP + rows * ROW + 24;
    const foot = TOP + rows * ROW;
    const room = 9 * LETTER;
    // The clock on the wall is told to the minute.
    const step = stepOf(x, room, 60);
    const ticks = Array.from({ length: Math.floor(end / step) + 1 }, (_, i) => i * step).filter(
        (tick) => tick === 0 || x(tick) + room / 2 < width,
    );
    const words = lanes
        .map((lane) => `${lane.name}: ${lane.passages.map((one) => saying(one)).join(', ')}`)
        .concat(
            `hands: ${swaps.map((swap) => `${swap.words} ${swap.isDone ? 'done' : 'at about'} ${clock(swap.at)}`).join(', ')}`,
        )
        .join('. ');
    const isLeft = x(now) > width / 2;
    return (
        <div ref={ref}>
            <svg width={width} height={height} role="img" aria-label={`Runbook as it goes. ${words}.`}>
                {ticks.map((tick) => (
                    <g key={tick}>
                        <path d={`M${x(tick)} ${TOP - 8}V${foot}`} stroke="var(--faint)" />
                        <text
                            className="figure pencil"
                            x={x(tick)}
                            y={TOP - 14}
                            textAnchor={tick === 0 ? 'start' : 'middle'}
                        >
                            {ofDay(beganAt, tick)}
                        </text>
                    </g>
                ))}
                {lanes.map((lane, i) => (
                    <g key={lane.name} transform={`translate(0 ${TOP + i * ROW})`}>
                        <text x={0} y={18} fontWeight="500">
                            {lane.name}
                        </text>
                        <path d={`M${LEFT} ${ROW - 2}H${width - RIGHT}`} stroke="var(--rule)" />
                        {lane.passages.map((one, n) => (
                            <Passage key={n} passage={one} x={x} />
                        ))}
                    </g>
                ))}
                <g transform={`translate(0 ${TOP + lanes.length * ROW})`}>
                    <text x={0} y={18} fontWeight="700">
                        hands
                    </text>
                    {swaps.map((swap, n) => (
                        <path
                            key={n}
                            d={
                                swap.isDone
                                    ? `M${x(swap.at) - 5} 14l4 5 7-10`
                                    : `M${x(swap.at)} 8V21M${x(swap.at) - 5} 14.5H${x(swap.at) + 5}`
                            }
                            fill="none"
                            stroke={swap.isDone ? 'var(--tarn)' : 'var(--pencil)'}
                            strokeWidth="2"
                        />
                    ))}
                </g>
                <path d={`M${x(now)} ${TOP - 8}V${foot + 4}`} stroke="var(--rust)" strokeWidth="2" />
                <path d={`M${x(done)} ${TOP - 8}V${foot + 4}`} stroke="var(--tarn)" strokeWidth="2" />
                <text
                    x={isLeft ? x(now) - 6 : x(now) + 6}
                    y={foot + 18}
                    textAnchor={isLeft ? 'end' : 'start'}
                    fontWeight="700"
                    style={{ fill: 'var(--rust)' }}
                >
                    {now >= done ? 'ended' : 'now'}
                </text>
            </svg>
        </div>
    );
}

function saying(one: PassageProps): string {
    const plan = `planned ${clock(one.from)} to ${clock(one.to)}`;
    return one.began === null
        ? `${one.words}, ${plan}`
        : `${one.words} ${one.isOver ? 'done' : 'going'} ${clock(one.began)} to ${clock(one.until ?? one.began)}, ${plan}`;
}

function Passage({ passage, x }: { passage: PassageProps; x: (seconds: number) => number }) {
    const isBack = passage.kind === 'read back';
    const colour = COLOUR[passage.kind] ?? 'var(--ink)';
    const [from, to] = [x(passage.from), x(passage.to)];
    const [began, until] = [x(passage.began ?? 0), x(passage.until ?? 0)];
    const isWordy = !isBack && passage.began !== null && until - began > passage.tag.length * LETTER + 8;
    return (
        <g>
            <rect
                x={from}
                y={4}
                width={Math.max(1.5, to - from)}
                height={19}
                fill="none"
                stroke={colour}
                strokeDasharray={isBack ? '3 2' : undefined}
                opacity={0.75}
            />
            {passage.began === null ? null : (
                <rect
                    x={began}
                    y={isBack ? 15 : 7}
                    width={Math.max(1.5, until - began)}
                    height={isBack ? 6 : 13}
                    fill={colour}
                />
            )}
            {isWordy ? (
                <text x={began + 5} y={17.5} fontWeight="600" style={{ fontSize: 11.5, fill: 'var(--sheet)' }}>
                    {passage.tag}
                </text>
            ) : null}
        </g>
    );
}
