import { Head, Link } from '@inertiajs/react';
import styled from 'styled-components';
import { megabytes } from '../format';
import { MarginLook } from '../frame/Margin';
import { BodyTrialForm } from '../kit/BodyTrialForm';
import { share } from '../kit/scale';
import { Sheet, Title } from '../parts/Sheet';
import type { FitCellProps, FitSheetProps, FitsPage } from '../types/generated/props';

const Grid = styled.div`
    overflow-x: auto;
    table {
        border-collapse: collapse;
        width: 100%;
        font-size: 12.5px;
    }
    th {
        text-align: left;
        font-weight: 620;
        font-stretch: 82%;
        padding: 5px 8px;
        border-bottom: 1px solid var(--ink);
        vertical-align: bottom;
    }
    tbody th {
        border-bottom: 1px solid var(--rule);
        font-weight: 560;
        min-width: 112px;
        vertical-align: top;
    }
    td {
        padding: 6px 8px;
        border-bottom: 1px solid var(--rule);
        min-width: 84px;
        vertical-align: top;
    }
    .rate {
        font-family: var(--figures);
        font-stretch: 75%;
        font-size: 12.5px;
        font-weight: 600;
    }
    .own .rate::after {
        content: ' ✓';
        color: var(--tarn);
    }
    small {
        display: block;
        color: var(--pencil);
        font-size: 12px;
        line-height: 1.25;
    }
    .no {
        color: var(--pencil);
    }
    a {
        color: inherit;
        text-underline-offset: 3px;
    }
`;

const Bar = styled.span`
    display: block;
    height: 5px;
    background: var(--tarn);
    margin: 3px 0;
`;

/** Which card in which reader on which host, at what best rate, and why less. */
export default function Fits({ sheet, bodies, cameras, answers, person, today }: FitsPage) {
    const { card } = sheet;
    return (
        <>
            <Head title={card === null ? 'What fits where' : `Where ${card} fits`} />
            <main>
                <Title>
                    <div>
                        <h1>
                            {card === null ? 'What fits where, and how fast' : `${card} in every reader, on every host`}
                        </h1>
                        <p>Reading, in MB/s; under each rate the link that ends it, and how that is known.</p>
                    </div>
                </Title>
                <Sheet
                    title={card === null ? 'Cards × readers' : 'Readers × hosts'}
                    caption={sheet.caption}
                    aside={
                        card === null ? null : (
                            <Link href="/kit/sheet" style={{ color: 'inherit' }}>
                                all cards
                            </Link>
                        )
                    }
                >
                    <FitGrid
                        sheet={sheet}
                        first={card === null ? 'Card' : 'Reader'}
                        href={(key) => (card === null ? `/kit/sheet/${key}` : `/kit/readers/${key}`)}
                        label="What fits where"
                    />
                </Sheet>
                <Sheet title="Cards × cameras" caption={bodies.caption}>
                    <FitGrid
                        sheet={bodies}
                        first="Card"
                        href={(key) => `/fit/${key}`}
                        label="Which card goes into which camera"
                    />
                </Sheet>
                {card === null ? null : (
                    <BodyTrialForm card={card} cameras={cameras} answers={answers} person={person} today={today} />
                )}
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>Why less</h2>
                <p style={{ fontSize: 13 }}>
                    A path is as fast as its slowest link: card, bus, reader with its cable, port. What was measured
                    with this card in a reader wins there (✓); else practice, else the standard, else the label’s word.
                </p>
                <p style={{ fontSize: 13 }}>
                    A camera used as a reader is often far below its port; it is not counted here.
                </p>
            </MarginLook>
        </>
    );
}

function FitGrid({
    sheet,
    first,
    href,
    label,
}: {
    sheet: FitSheetProps;
    first: string;
    href: (key: string) => string;
    label: string;
}) {
    return (
        <Grid tabIndex={0} role="region" aria-label={label}>
            <table>
                <thead>
                    <tr>
                        <th>{first}</th>
                        {sheet.columns.map((column) => (
                            <th key={column}>{column}</th>
                        ))}
                    </tr>
                </thead>
                <tbody>
                    {sheet.rows.map((row) => (
                        <tr key={row.key}>
                            <th scope="row">
                                <Link href={href(row.key)}>{row.name}</Link>
                            </th>
                            {row.cells.map((cell, i) => (
                                <Cell key={sheet.columns[i]} cell={cell} />
                            ))}
                        </tr>
                    ))}
                </tbody>
            </table>
        </Grid>
    );
}

function Cell({ cell }: { cell: FitCellProps }) {
    if (cell.rate === null) {
        return <td className="no">{cell.why}</td>;
    }
    return (
        <td className={cell.isOwn ? 'own' : ''}>
            <span className="rate">{megabytes(cell.rate)}</span>
            <Bar style={{ width: `${100 * share(cell.rate)}%` }} aria-hidden="true" />
            <small>
                {cell.why}
                <br />
                {cell.origin}
            </small>
        </td>
    );
}
