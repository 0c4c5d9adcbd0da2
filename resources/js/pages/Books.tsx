import { Head } from '@inertiajs/react';
import { useState } from 'react';
import { Caution, MarginLook } from '../frame/Margin';
import { Fields } from '../intake/Fields';
import { buttonLook } from '../parts/Button';
import { Options, Ticks } from '../parts/choices';
import { DayField } from '../parts/countAndDay';
import { SelectField, TextField } from '../parts/fields';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import styled from 'styled-components';
import type { BooksPage } from '../types/generated/props';

const Take = styled.a<{ $quiet?: boolean }>`
    ${buttonLook}
`;

/** All books, or some of them, of some cards and days, as tables or for programs. */
export default function Books({ books, formats, verdicts }: BooksPage) {
    const [format, setFormat] = useState('xlsx');
    const [picked, setPicked] = useState<string[]>([]);
    const [narrow, setNarrow] = useState({ cards: '', verdict: 'any', from: '', to: '' });
    const query = new URLSearchParams({ format });
    for (const book of picked) {
        query.append('books[]', book);
    }
    for (const [name, value] of Object.entries(narrow)) {
        if (value !== '' && value !== 'any') {
            query.append(name, value);
        }
    }
    const set = (name: keyof typeof narrow) => (value: string) => {
        setNarrow({ ...narrow, [name]: value });
    };
    const shown = picked.length === 0 ? books : books.filter((book) => picked.includes(book.key));
    return (
        <>
            <Head title="Books out" />
            <main>
                <Title>
                    <div>
                        <h1>Books out</h1>
                        <p>Everything that is written here is yours: whole, or of some cards and days.</p>
                    </div>
                </Title>
                <Sheet title="What goes out" caption="none chosen: all of them">
                    <Ticks
                        label="Books"
                        value={picked}
                        onChange={setPicked}
                        choices={books.map((book) => ({ key: book.key, label: book.words }))}
                    />
                    <Options
                        label="As"
                        value={format}
                        onChange={setFormat}
                        options={formats.map((one) => ({ key: one.key, label: one.label }))}
                    />
                    <Fields>
                        <TextField
                            name="cards"
                            label="Of which cards, such as QS-014..QS-028"
                            value={narrow.cards}
                            onChange={set('cards')}
                        />
                        <SelectField
                            name="verdict"
                            label="Of which verdict"
                            value={narrow.verdict}
                            onChange={set('verdict')}
                            choices={[
                                { key: 'any', label: 'any' },
                                ...verdicts.map((one) => ({ key: one.key, label: one.label })),
                            ]}
                        />
                        <DayField name="from" label="From the day" value={narrow.from} onChange={set('from')} />
                        <DayField name="to" label="to the day" value={narrow.to} onChange={set('to')} />
                    </Fields>
                    <p style={{ margin: '14px 0 4px' }}>
                        <Take href={`/books/out?${query.toString()}`} data-main="">
                            Download
                        </Take>
                    </p>
                </Sheet>
                <Ruled aria-label="What stands in them">
                    <thead>
                        <tr>
                            <th>Book</th>
                            <th>Columns</th>
                        </tr>
                    </thead>
                    <tbody>
                        {shown.map((book) => (
                            <tr key={book.key}>
                                <td>{book.words}</td>
                                <td>{book.columns.join(', ')}</td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>In which units</h2>
                <p style={{ fontSize: 13 }}>
                    Sizes in bytes, speeds in bytes a second, moments in UTC. A speed says its chain and region beside
                    it; a capacity says what it was proven by.
                </p>
                <Caution
                    caution={{
                        lead: 'This is no backup.',
                        rest: 'Photos, traces and passwords stay here. php artisan tally:backup keeps all of it, and restores it.',
                    }}
                />
            </MarginLook>
        </>
    );
}
