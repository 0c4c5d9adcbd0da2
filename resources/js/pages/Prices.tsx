import { Head, router, useForm } from '@inertiajs/react';
import styled from 'styled-components';
import { PriceRows } from '../charts/PriceRows';
import { Caution, MarginLook } from '../frame/Margin';
import { Button } from '../parts/Button';
import { DayField } from '../parts/countAndDay';
import { SelectField, TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import type { PricesPage } from '../types/generated/props';

const Ask = styled.form`
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 12px 22px;
    padding: 2px 0 8px;
    align-items: end;
    > button {
        justify-self: start;
    }
    @media (max-width: 560px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

const Plain = styled.button`
    border: 0;
    background: transparent;
    padding: 0;
    cursor: pointer;
    color: var(--pencil);
    text-decoration: underline;
    text-underline-offset: 3px;
`;

/** What such cards cost: the house's own quotes, their median for each kind, and which cards were too good to be true. */
export default function Prices({ references, quotes, forms, tiers, today }: PricesPage) {
    const form = useForm({ form: 'sd', tier: '30', capacity: '', price: '', quoted_on: today, source: '', model: '' });
    const text = formField(form);
    return (
        <>
            <Head title="Prices" />
            <main>
                <Title>
                    <div>
                        <h1>What such cards cost</h1>
                        <p>From the house’s own quotes alone; a card’s price is held against the median of its kind.</p>
                    </div>
                </Title>
                <Sheet
                    title="Per gigabyte"
                    caption="dots are quotes, flags the house’s cards"
                    aside="% of each kind’s median"
                >
                    {references.length === 0 ? (
                        <p style={{ fontSize: 13.5 }}>No reference yet: enter the first quote below.</p>
                    ) : (
                        <PriceRows references={references} />
                    )}
                </Sheet>
                <Sheet title="A quote" caption="what somebody asks for a new card of a known kind">
                    <Ask
                        noValidate
                        onSubmit={(event) => {
                            event.preventDefault();
                            form.post('/prices', {
                                preserveScroll: true,
                                onSuccess: () => {
                                    form.reset('capacity', 'price', 'model');
                                },
                            });
                        }}
                    >
                        <SelectField
                            name="form"
                            label="Form"
                            value={form.data.form}
                            choices={forms}
                            error={form.errors.form}
                            onChange={(value) => {
                                form.setData('form', value);
                            }}
                        />
                        <SelectField
                            name="tier"
                            label="Highest mark"
                            value={form.data.tier}
                            choices={tiers
                                .filter((tier) => tier.forms.includes(form.data.form))
                                .map(({ key, label }) => ({ key, label }))}
                            error={form.errors.tier}
                            onChange={(value) => {
                                form.setData('tier', value);
                            }}
                        />
                        <TextField {...text('capacity')} label="Capacity" figures placeholder="128 GB" />
                        <TextField {...text('price')} label="Price" figures placeholder="41.00 EUR" />
                        <TextField {...text('source')} label="Seller" placeholder="a shop, a list" />
                        <DayField {...text('quoted_on')} label="On" />
                        <TextField {...text('model')} label="Model, if it is one" placeholder="as its label says" />
                        <Button type="submit" data-main="" isDisabled={form.processing}>
                            Save this quote
                        </Button>
                    </Ask>
                </Sheet>
                {quotes.length === 0 ? null : (
                    <Ruled aria-label="Quotes">
                        <thead>
                            <tr>
                                <th>Kind</th>
                                <th className="n">Capacity</th>
                                <th className="n">Price</th>
                                <th className="n">Per GB</th>
                                <th>On</th>
                                <th>Seller</th>
                                <th>
                                    <span className="sr">Delete</span>
                                </th>
                            </tr>
                        </thead>
                        <tbody>
                            {quotes.map((quote) => (
                                <tr key={quote.id}>
                                    <td>{quote.kind}</td>
                                    <td className="n">{quote.capacity}</td>
                                    <td className="n">{quote.price}</td>
                                    <td className="n">{quote.perGigabyte}</td>
                                    <td>{quote.on}</td>
                                    <td>{quote.source}</td>
                                    <td>
                                        <Plain
                                            type="button"
                                            aria-label={`Delete the quote of ${quote.price} by ${quote.source}`}
                                            onClick={() => {
                                                router.delete(`/prices/${quote.id}`, { preserveScroll: true });
                                            }}
                                        >
                                            delete
                                        </Plain>
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </Ruled>
                )}
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>Too good to be true</h2>
                <p style={{ fontSize: 13 }}>
                    Under a half of the median is a doubt, under a quarter a contradiction with the market. Neither says
                    what the card is: a full proof and a speed run do.
                </p>
                <Caution
                    caution={{
                        lead: 'Few quotes make a weak median.',
                        rest: 'Each finding says how many it stands on. Common practice of the trade; no source.',
                    }}
                />
            </MarginLook>
        </>
    );
}
