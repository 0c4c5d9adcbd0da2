import { Link } from '@inertiajs/react';
import styled from 'styled-components';
import { Ruled } from '../parts/Sheet';
import type { DriveCopyProps, HomeCardProps } from '../types/generated/props';
import { Mark } from './Mark';

const Place = styled.div`
    display: flex;
    align-items: center;
    gap: 5px;
    white-space: nowrap;
    color: var(--pencil);
    b {
        font-weight: 650;
    }
    &.right {
        color: var(--tarn);
    }
    &.wrong {
        color: var(--rust);
        font-weight: 650;
    }
    + small {
        display: block;
        color: var(--pencil);
        font-size: 11px;
    }
`;

/** Each card with its copies: where each lies and stands, and from when the card may be cleared. */
export function HomeCards({ cards }: { cards: readonly HomeCardProps[] }) {
    const most = Math.max(0, ...cards.map((card) => card.copies.length));
    return (
        <Ruled aria-label="Where each copy lies">
            <thead>
                <tr>
                    <th>Card</th>
                    <th className="n">Size</th>
                    <th className="n">Files</th>
                    {Array.from({ length: most }, (_, i) => (
                        <th key={i}>{['First', 'Second', 'Third'][i]} copy</th>
                    ))}
                    <th>May be cleared</th>
                </tr>
            </thead>
            <tbody>
                {cards.map((card) => (
                    <tr key={card.tag}>
                        <td style={{ whiteSpace: 'nowrap' }}>
                            <Link href={`/intake/${card.tag}`}>{card.tag}</Link>
                        </td>
                        <td className="n">{card.amount}</td>
                        <td className="n">{card.files === '' ? '–' : card.files}</td>
                        {card.copies.map((copy) => (
                            <td key={copy.drive}>
                                <Copy copy={copy} />
                            </td>
                        ))}
                        <td
                            style={{
                                fontWeight: 600,
                                whiteSpace: 'nowrap',
                                color: card.mayBeCleared ? 'var(--tarn)' : 'var(--ochre)',
                            }}
                        >
                            {card.clear}
                        </td>
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}

function Copy({ copy }: { copy: DriveCopyProps }) {
    return (
        <>
            <Place className={copy.mark}>
                <b>{copy.drive}</b>
                <Mark of={copy.mark} />
                {copy.words}
            </Place>
            {copy.since === '' ? null : <small>{copy.since}</small>}
        </>
    );
}
