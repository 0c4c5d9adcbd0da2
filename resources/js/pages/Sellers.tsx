import { Head } from '@inertiajs/react';
import styled from 'styled-components';
import { Caution, MarginLook } from '../frame/Margin';
import { Nothing } from '../parts/Nothing';
import { Ruled, Title } from '../parts/Sheet';
import { VerdictShape, verdictColour } from '../parts/VerdictMark';
import type { SellerProps, SellersPage } from '../types/generated/props';

const Counts = styled.span`
    display: inline-flex;
    gap: 1px 12px;
    flex-wrap: wrap;
    span {
        display: inline-flex;
        gap: 4px;
        align-items: center;
    }
`;

/** How many of whose cards were what, with the interval of what is behind it; a bad lot at one look. */
export default function Sellers({ sellers, lots }: SellersPage) {
    return (
        <>
            <Head title="Sellers and lots" />
            <main>
                <Title>
                    <div>
                        <h1>Whose cards were what</h1>
                        <p>Struck out: Sham or Shaky. The bar is the interval of what is behind a count, 95 %.</p>
                    </div>
                </Title>
                {sellers.length + lots.length === 0 ? (
                    <Nothing>No card says where it came from. Enter its seller and lot at Intake.</Nothing>
                ) : null}
                {sellers.length === 0 ? null : <Table title="Seller" rows={sellers} />}
                {lots.length === 0 ? null : <Table title="Lot" rows={lots} />}
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>Few cards say little</h2>
                <p style={{ fontSize: 13 }}>
                    One bad of one is not “all are bad”: behind it may be a fifth, or all. Wilson’s interval, without
                    correction for continuity.
                </p>
                <Caution
                    caution={{
                        lead: 'A seller may have been cheated too.',
                        rest:
                            'What a card is, its proof says; who knew, nobody here can tell. ' +
                            'Send the evidence sheet with what you send back.',
                    }}
                />
            </MarginLook>
        </>
    );
}

function Table({ title, rows }: { title: string; rows: readonly SellerProps[] }) {
    return (
        <Ruled aria-label={`By ${title.toLowerCase()}`}>
            <thead>
                <tr>
                    <th>{title}</th>
                    <th className="n">Cards</th>
                    <th>Found to be</th>
                    <th>Struck out</th>
                    <th>Behind it, 0 to 100 %</th>
                    <th>Which</th>
                </tr>
            </thead>
            <tbody>
                {rows.map((row) => (
                    <tr key={row.name}>
                        <td>{row.name}</td>
                        <td className="n">{row.cards}</td>
                        <td>
                            <Counts>
                                {row.counts.map((count) => (
                                    <span key={count.kind} style={{ color: verdictColour[count.kind] }}>
                                        <VerdictShape kind={count.kind} size={11} /> {count.cards} {count.kind}
                                    </span>
                                ))}
                            </Counts>
                        </td>
                        <td>{row.bad}</td>
                        <td>
                            <Interval row={row} />
                        </td>
                        <td className="figure">{row.tags.join(', ')}</td>
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}

function Interval({ row }: { row: SellerProps }) {
    const width = 110;
    return (
        <svg width={width} height="14" role="img" aria-label={row.bad}>
            <path d={`M0 7H${width}`} stroke="var(--rule)" />
            <path
                d={`M${row.low * width} 7H${Math.max(row.high, row.low + 0.01) * width}`}
                stroke={row.low > 0.1 ? 'var(--rust)' : 'var(--pencil)'}
                strokeWidth="5"
            />
        </svg>
    );
}
