import { Head, Link, router } from '@inertiajs/react';
import styled from 'styled-components';
import { LimitSheet, words } from '../compare/LimitSheet';
import { Tabs } from '../compare/Tabs';
import { reached } from '../format';
import { MarginLook } from '../frame/Margin';
import { buttonLook } from '../parts/Button';
import { Options } from '../parts/choices';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import type { LimitsPage } from '../types/generated/props';

const Key = styled.p`
    font-size: 12.5px;
    color: var(--pencil);
    margin-top: 6px;
    b {
        color: var(--ink);
    }
`;

const Next = styled(Link)<{ $quiet?: boolean }>`
    ${buttonLook}
`;

/** Over all runs that count: s = min(card, reader), and which of the two it was. */
export default function Limits({ limits }: LimitsPage) {
    const decided = limits.cells.filter((cell) => cell.by !== 'undecided').length;
    return (
        <>
            <Head title="Which link was the limit" />
            <main>
                <Title>
                    <div>
                        <h1>Which link was the limit</h1>
                        <Tabs here="/compare/limits" />
                    </div>
                    <Options
                        label="Which way"
                        value={limits.way}
                        onChange={(way) => {
                            router.get('/compare/limits', { way }, { preserveScroll: true });
                        }}
                        options={[
                            { key: 'read', label: 'reading' },
                            { key: 'write', label: 'writing' },
                        ]}
                    />
                </Title>
                <Sheet
                    title="Cards by readers"
                    caption={`${decided} of ${limits.cells.length} figures decided`}
                    aside="MB/s, mean"
                >
                    {limits.cells.length === 0 ? (
                        <p style={{ fontSize: 13.5 }}>
                            No run over a named chain counts yet: measure a card in two readers.
                        </p>
                    ) : (
                        <LimitSheet limits={limits} />
                    )}
                    <Key>
                        Each card’s bars are lengths of the best it ever did. <b>Wall at the end</b>: the reader (or its
                        cable and port) was the limit · <b>filled round end</b>: the card was · <b>open end</b>:
                        undecided.
                    </Key>
                </Sheet>
                <Ruled aria-label="Why">
                    <thead>
                        <tr>
                            <th>Card</th>
                            <th>Reader</th>
                            <th className="n">MB/s</th>
                            <th className="n">Readings</th>
                            <th>Limit</th>
                            <th>Because</th>
                        </tr>
                    </thead>
                    <tbody>
                        {limits.cells.map((cell) => (
                            <tr key={`${cell.card} ${cell.reader}`}>
                                <td className="figure">
                                    <Link href={`/measure/${cell.card}`}>{cell.card}</Link>
                                </td>
                                <td>{cell.reader}</td>
                                <td className="n">{reached(cell.rate)}</td>
                                <td className="n">{cell.runs}</td>
                                <td>{words(cell.by)}</td>
                                <td>{cell.why}</td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>The slower of the two decides</h2>
                <p style={{ fontSize: 13 }}>
                    A card that was clearly faster elsewhere was held back by this reader; a reader that was clearly
                    faster with another card was held back by this card. Where neither was seen, nothing is decided.
                </p>
                {limits.next === null ? (
                    <p style={{ fontSize: 13 }}>No single run would settle more.</p>
                ) : (
                    <>
                        <p style={{ fontSize: 13 }}>{limits.next.why}</p>
                        <Next href={`/measure/${limits.next.card}`} $quiet data-next="">
                            {`Measure ${limits.next.card} in ${limits.next.reader}`}
                            <small>the one run that would settle most</small>
                        </Next>
                    </>
                )}
                {limits.leftOut === 0 ? null : (
                    <p style={{ fontSize: 12.5, color: 'var(--pencil)' }}>
                        {`${limits.leftOut} runs that were voided or measured beside another are left out.`}
                    </p>
                )}
            </MarginLook>
        </>
    );
}
