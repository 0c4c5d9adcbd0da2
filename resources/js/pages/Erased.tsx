import { Head, Link } from '@inertiajs/react';
import { Caution, MarginLook } from '../frame/Margin';
import { Sheet, Title } from '../parts/Sheet';
import { ErasureRows } from '../prove/ErasureRows';
import type { ErasedPage } from '../types/generated/props';

/** The ledger of the whole house: what was erased, by whom, when. Lines are only ever added. */
export default function Erased({ lines, count, older, isNewest }: ErasedPage) {
    return (
        <>
            <Head title="Erased" />
            <main>
                <Title>
                    <div>
                        <h1>What was erased</h1>
                        <p>
                            {count === 0
                                ? 'Nothing was erased yet.'
                                : `${count} ${count === 1 ? 'line' : 'lines'}, the newest first. ` +
                                  'Each was written before the first byte went.'}
                        </p>
                    </div>
                </Title>
                {count === 0 ? (
                    <p style={{ fontSize: 13.5 }}>
                        A raw run erases a whole card. Whoever orders one is written down here, with the time and what
                        it was for.
                    </p>
                ) : (
                    <Sheet title="Ledger" caption="of all stations">
                        <ErasureRows erasures={lines} ofHouse />
                        {isNewest && older === null ? null : (
                            <p style={{ display: 'flex', gap: 18 }}>
                                {isNewest ? null : <Link href="/erased">The newest</Link>}
                                {older === null ? null : <Link href={`/erased?before=${older}`}>Older ones</Link>}
                            </p>
                        )}
                    </Sheet>
                )}
            </main>
            <MarginLook>
                <Caution
                    caution={{
                        lead: 'What is not in here:',
                        rest: 'runs in a folder fill free space only, and cameras and computers erase cards without asking this house.',
                    }}
                />
                <Caution
                    caution={{
                        lead: 'Lines are only ever added.',
                        rest: 'Where the database was out of reach, a line waits in a file of its station until it is back.',
                    }}
                />
            </MarginLook>
        </>
    );
}
