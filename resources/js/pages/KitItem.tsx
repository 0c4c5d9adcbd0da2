import { Head, Link, useForm } from '@inertiajs/react';
import { useState } from 'react';
import styled from 'styled-components';
import { megabytes } from '../format';
import { MarginLook } from '../frame/Margin';
import { Fields as FieldsLook } from '../intake/Fields';
import { Ceilings } from '../kit/Ceilings';
import { DriveCare } from '../kit/DriveCare';
import { DriveFindings } from '../kit/DriveFindings';
import { KitField } from '../kit/KitField';
import { sent, start, startParts, type Fields, type Part } from '../kit/values';
import { Button } from '../parts/Button';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import { both, StaleSheet } from '../parts/StaleSheet';
import type { KitFormProps, KitItemPage, KitPartsProps, SeenProps, SightingProps } from '../types/generated/props';

const Row = styled.fieldset`
    border: 0;
    border-top: 1px solid var(--rule);
    margin: 0;
    padding: 8px 0 10px;
    legend {
        float: left;
        width: 100%;
        display: flex;
        justify-content: space-between;
        font-size: 12.5px;
        color: var(--pencil);
    }
    legend button,
    > button {
        border: 0;
        background: transparent;
        padding: 0;
        color: var(--pencil);
        cursor: pointer;
        text-decoration: underline;
        text-underline-offset: 3px;
    }
`;

const Wrong = styled.p`
    color: var(--rust);
    font-size: 13px;
    margin-top: 8px;
`;

export default function KitItem(props: KitItemPage) {
    return <Surface key={`${props.form.kind} ${props.form.key ?? 'new'}`} {...props} />;
}

function Surface({ form, ceilings, sightings, trouble, found, state, care }: KitItemPage) {
    // What is corrected: as it was when this page was loaded, and not as others have saved it since.
    const [base, setBase] = useState({ fields: start(form.fields), parts: JSON.stringify(startParts(form)), state });
    const [fields, setFields] = useState<Fields>(() => start(form.fields));
    const [parts, setParts] = useState<Part[]>(() => startParts(form));
    const sending = useForm({});
    const errors = sending.errors as Record<string, string>;
    const busy = sending.processing;
    const take = (stands: KitFormProps, shown: Fields, rows: Part[], of: string) => {
        setBase({ fields: start(stands.fields), parts: JSON.stringify(startParts(stands)), state: of });
        setFields(shown);
        setParts(rows);
        sending.clearErrors();
    };
    const options = {
        preserveScroll: true,
        onSuccess: ({ props }: { props: unknown }) => {
            const now = props as KitItemPage;
            take(now.form, start(now.form.fields), startParts(now.form), now.state);
        },
    };
    const save = () => {
        const shape = form.parts;
        const data = {
            ...sent(form.fields, fields),
            ...(shape === null
                ? {}
                : { [shape.name]: parts.map((part) => ({ id: part.id, ...sent(shape.blank, part.fields) })) }),
        };
        sending.transform(() => (form.key === null ? data : { ...data, state: base.state }));
        if (form.key === null) {
            sending.post(`/kit/${form.kind}`, options);
        } else {
            sending.put(`/kit/${form.kind}/${form.key}`, options);
        }
    };
    return (
        <>
            <Head title={form.title} />
            <main>
                <form
                    noValidate
                    onSubmit={(event) => {
                        event.preventDefault();
                        save();
                    }}
                >
                    <Title>
                        <div>
                            <h1>{form.title}</h1>
                            <p>
                                <Link href="/kit" style={{ color: 'inherit' }}>
                                    All kit
                                </Link>
                            </p>
                        </div>
                        <Button type="submit" data-main="" isDisabled={busy}>
                            {form.key === null ? `Add this ${form.one}` : `Save this ${form.one}`}
                        </Button>
                    </Title>
                    {errors['state'] === undefined ? null : (
                        <StaleSheet
                            title={`Somebody else saved this ${form.one}`}
                            says={errors['state']}
                            labels={new Map(form.fields.map((field) => [field.name, field.label]))}
                            base={base.fields}
                            theirs={start(form.fields)}
                            mine={fields}
                            onBoth={() => {
                                const untouched = JSON.stringify(parts) === base.parts;
                                take(
                                    form,
                                    both<Fields>(base.fields, start(form.fields), fields),
                                    untouched ? startParts(form) : parts,
                                    state,
                                );
                            }}
                            onTheirs={() => {
                                take(form, start(form.fields), startParts(form), state);
                            }}
                        />
                    )}
                    <Sheet title="In the books">
                        <FieldsLook>
                            {form.fields.map((field) => (
                                <KitField
                                    key={field.name}
                                    field={field}
                                    value={fields[field.name] ?? []}
                                    error={errors[field.name]}
                                    onChange={(value) => {
                                        setFields({ ...fields, [field.name]: value });
                                    }}
                                />
                            ))}
                        </FieldsLook>
                    </Sheet>
                    {form.parts === null ? null : (
                        <Parts shape={form.parts} parts={parts} errors={errors} onChange={setParts} />
                    )}
                </form>
                {ceilings.length === 0 ? null : (
                    <Sheet title="Ceilings" caption="open: on paper; filled: what is planned with">
                        <Ceilings ceilings={ceilings} sources />
                    </Sheet>
                )}
                {form.kind === 'readers' && form.key !== null ? (
                    <>
                        <Sightings sightings={sightings} />
                        <Trouble trouble={trouble} />
                    </>
                ) : null}
                {form.kind === 'drives' && form.key !== null ? <DriveFindings found={found} /> : null}
                {care === null || form.key === null ? null : <DriveCare tag={form.key} care={care} />}
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>As precise as you know it</h2>
                <p style={{ fontSize: 13 }}>
                    Plans and verdicts rest on this. A figure of your own wins over standard and practice, so it says
                    how it was got.
                </p>
                {form.key === null ? null : (
                    <>
                        <p style={{ fontSize: 13 }}>
                            <Link href={`/kit/${form.kind}/new?like=${form.key}`} style={{ color: 'inherit' }}>
                                Add another {form.one} like this
                            </Link>
                        </p>
                        <Button
                            quiet
                            isDisabled={busy}
                            onPress={() => {
                                sending.delete(`/kit/${form.kind}/${form.key ?? ''}`, options);
                            }}
                        >
                            Delete it from the kit
                        </Button>
                        {errors['delete'] === undefined ? null : <Wrong role="alert">{errors['delete']}</Wrong>}
                    </>
                )}
            </MarginLook>
        </>
    );
}

