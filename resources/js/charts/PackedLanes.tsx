import { useWidth } from '../parts/useWidth';
import type { PackedCardProps, PackedPlaceProps } from '../types/generated/props';
import { clipped } from './axis';

const LETTER = 6.1;
const FIGURE = 7.4;
const LANE = 34;
const halo = { paintOrder: 'stroke', stroke: 'var(--sheet)', strokeWidth: 4, strokeLinejoin: 'round' } as const;

/**
 * A lane for each place: its cards side by side, as long as what they hold of what is needed, up to the peg where that is all there.
 * What no card is there for stays open, and says so.
 */
export function PackedLanes({ places }: { places: readonly PackedPlaceProps[] }) {
    const [box, width] = useWidth<HTMLDivElement>(660);
    const isNarrow = width < 560;
    const row = isNarrow ? LANE + 18 : LANE;
    const [left, right] = isNarrow ? [2, width - 4] : [206, width - 118];
    const most = Math.max(1, ...places.filter((place) => !place.isSpare).map(sum));
    const end = places.length * row + 4;
    const x = (share: number) => left + ((right - left) * Math.min(share, 2)) / Math.min(Math.max(most, 1.08), 2);
    return (
        <div ref={box}>
            <svg width={width} height={end + 24} role="img" aria-label={describe(places)}>
                {places.map((place, i) => (
                    <Lane
                        key={place.name}
                        place={place}
                        y={i * row + (isNarrow ? 18 : 0)}
                        x={x}
                        left={left}
                        width={width}
                        isNarrow={isNarrow}
                    />
                ))}
                <path d={`M${x(1)} 4V${end}`} stroke="var(--ink)" strokeWidth="1.6" strokeDasharray="5 4" />
                <path d={`M${left} ${end}H${x(1)}`} stroke="var(--ink)" strokeWidth="1.2" />
                <text x={left} y={end + 16} className="figure pencil">
                    0
                </text>
                <text x={x(1)} y={end + 16} textAnchor="end" className="pencil" style={{ fontSize: 11.5 }}>
                    all that is needed
                </text>
            </svg>
        </div>
    );
}

/** Some bodies have but one, and it is called just that. */
export function slotName(slot: string): string {
    return slot.toLowerCase().startsWith('slot') ? slot : `slot ${slot}`;
}

function sum(place: PackedPlaceProps): number {
    return place.cards.reduce((all, card) => all + card.share, 0);
}

function Lane({
    place,
    y,
    x,
    left,
    width,
    isNarrow,
}: {
    place: PackedPlaceProps;
    y: number;
    x: (share: number) => number;
    left: number;
    width: number;
    isNarrow: boolean;
}) {
    const isShort = place.misses !== '';
    const has = sum(place);
    const said = isShort ? `${place.misses} missing` : place.isSpare ? 'there' : place.has;
    return (
        <g>
            <text x="0" y={isNarrow ? y - 4 : y + 15} fontWeight="680" style={{ fontStretch: '84%' }}>
                <title>{place.name}</title>
                {clipped(place.name, isNarrow ? width - said.length * FIGURE - 14 : left - 12, LETTER)}
            </text>
            {isNarrow ? null : (
                <text x="0" y={y + 28} className="pencil" style={{ fontSize: 11 }}>
                    needs {place.needs}
                </text>
            )}
            {place.cards.map((card, i) => {
                const before = place.cards.slice(0, i).reduce((all, one) => all + one.share, 0);
                return (
                    <Block
                        key={card.tag}
                        card={card}
                        from={x(before)}
                        to={place.isSpare ? x(before) + 74 : x(before + card.share)}
                        y={y + 5}
                        isSpare={place.isSpare}
                    />
                );
            })}
            {isShort ? (
                <rect
                    x={x(has) + 1}
                    y={y + 5}
                    width={Math.max(2, (place.isSpare ? x(0) + 74 : x(1)) - x(has) - 2)}
                    height={LANE - 12}
                    fill="none"
                    stroke="var(--rust)"
                    strokeDasharray="3 3"
                />
            ) : null}
            <text
                x={width}
                y={isNarrow ? y - 4 : y + 20}
                textAnchor="end"
                className={isShort ? '' : 'figure'}
                fontWeight="660"
                style={isShort ? { ...halo, fill: 'var(--rust)', fontSize: 12 } : halo}
            >
                {said}
            </text>
        </g>
    );
}

/** A card cut square, with its tag where there is room; open where its capacity was never proven. */
function Block({
    card,
    from,
    to,
    y,
    isSpare,
}: {
    card: PackedCardProps;
    from: number;
    to: number;
    y: number;
    isSpare: boolean;
}) {
    const room = to - from - 8;
    const isOpen = !card.isProven;
    const words = card.words === '' ? '' : `, ${card.words}`;
    return (
        <g>
            <title>{`${card.tag}, ${slotName(card.slot)}, ${card.lasts}${words}`}</title>
            <rect
                x={from + 1}
                y={y}
                width={Math.max(2, to - from - 2)}
                height={LANE - 12}
                fill={isOpen ? 'var(--sheet)' : 'var(--tarn)'}
                fillOpacity={isOpen || !isSpare ? 1 : 0.75}
                stroke={isOpen ? 'var(--pencil)' : 'var(--tarn)'}
                strokeDasharray={isOpen ? '4 2' : 'none'}
            />
            {room < card.tag.length * FIGURE ? null : (
                <text
                    x={from + 6}
                    y={y + 15}
                    className="figure"
                    fontWeight="660"
                    style={{ fill: isOpen ? 'var(--ink)' : 'var(--paper)', fontSize: 11.5 }}
                >
                    {card.tag}
                </text>
            )}
        </g>
    );
}

function describe(places: readonly PackedPlaceProps[]): string {
    return places
        .map((place) => {
            const cards = place.cards.map((card) => `${card.tag} ${card.lasts}`).join(', ');
            const missing = place.misses === '' ? '' : `; missing ${place.misses}`;
            return `${place.name} needs ${place.needs}: ${cards === '' ? 'no card' : cards}${missing}`;
        })
        .join('. ');
}
