import { Button } from 'react-aria-components';
import styled from 'styled-components';
import type { QuestionProps } from '../types/generated/props';

const Look = styled.div`
    display: flex;
    flex-wrap: wrap;
    gap: 4px 2px;
    margin-top: 14px;
    button {
        border: 0;
        border-bottom: 3px solid var(--rule);
        background: transparent;
        padding: 3px 9px 4px;
        font-size: 12.5px;
        font-stretch: 82%;
        color: var(--pencil);
        cursor: pointer;
    }
    button[data-answered] {
        border-color: var(--tarn);
        color: var(--ink);
    }
    button[data-trouble] {
        border-color: var(--rust);
        color: var(--ink);
    }
    button[aria-current] {
        font-weight: 760;
        color: var(--ink);
        background: var(--sheet);
    }
`;

const SHORT: Record<string, string> = {
    'contact-rows': 'contacts',
    connector: 'connector',
    outline: 'outline',
    print: 'print',
    shell: 'shell',
    'lock-slider': 'lock',
    serial: 'serial',
    'back-code': 'back code',
    seating: 'seating',
};

function state(question: QuestionProps): string {
    if (question.given === null) {
        return 'open';
    }
    return question.trouble ? 'trouble' : 'seen';
}

/** All questions in working order, and which have an answer. */
export function QuestionLine({
    questions,
    at,
    onGo,
}: {
    questions: readonly QuestionProps[];
    at: number;
    onGo: (at: number) => void;
}) {
    return (
        <Look role="group" aria-label="Questions">
            {questions.map((question, i) => (
                <Button
                    key={question.key}
                    aria-label={`${SHORT[question.key] ?? question.key}, ${state(question)}`}
                    onPress={() => {
                        onGo(i);
                    }}
                    {...(i === at ? { 'aria-current': 'step' as const } : {})}
                    {...(question.given === null ? {} : { 'data-answered': '' })}
                    {...(question.trouble ? { 'data-trouble': '' } : {})}
                >
                    {SHORT[question.key] ?? question.key} {question.given === null ? '·' : question.trouble ? '!' : '✓'}
                </Button>
            ))}
        </Look>
    );
}
