import { Head, Link } from '@inertiajs/react';
import { Caution, MarginLook } from '../frame/Margin';
import { Nothing } from '../parts/Nothing';
import { Ruled, Title } from '../parts/Sheet';
import type { ActivityPage } from '../types/generated/props';

/** Every change of the books: who entered, changed or deleted what, and when. */
export default function Activity({ tag, count, lines, older }: ActivityPage) {
    const here = tag === null ? '/activity' : `/activity/${tag}`;
    return (
        <>
            <Head title="Changes of the books" />
            <main>
                <Title>
                    <div>
                        <h1>
                            {tag === null ? null : <span className="tag">{tag}</span>}
                            {count === 1 ? '1 change of the books' : `${count} changes of the books`}
                        </h1>
                        <p>
                            The newest first; lines are only ever added.{' '}
                            {tag === null ? null : (
                                <Link href="/activity" style={{ color: 'inherit' }}>
                                    Those of the whole house
                                </Link>
                            )}
                        </p>
                    </div>
                </Title>
                {lines.length === 0 ? (
                    <Nothing>Nothing was entered or changed yet.</Nothing>
                ) : (
                    <Ruled aria-label="Changes of the books">
                        <thead>
                            <tr>
                                <th>When</th>
                                <th>Who</th>
                                <th>What</th>
                                <th>Change</th>
                            </tr>
                        </thead>
                        <tbody>
                            {lines.map((line) => (
                                <tr key={line.id}>
                                    <td style={{ whiteSpace: 'nowrap' }}>{line.on}</td>
                                    <td>{line.who}</td>
                                    <td>
                                        <b>{line.did}</b> {line.what}
                                    </td>
                                    <td style={{ overflowWrap: 'anywhere' }}>
                                        {line.changes.map((change, i) => (
                                            <span key={change.column}>
                                                {i === 0 ? '' : ' · '}
                                                {change.column} {change.was === null ? '' : `${change.was} → `}
                                                {change.is}
                                            </span>
                                        ))}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </Ruled>
                )}
                {older === null ? null : (
                    <p style={{ marginTop: 10 }}>
                        <Link href={`${here}?before=${older}`}>Older ones</Link>
                    </p>
                )}
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>Who changed what</h2>
                <p style={{ fontSize: 13 }}>
                    Verdicts, due days and figures are derived and have no lines: they change when what they rest on
                    does. Runs stand with their card; what was erased has a ledger of its own.
                </p>
                <p style={{ fontSize: 13 }}>
                    <Link href="/erased" style={{ color: 'inherit' }}>
                        What was erased, by whom
                    </Link>
                </p>
                <Caution
                    caution={{
                        lead: 'Books can be lost too.',
                        rest: 'Keep a backup on another drive: php artisan tally:backup FILE.',
                    }}
                />
            </MarginLook>
        </>
    );
}
