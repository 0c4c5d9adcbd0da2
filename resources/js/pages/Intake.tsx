import { Head, useForm } from '@inertiajs/react';
import type { SyntheticEvent } from 'react';
import styled from 'styled-components';
import { ClaimLine } from '../charts/ClaimLine';
import { Caution, Margin, MarginLook, Reasons } from '../frame/Margin';
import { Button } from '../parts/Button';
import { CardHeading } from '../parts/CardHeading';
import { Options, SelectField, TextField, Ticks } from '../parts/fields';
import { Sheet, Title } from '../parts/Sheet';
import type {
    CardProps,
    ChoiceProps,
    ChoicesProps,
    ClaimLineProps,
    IntakeProps,
    MarginProps,
} from '../types/generated/props';

interface Props {
    card: CardProps | null;
    values: IntakeProps;
    choices: ChoicesProps;
    margin: MarginProps | null;
    claimLine: ClaimLineProps | null;
}

const Fields = styled.div`
    display: grid;
    grid-template-columns: repeat(12, minmax(0, 1fr));
    gap: 15px 22px;
    padding: 4px 0 8px;
    > * {
        grid-column: span 3;
    }
    > .half {
        grid-column: span 6;
    }
    > .third {
        grid-column: span 4;
    }
    > .whole {
        grid-column: 1 / -1;
    }
    @media (max-width: 560px) {
        > *,
        > .third,
        > .half {
            grid-column: span 6;
        }
    }
`;

export default function Intake(props: Props) {
    return <Surface key={props.card?.tag ?? 'new'} {...props} />;
}

function on(choices: readonly ChoiceProps[], form: string): ChoiceProps[] {
    return choices.filter((choice) => choice.forms.includes(form));
}

function Surface({ card, values, choices, margin, claimLine }: Props) {
    const form = useForm<Record<keyof IntakeProps, string | string[]>>({ ...values });
    const text = (field: keyof IntakeProps) => ({
        name: field,
        value: String(form.data[field]),
        error: form.errors[field],
        onChange: (value: string) => {
            form.setData(field, value);
        },
    });
    const shape = String(form.data.form);
    const marks = on(choices.marks, shape);
    const send = (event?: SyntheticEvent) => {
        event?.preventDefault();
        if (card === null) {
            form.post('/cards');
        } else {
            form.put(`/cards/${card.tag}`, { preserveScroll: true });
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
                            <p>Enter it as it is printed; what is not printed stays empty.</p>
                        </div>
                        <Button
                            type="submit"
                            data-main=""
                            quiet={card !== null && !form.isDirty}
                            isDisabled={form.processing}
                            detail={card !== null && !form.isDirty ? 'as it stands in the books' : 'Enter does it too'}
                        >
                            {card === null ? 'Enter this card' : 'Save the label'}
                        </Button>
                    </Title>
                    <Sheet title="Label" caption="sizes such as 128 GB, speeds such as 95 MB/s or 760 Mb/s">
                        <Fields>
                            <TextField {...text('tag')} label="Tag" figures />
                            <div className="half">
                                <TextField
                                    {...text('name')}
                                    label="Maker and series"
                                    autoFocus={card === null}
                                    placeholder="as printed"
                                />
                            </div>
                            <TextField {...text('capacity')} label="Capacity" figures placeholder="128 GB" />
                            <SelectField {...text('form')} label="Form" choices={choices.forms} />
                            <SelectField
                                {...text('family')}
                                label="Family"
                                none="not printed"
                                choices={on(choices.families, shape)}
                            />
                            <SelectField
                                {...text('bus')}
                                label="Bus"
                                none="not printed"
                                choices={on(choices.buses, shape)}
                            />
                            <TextField {...text('footage')} label="Footage on it" figures placeholder="none" />
                            <div className="whole">
                                <Ticks
                                    label="Speed marks"
                                    choices={marks}
                                    value={[form.data.marks].flat()}
                                    onChange={(value) => {
                                        form.setData('marks', value);
                                    }}
                                    error={firstOf(form.errors, 'marks')}
                                />
                            </div>
                            <div className="third">
                                <TextField {...text('read')} label="Claims to read" figures placeholder="not printed" />
                            </div>
                            <div className="third">
                                <TextField
                                    {...text('write')}
                                    label="Claims to write"
                                    figures
                                    placeholder="not printed"
                                />
                            </div>
                            <div className="third">
                                <TextField {...text('times')} label="×-rating" figures placeholder="not printed" />
                            </div>
                            <div className="whole">
                                <Options
                                    {...text('contact_rows')}
                                    label="Turn it over: rows of contacts"
                                    options={[
                                        { key: '', label: 'not looked yet' },
                                        { key: '1', label: 'one row' },
                                        { key: '2', label: 'two rows' },
                                    ]}
                                />
                            </div>
                        </Fields>
                    </Sheet>
                </form>
                {claimLine === null ? null : (
                    <Sheet title="Claim line" caption={claimLine.caption ?? 'what the label promises'} aside="MB/s">
                        <ClaimLine line={claimLine} />
                    </Sheet>
                )}
            </main>
            {margin === null || card === null ? <NewMargin /> : <Margin margin={margin} here={`/intake/${card.tag}`} />}
        </>
    );
}

/** Errors of single entries of a list come under names such as marks.0. */
function firstOf(errors: Record<string, unknown>, field: string): string | undefined {
    const key = Object.keys(errors).find((name) => name === field || name.startsWith(`${field}.`));
    const error = key === undefined ? undefined : errors[key];
    return typeof error === 'string' ? error : undefined;
}

/** What to know before anything is known. */
function NewMargin() {
    return (
        <MarginLook>
            <h2>Before it is plugged in</h2>
            <Reasons
                reasons={[
                    {
                        bearing: 'Unproven',
                        lead: 'A mark is a minimum.',
                        rest: 'V60 promises 60 MB/s of sustained writing; it says nothing of the top speed.',
                        evidence: 'SD Association speed-class tables',
                    },
                    {
                        bearing: 'Unproven',
                        lead: 'Cameras speak Mb/s, cards MB/s.',
                        rest: '400 Mb/s is 50 MB/s. Write the unit, and both are right.',
                        evidence: 'IEC 80000-13',
                    },
                    {
                        bearing: 'Unproven',
                        lead: 'Turn the card over.',
                        rest: 'UHS-II and SD Express have two rows of contacts. A card that claims them with one row is not what it says.',
                        evidence: 'SD physical-layer specification',
                    },
                ]}
            />
            <Caution
                caution={{
                    lead: 'Nothing is proven yet.',
                    rest: 'Put no footage on it before its capacity has been read back.',
                }}
            />
        </MarginLook>
    );
}
