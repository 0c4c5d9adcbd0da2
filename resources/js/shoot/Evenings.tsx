import { Link } from '@inertiajs/react';
import { Ruled } from '../parts/Sheet';
import type { EveningProps } from '../types/generated/props';

/** How much is on which card in the evening of each day, and its offload where cards come home. */
export function Evenings({ evenings }: { evenings: readonly EveningProps[] }) {
    return (
        <Ruled aria-label="On the cards in the evenings">
            <thead>
                <tr>
                    <th>Evening</th>
                    <th>On the cards, as planned</th>
                    <th className="n">Together</th>
                    <th>Home</th>
                </tr>
            </thead>
            <tbody>
                {evenings.map((one) => (
                    <tr key={one.day}>
                        <td style={{ whiteSpace: 'nowrap' }}>{one.day}</td>
                        <td>{one.cards.map((card) => `${card.tag} ${card.size}`).join(' · ')}</td>
                        <td className="n">{one.total}</td>
                        <td>
                            {one.offload === null ? (
                                'stay out'
                            ) : (
                                <Link href={one.offload} aria-label={`Plan the offload of ${one.day}`}>
                                    Plan its offload
                                </Link>
                            )}
                        </td>
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}
