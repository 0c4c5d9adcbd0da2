import { Head, Link, useForm } from '@inertiajs/react';
import styled from 'styled-components';
import { Margin } from '../frame/Margin';
import { Button } from '../parts/Button';
import { CardHeading } from '../parts/CardHeading';
import { DayField } from '../parts/countAndDay';
import { SelectField, TextField } from '../parts/fields';
import { NameField } from '../parts/NameField';
import { Sheet, Title } from '../parts/Sheet';
import { useAsk } from '../parts/useAsk';
import type { TypedPage } from '../types/generated/props';

interface Reading extends Record<string, string> {
    way: string;
    size: string;
    time: string;
    speed: string;
}

const EMPTY: Reading = { way: 'read', size: '', time: '', speed: '' };

const Grid = styled.div`
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    gap: 10px 20px;
    padding-bottom: 6px;
    &.three {
        grid-template-columns: repeat(3, minmax(0, 1fr));
    }
    .said {
        grid-column: 1 / -1;
        font-size: 12.5px;
        color: var(--pencil);
        min-height: 19px;
        margin-top: -4px;
    }
    .said b {
        font-family: var(--figures);
        font-stretch: 75%;
        color: var(--ink);
        margin-right: 8px;
    }
    .said .wrong {
        color: var(--rust);
    }
    @media (max-width: 560px) {
        &,
        &.three {
            grid-template-columns: minmax(0, 1fr);
        }
    }
`;

/** Figures from elsewhere, in any unit; size, time and speed are held against each other while they are typed. */
export default function Typed({ card, chain, today, person, margin }: TypedPage) {
    const form = useForm({
        readings: [{ ...EMPTY, way: 'write' }, EMPTY] as Reading[],
        reader: '',
        port: '',
        on: today,
        by: person,
        note: '',
        beside: '',
    });
    const { readings } = form.data;
    const checks = useAsk('/typed/check', { readings }) ?? [];
    const errors = form.errors as Record<string, string | undefined>;
    const filled = readings.filter((one) => one.size !== '' || one.time !== '' || one.speed !== '');
    const change = (at: number, field: keyof Reading, value: string) => {
        form.setData(
            'readings',
            readings.map((one, i) => (i === at ? { ...one, [field]: value } : one)),
        );
    };
    const text = (field: 'on' | 'by' | 'note' | 'beside') => ({
        name: field,
        value: form.data[field],
        error: errors[field],
        onChange: (value: string) => {
            form.setData(field, value);
        },
    });
    const choice = (field: 'reader' | 'port') => ({
        name: field,
        value: form.data[field],
        error: errors[field],
        onChange: (value: string) => {
            form.setData(field, value);
        },
    });
    // The server counts only the rows that were sent, so its complaints are put back on the row they belong to.
    const sentAs = (at: number) => filled.indexOf(readings[at] ?? EMPTY);

    return (
        <>
            <Head title={`${card.tag}, typed figures`} />
            <main>
                <form
                    noValidate
                    onSubmit={(event) => {
                        event.preventDefault();
                        form.transform((data) => ({ ...data, readings: filled }));
                        form.post(`/cards/${card.tag}/typed`, { preserveScroll: true });
                    }}
                >
                    <Title>
                        <div>
                            <CardHeading card={card} />
                            <p>
                                Figures from elsewhere are marked as typed wherever they are shown.{' '}
                                <Link href={`/measure/${card.tag}`}>Back to its runs</Link>
                            </p>
                        </div>
                        <Button type="submit" data-main="" isDisabled={form.processing}>
                            {filled.length === 1 ? 'Save this figure' : 'Save these figures'}
                        </Button>
                    </Title>
                    <Sheet title="Figures" caption="a speed, or a size and a time, or all three" aside="any unit">
                        {readings.map((reading, at) => {
                            const check = checks[at];
                            const error = (field: string) => errors[`readings.${sentAs(at)}.${field}`];
                            return (
                                <Grid key={at} role="group" aria-label={`Figure ${at + 1}`}>
                                    <SelectField
                                        name={`way-${at}`}
                                        label="Written or read"
                                        value={reading.way}
                                        onChange={(value) => {
                                            change(at, 'way', value);
                                        }}
                                        choices={[
                                            { key: 'write', label: 'written' },
                                            { key: 'read', label: 'read' },
                                        ]}
                                    />
                                    {(
                                        [
                                            ['size', 'Size', '10 GB'],
                                            ['time', 'Time', '1:52'],
                                            ['speed', 'Speed', '92.98 MB/s'],
                                        ] as const
                                    ).map(([field, label, placeholder]) => (
                                        <TextField
                                            key={field}
                                            name={`${field}-${at}`}
                                            label={label}
                                            value={reading[field]}
                                            onChange={(value) => {
                                                change(at, field, value);
                                            }}
                                            error={error(field)}
                                            placeholder={placeholder}
                                            figures
                                        />
                                    ))}
                                    <p className="said" aria-live="polite">
                                        {check?.rate == null ? null : <b>{check.rate}</b>}
                                        <span className={check?.wrong === true ? 'wrong' : ''}>{check?.sentence}</span>
                                    </p>
                                </Grid>
                            );
                        })}
                        {errors['readings'] === undefined ? null : (
                            <p style={{ color: 'var(--rust)', fontSize: 12.5 }}>{errors['readings']}</p>
                        )}
                        <Button
                            quiet
                            onPress={() => {
                                form.setData('readings', [
                                    ...readings,
                                    { ...EMPTY, way: readings[readings.length - 1]?.way ?? 'read' },
                                ]);
                            }}
                        >
                            Add a figure
                        </Button>
                    </Sheet>
                    <Sheet title="Reader and port" caption="without it, nothing is blamed on the card">
                        <Grid>
                            <SelectField
                                {...choice('reader')}
                                label="Reader"
                                none="not known"
                                choices={chain.readers}
                            />
                            <SelectField {...choice('port')} label="Port" none="not known" choices={chain.ports} />
                            <DayField {...text('on')} label="Measured on" />
                            <NameField {...text('by')} label="Typed by" />
                        </Grid>
                        <Grid className="three">
                            <TextField
                                {...text('note')}
                                label="How it was measured"
                                placeholder="which program, which files"
                            />
                            <TextField {...text('beside')} label="Another card at the same time" placeholder="none" />
                        </Grid>
                    </Sheet>
                </form>
            </main>
            <Margin margin={margin} here={`/measure/${card.tag}/typed`} />
        </>
    );
}
