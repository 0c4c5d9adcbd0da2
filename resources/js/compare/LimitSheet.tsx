import { scaleLinear } from 'd3-scale';
import { megabytes, reached } from '../format';
import { useWidth } from '../parts/useWidth';
import type { LimitCellProps, LimitsProps } from '../types/generated/props';

const NAME = 150;
const ROW = 34;
const HEAD = 58;

/**
 * Cards down, readers across. In each field a bar as long as the speed: a wall at its end where the reader stopped it, a
 * round end where the card did, an open end where that is undecided.
 */
export function LimitSheet({ limits }: { limits: LimitsProps }) {
    const [ref, width] = useWidth<HTMLDivElement>(680);
    const column = Math.max(82, (width - NAME) / Math.max(1, limits.readers.length));
    const whole = NAME + column * limits.readers.length;
    // Each card has its own scale: the full length is the best it ever did, so a wall in the middle is what a reader took.
    const best = (card: string) =>
        Math.max(1, ...limits.cells.filter((cell) => cell.card === card).map((cell) => cell.rate));
    const x = (cell: LimitCellProps) =>
        scaleLinear()
            .domain([0, best(cell.card)])
            .range([0, column - 58])(cell.rate);
    const height = HEAD + ROW * limits.cards.length + 6;
    return (
        <div ref={ref} style={{ overflowX: 'auto' }} tabIndex={0} role="group" aria-label="Cards by readers">
            <svg width={whole} height={height} role="img" aria-label={describe(limits)} style={{ maxWidth: 'none' }}>
                {limits.readers.map((reader, i) => (
                    <g key={reader.name} transform={`translate(${NAME + i * column} 0)`}>
                        <path d={`M0 6V${height}`} stroke="var(--rule)" />
                        <text x={8} y={18} style={{ fontWeight: 680, fontStretch: '82%' }}>
                            {short(reader.name, column)}
                        </text>
                        <text className="pencil" x={8} y={33} style={{ fontSize: 11.5, fontStretch: '80%' }}>
                            {short(reader.words, column)}
                        </text>
                        <text className="figure pencil" x={8} y={48} style={{ fontSize: 11.5 }}>
                            {bound(reader.rate, reader.margin)}
                        </text>
                    </g>
                ))}
                {limits.cards.map((card, i) => (
                    <g key={card.name} transform={`translate(0 ${HEAD + i * ROW})`}>
                        <path d={`M0 0H${whole}`} stroke="var(--rule)" />
                        <text x={0} y={15} style={{ fontWeight: 650, fontStretch: '82%' }}>
                            {card.name}
                            <tspan className="pencil" style={{ fontWeight: 400 }}>{`  ${short(card.words, 96)}`}</tspan>
                        </text>
                        <text className="figure pencil" x={0} y={29} style={{ fontSize: 11.5 }}>
                            {bound(card.rate, card.margin)}
                        </text>
                        {limits.readers.map((reader, j) => {
                            const cell = limits.cells.find(
                                (one) => one.card === card.name && one.reader === reader.name,
                            );
                            const isNext = limits.next?.card === card.name && limits.next.reader === reader.name;
                            return (
                                <g key={reader.name} transform={`translate(${NAME + j * column + 8} 0)`}>
                                    {cell === undefined ? null : <Cell cell={cell} length={x(cell)} />}
                                    {isNext ? (
                                        <text y={21} style={{ fill: 'var(--rust)', fontWeight: 650, fontSize: 12 }}>
                                            run this next
                                        </text>
                                    ) : null}
                                </g>
                            );
                        })}
                    </g>
                ))}
            </svg>
        </div>
    );
}

function Cell({ cell, length }: { cell: LimitCellProps; length: number }) {
    const tone = { card: 'var(--tarn)', reader: 'var(--rust)', undecided: 'var(--pencil)' }[cell.by] ?? 'var(--pencil)';
    return (
        <g>
            <title>{`${cell.card} in ${cell.reader}: ${reached(cell.rate)} MB/s, ${words(cell.by)}: ${cell.why}`}</title>
            <path
                d={`M0 17H${Math.max(4, length)}`}
                stroke={tone}
                strokeWidth="9"
                opacity={cell.by === 'undecided' ? 0.35 : 0.55}
                strokeLinecap={cell.by === 'card' ? 'round' : 'butt'}
            />
            {cell.by === 'reader' ? <path d={`M${length + 1} 6V28`} stroke={tone} strokeWidth="3" /> : null}
            {cell.by === 'card' ? <circle cx={length} cy={17} r="4.5" fill={tone} /> : null}
            {cell.by === 'undecided' ? (
                <circle cx={length} cy={17} r="4" fill="var(--sheet)" stroke={tone} strokeWidth="1.6" />
            ) : null}
            <text className="figure" x={length + 9} y={21} style={{ fontSize: 11.5 }}>
                {reached(cell.rate)}
            </text>
        </g>
    );
}

export function words(by: string): string {
    return { card: 'the card was the limit', reader: 'the reader was the limit' }[by] ?? 'undecided';
}

/** `95.1 ± 0.4`, or `≥ 238` where no run was held back by it */
function bound(rate: number, margin: number | null): string {
    return margin === null ? `≥ ${megabytes(rate)}` : `${megabytes(rate)} ± ${margin.toFixed(margin < 10 ? 1 : 0)}`;
}

function short(text: string, width: number): string {
    const room = Math.floor(width / 6.6);
    return text.length > room ? `${text.slice(0, room - 1)}…` : text;
}

function describe(limits: LimitsProps): string {
    return limits.cells
        .map((cell) => `${cell.card} in ${cell.reader} ${reached(cell.rate)} MB/s: ${words(cell.by)}`)
        .join('; ');
}
