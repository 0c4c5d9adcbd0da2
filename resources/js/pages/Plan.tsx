import { Head, Link, router } from '@inertiajs/react';
import { useState } from 'react';
import { Form } from 'react-aria-components';
import { PlanMap } from '../charts/PlanMap';
import { clock, Runbook } from '../charts/Runbook';
import { percent } from '../format';
import { Caution, MarginLook } from '../frame/Margin';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { Ticks } from '../parts/choices';
import { SelectField, TextField } from '../parts/fields';
import { Nothing } from '../parts/Nothing';
import { Sheet, Title } from '../parts/Sheet';
import { OtherPlans } from '../plan/OtherPlans';
import { PlainList } from '../plan/PlainList';
import { PlanCards } from '../plan/PlanCards';
import { WhatHelps } from '../plan/WhatHelps';
import type { PlanPageProps } from '../types/generated/props';

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

/** The whole offload of an evening: when all is safe, who goes where, and what hands do when. */
export default function Plan(props: PlanPageProps) {
    return <Surface key={JSON.stringify([props.rules, props.cards.map((card) => card.tag)])} {...props} />;
}

function Surface({
    amount,
    done,
    free,
    hands,
    bound,
    cards,
    cabled,
    lanes,
    flows,
    loads,
    others,
    leftOut,
    assumed,
    choices,
    rules,
}: PlanPageProps) {
    const [ticked, setTicked] = useState<readonly string[]>(() => cards.map((card) => card.tag));
    const [asked, setAsked] = useState(rules);
    const ask = (change: Partial<typeof rules> = {}, longer = false) => {
        router.get(
            '/offload',
            { ...asked, ...change, cards: [...ticked], ...(longer ? { longer: 1 } : {}) },
            { preserveScroll: true },
        );
    };
    const field = (name: keyof typeof rules) => ({
        name,
        value: asked[name],
        onChange: (value: string) => {
            setAsked({ ...asked, [name]: value });
        },
    });
    const pinch = loads[0];
    const count = cards.length;
    return (
        <>
            <Head title="The whole offload" />
            <main>
                <Title>
                    <div>
                        <h1>
                            {count === 0
                                ? 'Nothing to bring home'
                                : `Offload ${count} ${count === 1 ? 'card' : 'cards'}, ${copies(rules.copies, rules.verify)}`}
                        </h1>
                        {count === 0 ? (
                            <p>No card that can be planned carries footage.</p>
                        ) : (
                            <p>
                                {amount} · {rules.verify === 'none' ? 'all copied' : 'all safe'} after{' '}
                                <b>{clock(done)}</b> · cards free after {clock(free)} · hands needed {times(hands)}
                            </p>
                        )}
                    </div>
                    <Button
                        quiet
                        data-main=""
                        detail="searches two seconds"
                        onPress={() => {
                            ask({}, true);
                        }}
                    >
                        Look for a better plan
                    </Button>
                </Title>
                {count === 0 ? (
                    <Nothing>
                        Mark how much footage is on a card at <Link href="/intake">Intake</Link>, then plan it here.
                    </Nothing>
                ) : (
                    <>
                        <Sheet
                            title="Reach map"
                            caption="width is speed, in MB/s, while copying"
                            aside={
                                pinch === undefined ? null : (
                                    <>
                                        pinch: <strong style={{ color: 'var(--rust)' }}>{pinch.name}</strong>, full{' '}
                                        {percent(pinch.share)} of the time
                                    </>
                                )
                            }
                        >
                            <PlanMap flows={flows} pinch={pinch?.name ?? ''} />
                        </Sheet>
                        <Sheet
                            title="Runbook"
                            caption="minutes and seconds from the start"
                            aside={`no plan is done before ${clock(bound)}`}
                        >
                            <Runbook lanes={lanes} done={done} free={free} />
                        </Sheet>
                        <PlanCards cards={cards} />
                        <p style={{ marginTop: 10 }}>
                            <a href={`/offload/runbook.pdf?${query(rules, cards)}`}>Print the runbook (PDF)</a>
                        </p>
                        <details>
                            <summary>The runbook as a list of times</summary>
                            <PlainList>
                                {lanes
                                    .flatMap((lane) => lane.bars)
                                    .sort((one, other) => one.from - other.from || one.until - other.until)
                                    .map((bar, i) => (
                                        <li key={i}>
                                            <span className="figures">{clock(bar.from)}</span> to{' '}
                                            <span className="figures">{clock(bar.until)}</span>: {bar.words}
                                        </li>
                                    ))}
                            </PlainList>
                        </details>
                    </>
                )}
                <Sheet title="What comes home, and how">
                    <Form
                        onSubmit={(event) => {
                            event.preventDefault();
                            ask();
                        }}
                    >
                        {choices.length === 0 ? (
                            <Nothing>No card carries footage.</Nothing>
                        ) : (
                            <Ticks label="Cards" value={ticked} onChange={setTicked} choices={choices} />
                        )}
                        <Fields style={{ marginTop: 10 }}>
                            <SelectField {...field('goal')} label="Goal" choices={GOALS} />
                            <SelectField {...field('copies')} label="Copies" choices={COPIES} />
                            <SelectField {...field('verify')} label="Verify" choices={VERIFY} />
                            <SelectField {...field('scheme')} label="Scheme" choices={SCHEMES} />
                            <TextField {...field('hands')} label="Pairs of hands" figures />
                            <TextField {...field('swap')} label="Seconds for a swap" figures />
                            <div style={{ alignSelf: 'end' }}>
                                <Button type="submit">Plan again</Button>
                            </div>
                        </Fields>
                    </Form>
                </Sheet>
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
                <h2 style={{ fontSize: 22 }}>{count === 0 ? 'Plan' : clock(done)}</h2>
                <h3>Plug in like this</h3>
                <PlainList>
                    {cabled.map((one) => (
                        <li key={one.thing}>
                            <b>{one.thing}</b> {one.name} → {one.port}
                        </li>
                    ))}
                </PlainList>
                <h3>Other goals</h3>
                <OtherPlans
                    others={others}
                    onTake={(goal) => {
                        ask({ goal });
                    }}
                />
                {count === 0 ? null : <WhatHelps asked={{ ...rules, cards: cards.map((card) => card.tag) }} />}
                {loads.length === 0 ? null : (
                    <>
                        <h3>Busiest</h3>
                        <PlainList>
                            {loads.map((load) => (
                                <li key={load.name}>
                                    {load.name}: full {percent(load.share)} of the time
                                </li>
                            ))}
                        </PlainList>
                    </>
                )}
                {assumed.length === 0 ? null : (
                    <>
                        <h3>What it rests on</h3>
                        <PlainList>
                            {assumed.map((sentence) => (
                                <li key={sentence}>{sentence}</li>
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

function query(rules: PlanPageProps['rules'], cards: PlanPageProps['cards']): string {
    return new URLSearchParams([
        ...Object.entries(rules),
        ...cards.map((card): [string, string] => ['cards[]', card.tag]),
    ]).toString();
}

function copies(count: string, verify: string): string {
    const verified = verify === 'none' ? '' : 'verified ';
    return count === '1' ? `one ${verified}copy each` : `${count === '2' ? 'two' : 'three'} ${verified}copies each`;
}

function times(count: number): string {
    return count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`;
}
