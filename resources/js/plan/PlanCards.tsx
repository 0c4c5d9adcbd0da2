import { Link } from '@inertiajs/react';
import { clock } from '../charts/Runbook';
import { Ruled } from '../parts/Sheet';
import type { PlannedCardProps } from '../types/generated/props';

/** Where each card goes, and when it is free and may be cleared. */
export function PlanCards({ cards }: { cards: readonly PlannedCardProps[] }) {
    return (
        <Ruled aria-label="Cards of the plan">
            <thead>
                <tr>
                    <th>Card</th>
                    <th className="n">Footage</th>
                    <th>Slot</th>
                    <th>Onto</th>
                    <th>How</th>
                    <th className="n">In at</th>
                    <th className="n">Free</th>
                    <th className="n">May be cleared</th>
                </tr>
            </thead>
            <tbody>
                {cards.map((card) => (
                    <tr key={card.tag}>
                        <td>
                            <Link href={`/offload/${card.tag}`}>{card.tag}</Link>
                        </td>
                        <td className="n">{card.amount}</td>
                        <td>{card.slot}</td>
                        <td>{card.drives.join(', ')}</td>
                        <td>{card.how}</td>
                        <td className="n">{clock(card.in)}</td>
                        <td className="n">{clock(card.free)}</td>
                        <td className="n">{card.clear === null ? 'never' : clock(card.clear)}</td>
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}
