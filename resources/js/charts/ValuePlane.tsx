import { scaleLog } from 'd3-scale';
import { megabytes, reached } from '../format';
import { useWidth } from '../parts/useWidth';
import type { OfferProps, PickProps } from '../types/generated/props';
import { clipped } from './axis';
import { HEIGHT, LEFT, LETTER, placed, TOP } from './plane';

const halo = { paintOrder: 'stroke', stroke: 'var(--sheet)', strokeWidth: 4, strokeLinejoin: 'round' } as const;

/**
 * The price of a gigabyte against what was kept up here, both in proportion: the frontier drawn, what is needed as a line, and what is
 * too slow for it shaded. Models that nobody here has tested stand open, at what their mark promises.
 */
export function ValuePlane({
    offers,
    labelOnly,
    floor,
    need,
    currency,
    picks,
}: {
    offers: readonly OfferProps[];
    labelOnly: readonly OfferProps[];
    floor: number;
    need: string;
    currency: string;
    picks: readonly PickProps[];
}) {
    const [box, width] = useWidth<HTMLDivElement>(660);
    const right = width - 10;
    const promised = labelOnly.filter((one) => (one.promises ?? 0) > 0);
    const prices = [...offers, ...promised].map((one) => one.perGigabyte);
    const speeds = [
        ...offers.map((one) => one.keepsUp ?? 0),
        ...promised.map((one) => one.promises ?? 0),
        ...(floor > 0 ? [floor] : []),
    ];
    if (prices.length === 0) {
        return null;
    }
    const x = scaleLog([Math.min(...prices) * 0.8, Math.max(...prices) * 1.3], [LEFT, right]);
    const y = scaleLog([Math.min(...speeds) * 0.7, Math.max(...speeds) * 1.5], [TOP + HEIGHT, TOP]);
    const frontier = offers.filter((one) => one.isOnFrontier);
    const ticks = (from: number, to: number) =>
        [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000].filter(
            (tick) => tick >= from && tick <= to,
        );
    const [cheap = 0, dear = 1] = x.domain();
    const [slow = 0, fast = 1] = y.domain();
    const slowWords = clipped(`too slow for ${need}`, right - LEFT - 12, LETTER);
    const labels = placed(offers, promised, picks, x, y, right, floor > slow ? slowWords.length * LETTER : 0);
    return (
        <div ref={box}>
            <svg
                width={width}
                height={TOP + HEIGHT + 34}
                role="img"
                aria-label={describe(offers, labelOnly, need, currency, picks)}
            >
                {floor > slow ? (
                    <rect
                        x={LEFT}
                        y={y(floor)}
                        width={right - LEFT}
                        height={TOP + HEIGHT - y(floor)}
                        fill="var(--faint)"
                        opacity="0.6"
                    />
                ) : null}
                {ticks(slow, fast).map((tick) => (
                    <g key={tick}>
                        <path d={`M${LEFT} ${y(tick)}H${right}`} stroke="var(--faint)" />
                        <text x={LEFT - 8} y={y(tick) + 4} textAnchor="end" className="figure pencil">
                            {tick}
                        </text>
                    </g>
                ))}
                <path d={`M${LEFT} ${TOP + HEIGHT}H${right}`} stroke="var(--ink)" strokeWidth="1.2" />
                {ticks(cheap, dear).map((tick) => (
                    <g key={tick}>
                        <path d={`M${x(tick)} ${TOP + HEIGHT}v5`} stroke="var(--ink)" />
                        <text x={x(tick)} y={TOP + HEIGHT + 18} textAnchor="middle" className="figure pencil">
                            {tick}
                        </text>
                    </g>
                ))}
                {frontier.length === 0 ? null : (
                    <path
                        d={frontier
                            .map((one, i) =>
                                i === 0
                                    ? `M${x(one.perGigabyte)} ${TOP + HEIGHT}V${y(one.keepsUp ?? slow)}`
                                    : `H${x(one.perGigabyte)}V${y(one.keepsUp ?? slow)}`,
                            )
                            .join('')
                            .concat(`H${right}`)}
                        fill="none"
                        stroke="var(--tarn)"
                        strokeWidth="1.5"
                    />
                )}
                {floor > slow ? (
                    <g>
                        <path
                            d={`M${LEFT} ${y(floor)}H${right}`}
                            stroke="var(--ink)"
                            strokeDasharray="2 3"
                            strokeWidth="1.4"
                        />
                        <text x={LEFT + 6} y={TOP + HEIGHT - 7} className="pencil" style={{ fontSize: 11.5 }}>
                            {slowWords}
                        </text>
                    </g>
                ) : null}
                {promised.map((one) => (
                    <circle
                        key={one.key}
                        cx={x(one.perGigabyte)}
                        cy={y(one.promises ?? slow)}
                        r="5.5"
                        fill="none"
                        stroke="var(--pencil)"
                        strokeDasharray="3 2"
                        strokeWidth="1.6"
                    >
                        <title>{`${one.name}: label only, promises ${megabytes(one.promises ?? 0)} MB/s`}</title>
                    </circle>
                ))}
                {offers.map((one) => (
                    <circle
                        key={one.key}
                        cx={x(one.perGigabyte)}
                        cy={y(one.keepsUp ?? slow)}
                        r="5.6"
                        fill={one.passes ? 'var(--tarn)' : 'var(--sheet)'}
                        stroke={one.passes ? 'var(--tarn)' : 'var(--ochre)'}
                        strokeWidth="2"
                    >
                        <title>{`${one.name}: ${reached(one.keepsUp ?? 0)} MB/s at ${one.perGigabyte} ${currency} a GB`}</title>
                    </circle>
                ))}
                {labels.map((label) => (
                    <text
                        key={label.key}
                        x={label.x}
                        y={label.y}
                        textAnchor={label.anchor}
                        style={{ ...halo, fontSize: 12 }}
                    >
                        {label.pick === '' ? null : (
                            <tspan fontWeight="700" style={{ fill: 'var(--rust)' }}>
                                {label.pick}{' '}
                            </tspan>
                        )}
                        {label.name}
                    </text>
                ))}
            </svg>
        </div>
    );
}

function describe(
    offers: readonly OfferProps[],
    labelOnly: readonly OfferProps[],
    need: string,
    currency: string,
    picks: readonly PickProps[],
): string {
    const each = offers.map(
        (one) =>
            `${one.name}, ${one.perGigabyte} ${currency} a GB, ` +
            `keeps up ${reached(one.keepsUp ?? 0)} MB/s${one.passes ? '' : ', too slow'}`,
    );
    const said = picks.map((pick) => `${pick.criterion}: ${pick.sentence}`).join(' ');
    return `For ${need}. ${each.join('; ')}. ${labelOnly.length} by label only. ${said}`;
}
