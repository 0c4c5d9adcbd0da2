import { Head, Link, router, useForm } from '@inertiajs/react';
import { clock } from '../charts/Runbook';
import { Caution, MarginLook } from '../frame/Margin';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { DayField } from '../parts/countAndDay';
import { TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { Nothing } from '../parts/Nothing';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import { ServerForm } from '../parts/ServerForm';
import { BeginOffload } from '../plan/BeginOffload';
import { copies, hands, PlanPictures } from '../plan/PlanPictures';
import { PluggedIn } from '../plan/PluggedIn';
import { RestsOn } from '../plan/RestsOn';
import type { SavedPlanPage } from '../types/generated/props';

/** A plan that was kept: as it was made, with the rates of now, and as it went. */
export default function SavedPlan({
    id,
    name,
    made,
    goal,
    plan,
    range,
    today,
    changed,
    rests,
    outcome,
    planKey,
    person,
    isMadeUp,
    day,
    places,
    patterns,
    before,
}: SavedPlanPage) {
    const form = useForm({ begun: outcome.begun, free: outcome.free, done: outcome.done, note: outcome.note });
    const field = formField(form);
    return (
        <>
            <Head title={name} />
            <main>
                <Title>
                    <div>
                        <h1>{name}</h1>
                        <p>
                            {made} · {goal} · {plan.cards.length} {plan.cards.length === 1 ? 'card' : 'cards'},{' '}
                            {copies(plan)} · {plan.amount} · {plan.readsBack ? 'all safe' : 'all copied'} after{' '}
                            <b>{clock(plan.done)}</b> · {hands(plan.hands)}
                        </p>
                    </div>
                </Title>
                <Sheet
                    title="What came of it"
                    {...(outcome.took === null ? {} : { aside: `took ${clock(outcome.took)}` })}
                >
                    {outcome.words === null ? (
                        <Nothing>Nobody has said yet. Write down when it was begun, and when all was safe.</Nothing>
                    ) : (
                        <p>
                            Planned {clock(plan.done)}, took {clock(outcome.took ?? 0)}. <b>{outcome.words}</b>
                        </p>
                    )}
                    <ServerForm
                        onSubmit={(event) => {
                            event.preventDefault();
                            form.put(`/offload/plans/${id}`, { preserveScroll: true });
                        }}
                    >
                        <Fields>
                            <DayField {...field('begun')} label="Begun at" withTime />
                            <DayField {...field('free')} label="Cards free at" withTime />
                            <DayField {...field('done')} label="All safe at" withTime />
                            <div className="half">
                                <TextField {...field('note')} label="What held it up, if anything" />
                            </div>
                            <div style={{ alignSelf: 'end' }}>
                                <Button type="submit">Save result</Button>
                            </div>
                        </Fields>
                    </ServerForm>
                </Sheet>
                <PlanPictures plan={plan} rests={rests} />
                <BeginOffload
                    plan={plan}
                    planKey={planKey}
                    before={before}
                    person={person}
                    today={day}
                    places={places}
                    patterns={patterns}
                    isMadeUp={isMadeUp}
                />
                <RestsOn rests={rests} />
                <p style={{ marginTop: 10 }}>
                    <a href={`/offload/plans/${id}/runbook.pdf`}>Print the runbook (PDF)</a> ·{' '}
                    <a href={`/offload/plans/${id}/calendar.ics`}>
                        Alarms for a calendar, from {outcome.begun === '' ? 'now' : 'its beginning'} (ICS)
                    </a>{' '}
                    · <Link href="/offload">Plan the next offload</Link>
                </p>
                <Sheet title="With the rates of today" aside={`all safe after ${clock(today)}`}>
                    {changed.length === 0 ? (
                        <Nothing>No rate has changed since: it would go as it was planned.</Nothing>
                    ) : (
                        <Ruled aria-label="Rates that have changed">
                            <thead>
                                <tr>
                                    <th>What</th>
                                    <th className="n">Then</th>
                                    <th className="n">Now</th>
                                    <th>How it is known</th>
                                </tr>
                            </thead>
                            <tbody>
                                {changed.map((one) => (
                                    <tr key={one.name}>
                                        <td>{one.name}</td>
                                        <td className="n">{one.then}</td>
                                        <td className="n">{one.now}</td>
                                        <td>{one.how}</td>
                                    </tr>
                                ))}
                            </tbody>
                        </Ruled>
                    )}
                </Sheet>
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>{clock(plan.done)}</h2>
                <p>
                    In 8 of 10 cases between <b>{clock(range.early)}</b> and <b>{clock(range.late)}</b>, with the rates
                    of its day.
                </p>
                <PluggedIn cabled={plan.cabled} />
                <Button
                    quiet
                    onPress={() => {
                        router.delete(`/offload/plans/${id}`);
                    }}
                >
                    Delete this plan
                </Button>
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
