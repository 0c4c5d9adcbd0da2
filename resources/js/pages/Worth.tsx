import { Head, useForm } from '@inertiajs/react';
import { Caution, MarginLook } from '../frame/Margin';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { CountField, DayField } from '../parts/countAndDay';
import { SelectField, TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { Nothing } from '../parts/Nothing';
import { ServerForm } from '../parts/ServerForm';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import type { PurchaseProps, WorthPage } from '../types/generated/props';

/** Things that were bought to save time: what was expected, and what they really saved. */
export default function Worth({ purchases, kit, today, person }: WorthPage) {
    const form = useForm({
        tag: kit[0]?.key ?? '',
        price: '',
        hour: '',
        minutes: '',
        aMonth: '',
        on: today,
        by: person,
    });
    const field = formField(form);
    return (
        <>
            <Head title="Was it worth it?" />
            <main>
                <Title>
                    <div>
                        <h1>Was it worth it?</h1>
                        <p>What was bought to save time, what was expected of it, and what it really saved since.</p>
                    </div>
                </Title>
                {purchases.length === 0 ? (
                    <Nothing>Nothing is entered yet. Enter what was bought, and what you expect of it.</Nothing>
                ) : (
                    <Bought purchases={purchases} />
                )}
                <Sheet title="Something was bought">
                    <ServerForm
                        onSubmit={(event) => {
                            event.preventDefault();
                            form.post('/ledger/worth', {
                                preserveScroll: true,
                                onSuccess: () => {
                                    form.reset('price', 'minutes', 'aMonth');
                                },
                            });
                        }}
                    >
                        <Fields>
                            <SelectField
                                {...field('tag')}
                                label="Reader or drive"
                                choices={kit.map((one) => ({ key: one.key, label: one.label }))}
                            />
                            <TextField {...field('price')} label="It cost, such as 89 EUR" figures />
                            <TextField {...field('hour')} label="An hour is worth, such as 60 EUR" figures />
                            <DayField {...field('on')} label="Bought on" />
                            <CountField {...field('minutes')} label="It is to save of an offload, minutes" />
                            <CountField {...field('aMonth')} label="Offloads a month" />
                            <NameField {...field('by')} name="worth-by" label="Your name" />
                            <div style={{ alignSelf: 'end' }}>
                                <Button type="submit" data-main="" isDisabled={form.processing}>
                                    Enter it
                                </Button>
                            </div>
                        </Fields>
                    </ServerForm>
                </Sheet>
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>How it is reckoned</h2>
                <p style={{ fontSize: 13 }}>
                    For each plan that was carried out since: the best plan without it, by the same model and rates,
                    less what it really took. A plan that could not have been made without it tells nothing, nor does a
                    made-up offload.
                </p>
                <Caution
                    caution={{
                        lead: 'Time is not all.',
                        rest: 'A second reader that stands in for a broken one has paid on that evening alone.',
                    }}
                />
            </MarginLook>
        </>
    );
}

function Bought({ purchases }: { purchases: readonly PurchaseProps[] }) {
    return (
        <Ruled aria-label="What was bought">
            <thead>
                <tr>
                    <th>What</th>
                    <th>Expected</th>
                    <th>Really saved</th>
                    <th>Of its price</th>
                    <th>Worth it?</th>
                </tr>
            </thead>
            <tbody>
                {purchases.map((one) => (
                    <tr key={one.id}>
                        <td>
                            <b>{one.tag}</b> {one.name}
                            <br />
                            {one.price}, {one.on}
                        </td>
                        <td>{one.hoped}</td>
                        <td>
                            {one.saved}
                            {one.open === 0 ? '' : `; ${one.open} still to be reckoned: look again`}
                        </td>
                        <td>
                            <Share share={one.share} />
                        </td>
                        <td>{one.words}</td>
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}

/** The price as a line, and how much of it came back. */
function Share({ share }: { share: number }) {
    const width = 90;
    const back = Math.max(0, Math.min(share, 1.3)) * 68;
    return (
        <svg width={width} height="16" role="img" aria-label={`${Math.floor(share * 100)} % of its price`}>
            <path d="M0 8H90" stroke="var(--rule)" />
            <path d={`M0 8H${back}`} stroke={share >= 1 ? 'var(--tarn)' : 'var(--pencil)'} strokeWidth="5" />
            <path d="M68 1V15" stroke="var(--rust)" strokeWidth="2" />
        </svg>
    );
}
