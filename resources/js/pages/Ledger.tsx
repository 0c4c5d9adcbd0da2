import { Head, Link } from '@inertiajs/react';
import styled from 'styled-components';
import { LifeLine } from '../charts/LifeLine';
import { Caution, MarginLook, Reasons } from '../frame/Margin';
import { Retire } from '../ledger/Retire';
import { buttonLook } from '../parts/Button';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import { VerdictShape } from '../parts/VerdictMark';
import type { DueProps, LedgerPage, LifeProps } from '../types/generated/props';

const Next = styled(Link)<{ $quiet?: boolean }>`
    ${buttonLook}
`;

/** What a card has been through, whether it fades, and when it is tested again. */
export default function Ledger(props: LedgerPage) {
    const { card, life, due } = props;
    return (
        <>
            <Head title={`${card.tag} in the ledger`} />
            <main>
                <Title>
                    <div>
                        <h1>
                            <span className="tag">{card.tag}</span>
                            {props.heading}
                        </h1>
                        <p>{props.facts.join(' · ')}</p>
                    </div>
                    <Next href="/ledger/buy" $quiet data-main="">
                        What to buy next
                        <small>from what was found here</small>
                    </Next>
                </Title>
                <Sheet
                    title="Life"
                    caption={caption(life)}
                    aside={life.writes.length === 0 && life.reads.length === 0 ? undefined : 'MB/s'}
                >
                    <LifeLine life={life} />
                </Sheet>
                <Ruled aria-label="Everything that happened to it">
                    <thead>
                        <tr>
                            <th>When</th>
                            <th>What</th>
                            <th>More</th>
                        </tr>
                    </thead>
                    <tbody>
                        {[...life.events].reverse().map((event, i) => (
                            <tr key={i}>
                                <td style={{ whiteSpace: 'nowrap' }}>{event.on}</td>
                                <td>
                                    {event.href === null ? event.words : <Link href={event.href}>{event.words}</Link>}
                                </td>
                                <td>{event.detail}</td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            </main>
            <MarginLook>
                <DueHeading due={due} retired={props.retired !== null} />
                <Reasons reasons={props.reasons} />
                <Caution
                    caution={{
                        lead: 'Cards wear out.',
                        rest: 'Keep one spare for anything that records without a pause.',
                    }}
                />
                {due === null ? null : due.href === null ? (
                    <p>
                        <b>{due.words}</b> <small>{due.why}</small>
                    </p>
                ) : (
                    <Next href={due.href} {...(due.isNow ? {} : { $quiet: true })}>
                        {due.words}
                        <small>{due.why}</small>
                    </Next>
                )}
                <Retire
                    key={card.tag}
                    tag={card.tag}
                    retired={props.retired}
                    mayRetire={props.mayRetire}
                    proposed={due?.href === null ? `by the house rule, ${due.why}` : ''}
                    person={props.person}
                />
                <p style={{ fontSize: 12.5 }}>
                    <kbd>i</kbd> logs what happened, from any page.{' '}
                    <Link href={`/activity/${card.tag}`} style={{ color: 'inherit' }}>
                        Changes of its books
                    </Link>{' '}
                    ·{' '}
                    <a href="/ledger/due.ics" style={{ color: 'inherit' }}>
                        Due days for a calendar (ICS)
                    </a>
                </p>
            </MarginLook>
        </>
    );
}

function DueHeading({ due, retired }: { due: DueProps | null; retired: boolean }) {
    if (retired) {
        return <h2>Out of service</h2>;
    }
    if (due?.isNow === true) {
        return (
            <h2 style={{ color: 'var(--ochre)' }}>
                <VerdictShape kind="Unproven" size={26} />
                {due.href === null ? 'Has served' : 'Test again'}
            </h2>
        );
    }
    return <h2>{due === null ? 'Not proven yet' : 'In order'}</h2>;
}

function caption(life: LifeProps): string {
    const shown = [life.writes.length === 0 ? '' : '● keeps up writing', life.reads.length === 0 ? '' : '○ reads'];
    const words = shown.filter((one) => one !== '').join(', ');
    return words === ''
        ? 'everything that happened to it'
        : `everything that happened to it; ${words}, on ${life.chain}`;
}
