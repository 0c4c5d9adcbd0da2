import { Head, Link, router, usePage } from '@inertiajs/react';
import styled from 'styled-components';
import { FollowBook } from '../charts/FollowBook';
import { clock } from '../charts/Runbook';
import { HomeCards } from '../follow/HomeCards';
import { WrongCopy } from '../follow/WrongCopy';
import { NextHand } from '../follow/NextHand';
import { useOffload } from '../follow/useOffload';
import { Caution, MarginLook } from '../frame/Margin';
import { Button } from '../parts/Button';
import { Nothing } from '../parts/Nothing';
import { Sheet, Title } from '../parts/Sheet';
import { PlainList } from '../plan/PlainList';
import type { FollowNowProps, FollowPage } from '../types/generated/props';

const Heads = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 28px;
    b {
        font-size: 22px;
        font-weight: 700;
        font-stretch: 80%;
    }
    .late {
        font-size: 17px;
        color: var(--ochre);
    }
`;

/** Nearer than this it is on time. Seconds. */
const ON_TIME = 5;

/** An offload while it is carried out: what hands are to do, how it stands to its plan, what may be cleared. */
export default function Follow({ id, name, began, beganAt, planned, pace, first, person, said }: FollowPage) {
    const { errors } = usePage().props;
    const now = useOffload(id, first);
    const [hand] = now.hands;
    const isOver = now.state === 'ended';
    const post = (what: string) => {
        router.post(
            `/offloads/${id}/${what}`,
            {},
            {
                preserveScroll: true,
                preserveState: true,
                // Space is the swap’s again.
                onFinish: () => {
                    document.querySelector<HTMLElement>('[data-main]')?.focus();
                },
            },
        );
    };
    const count = now.cards.length;
    return (
        <>
            <Head title={name} />
            <main>
                <Title>
                    <div>
                        <Heads>
                            <h1>
                                Secured {now.secured} of {count}
                            </h1>
                            {isOver ? null : <b>all safe {now.safeAt}</b>}
                            {isOver ? null : <b className="late">{lag(now.done - planned)}</b>}
                        </Heads>
                        <p>
                            {name} · began {began} · {now.amount}
                            {pace === null ? '' : ` · made up, ${Math.round(pace)} times as fast`}
                        </p>
                    </div>
                    {now.maySearchAnew ? (
                        <Button
                            quiet
                            detail="with what the links really gave"
                            onPress={() => {
                                post('anew');
                            }}
                        >
                            Plan anew from here
                        </Button>
                    ) : null}
                </Title>
                {said === null ? null : <p role="status">{said}</p>}
                {errors['anew'] === undefined ? null : <p role="alert">{errors['anew']}</p>}
                {hand === undefined ? (
                    <Nothing>{resting(now)}</Nothing>
                ) : (
                    <NextHand
                        key={hand.card}
                        offload={id}
                        hand={hand}
                        more={now.hands.length - 1}
                        person={person === '' ? 'the bench' : person}
                    />
                )}
                {now.wrong.map((wrong) => (
                    <WrongCopy key={wrong.copy} offload={id} wrong={wrong} />
                ))}
                <Sheet
                    title="Runbook"
                    caption="outline as planned, filled as it went"
                    aside={<b style={{ color: 'var(--ochre)' }}>{lag(now.done - planned)}</b>}
                >
                    <FollowBook
                        lanes={now.lanes}
                        swaps={now.swaps}
                        now={now.now}
                        done={now.done}
                        planned={planned}
                        beganAt={beganAt}
                    />
                </Sheet>
                <HomeCards cards={now.cards} />
                {now.notes.length === 0 ? null : (
                    <PlainList aria-label="Not on any drive">
                        {now.notes.map((note) => (
                            <li key={note}>{note}</li>
                        ))}
                    </PlainList>
                )}
                <details>
                    <summary>The runbook as a list of times</summary>
                    <PlainList>
                        {now.lanes
                            .flatMap((lane) => lane.passages)
                            .sort((one, other) => one.from - other.from)
                            .map((one, i) => (
                                <li key={i}>
                                    <span className="figures">
                                        {clock(one.from)} to {clock(one.to)}
                                    </span>
                                    : {one.words},{' '}
                                    {one.began === null
                                        ? 'not begun'
                                        : `${one.isOver ? 'done' : 'going'}, ${clock(one.began)} to ${clock(one.until ?? one.began)}`}
                                </li>
                            ))}
                    </PlainList>
                </details>
                <p>
                    <a href={`/offloads/${id}/handover.pdf`}>Handover sheet (PDF)</a> ·{' '}
                    <Link href="/offload">Plan another offload</Link>
                </p>
            </main>
            <MarginLook>
                <h2>{clock(now.done)}</h2>
                <p>
                    {isOver ? 'until it ended' : 'until all is read back'}; planned {clock(planned)}
                </p>
                {now.reasons.length === 0 ? null : (
                    <>
                        <h3>Why</h3>
                        <PlainList aria-label="Why">
                            {now.reasons.map((reason) => (
                                <li key={reason}>{reason}</li>
                            ))}
                        </PlainList>
                    </>
                )}
                <Caution
                    caution={{ lead: now.clear, rest: 'A card is cleared in the camera, by a person, and noted.' }}
                />
                {now.state === 'going' ? (
                    <Button
                        quiet
                        detail="what is whole stays, half a file never shows"
                        onPress={() => {
                            post('stop');
                        }}
                    >
                        Stop after what is going
                    </Button>
                ) : null}
            </MarginLook>
        </>
    );
}

/** What there is to say while hands may rest. */
function resting(now: FollowNowProps): string {
    if (now.state === 'ended') {
        return now.secured === now.cards.length
            ? `All secured: two copies of each card, on two drives, read back.`
            : 'It has ended, and not every card is secured. See below what is missing.';
    }
    return now.state === 'ending'
        ? 'What is going is finished; then it ends.'
        : `Nothing for hands just now. ${now.next}`;
}

/** `1:50 behind` */
function lag(seconds: number): string {
    return Math.abs(seconds) < ON_TIME ? 'on time' : `${clock(Math.abs(seconds))} ${seconds > 0 ? 'behind' : 'ahead'}`;
}
