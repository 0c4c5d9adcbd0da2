import type { CardProps } from '../types/generated/props';

/** Which card a page is about. */
export function CardHeading({ card }: { card: CardProps }) {
    return (
        <h1>
            <span className="tag">{card.tag}</span>
            {card.name} {card.line}
        </h1>
    );
}
