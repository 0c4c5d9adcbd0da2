import { Head, useForm } from '@inertiajs/react';
import { useEffect, useRef, useState, type SyntheticEvent } from 'react';
import styled from 'styled-components';
import { ClaimLine } from '../charts/ClaimLine';
import { Caution, Margin, MarginLook, Reasons } from '../frame/Margin';
import { PreviewMargin } from '../frame/PreviewMargin';
import { Button } from '../parts/Button';
import { CardHeading } from '../parts/CardHeading';
import { Options, Ticks } from '../parts/choices';
import { SelectField, TextField } from '../parts/fields';
import { Sheet, Title } from '../parts/Sheet';
import { useAsk } from '../parts/useAsk';
import type {
    CardProps,
    ChoiceProps,
    ChoicesProps,
    ClaimLineProps,
    IntakeProps,
    LineProps,
    MarginProps,
    PreviewProps,
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
    > .whole {
        grid-column: 1 / -1;
    }
    @media (max-width: 560px) {
        > *,
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

const NotUnderstood = styled.p`
    grid-column: 1 / -1;
    font-size: 12.5px;
    color: var(--pencil);
    margin-top: -8px;
    mark {
        background: transparent;
        color: var(--rust);
        font-weight: 650;
        border-bottom: 1px dashed var(--rust);
        margin-right: 8px;
    }
`;

type Values = Record<keyof IntakeProps, string | string[]>;

function Surface({ card, values, choices, margin, claimLine }: Props) {
    const form = useForm<Values>({ ...values });
    const [line, setLine] = useState('');
    const reading = useAsk('/intake/line', line.trim() === '' ? null : { line }) as LineProps | null;
    useFill(reading, values, form.setData);
    const typing = card === null || form.isDirty;
    const preview = useAsk('/intake/preview', typing ? form.data : null) as PreviewProps | null;
    const from = (field: keyof IntakeProps) =>
        reading?.fields.find((entry) => entry.field === field && entry.value === form.data[field])?.from;
    const text = (field: keyof IntakeProps) => {
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
                            <div className="whole">
                                <TextField
                                    name="line"
                                    label="The whole line, pasted or typed: the fields fill themselves"
                                    value={line}
                                    onChange={setLine}
                                    placeholder="128GB SDXC II U3 V60 250MB/s"
                                    figures
                                    autoFocus={card === null}
                                />
                            </div>
                            {reading === null ? null : <Left reading={reading} />}
                            <TextField {...text('tag')} label="Tag" figures />
                            <div className="half">
                                <TextField {...text('name')} label="Maker and series" placeholder="as printed" />
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
                                    label={
                                        reading?.marksFrom == null
                                            ? 'Speed marks'
                                            : `Speed marks, from “${reading.marksFrom}”`
                                    }
                                    choices={marks}
                                    value={[form.data.marks].flat()}
                                    onChange={(value) => {
                                        form.setData('marks', value);
                                    }}
                                    error={firstOf(form.errors, 'marks')}
                                />
                            </div>
                            <TextField {...text('read')} label="Claims to read" figures placeholder="not printed" />
                            <TextField {...text('write')} label="Claims to write" figures placeholder="not printed" />
                            <TextField
                                {...text('sustained')}
                                label="Sustained write"
                                figures
                                placeholder="not printed"
                            />
                            <TextField {...text('times')} label="×-rating" figures placeholder="not printed" />
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

/** Puts what was read from the line into the form, over what was read before; fields the line says nothing of stay as they are. */
function useFill(reading: LineProps | null, values: IntakeProps, setData: (fill: (before: Values) => Values) => void) {
    const last = useRef<LineProps | null>(null);
    useEffect(() => {
        const filled = last.current;
        if (reading === null || reading === filled) {
            return;
        }
        last.current = reading;
        setData((before) => {
            const next = { ...before };
            for (const entry of filled?.fields ?? []) {
                const field = entry.field as keyof IntakeProps;
                next[field] = before[field] === entry.value ? values[field] : before[field];
            }
            for (const entry of reading.fields) {
                next[entry.field as keyof IntakeProps] = entry.value;
            }
            next.marks = reading.marks.length > 0 ? reading.marks : before.marks;
            const words = reading.unknown.join(' ');
            // Words that are no standard’s are most often the maker’s; only an untouched name is filled with them.
            if (/\p{L}/u.test(words) && (before.name === '' || before.name === filled?.unknown.join(' '))) {
                next.name = words;
            }
            return next;
        });
    }, [reading, values, setData]);
}

function Left({ reading }: { reading: LineProps }) {
    if (reading.unknown.length === 0 && reading.notes.length === 0) {
        return null;
    }
    return (
        <NotUnderstood role="status">
            {reading.unknown.length === 0 ? null : 'No standard knows: '}
            {reading.unknown.map((part) => (
                <mark key={part}>{part}</mark>
            ))}
            {reading.notes.join(' ')}
        </NotUnderstood>
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
