import { Head, Link, router, usePage } from '@inertiajs/react';
import { useCallback, useState } from 'react';
import { clock } from '../charts/Runbook';
import { percent } from '../format';
import { Caution, MarginLook } from '../frame/Margin';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { CountField } from '../parts/countAndDay';
import { SelectField } from '../parts/fields';
import { Nothing } from '../parts/Nothing';
import { Sheet, Title } from '../parts/Sheet';
import { useAsk } from '../parts/useAsk';
import { ServerForm } from '../parts/ServerForm';
import { BeginOffload } from '../plan/BeginOffload';
import { BetterPlan } from '../plan/BetterPlan';
import { KeepPlan } from '../plan/KeepPlan';
import { Offloads } from '../plan/Offloads';
import { OtherPlans } from '../plan/OtherPlans';
import { PlainList } from '../plan/PlainList';
import { copies, hands, PlanPictures } from '../plan/PlanPictures';
import { PluggedIn } from '../plan/PluggedIn';
import { RestsOn } from '../plan/RestsOn';
import { WhatHelps } from '../plan/WhatHelps';
import type { PlanPage, RangeProps } from '../types/generated/props';

const GOALS = [
    { key: 'safe', label: 'all safe soonest' },
    { key: 'free', label: 'cards free soonest' },
    { key: 'hands', label: 'least hands' },
];
const COPIES = ['1', '2', '3'].map((key) => ({ key, label: key }));
const VERIFY = [
    { key: 'read-back', label: 'read back' },
    { key: 'none', label: 'no read-back' },
];
const SCHEMES = [
    { key: 'any', label: 'any, for each card' },
    { key: 'straight', label: 'straight', detail: 'one copy after the other' },
    { key: 'fan-out', label: 'fan-out', detail: 'all copies at once' },
    { key: 'relay', label: 'relay', detail: 'drive to drive' },
];
const PREVIEWS = [
    { key: '0', label: 'off' },
    { key: '1', label: 'built while importing' },
];

/** The whole offload of an evening: when all is safe, who goes where, and what hands do when. */
export default function Plan(props: PlanPage) {
    return <Surface key={JSON.stringify([props.rules, props.ticked])} {...props} />;
}

