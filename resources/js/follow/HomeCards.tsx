import { Link } from '@inertiajs/react';
import styled from 'styled-components';
import { Ruled } from '../parts/Sheet';
import type { DriveCopyProps, HomeCardProps } from '../types/generated/props';

const Bars = styled.span`
    display: flex;
    align-items: center;
    gap: 4px;
    i {
        display: block;
        width: 42px;
        height: 8px;
        border: 1px solid var(--tarn);
        background: linear-gradient(var(--tarn) 0 0) no-repeat;
    }
    i + i {
        border-color: var(--ink);
        background-image: linear-gradient(var(--ink) 0 0);
    }
    small {
        color: var(--pencil);
        white-space: nowrap;
    }
    &.wrong small {
        color: var(--rust);
        font-weight: 650;
    }
`;

/** Each card with its copies: how far copied and read back, and from when it may be cleared. */
export function HomeCards({ cards }: { cards: readonly HomeCardProps[] }) {
    const most = Math.max(0, ...cards.map((card) => card.copies.length));
    return (
        <Ruled aria-label="Cards coming home">
            <thead>
                <tr>
                    <th>Card</th>
                    <th className="n">Size</th>
                    <th className="n">Files</th>
                    {Array.from({ length: most }, (_, i) => (
                        <th key={i}>{['First', 'Second', 'Third'][i]} copy: copied, read back</th>
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
        <Bars className={copy.isWrong ? 'wrong' : ''}>
            <b>{copy.drive}</b>
            <i aria-hidden="true" style={{ backgroundSize: `${100 * copy.copied}% 100%` }} />
            <i aria-hidden="true" style={{ backgroundSize: `${100 * copy.verified}% 100%` }} />
            <small>{copy.words}</small>
        </Bars>
    );
}
