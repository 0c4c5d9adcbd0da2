import { Head, Link, useForm } from '@inertiajs/react';
import { useState, type SyntheticEvent } from 'react';
import styled from 'styled-components';
import { ClaimLine } from '../charts/ClaimLine';
import { Margin } from '../frame/Margin';
import { PreviewMargin } from '../frame/PreviewMargin';
import { FootageSheet } from '../intake/FootageSheet';
import { LabelSheet } from '../intake/LabelSheet';
import { NewMargin } from '../intake/NewMargin';
import { OriginSheet } from '../intake/OriginSheet';
import { PhotoSheet } from '../intake/PhotoSheet';
import { useLabelLine } from '../intake/useLabelLine';
import type { Text, Values } from '../intake/values';
import { Button } from '../parts/Button';
import { CardHeading } from '../parts/CardHeading';
import { Sheet, Title } from '../parts/Sheet';
import { both, StaleSheet } from '../parts/StaleSheet';
import type { IntakePage, IntakeProps } from '../types/generated/props';

const Plain = styled(Link)`
    color: inherit;
    text-underline-offset: 3px;
    margin-right: 14px;
`;

export default function Intake(props: IntakePage) {
    return <Surface key={props.card?.tag ?? 'new'} {...props} />;
}

function Surface({ card, values, choices, margin, claimLine, photos, revision, footage, person }: IntakePage) {
    const form = useForm<Values>({ ...values });
    // What is corrected: the card as it was when this page was loaded, and not as others have saved it since.
    const [base, setBase] = useState({ values, revision });
    const line = String(form.data.label_line);
    const typing = card === null || form.isDirty;
    const { reading, preview } = useLabelLine(line, form.data, values, form.setData, typing, card?.tag ?? null);
    const from = (field: keyof IntakeProps) =>
        reading?.fields.find((entry) => entry.field === field && entry.value === form.data[field])?.from;
    const text: Text = (field) => {
        const source = from(field);
        return {
            name: field,
            value: String(form.data[field]),
            error: form.errors[field],
            hint: source === undefined ? undefined : `from “${source}”`,
            onChange: (value: string) => {
                form.setData(field, value);
            },
        };
    };
    const count = Number(form.data.count);
    const take = (stands: IntakeProps, shown: Values, of: number | null) => {
        setBase({ values: stands, revision: of });
        form.setDefaults({ ...stands });
        form.setData(shown);
        form.clearErrors();
    };
    const stale = (form.errors as Record<string, string>)['revision'];
    const send = (event?: SyntheticEvent) => {
        event?.preventDefault();
        if (card === null) {
            form.post('/cards');
        } else {
            form.transform((data) => ({ ...data, revision: base.revision }));
            form.put(`/cards/${card.tag}`, {
                preserveScroll: true,
                onSuccess: ({ props }) => {
                    const now = props as unknown as IntakePage;
                    take(now.values, { ...now.values }, now.revision);
                },
            });
        }
    };

    return (
        <>
            <Head title={card === null ? 'New card' : `${card.tag} label`} />
            <main>
                <form onSubmit={send} noValidate>
                    <Title>
                        <div>
                            {card === null ? <h1>A new card</h1> : <CardHeading card={card} />}
                            {card === null ? (
                                <p>Type it as printed; leave empty what is not printed.</p>
                            ) : (
                                <p>
                                    <Plain href={`/tags?cards=${card.tag}`}>Print its tag</Plain>
                                    {values.lot === '' ? null : (
                                        <Plain href={`/tags?cards=${encodeURIComponent(`lot ${values.lot}`)}`}>
                                            Print the tags of its lot
                                        </Plain>
                                    )}
                                    <Plain href={`/kit/sheet/${card.tag}`}>See where it fits</Plain>
                                </p>
                            )}
                        </div>
                        <Button
                            type="submit"
                            data-main=""
                            quiet={card !== null && !form.isDirty}
                            isDisabled={form.processing}
                            detail={card !== null && !form.isDirty ? 'as saved' : 'Enter does it too'}
                        >
                            {card !== null
                                ? 'Save the label'
                                : count > 1
                                  ? `Add these ${count} cards`
                                  : 'Add this card'}
                        </Button>
                    </Title>
                    {stale === undefined ? null : (
                        <StaleSheet
                            title="Somebody else saved this card"
                            says={stale}
                            labels={new Map(choices.fields.map((field) => [field.key, field.label]))}
                            base={{ ...base.values }}
                            theirs={{ ...values }}
                            mine={form.data}
                            onBoth={() => {
                                take(values, both<Values>({ ...base.values }, { ...values }, form.data), revision);
                            }}
                            onTheirs={() => {
                                take(values, { ...values }, revision);
                            }}
                        />
                    )}
                    <LabelSheet
                        text={text}
                        line={line}
                        onLine={(typed) => {
                            form.setData('label_line', typed);
                        }}
                        reading={reading}
                        choices={choices}
                        shape={String(form.data.form)}
                        marks={[form.data.marks].flat()}
                        onMarks={(value) => {
                            form.setData('marks', value);
                        }}
                        marksError={firstOf(form.errors, 'marks')}
                        isNew={card === null}
                    />
                    <OriginSheet text={text} choices={choices} isNew={card === null} />
                </form>
                {card === null || footage === null ? null : (
                    <FootageSheet tag={card.tag} footage={footage} person={person} />
                )}
                {card === null ? null : <PhotoSheet tag={card.tag} photos={photos} />}
                {claimLine === null ? null : (
                    <Sheet title="Claim line" caption={claimLine.caption ?? 'what the label promises'} aside="MB/s">
                        <ClaimLine line={claimLine} />
                    </Sheet>
                )}
            </main>
            {card !== null && margin !== null && !form.isDirty ? (
                <Margin margin={margin} here={`/intake/${card.tag}`} />
            ) : preview === null || !form.isDirty ? (
                <NewMargin />
            ) : (
                <PreviewMargin preview={preview} />
            )}
        </>
    );
}

/** Errors of single entries of a list come under names such as marks.0. */
function firstOf(errors: Record<string, unknown>, field: string): string | undefined {
    const key = Object.keys(errors).find((name) => name === field || name.startsWith(`${field}.`));
    const error = key === undefined ? undefined : errors[key];
    return typeof error === 'string' ? error : undefined;
}
