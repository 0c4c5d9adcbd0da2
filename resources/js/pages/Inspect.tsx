import { Head, useForm } from '@inertiajs/react';
import { useState } from 'react';
import styled from 'styled-components';
import { Nothing } from '../parts/Nothing';
import { Margin } from '../frame/Margin';
import { useSurfaceKeys } from '../frame/useKeys';
import { ANSWER_KEYS } from '../inspect/answerKeys';
import { Answers } from '../inspect/Answers';
import { LookSheet } from '../inspect/LookSheet';
import { QuestionLine } from '../inspect/QuestionLine';
import { SeenTable } from '../inspect/SeenTable';
import { CardHeading } from '../parts/CardHeading';
import { SelectField, TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { Title } from '../parts/Sheet';
import type { InspectPage, QuestionProps } from '../types/generated/props';

const Who = styled.form`
    width: 190px;
`;

const Extra = styled.form`
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 12px 22px;
    margin-top: 12px;
`;

export default function Inspect(props: InspectPage) {
    return <Surface key={props.card.tag} {...props} />;
}

function firstOpen(questions: readonly QuestionProps[], after: number): number {
    const order = [...questions.keys()].map((i) => (i + after) % questions.length);
    return order.find((i) => questions[i]?.given === null) ?? Math.min(after, questions.length - 1);
}

function Surface({ card, questions, history, readers, person, margin }: InspectPage) {
    const [at, setAt] = useState(() => firstOpen(questions, 0));
    const form = useForm({ by: person });
    const errors = form.errors as Record<string, string>;
    const [codes, setCodes] = useState<Record<string, string>>({});
    const [reader, setReader] = useState(readers[0]?.key ?? '');
    const question = questions[at];
    const code = question === undefined ? '' : (codes[question.key] ?? question.code);
    const go = (to: number) => {
        form.clearErrors();
        setAt(Math.min(questions.length - 1, Math.max(0, to)));
    };
    const answer = (key: string) => {
        if (question === undefined || form.processing) {
            return;
        }
        form.transform(({ by }) => ({
            question: question.key,
            answer: key,
            by,
            code,
            reader: question.inReader ? reader : null,
        }));
        form.post(`/cards/${card.tag}/inspections`, {
            preserveScroll: true,
            preserveState: true,
            onSuccess: (page) => {
                setAt(firstOpen(page.props['questions'] as QuestionProps[], at + 1));
            },
        });
    };
    useSurfaceKeys({
        ...Object.fromEntries(
            (question?.answers ?? []).map((entry, i) => [
                ANSWER_KEYS[i] ?? '',
                () => {
                    answer(entry.key);
                },
            ]),
        ),
        ',': () => {
            go(at - 1);
        },
        '.': () => {
            go(at + 1);
        },
    });
    const open = questions.filter((entry) => entry.given === null).length;

    return (
        <>
            <Head title={`Inspect ${card.tag}`} />
            <main>
                <Title>
                    <div>
                        <CardHeading card={card} />
                        <p>
                            {open === 0
                                ? 'Every question has an answer; any of them can be answered again.'
                                : `Look before plugging in: ${open} of ${questions.length} questions open.`}
                        </p>
                    </div>
                    <Who
                        onSubmit={(event) => {
                            event.preventDefault();
                            // The name is given: the keys answer again.
                            (document.activeElement as HTMLElement | null)?.blur();
                        }}
                    >
                        <NameField {...formField(form)('by')} label="Your name" placeholder="a name" />
                    </Who>
                </Title>
                <QuestionLine questions={questions} at={at} onGo={go} />
                {question === undefined ? null : (
                    <>
                        <LookSheet
                            question={question}
                            micro={card.isMicro}
                            place={`${at + 1} of ${questions.length}`}
                        />
                        {question.inReader || question.answers.some((entry) => entry.asksCode) ? (
                            <Extra
                                onSubmit={(event) => {
                                    event.preventDefault();
                                    const typed = question.answers.find((entry) => entry.asksCode);
                                    if (typed !== undefined) {
                                        answer(typed.key);
                                    }
                                }}
                            >
                                {question.inReader ? (
                                    <SelectField
                                        name="reader"
                                        label="In which reader"
                                        value={reader}
                                        onChange={setReader}
                                        choices={readers}
                                        error={errors['reader']}
                                    />
                                ) : (
                                    <TextField
                                        key={question.key}
                                        name="code"
                                        label={question.key === 'serial' ? 'The serial number' : 'The code'}
                                        value={code}
                                        onChange={(value) => {
                                            setCodes({ ...codes, [question.key]: value });
                                        }}
                                        error={errors['code']}
                                        figures
                                    />
                                )}
                            </Extra>
                        ) : null}
                        <Answers
                            answers={question.answers}
                            given={question.given}
                            busy={form.processing}
                            onAnswer={answer}
                        />
                        <p
                            role="status"
                            style={{ color: 'var(--pencil)', fontSize: 12.5, minHeight: 20, marginTop: 8 }}
                        >
                            {errors['question'] ??
                                errors['answer'] ??
                                (question.seen === null ? '' : `Stands: ${question.seen}`)}
                        </p>
                    </>
                )}
                {history.length === 0 ? (
                    <Nothing>Nothing was answered yet. Begin with the first question above.</Nothing>
                ) : (
                    <SeenTable seen={history} />
                )}
            </main>
            <Margin margin={margin} here={`/inspect/${card.tag}`} />
        </>
    );
}
