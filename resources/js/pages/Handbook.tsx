import { Head } from '@inertiajs/react';
import { useState } from 'react';
import { MarginLook } from '../frame/Margin';
import { TextField } from '../parts/fields';
import { Nothing } from '../parts/Nothing';
import { Ruled, Title } from '../parts/Sheet';
import type { HandbookPage } from '../types/generated/props';

/** What the trade knows, as the program reckons with it; searched by words. */
export default function Handbook({ search, sections }: HandbookPage) {
    const [typed, setTyped] = useState(search);
    const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
    const found = sections
        .map((section) => ({
            ...section,
            rows: section.rows.filter((row) => {
                const text = `${section.title} ${row.name} ${row.says} ${row.source}`.toLowerCase();
                return words.every((word) => text.includes(word));
            }),
        }))
        .filter((section) => section.rows.length > 0);
    return (
        <>
            <Head title="Handbook" />
            <main>
                <Title>
                    <div>
                        <h1>Handbook</h1>
                        <p>Every figure that is reckoned with, and where it is from.</p>
                    </div>
                    <div style={{ flex: '0 1 300px' }}>
                        <TextField
                            name="q"
                            label="Look up"
                            placeholder="V60, UHS-II, megabits"
                            value={typed}
                            onChange={setTyped}
                        />
                    </div>
                </Title>
                <div role="status">
                    {found.length === 0 ? <Nothing>Nothing here has all of these words.</Nothing> : null}
                </div>
                {found.map((section) => (
                    <Ruled key={section.key} id={section.key} aria-label={section.title}>
                        <thead>
                            <tr>
                                <th style={{ width: '24%' }}>{section.title}</th>
                                <th>What it is</th>
                                <th style={{ width: '28%' }}>Source</th>
                            </tr>
                        </thead>
                        <tbody>
                            {section.rows.map((row) => (
                                <tr key={row.name + row.says}>
                                    <td>
                                        <b>{row.name}</b>
                                    </td>
                                    <td>{row.says}</td>
                                    <td>{row.source}</td>
                                </tr>
                            ))}
                        </tbody>
                    </Ruled>
                ))}
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>Read from the works</h2>
                <p style={{ fontSize: 13 }}>
                    These rows are what verdicts, ceilings and plans are made with. Where none is published, it says so:
                    “common practice, no source”, “from memory”, or “house rule”.
                </p>
                {sections.map((section) => (
                    <p key={section.key} style={{ fontSize: 13 }}>
                        <a href={`#${section.key}`} style={{ color: 'inherit' }}>
                            {section.title}
                        </a>
                    </p>
                ))}
            </MarginLook>
        </>
    );
}
