import { Head, router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import styled from 'styled-components';
import { Caution, MarginLook } from '../frame/Margin';
import { buttonLook } from '../parts/Button';
import { SelectField, TextField } from '../parts/fields';
import { Sheet, Title } from '../parts/Sheet';
import { TagSheetPicture } from '../tags/TagSheetPicture';
import type { TagsPage } from '../types/generated/props';

const PrintLink = styled.a<{ $quiet?: boolean }>`
    ${buttonLook}
`;

const Ask = styled.form`
    display: grid;
    grid-template-columns: minmax(0, 1.5fr) minmax(0, 1.6fr) 110px;
    gap: 12px 22px;
    padding: 2px 0 6px;
    @media (max-width: 560px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

/** Which tags, on which sheet, from which label on. The address says all of it, so it can be kept. */
export default function Tags({ sheet, kinds }: TagsPage) {
    const errors = usePage().props.errors as Record<string, string>;
    const [cards, setCards] = useState(sheet.cards);
    const [begin, setBegin] = useState(String(sheet.begin));
    const ask = (with_: Partial<{ sheet: string }> = {}) => {
        router.get(
            '/tags',
            { cards, sheet: sheet.sheet, begin, ...with_ },
            { preserveState: true, preserveScroll: true, replace: true },
        );
    };
    const count = sheet.tags.length;

    return (
        <>
            <Head title="Print tags" />
            <main>
                <Title>
                    <div>
                        <h1>Print tags</h1>
                        <p>
                            {count === 0
                                ? 'Say which cards; the code on each tag opens its card on this machine.'
                                : `${count} ${count === 1 ? 'tag' : 'tags'}; the code on each opens its card on this machine.`}
                        </p>
                    </div>
                    {sheet.href === null ? null : (
                        <PrintLink href={sheet.href} target="_blank" rel="noreferrer" data-main="">
                            Open the sheet
                            <small>a PDF; print it at 100 %</small>
                        </PrintLink>
                    )}
                </Title>
                <Sheet title="Which" caption="tags, runs of tags, a lot, or all">
                    <Ask
                        onSubmit={(event) => {
                            event.preventDefault();
                            ask();
                        }}
                    >
                        <TextField
                            name="cards"
                            label="Cards (Enter to preview)"
                            value={cards}
                            onChange={setCards}
                            placeholder="QS-014 QS-021..QS-028"
                            hint={
                                sheet.unknown.length === 0
                                    ? undefined
                                    : `no card is known as ${sheet.unknown.join(', ')}`
                            }
                            error={errors['cards']}
                            figures
                            autoFocus={count === 0}
                        />
                        <SelectField
                            name="sheet"
                            label="Sheet"
                            value={sheet.sheet}
                            onChange={(kind) => {
                                ask({ sheet: kind });
                            }}
                            choices={kinds}
                            error={errors['sheet']}
                        />
                        <TextField
                            name="begin"
                            label="First free label"
                            value={begin}
                            onChange={setBegin}
                            error={errors['begin']}
                            figures
                        />
                        <button type="submit" className="sr" tabIndex={-1}>
                            Preview
                        </button>
                    </Ask>
                </Sheet>
                {count === 0 ? null : <TagSheetPicture sheet={sheet} />}
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>On a tag</h2>
                <p style={{ fontSize: 13 }}>
                    Its code in large letters, what its label says, its serial, its verdict with today’s date, and how
                    many of its lot are Sham.
                </p>
                <Caution
                    caution={{
                        lead: 'A printed verdict grows old.',
                        rest: 'The card’s own page has the one that counts; the code leads there.',
                    }}
                />
            </MarginLook>
        </>
    );
}
