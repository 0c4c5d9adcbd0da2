import { Head, Link } from '@inertiajs/react';
import { Caution, MarginLook } from '../frame/Margin';
import { Nothing } from '../parts/Nothing';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import { VerdictMark } from '../parts/VerdictMark';
import type { UpdateProps, UpdatesPage } from '../types/generated/props';

/** When the books were brought up to date, and which verdicts changed by it. */
export default function Updates({ updates }: UpdatesPage) {
    return (
        <>
            <Head title="Updates" />
            <main>
                <Title>
                    <div>
                        <h1>Updates</h1>
                        <p>Every card is judged anew when the books are brought up to date.</p>
                    </div>
                </Title>
                {updates.length === 0 ? (
                    <Nothing>These books were made by this version, and never brought up to date.</Nothing>
                ) : (
                    updates.map((update) => <Changed key={update.id} update={update} />)
                )}
            </main>
            <MarginLook>
                <Caution
                    caution={{
                        lead: 'A backup was made first.',
                        rest: 'It is taken back by php artisan tally:restore; docs/upgrading.md says how to go back with it.',
                    }}
                />
            </MarginLook>
        </>
    );
}

function Changed({ update }: { update: UpdateProps }) {
    return (
        <Sheet
            title={update.on}
            caption={`${String(update.changes)} ${update.changes === 1 ? 'change' : 'changes'} of the books`}
        >
            {update.verdicts.length === 0 ? (
                <p style={{ fontSize: 13.5 }}>No verdict changed by it.</p>
            ) : (
                <Ruled aria-label={`Verdicts changed on ${update.on}`}>
                    <thead>
                        <tr>
                            <th>Card</th>
                            <th>Before</th>
                            <th>Now</th>
                            <th>Why</th>
                        </tr>
                    </thead>
                    <tbody>
                        {update.verdicts.map((one) => (
                            <tr key={one.card}>
                                <td>
                                    <Link href={`/prove/${one.card}`}>{one.card}</Link>
                                </td>
                                <td>{one.before === null ? null : <VerdictMark kind={one.before} />}</td>
                                <td>{one.verdict === null ? null : <VerdictMark kind={one.verdict} />}</td>
                                <td>{one.why}</td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            )}
            <p style={{ fontSize: 13, marginTop: 10, overflowWrap: 'anywhere' }}>
                The books of before: {update.backup}
            </p>
        </Sheet>
    );
}