function Parts({
    shape,
    parts,
    errors,
    onChange,
}: {
    shape: KitPartsProps;
    parts: Part[];
    errors: Record<string, string>;
    onChange: (parts: Part[]) => void;
}) {
    return (
        <Sheet title={shape.title}>
            {parts.map((part, i) => (
                <Row key={part.row}>
                    <legend>
                        <span>
                            {shape.one} {i + 1}
                        </span>
                        <button
                            type="button"
                            onClick={() => {
                                onChange(parts.filter((other) => other !== part));
                            }}
                        >
                            remove {shape.one} {i + 1}
                        </button>
                    </legend>
                    <FieldsLook style={{ clear: 'both' }}>
                        {shape.blank.map((field) => (
                            <KitField
                                key={field.name}
                                field={field}
                                value={part.fields[field.name] ?? []}
                                error={errors[`${shape.name}.${i}.${field.name}`]}
                                onChange={(value) => {
                                    onChange(
                                        parts.map((other) =>
                                            other === part
                                                ? { ...part, fields: { ...part.fields, [field.name]: value } }
                                                : other,
                                        ),
                                    );
                                }}
                            />
                        ))}
                    </FieldsLook>
                </Row>
            ))}
            <Row as="div">
                <button
                    type="button"
                    onClick={() => {
                        const row = Math.max(-1, ...parts.map((part) => part.row)) + 1;
                        onChange([...parts, { id: 0, row, fields: start(shape.blank) }]);
                    }}
                >
                    Add a {shape.one}
                </button>
            </Row>
            {errors[shape.name] === undefined ? null : <Wrong role="alert">{errors[shape.name]}</Wrong>}
        </Sheet>
    );
}

function Sightings({ sightings }: { sightings: SightingProps[] }) {
    if (sightings.length === 0) {
        return null;
    }
    const figure = (rate: number | null) => (rate === null ? '–' : megabytes(rate));
    return (
        <Sheet title="Fastest seen here" caption="the best trusted run of each card; on simulated cards too">
            <Ruled aria-label="Fastest seen here">
                <thead>
                    <tr>
                        <th>Card</th>
                        <th className="n">Write MB/s</th>
                        <th className="n">Read MB/s</th>
                        <th>Region</th>
                        <th>Run</th>
                    </tr>
                </thead>
                <tbody>
                    {sightings.map((one) => (
                        <tr key={one.card}>
                            <td className="figure">
                                <Link href={`/measure/${one.card}`} style={{ color: 'inherit' }}>
                                    {one.card}
                                </Link>
                            </td>
                            <td className="n">{figure(one.write)}</td>
                            <td className="n">{figure(one.read)}</td>
                            <td>{one.region}</td>
                            <td>{one.run}</td>
                        </tr>
                    ))}
                </tbody>
            </Ruled>
        </Sheet>
    );
}

function Trouble({ trouble }: { trouble: SeenProps[] }) {
    return (
        <Sheet title="Seating and detection" caption="what went badly in this reader">
            {trouble.length === 0 ? (
                <p style={{ fontSize: 13 }}>No card sat badly in it so far.</p>
            ) : (
                <Ruled aria-label="Trouble in this reader">
                    <thead>
                        <tr>
                            <th>Card</th>
                            <th>Seen</th>
                            <th>By</th>
                            <th>When</th>
                        </tr>
                    </thead>
                    <tbody>
                        {trouble.map((one) => (
                            <tr key={one.id}>
                                <td className="figure">
                                    <Link href={`/inspect/${one.card}`} style={{ color: 'inherit' }}>
                                        {one.card}
                                    </Link>
                                </td>
                                <td>{one.answer}</td>
                                <td>{one.by}</td>
                                <td>{one.on}</td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            )}
        </Sheet>
    );
}
