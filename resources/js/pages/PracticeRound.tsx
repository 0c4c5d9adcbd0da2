import { Head, Link, router, useForm } from '@inertiajs/react';
import { useRef } from 'react';
import styled from 'styled-components';
import { ClaimLine } from '../charts/ClaimLine';
import { BlockMap } from '../charts/BlockMap';
import { MarginLook, Reasons } from '../frame/Margin';
import { useSurfaceKeys } from '../frame/useKeys';
import { Button, buttonLook } from '../parts/Button';
import { Options } from '../parts/choices';
import { TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { ServerForm } from '../parts/ServerForm';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import { VerdictShape, verdictColour } from '../parts/VerdictMark';
import type { PracticeAnswerProps, PracticeMoveProps, PracticeRoundPage } from '../types/generated/props';

/** Keys of the moves, in order: those letters that no page uses for anything else. */
const KEYS = ['a', 'b', 'c', 'd', 'e', 'f', 'h', 'l', 'o', 'p'];

const VERDICTS = [
    { key: 'Sound', label: 'Sound' },
    { key: 'Slow', label: 'Slow' },
    { key: 'Shaky', label: 'Shaky' },
    { key: 'Sham', label: 'Sham' },
    { key: 'Unproven', label: 'Unproven' },
];

const HOLDS = [
    { key: 'card', label: 'the card' },
    { key: 'slot', label: 'the slot of the reader' },
    { key: 'link', label: 'the link to the computer' },
];

const Moves = styled.ol`
    list-style: none;
    display: flex;
    flex-direction: column;
    button {
        display: grid;
        grid-template-columns: 22px 1fr max-content;
        gap: 8px;
        width: 100%;
        text-align: left;
        padding: 5px 2px;
        font-size: 13px;
        background: transparent;
        border: 0;
        border-top: 1px solid var(--rule);
        color: var(--ink);
        cursor: pointer;
    }
    button:disabled {
        color: var(--pencil);
        cursor: default;
        text-decoration: line-through;
    }
    button:hover:enabled {
        background: var(--sheet);
    }
    small {
        color: var(--pencil);
    }
`;

const Clock = styled.p`
    font-family: var(--figures);
    font-stretch: 75%;
    font-size: 34px;
    line-height: 1;
    small {
        font-size: 12.5px;
        color: var(--pencil);
        margin-left: 8px;
    }
`;

const NextLink = styled(Link)<{ $quiet?: boolean }>`
    ${buttonLook}
`;

/** A made-up card on the bench: what to do next costs time on the clock; then it is called. */
export default function PracticeRound(props: PracticeRoundPage) {
    const { answer, core } = props;
    return (
        <>
            <Head title={`Practice, level ${props.level}`} />
            <main>
                <Title>
                    <div>
                        <h1>{props.label}</h1>
                        <p>
                            Practice, level {props.level}: {props.levelWords}, seed {props.seed}. {props.first} At hand:{' '}
                            {props.readers.join('; ')}.
                        </p>
                    </div>
                </Title>
                <Sheet title="Claim line" caption={props.claimLine.caption ?? ''} aside="MB/s">
                    <ClaimLine line={props.claimLine} />
                </Sheet>
                {core === null ? null : (
                    <Sheet title="Core sample" caption={core.caption}>
                        <BlockMap core={core} />
                    </Sheet>
                )}
                <Ruled aria-label="What was done">
                    <thead>
                        <tr>
                            <th className="n">Clock</th>
                            <th>Done</th>
                            <th>What came of it</th>
                        </tr>
                    </thead>
                    <tbody>
                        {props.done.map((done) => (
                            <tr key={done.what}>
                                <td className="n">{done.clock}</td>
                                <td>{done.what}</td>
                                <td>{done.finds}</td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
                {answer === null ? <CallIt id={props.id} asks={props.asks} /> : null}
            </main>
            <MarginLook>
                {answer === null ? (
                    <NextMoves id={props.id} clock={props.clock} moves={props.moves} />
                ) : (
                    <Answer answer={answer} again={{ level: props.level, by: props.person }} />
                )}
            </MarginLook>
        </>
    );
}

function NextMoves({ id, clock, moves }: { id: number; clock: string; moves: readonly PracticeMoveProps[] }) {
    // One after the other: whoever knows what they want presses faster than the server answers.
    const waiting = useRef<string[]>([]);
    const isGoing = useRef(false);
    const go = () => {
        const next = waiting.current.shift();
        isGoing.current = next !== undefined;
        if (next !== undefined) {
            router.post(
                `/practice/${id}/moves`,
                { move: next },
                { preserveScroll: true, preserveState: true, onFinish: go },
            );
        }
    };
    const take = (move: PracticeMoveProps) => {
        if (!move.isDone && !waiting.current.includes(move.id)) {
            waiting.current.push(move.id);
            if (!isGoing.current) {
                go();
            }
        }
    };
    useSurfaceKeys(
        Object.fromEntries(
            moves.map((move, at) => [
                KEYS[at] ?? '',
                () => {
                    take(move);
                },
            ]),
        ),
    );
    return (
        <>
            <Clock>
                {clock} <small>on the clock</small>
            </Clock>
            <h2 style={{ fontSize: 22 }}>What next?</h2>
            <Moves>
                {moves.map((move, at) => (
                    <li key={move.id}>
                        <button
                            type="button"
                            disabled={move.isDone}
                            onClick={() => {
                                take(move);
                            }}
                        >
                            <kbd>{KEYS[at]}</kbd>
                            <span>{move.words}</span>
                            <small>{move.takes}</small>
                        </button>
                    </li>
                ))}
            </Moves>
            <p style={{ fontSize: 12.5, color: 'var(--pencil)' }}>
                Nothing here is one of the house’s cards, and nothing is written to its books.
            </p>
        </>
    );
}

function CallIt({ id, asks }: { id: number; asks: string }) {
    const form = useForm({ verdict: '', holds: '', keeps: '' });
    const field = formField(form);
    return (
        <Sheet title="Call it" caption="as soon as you would sign it">
            <ServerForm
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post(`/practice/${id}/call`, { preserveScroll: true });
                }}
            >
                <Options {...field('verdict')} label="Verdict" options={VERDICTS} />
                <Options {...field('holds')} label={asks} options={HOLDS} />
                <div style={{ display: 'flex', flexWrap: 'wrap', gap: 20, alignItems: 'end', margin: '10px 0 4px' }}>
                    <TextField
                        {...field('keeps')}
                        label="It really keeps, such as 63.9 GB; nothing where that makes no difference"
                        figures
                    />
                    <Button type="submit" data-main="" isDisabled={form.processing}>
                        Call it
                    </Button>
                </div>
            </ServerForm>
        </Sheet>
    );
}

function Answer({ answer, again }: { answer: PracticeAnswerProps; again: { level: number; by: string } }) {
    return (
        <>
            <h2 style={{ color: verdictColour[answer.verdict] }} data-verdict={answer.verdict}>
                <VerdictShape kind={answer.verdict} size={26} />
                {answer.verdict}
            </h2>
            <p style={{ fontSize: 13 }}>
                Held by {answer.holds}; {answer.keeps}. It is {answer.was}.
            </p>
            <p role="status" style={{ fontSize: 13 }}>
                <b>{answer.mistakes.length === 0 ? 'You called it right.' : `You ${answer.mistakes.join(', ')}.`}</b>{' '}
                <small>You said: {answer.called}.</small>
            </p>
            <div>
                <b style={{ fontSize: 13 }}>The evidence that decides</b>
                <Reasons reasons={answer.reasons} />
            </div>
            <div style={{ fontSize: 13 }}>
                <b>The shortest way takes {answer.shortest}</b>, you took {answer.took}:
                <ol style={{ paddingLeft: 18 }}>
                    {answer.way.map((move) => (
                        <li key={move.id}>
                            {move.words}, {move.takes}
                            {move.isDone ? ' (you did)' : ''}
                        </li>
                    ))}
                </ol>
            </div>
            <Button
                data-next=""
                onPress={() => {
                    router.post('/practice', again);
                }}
            >
                Another of this level
            </Button>
            <NextLink href="/practice" $quiet>
                How it went so far
            </NextLink>
        </>
    );
}
