import { Head, Link, router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import { Form } from 'react-aria-components';
import styled from 'styled-components';
import { Nothing } from '../parts/Nothing';
import { ReachMap } from '../charts/ReachMap';
import { megabytes } from '../format';
import { Margin } from '../frame/Margin';
import { Button } from '../parts/Button';
import { TextField } from '../parts/fields';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import type { OffloadPage, RouteProps } from '../types/generated/props';

const Ask = styled(Form)`
    display: flex;
    align-items: flex-start;
    gap: 14px;
    > button {
        margin-top: 12px;
    }
    > div {
        width: 150px;
    }
`;

const Routes = styled(Ruled)`
    tbody tr {
        cursor: pointer;
    }
    tr[data-shown] td {
        background: var(--sheet);
        font-weight: 600;
    }
    button {
        border: 0;
        background: transparent;
        padding: 0;
        cursor: pointer;
        text-decoration: underline;
        text-decoration-color: var(--rule);
        text-underline-offset: 3px;
    }
`;

const LeftOut = styled.ul`
    list-style: none;
    color: var(--pencil);
    font-size: 12.5px;
    margin-top: 12px;
`;

export default function Offload(props: OffloadPage) {
    return <Surface key={`${props.card.tag} ${props.amount}`} {...props} />;
}

function Surface({ card, amount, routes, count, leftOut, margin }: OffloadPage) {
    const [asked, setAsked] = useState(amount);
    const [shown, setShown] = useState(0);
    const errors = usePage().props.errors as Record<string, string>;
    const best = routes[0];
    const route = routes[shown] ?? best;
    const struck = margin.verdict === 'Sham' || margin.verdict === 'Shaky';

    return (
        <>
            <Head title={`Offload ${card.tag}`} />
            <main>
                <Title>
                    <div>
                        <h1>
                            <span className="tag">{card.tag}</span>
                            {heading(struck, best)}
                        </h1>
                        <p>
                            {struck ? 'If there is footage on it, copy that first, alone, and keep the card. ' : ''}
                            {best === undefined ? (
                                'None of the readers, ports and drives at hand fit together for this card.'
                            ) : (
                                <>
                                    {amount} over <b>{best.reader}</b> and <b>{best.host}</b> to <b>{best.drive}</b>:
                                    copied in {best.copy}, read back in {best.verify}
                                </>
                            )}{' '}
                            <Link href="/offload" style={{ color: 'inherit' }}>
                                Plan all cards together
                            </Link>
                        </p>
                    </div>
                    <Ask
                        onSubmit={(event) => {
                            event.preventDefault();
                            router.get(`/offload/${card.tag}`, { amount: asked }, { preserveState: true });
                        }}
                    >
                        <TextField
                            name="amount"
                            label="Amount to copy"
                            value={asked}
                            onChange={setAsked}
                            error={errors['amount']}
                            figures
                        />
                        <Button type="submit" quiet data-main="">
                            Find the fastest way
                        </Button>
                    </Ask>
                </Title>
                {route === undefined ? null : (
                    <Sheet
                        title="Reach map"
                        caption="card to drive; width is speed, cut at four times the pinch"
                        aside={
                            <>
                                pinch: <strong style={{ color: 'var(--rust)' }}>{route.pinch}</strong>
                            </>
                        }
                    >
                        <ReachMap route={route} />
                    </Sheet>
                )}
                {routes.length === 0 ? (
                    <Nothing>
                        No way was found. <Link href="/kit">Add a reader that takes this card, a port or a drive</Link>.
                    </Nothing>
                ) : (
                    <Table routes={routes} shown={shown} onShow={setShown} count={count} />
                )}
                <LeftOut>
                    {leftOut.map((sentence) => (
                        <li key={sentence}>{sentence}</li>
                    ))}
                </LeftOut>
            </main>
            <Margin margin={margin} here={`/offload/${card.tag}`} />
        </>
    );
}

function heading(struck: boolean, best: RouteProps | undefined): string {
    if (struck) {
        return 'left out of every plan';
    }
    return best === undefined ? 'no way to copy it' : `done in ${best.total}`;
}

function Table({
    routes,
    shown,
    onShow,
    count,
}: {
    routes: RouteProps[];
    shown: number;
    onShow: (index: number) => void;
    count: number;
}) {
    return (
        <Routes aria-label={`The ${routes.length} fastest of ${count} ways`}>
            <thead>
                <tr>
                    <th>{count > routes.length ? `${routes.length} of ${count} ways` : 'Way'}</th>
                    <th className="n">MB/s</th>
                    <th className="n">Copied</th>
                    <th className="n">Read back</th>
                    <th className="n">Verified after</th>
                    <th>Pinch</th>
                </tr>
            </thead>
            <tbody>
                {routes.map((route, i) => (
                    <tr
                        key={`${route.reader} ${route.host} ${route.drive}`}
                        {...(i === shown ? { 'data-shown': '' } : {})}
                        onClick={() => {
                            onShow(i);
                        }}
                    >
                        <td>
                            <button
                                type="button"
                                aria-pressed={i === shown}
                                onClick={() => {
                                    onShow(i);
                                }}
                            >
                                {route.reader} → {route.host} → {route.drive}
                            </button>
                        </td>
                        <td className="n">{megabytes(route.rate)}</td>
                        <td className="n">{route.copy}</td>
                        <td className="n">{route.verify}</td>
                        <td className="n">{route.total}</td>
                        <td>{route.pinch}</td>
                    </tr>
                ))}
            </tbody>
        </Routes>
    );
}
