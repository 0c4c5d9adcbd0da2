import { Button } from 'react-aria-components';
import styled from 'styled-components';
import type { AnswerProps } from '../types/generated/props';
import { ANSWER_KEYS } from './answerKeys';

const Look = styled.div`
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(196px, 1fr));
    gap: 8px;
    margin-top: 12px;
    button {
        display: flex;
        gap: 10px;
        align-items: center;
        min-height: 44px;
        padding: 8px 12px;
        border: 1.3px solid var(--ink);
        border-radius: 2px;
        background: transparent;
        text-align: left;
        cursor: pointer;
        font-weight: 600;
        font-stretch: 84%;
    }
    button[data-hovered] {
        background: var(--faint);
    }
    button[data-given] {
        border-width: 2.4px;
        padding: 7px 11px;
        background: var(--sheet);
    }
    button[data-disabled] {
        opacity: 0.5;
        cursor: default;
    }
    button small {
        margin-left: auto;
        font-weight: 400;
        color: var(--pencil);
    }
`;

/** The answers, each with its key. */
export function Answers({
    answers,
    given,
    busy,
    onAnswer,
}: {
    answers: readonly AnswerProps[];
    given: string | null;
    busy: boolean;
    onAnswer: (key: string) => void;
}) {
    return (
        <Look role="group" aria-label="Answers">
            {answers.map((answer, i) => (
                <Button
                    key={answer.key}
                    isDisabled={busy}
                    onPress={() => {
                        onAnswer(answer.key);
                    }}
                    {...(answer.key === given ? { 'data-given': '' } : {})}
                >
                    <kbd>{ANSWER_KEYS[i]}</kbd>
                    {answer.words}
                    {answer.key === given ? <small>stands</small> : null}
                </Button>
            ))}
        </Look>
    );
}
