import { Head, Link, router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { ValuePlane } from '../charts/ValuePlane';
import { megabytes, reached } from '../format';
import { Caution, MarginLook } from '../frame/Margin';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { CountField } from '../parts/countAndDay';
import { SelectField, TextField } from '../parts/fields';
import { Nothing } from '../parts/Nothing';
import { ServerForm } from '../parts/ServerForm';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import { PlainList } from '../plan/PlainList';
import type { BuyAskedProps, BuyPage, OfferProps, SpareProps } from '../types/generated/props';

/** What to buy for a need, from what the house’s own cards were found to be. */
export default function Buy(props: BuyPage) {
    return <Surface key={JSON.stringify(props.asked)} {...props} />;
}

function Surface(props: BuyPage) {
    const { offers, labelOnly, picks, currency } = props;
    const pass = offers.filter((offer) => offer.passes).length;
    return (
        <>
            <Head title="What to buy" />
            <main>
                <Title>
                    <div>
                        <h1>What to buy: {props.need}</h1>
                        <p>
                            {offers.length === 0
                                ? 'No model that was tested here has a price. '
                                : `${pass} of ${offers.length} models that were tested here pass. `}
                            <Link href="/prices" style={{ color: 'inherit' }}>
                                Add a quote
                            </Link>{' '}
                            ·{' '}
                            <Link href="/ledger/sellers" style={{ color: 'inherit' }}>
                                sellers and lots
                            </Link>
                        </p>
                    </div>
                </Title>
                <Ask asked={props.asked} modes={props.modes} />
                {offers.length + labelOnly.length === 0 ? (
                    <Nothing>No card or quote with a price is large enough and fits.</Nothing>
                ) : (
                    <>
                        <Sheet
                            title="Value plane"
                            caption="price against what was measured here; the struck-out are left out"
                            aside={`${currency} a GB, MB/s kept up`}
                        >
                            <ValuePlane
                                offers={offers}
                                labelOnly={labelOnly}
                                floor={props.floor}
                                need={props.need}
                                currency={currency}
                                picks={picks}
                            />
                        </Sheet>
                        {offers.length === 0 ? null : (
                            <Offers title="Tested here" offers={offers} currency={currency} />
                        )}
                        {labelOnly.length === 0 ? null : (
                            <Offers
                                title="Label only: nobody here has tested it"
                                offers={labelOnly}
                                currency={currency}
                            />
                        )}
                    </>
                )}
                {props.spares.length === 0 ? null : <Spares spares={props.spares} />}
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>By three rules</h2>
                {picks.map((pick) => (
                    <p
                        key={pick.criterion}
                        style={{ borderTop: '1px solid var(--rule)', paddingTop: 8, fontSize: 13.2 }}
                    >
                        <b style={{ display: 'block' }}>
                            {pick.criterion.charAt(0).toUpperCase() + pick.criterion.slice(1)}
                        </b>
                        {pick.sentence}
                    </p>
                ))}
                {props.struck.length === 0 ? null : (
                    <>
                        <h3>Struck out</h3>
                        <PlainList>
                            {props.struck.map((sentence) => (
                                <li key={sentence}>{sentence}</li>
                            ))}
                        </PlainList>
                    </>
                )}
                <Caution
                    caution={{
                        lead: 'A card like another is not that card.',
                        rest:
                            'Prove and measure what you buy before it is recorded on. ' +
                            'Keep one spare for anything that records without a pause.',
                    }}
                />
            </MarginLook>
        </>
    );
}

/** What records without a pause on the shoots that are ahead, and whether its spare is still good. */
function Spares({ spares }: { spares: readonly SpareProps[] }) {
    return (
        <Ruled aria-label="Spares">
            <thead>
                <tr>
                    <th>Records without a pause</th>
                    <th>Shoot</th>
                    <th>Spare</th>
                </tr>
            </thead>
            <tbody>
                {spares.map((spare) => (
                    <tr key={`${spare.shoot} ${spare.what}`}>
                        <td>{spare.what}</td>
                        <td>
                            <Link href={`/fit/shoots/${spare.shoot}`}>{spare.name}</Link>, {spare.begins}
                        </td>
                        <td>
                            {spare.card}
                            {spare.trouble === '' ? null : (
                                <b>
                                    {spare.card === '' ? '' : ', '}
                                    {spare.trouble}
                                </b>
                            )}
                        </td>
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}

function Ask({ asked, modes }: { asked: BuyAskedProps; modes: BuyPage['modes'] }) {
    const { errors } = usePage().props;
    const [typed, setTyped] = useState(asked);
    const field = (name: keyof BuyAskedProps) => ({
        name,
        value: typed[name],
        error: errors[name],
        onChange: (value: string) => {
            setTyped({ ...typed, [name]: value });
        },
    });
    return (
        <ServerForm
            onSubmit={(event) => {
                event.preventDefault();
                router.get('/ledger/buy', { ...typed }, { preserveScroll: true, preserveState: 'errors' });
            }}
        >
            <Fields>
                <SelectField
                    {...field('mode')}
                    label="For"
                    choices={[
                        { key: '', label: 'a floor, or anything' },
                        ...modes.map(({ key, label }) => ({ key, label })),
                    ]}
                />
                <TextField {...field('floor')} label="or never under" placeholder="45 MB/s" figures />
                <TextField {...field('size')} label="At least" placeholder="128 GB" figures />
                <CountField {...field('count')} label="How many" placeholder="1" />
                <TextField {...field('reader')} label="A reader costs" placeholder="89 EUR" figures />
                <div style={{ alignSelf: 'end' }}>
                    <Button type="submit" data-main="">
                        Ask what to buy
                    </Button>
                </div>
            </Fields>
        </ServerForm>
    );
}

function Offers({ title, offers, currency }: { title: string; offers: readonly OfferProps[]; currency: string }) {
    const isTested = offers.some((offer) => offer.keepsUp !== null);
    return (
        <Ruled aria-label={title}>
            <thead>
                <tr>
                    <th>{title}</th>
                    <th>Price</th>
                    <th className="n">{currency} a GB</th>
                    <th className="n">A TB</th>
                    <th className="n">{isTested ? 'Keeps up' : 'Promises'}</th>
                    <th className="n">Per MB/s</th>
                    <th>Tested</th>
                    <th>Failed</th>
                </tr>
            </thead>
            <tbody>
                {offers.map((offer) => (
                    <tr key={offer.key}>
                        <td>
                            {offer.passes ? <b>{offer.name}</b> : offer.name}
                            <br />
                            <small>
                                {offer.line}
                                {offer.seller === '' ? '' : ` · ${offer.seller}`}
                                {offer.reader === '' ? '' : ` · ${offer.reader}`}
                            </small>
                        </td>
                        <td>{offer.price}</td>
                        <td className="n">{offer.perGigabyte.toFixed(2)}</td>
                        <td className="n">{offer.perTerabyte}</td>
                        <td className="n">
                            {offer.keepsUp === null
                                ? offer.promises === null
                                    ? '–'
                                    : megabytes(offer.promises)
                                : reached(offer.keepsUp)}
                        </td>
                        <td className="n">{offer.perSpeed === '' ? '–' : offer.perSpeed}</td>
                        <td>{offer.tested}</td>
                        <td>{offer.failed === '' ? 'none' : offer.failed}</td>
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}
