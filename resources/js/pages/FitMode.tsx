import { Head, Link } from '@inertiajs/react';
import styled from 'styled-components';
import { Criteria } from '../fit/Criteria';
import { megabytes, reached } from '../format';
import { MarginLook } from '../frame/Margin';
import { Nothing } from '../parts/Nothing';
import { Ruled, Title } from '../parts/Sheet';
import { VerdictShape, verdictColour } from '../parts/VerdictMark';
import type { FitCardProps, FitModePage } from '../types/generated/props';

const Verdict = styled.span`
    display: inline-flex;
    gap: 6px;
    align-items: center;
    white-space: nowrap;
`;

/** What can be put into a camera for a mode: every card, those that will do first, the slowest of them first. */
export default function FitMode(props: FitModePage) {
    const { cards } = props;
    const may = cards.filter((card) => card.may).length;
    return (
        <>
            <Head title={`${props.camera} ${props.name}`} />
            <main>
                <Title>
                    <div>
                        <h1>
                            {props.camera}, {props.name}: {may} of {cards.length} cards will do
                        </h1>
                        <p>
                            {props.writes} · a card must never fall under <b>{megabytes(props.need)} MB/s</b>
                            {props.asks === '' ? '' : ` · asks for ${props.asks}`} ·{' '}
                            <Link href={`/kit/modes/${props.id}`} style={{ color: 'inherit' }}>
                                change this mode
                            </Link>
                        </p>
                    </div>
                </Title>
                {cards.length === 0 ? (
                    <Nothing>
                        No card is in the books yet. <Link href="/intake">Enter the first one</Link>.
                    </Nothing>
                ) : (
                    <Ruled aria-label="Cards for this mode">
                        <thead>
                            <tr>
                                <th>Card</th>
                                <th>Verdict</th>
                                <th>May it</th>
                                <th className="n">Lasts</th>
                                <th className="n">Never under</th>
                                <th className="n">Promised</th>
                                <th>By the mark</th>
                                <th>By measurement</th>
                                <th>Guaranteed</th>
                            </tr>
                        </thead>
                        <tbody>
                            {cards.map((card) => (
                                <CardRow key={card.tag} card={card} />
                            ))}
                        </tbody>
                    </Ruled>
                )}
                {props.more === 0 ? null : <p>{props.more} more cards are not shown.</p>}
            </main>
            <MarginLook>
                <Criteria criteria={props.criteria} decides={props.decides} />
                <p style={{ fontSize: 13 }}>
                    {props.least === null
                        ? 'No mark that fits this camera promises as much: only a measurement can tell.'
                        : `${props.least} is the least mark that opens this mode; more buys nothing for it.`}
                </p>
                <p style={{ fontSize: 13 }}>
                    Of the cards that will do, the one that keeps up least comes first: faster ones are kept for harder
                    work.
                </p>
            </MarginLook>
        </>
    );
}

function CardRow({ card }: { card: FitCardProps }) {
    return (
        <tr>
            <td className="figure">
                <Link href={`/fit/${card.tag}`}>{card.tag}</Link>
            </td>
            <td>
                <Verdict style={{ color: verdictColour[card.verdict] }}>
                    <VerdictShape kind={card.verdict} /> {card.verdict}
                </Verdict>
            </td>
            <td>{card.may ? <b>{card.words === '' ? 'yes' : `yes, ${card.words}`}</b> : card.words}</td>
            <td className="n">{card.lasts}</td>
            <td className="n">{card.floor === null ? '–' : reached(card.floor)}</td>
            <td className="n">{card.mark === null ? '–' : megabytes(card.mark)}</td>
            {card.criteria.map((one) => (
                <td key={one.criterion} title={one.evidence}>
                    {one.may ? 'yes' : one.words}
                </td>
            ))}
        </tr>
    );
}
