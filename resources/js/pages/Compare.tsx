import { Head, router } from '@inertiajs/react';
import { useState } from 'react';
import styled from 'styled-components';
import { FiguresSheet } from '../compare/FiguresSheet';
import { Sides } from '../compare/Sides';
import { Tabs } from '../compare/Tabs';
import { megabytes, reached } from '../format';
import { Caution, MarginLook } from '../frame/Margin';
import { Button } from '../parts/Button';
import { Options } from '../parts/choices';
import { SelectField, TextField } from '../parts/fields';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import type { ComparePage } from '../types/generated/props';

const Ask = styled.form`
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(0, 1.2fr);
    gap: 10px 26px;
    padding-bottom: 6px;
    .pair {
        grid-column: 1 / -1;
        display: grid;
        grid-template-columns: repeat(3, minmax(0, 1fr)) auto;
        gap: 10px 22px;
        align-items: end;
    }
    @media (max-width: 560px) {
        &,
        .pair {
            grid-template-columns: minmax(0, 1fr);
        }
    }
`;

const BY = [
    { key: 'reader', label: 'two readers' },
    { key: 'host', label: 'two hosts' },
    { key: 'cable', label: 'two cables' },
    { key: 'card', label: 'two cards' },
];

/** Two of a kind side by side, as pairs where there are any. */
export default function Compare({ compare }: ComparePage) {
    const [amount, setAmount] = useState(compare.amount);
    const choices = compare.choices.map(({ key, label }) => ({ key, label }));
    const go = (change: Partial<Record<'by' | 'way' | 'a' | 'b' | 'amount', string>>) => {
        const { by, way, a, b } = compare;
        router.get(
            '/compare',
            { by, way, a, b, amount, ...(change.by === undefined ? {} : { a: '', b: '' }), ...change },
            { preserveState: true, preserveScroll: true },
        );
    };
    return (
        <>
            <Head title="Compare" />
            <main>
                <Title>
                    <div>
                        <h1>Side by side</h1>
                        <Tabs here="/compare" />
                    </div>
                </Title>
                <Sheet title="Compare what">
                    <Ask
                        noValidate
                        onSubmit={(event) => {
                            event.preventDefault();
                            go({});
                        }}
                    >
                        <Options
                            label="Compare"
                            value={compare.by}
                            onChange={(by) => {
                                go({ by });
                            }}
                            options={BY}
                        />
                        <Options
                            label="Which way"
                            value={compare.way}
                            onChange={(way) => {
                                go({ way });
                            }}
                            options={[
                                { key: 'read', label: 'reading' },
                                { key: 'write', label: 'writing' },
                            ]}
                        />
                        <div className="pair">
                            <SelectField
                                name="a"
                                label="This one"
                                value={compare.a}
                                choices={choices}
                                onChange={(a) => {
                                    go({ a });
                                }}
                            />
                            <SelectField
                                name="b"
                                label="against"
                                value={compare.b}
                                choices={choices}
                                onChange={(b) => {
                                    go({ b });
                                }}
                            />
                            <TextField
                                name="amount"
                                label="A typical offload"
                                value={amount}
                                onChange={setAmount}
                                error={compare.amountTrouble ?? undefined}
                                figures
                            />
                            <Button type="submit" quiet>
                                Calculate
                            </Button>
                        </div>
                    </Ask>
                </Sheet>
                {compare.first === null || compare.second === null ? null : (
                    <Sheet
                        title="Both on one axis"
                        caption="a dot for each reading, the middle half shaded, the mean with its interval"
                        aside="MB/s"
                    >
                        <Sides first={compare.first} second={compare.second} />
                    </Sheet>
                )}
                {compare.pairs.length === 0 ? null : (
                    <Ruled aria-label="Pairs">
                        <thead>
                            <tr>
                                <th>Pair</th>
                                <th className="n">{`${compare.a} MB/s`}</th>
                                <th className="n">{`${compare.b} MB/s`}</th>
                                <th className="n">Difference</th>
                                <th>{`${compare.b} is`}</th>
                            </tr>
                        </thead>
                        <tbody>
                            {compare.pairs.map((pair) => (
                                <tr key={pair.name}>
                                    <td>{pair.name}</td>
                                    <td className="n">{reached(pair.first)}</td>
                                    <td className="n">{reached(pair.second)}</td>
                                    <td className="n">
                                        {`${pair.second < pair.first ? '−' : '+'}${megabytes(Math.abs(pair.second - pair.first))}`}
                                    </td>
                                    <td>{pair.tendency}</td>
                                </tr>
                            ))}
                        </tbody>
                    </Ruled>
                )}
                <FiguresSheet />
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }} data-compare="">
                    {compare.verdict}
                </h2>
                {compare.words.map((words) => (
                    <p key={words} style={{ fontSize: 13.5 }}>
                        {words}
                    </p>
                ))}
                <p style={{ fontSize: 12.5, color: 'var(--pencil)' }}>{compare.how}</p>
                <Caution
                    caution={{
                        lead: 'A percentage needs its base.',
                        rest: 'Each is given both ways; they differ because the bases do.',
                    }}
                />
            </MarginLook>
        </>
    );
}
