import { useWidth } from '../parts/useWidth';
import type { ReferenceProps } from '../types/generated/props';

const ROW = 46;
const TOP = 30;
const MOST = 2;

/** Prices of every kind on one axis, as shares of the kind's own median: quotes as dots, the house's cards as flags, and the two edges. */
export function PriceRows({ references }: { references: readonly ReferenceProps[] }) {
    const [box, width] = useWidth<HTMLDivElement>(660);
    const left = width < 560 ? 128 : 190;
    const at = (share: number) => left + (Math.min(share, MOST) / MOST) * (width - left - 18);
    const height = TOP + references.length * ROW + 8;
    return (
        <div ref={box}>
            <svg width={width} height={height} role="img" aria-label={describe(references)}>
                <rect
                    x={left}
                    y={TOP - 6}
                    width={at(0.25) - left}
                    height={height - TOP}
                    fill="var(--rust)"
                    opacity="0.1"
                />
                <rect
                    x={at(0.25)}
                    y={TOP - 6}
                    width={at(0.5) - at(0.25)}
                    height={height - TOP}
                    fill="var(--ochre)"
                    opacity="0.1"
                />
                {[0.25, 0.5, 1, 1.5, 2].map((share) => (
                    <g key={share}>
                        <path
                            d={`M${at(share)} ${TOP - 6}V${height - 6}`}
                            stroke={share === 1 ? 'var(--ink)' : 'var(--rule)'}
                        />
                        <text x={at(share)} y={16} textAnchor="middle" className="figure pencil">
                            {share === 1 ? 'median' : 100 * share}
                        </text>
                    </g>
                ))}
                {references.map((row, i) => {
                    const y = TOP + i * ROW + 24;
                    return (
                        <g key={`${row.form} ${row.tier} ${row.currency}`}>
                            <text x={0} y={y - 3} style={{ fontWeight: 650, fontStretch: '82%' }}>
                                {row.form} {row.tier.split(':')[0]}
                            </text>
                            <text x={0} y={y + 12} className="figure pencil">
                                {row.words.split(',')[0]}
                            </text>
                            <path d={`M${left} ${y}H${width - 18}`} stroke="var(--rule)" />
                            {row.quotes.map((quote, k) => (
                                <circle
                                    key={k}
                                    cx={at(quote / row.median)}
                                    cy={y}
                                    r="4"
                                    fill="var(--ink)"
                                    opacity="0.75"
                                />
                            ))}
                            {flags(row, at, width).map((flag) => (
                                <Flag key={flag.tag} {...flag} y={y} />
                            ))}
                        </g>
                    );
                })}
            </svg>
        </div>
    );
}

interface PriceFlag {
    x: number;
    up: boolean;
    tag: string;
    severity: string | null;
    /** Written beside it; empty where there is nothing to say or no room. */
    words: string;
}

/** The flags of a row from left to right, up and down in turn; a name stands where it touches none before it. */
function flags(row: ReferenceProps, at: (share: number) => number, width: number): PriceFlag[] {
    const ends = { up: 0, down: 0 };
    return row.cards
        .map((card) => ({ ...card, x: at(card.perGigabyte / row.median) }))
        .sort((a, b) => a.x - b.x)
        .map(({ tag, severity, x }, k) => {
            const side = k % 2 === 0 ? 'up' : 'down';
            const words = severity === null ? '' : `${tag} ${severity === 'contradiction' ? '!!' : '?'}`;
            const end = x + 13 + words.length * 7.4;
            const fits = words !== '' && x > ends[side] && end < width;
            if (fits) {
                ends[side] = end + 6;
            }
            return { x, up: side === 'up', tag, severity, words: fits ? words : '' };
        });
}

/** A card of the house: a small flag on a pole, filled where its price speaks against it. */
function Flag({ x, y, up, tag, severity, words }: PriceFlag & { y: number }) {
    const tip = up ? y - 18 : y + 18;
    const colour = severity === 'contradiction' ? 'var(--rust)' : severity === 'doubt' ? 'var(--ochre)' : 'var(--tarn)';
    return (
        <g stroke={colour} fill="none">
            <path d={`M${x} ${y}V${tip}`} strokeWidth="1.4" />
            <path
                d={`M${x} ${tip}h9l-3 ${up ? 4 : -4} 3 ${up ? 4 : -4}h-9z`}
                fill={severity === null ? 'none' : colour}
            />
            <title>{tag}</title>
            {words === '' ? null : (
                <text x={x + 13} y={tip + 5} className="figure" stroke="none" style={{ fill: colour }}>
                    {words}
                </text>
            )}
        </g>
    );
}

function describe(references: readonly ReferenceProps[]): string {
    return references
        .map((row) => {
            const odd = row.cards
                .filter((card) => card.severity !== null)
                .map((card) => `${card.tag}, ${card.severity ?? ''}`);
            return `${row.form}, ${row.tier}: ${row.words}${odd.length === 0 ? '' : `; too cheap: ${odd.join('; ')}`}`;
        })
        .join('. ');
}
