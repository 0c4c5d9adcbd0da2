import { Link } from '@inertiajs/react';
import { slotName } from '../charts/PackedLanes';
import { Ruled } from '../parts/Sheet';
import type { PackedPlaceProps } from '../types/generated/props';

/** The cards of each place, in the order they are used. */
export function PackedTable({ places }: { places: readonly PackedPlaceProps[] }) {
    return (
        <Ruled aria-label="Which card goes where">
            <thead>
                <tr>
                    <th>Place</th>
                    <th className="n">Needs</th>
                    <th>Cards in order</th>
                    <th>Missing</th>
                </tr>
            </thead>
            <tbody>
                {places.map((place) => (
                    <tr key={place.name}>
                        <td>{place.name}</td>
                        <td className="n">{place.needs}</td>
                        <td>
                            {place.cards.length === 0 ? 'none' : null}
                            {place.cards.map((card, i) => (
                                <span key={card.tag}>
                                    {i === 0 ? '' : ' · '}
                                    <Link href={`/fit/${card.tag}`} className="figure">
                                        {card.tag}
                                    </Link>{' '}
                                    {slotName(card.slot)}, {card.lasts}
                                    {card.words === '' ? '' : `, ${card.words}`}
                                </span>
                            ))}
                        </td>
                        <td>{place.misses === '' ? '' : <b style={{ color: 'var(--rust)' }}>{place.misses}</b>}</td>
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}
