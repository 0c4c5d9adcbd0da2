import { Head, Link } from '@inertiajs/react';
import { Nothing } from '../parts/Nothing';
import { CopySheet } from '../copy/CopySheet';
import { MachineSheet } from '../copy/MachineSheet';
import { StopwatchSheet } from '../copy/StopwatchSheet';
import { Margin } from '../frame/Margin';
import { CardHeading } from '../parts/CardHeading';
import { RunningSheet } from '../parts/RunningSheet';
import { Title } from '../parts/Sheet';
import { useFollow } from '../parts/useFollow';
import type { CopyPage } from '../types/generated/props';

/** Real folders, timed: by this program, or by hand where another one does the work. */
export default function Copy({ card, copies, slots, folders, chain, running, today, person, margin }: CopyPage) {
    const now = useFollow(running, ['copies']);
    return (
        <>
            <Head title={`${card.tag}, timed copy`} />
            <main>
                <Title>
                    <div>
                        <CardHeading card={card} />
                        <p>
                            Real files, not one stream: small ones cost more than their bytes.{' '}
                            <Link href={`/measure/${card.tag}`}>Back to its runs</Link>
                        </p>
                    </div>
                </Title>
                <StopwatchSheet key={card.tag} tag={card.tag} chain={chain} today={today} person={person} />
                {running === null ? (
                    <MachineSheet
                        key={`${card.tag}-machine`}
                        tag={card.tag}
                        slots={slots}
                        folders={folders}
                        chain={chain}
                    />
                ) : (
                    <RunningSheet running={now ?? running} />
                )}
                {copies.length === 0 ? (
                    <Nothing>
                        No copy was timed yet. Choose a folder on the card and where it goes, or take the time by
                        stopwatch.
                    </Nothing>
                ) : null}
                {copies.map((copy) => (
                    <CopySheet key={copy.id} copy={copy} />
                ))}
            </main>
            <Margin margin={margin} here={`/measure/${card.tag}/copy`} />
        </>
    );
}