function Surface({
    plan,
    ticked,
    holds,
    leftOut,
    rests,
    isTimed,
    isLong,
    saved,
    rules,
    person,
    isMadeUp,
    today,
    places,
    patterns,
    warnings,
    offloads,
    planKey,
    before,
}: PlanPage) {
    const { errors } = usePage().props;
    const [typed, setTyped] = useState(rules);
    // Cards that are ticked now come with what is on them; what a shoot will leave on them goes only with that shoot’s own.
    const fixed = { cards: ticked, ...(holds.length === 0 ? {} : { holds }) };
    const asked = { ...rules, ...fixed, ...(isLong ? { longer: '1' } : {}) };
    const ask = (change: Partial<typeof rules>, longer = false) => {
        const next = { ...rules, ...change, ...fixed, ...(longer ? { longer: '1' } : {}) };
        router.get('/offload', next, { preserveScroll: true, preserveState: 'errors' });
    };
    const field = (name: keyof typeof rules) => ({
        name,
        value: typed[name],
        error: errors[name],
        onChange: (value: string) => {
            setTyped({ ...typed, [name]: value });
        },
    });
    const count = plan.cards.length;
    // One after another: the server works each out to its end, also when the page has gone on, and nobody should wait behind all three.
    const [helped, setHelped] = useState(false);
    const endOfHelp = useCallback(() => {
        setHelped(true);
    }, []);
    const beside = useAsk('/offload/beside', count === 0 ? null : asked, 300);
    return (
        <>
            <Head title="The whole offload" />
            <main>
                <Title>
                    <div>
                        <h1>
                            {count === 0
                                ? 'Nothing to bring home'
                                : `Offload ${count} ${count === 1 ? 'card' : 'cards'}, ${copies(plan)}`}
                        </h1>
                        {count === 0 ? (
                            <p>No card that is ticked can be planned.</p>
                        ) : (
                            <p>
                                {holds.length === 0 ? '' : 'cards as the shoot will leave them · '}
                                {plan.amount} · {plan.readsBack ? 'all safe' : 'all copied'} after{' '}
                                <b>{clock(plan.done)}</b> · cards free after {clock(plan.free)} · {hands(plan.hands)}
                            </p>
                        )}
                    </div>
                    {count === 0 ? null : (
                        <BetterPlan
                            shown={plan}
                            goal={rules.goal}
                            asked={isLong || !helped ? null : asked}
                            isLong={isLong}
                            onTake={() => {
                                ask({}, true);
                            }}
                        />
                    )}
                </Title>
                {count === 0 ? (
                    <Nothing>
                        Tick cards in the tray. A card is planned once its footage is marked at{' '}
                        <Link href="/intake">Intake</Link>.
                    </Nothing>
                ) : (
                    <>
                        {warnings.length === 0 ? null : (
                            <PlainList role="note">
                                {warnings.map((sentence) => (
                                    <li key={sentence}>{sentence}</li>
                                ))}
                            </PlainList>
                        )}
                        <PlanPictures plan={plan} rests={rests} />
                        <RestsOn rests={rests} />
                        <p style={{ marginTop: 10 }}>
                            <a href={`/offload/runbook.pdf?${address({ ...asked, plan: planKey })}`}>
                                Print the runbook (PDF)
                            </a>{' '}
                            ·{' '}
                            <a href={`/offload/calendar.ics?${address({ ...asked, plan: planKey })}`}>
                                Alarms for a calendar, from now (ICS)
                            </a>
                        </p>
                    </>
                )}
                <Sheet title="How it comes home" caption="which cards: tick them in the tray">
                    <ServerForm
                        onSubmit={(event) => {
                            event.preventDefault();
                            ask(typed);
                        }}
                    >
                        <Fields>
                            <SelectField {...field('goal')} label="Goal" choices={GOALS} />
                            <SelectField {...field('copies')} label="Copies" choices={COPIES} />
                            <SelectField {...field('verify')} label="Verify" choices={VERIFY} />
                            <SelectField {...field('scheme')} label="Scheme" choices={SCHEMES} />
                            <CountField {...field('hands')} label="Pairs of hands" />
                            <CountField {...field('swap')} label="Seconds for a swap" />
                            {isTimed ? (
                                <SelectField {...field('previews')} label="Previews" choices={PREVIEWS} />
                            ) : null}
                            <div style={{ alignSelf: 'end' }}>
                                <Button type="submit">Plan again</Button>
                            </div>
                        </Fields>
                    </ServerForm>
                    {isTimed ? null : (
                        <p>
                            Does your import build previews? Time one, and enter it with its host in the{' '}
                            <Link href="/kit">kit</Link>.
                        </p>
                    )}
                </Sheet>
                {count === 0 || holds.length > 0 ? null : (
                    <BeginOffload
                        plan={plan}
                        planKey={planKey}
                        before={before}
                        person={person}
                        today={today}
                        places={places}
                        patterns={patterns}
                        isMadeUp={isMadeUp}
                    />
                )}
                {offloads.length === 0 ? null : <Offloads offloads={offloads} />}
                {count === 0 ? null : <KeepPlan planKey={planKey} person={person} saved={saved} />}
                {leftOut.length === 0 ? null : (
                    <Sheet title="Left out">
                        <PlainList>
                            {leftOut.map((sentence) => (
                                <li key={sentence}>{sentence}</li>
                            ))}
                        </PlainList>
                    </Sheet>
                )}
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>{count === 0 ? 'Plan' : clock(plan.done)}</h2>
                {count === 0 ? null : (
                    <Sure planned={plan.done} done={beside?.done ?? null} draws={beside?.draws ?? 0} />
                )}
                <Origins rests={rests} />
                <PluggedIn cabled={plan.cabled} />
                {beside === null ? null : (
                    <>
                        <h3>Other plans</h3>
                        <OtherPlans
                            others={beside.others}
                            onTake={({ goal, scheme }) => {
                                ask({ goal, scheme });
                            }}
                        />
                    </>
                )}
                {count === 0 ? null : <WhatHelps asked={beside === null ? null : asked} onFound={endOfHelp} />}
                {plan.loads.length === 0 ? null : (
                    <>
                        <h3>Busiest</h3>
                        <PlainList>
                            {plan.loads.map((load) => (
                                <li key={load.name}>
                                    {load.name}: full {percent(load.share)} of the time
                                </li>
                            ))}
                        </PlainList>
                    </>
                )}
                <Caution
                    caution={{
                        lead: 'Clear no card yet.',
                        rest: 'Each may be formatted only after two copies of it, on two drives, have been read back.',
                    }}
                />
            </MarginLook>
        </>
    );
}

/** How much of it was measured here. */
function Origins({ rests }: { rests: PlanPage['rests'] }) {
    const count = (origin: string) => rests.filter((one) => one.origin === origin).length;
    const parts = ['own measurement', 'practice', 'standard', 'claim']
        .map((origin) => ({ origin, count: count(origin) }))
        .filter((one) => one.count > 0)
        .map((one) => `${one.count} ${one.origin}`);
    return parts.length === 0 ? null : (
        <p>
            It rests on {rests.length} rates: {parts.join(', ')}.
        </p>
    );
}

/** The train is caught by the late end. */
function Sure({ planned, done, draws }: { planned: number; done: RangeProps | null; draws: number }) {
    return (
        <p role="status">
            {done === null ? (
                'Working out how sure that is…'
            ) : (
                <>
                    In 8 of 10 cases between <b>{clock(done.early)}</b> and <b>{clock(done.late)}</b>.{' '}
                    <small>
                        {clock(planned)} is with every link at its best; these are from {draws} reckonings with rates as
                        far off as they may be. For a train, count on the later one.
                    </small>
                </>
            )}
        </p>
    );
}

function address(asked: Record<string, string | string[]>): string {
    return new URLSearchParams(
        Object.entries(asked).flatMap(([name, value]): [string, string][] =>
            Array.isArray(value) ? value.map((one): [string, string] => [`${name}[]`, one]) : [[name, value]],
        ),
    ).toString();
}
