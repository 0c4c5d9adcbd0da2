import { Head, Link, router, useForm } from '@inertiajs/react';
import { useEffect } from 'react';
import { Caution, MarginLook } from '../frame/Margin';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { SelectField, TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { ServerForm } from '../parts/ServerForm';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import { VerdictShape, verdictColour } from '../parts/VerdictMark';
import type { RuleDraftProps, RulesPage, VerdictKind } from '../types/generated/props';

const CRITERIA = [
    { key: 'mark', label: 'by the mark' },
    { key: 'measured', label: 'by measurement' },
    { key: 'guaranteed', label: 'guaranteed media only' },
];

const YES = [
    { key: '1', label: 'yes' },
    { key: '0', label: 'no' },
];

const JUDGE: [string, string][] = [
    ['full', 'A medium shows at least, % of its label'],
    ['near', 'Reaches a claim from, % of it'],
    ['short', 'Is Slow under, % of a claim'],
    ['above', 'A label asks little above, %'],
];

const DUE: [string, string][] = [
    ['proveMonths', 'Proven again, months'],
    ['measureMonths', 'Measured again, months'],
    ['fills', 'Written, times over'],
    ['afterIncident', 'After an incident'],
    ['shootDays', 'Days before a shoot'],
    ['shootMonths', 'where older than, months'],
    ['retireYears', 'Has served after, years; 0 never'],
    ['retireFills', 'or written, times over; 0 never'],
];

const FIT: [string, string][] = [
    ['criterion', 'Decided by'],
    ['spare', 'Margin on what was measured, times'],
    ['usable', 'Usable share, 1 is the whole card'],
];

/** Those that are chosen from a few. */
const CHOSEN: Record<string, { key: string; label: string }[]> = { afterIncident: YES, criterion: CRITERIA };

const PLAN: [string, string][] = [
    ['swap', 'A swap takes, seconds'],
    ['first', 'The first card of a slot takes, seconds'],
    ['overhead', 'A file costs on top, seconds'],
];

/** Every threshold that the house goes by: as it is, as it would be, where that is from, and who changed it. */
export default function Rules({ rules, judge, due, fit, plan, draft, cards, person }: RulesPage) {
    return (
        <>
            <Head title="House rules" />
            <main>
                <Title>
                    <div>
                        <h1>House rules</h1>
                        <p>
                            What verdicts, fits, plans and due days go by.{' '}
                            {cards === 1 ? '1 card is' : `${cards} cards are`} due today.
                        </p>
                    </div>
                </Title>
                <Sheet title="Where verdicts turn" caption="tried on every card before anything is kept">
                    {draft === null ? (
                        <RuleForm url="/rules/judgement" fields={JUDGE} values={{ ...judge }} person={person}>
                            See what would change
                        </RuleForm>
                    ) : (
                        <Draft key={draft.id} draft={draft} />
                    )}
                </Sheet>
                <Sheet title="When cards are tested again" caption="all due days are reckoned anew">
                    <RuleForm url="/rules/due" fields={DUE} values={{ ...due }} person={person}>
                        Keep these rules
                    </RuleForm>
                </Sheet>
                <Sheet title="What a card may record" caption="what decides at Fit">
                    <RuleForm url="/fit/rules" fields={FIT} values={{ ...fit }} person={person}>
                        Keep this criterion
                    </RuleForm>
                </Sheet>
                <Sheet title="What a plan reckons with" caption="where nothing else is asked">
                    <RuleForm url="/rules/plan" fields={PLAN} values={{ ...plan }} person={person}>
                        Keep these times
                    </RuleForm>
                </Sheet>
                <Ruled aria-label="House rules">
                    <thead>
                        <tr>
                            <th>Rule</th>
                            <th className="n">Now</th>
                            <th className="n">Standard</th>
                            <th>Source</th>
                            <th>Changed</th>
                        </tr>
                    </thead>
                    <tbody>
                        {rules.map((rule) => (
                            <tr key={rule.name}>
                                <td>{rule.name}</td>
                                <td className="n">{rule.value === rule.standard ? rule.value : <b>{rule.value}</b>}</td>
                                <td className="n">{rule.standard}</td>
                                <td>{rule.source}</td>
                                <td>{rule.changed !== '' ? rule.changed : rule.key === '' ? 'in the program' : ''}</td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>Where they are changed</h2>
                <p style={{ fontSize: 13 }}>
                    All of them here; what decides at Fit, also on the page{' '}
                    <Link href="/fit" style={{ color: 'inherit' }}>
                        Fit
                    </Link>
                    . A window of a floor stays as it is: a run keeps its lowest window and not its course, so that it
                    could not be read anew over another.
                </p>
                <p style={{ fontSize: 13 }}>
                    <Link href="/activity" style={{ color: 'inherit' }}>
                        Every change of the books
                    </Link>
                </p>
                <Caution
                    caution={{
                        lead: 'A looser rule mends no card.',
                        rest:
                            'It only says so later. Other houses go by the standard: say which rules a verdict was ' +
                            'made by when you send it on.',
                    }}
                />
            </MarginLook>
        </>
    );
}

function RuleForm({
    url,
    fields,
    values,
    person,
    children,
}: {
    url: string;
    fields: readonly [string, string][];
    values: Record<string, string>;
    person: string;
    children: string;
}) {
    const form = useForm<Record<string, string>>({ ...values, why: '', by: person });
    const field = formField(form);
    return (
        <ServerForm
            onSubmit={(event) => {
                event.preventDefault();
                form.put(url, { preserveScroll: true });
            }}
        >
            <Fields>
                {fields.map(([name, label]) =>
                    CHOSEN[name] !== undefined ? (
                        <SelectField key={name} {...field(name)} label={label} choices={CHOSEN[name]} />
                    ) : (
                        <TextField key={name} {...field(name)} label={label} figures />
                    ),
                )}
                <div className="half">
                    <TextField {...field('why')} label="Why it is changed" />
                </div>
                <NameField {...field('by')} name={`${url}-by`} label="Your name" />
                <div style={{ alignSelf: 'end' }}>
                    <Button type="submit" isDisabled={form.processing}>
                        {children}
                    </Button>
                </div>
            </Fields>
        </ServerForm>
    );
}

/** What the rules that are tried would change; cards are looked at while this is open. */
function Draft({ draft }: { draft: RuleDraftProps }) {
    useEffect(() => {
        if (!draft.isDone) {
            router.post(`/rules/judgement/${draft.id}/go-on`, {}, { preserveScroll: true, preserveState: true });
        }
    }, [draft]);
    return (
        <>
            <p>
                <b>{draft.words}.</b> {draft.why}
            </p>
            <p role="status" style={{ fontSize: 13 }}>
                {draft.isDone
                    ? `All ${draft.cards} cards were judged by them: ${says(draft.changes.length)}.`
                    : `${draft.looked} of ${draft.cards} cards were judged by them so far.`}
            </p>
            {draft.changes.length === 0 ? null : (
                <Ruled aria-label="What would change">
                    <thead>
                        <tr>
                            <th>Card</th>
                            <th>Is</th>
                            <th>Would be</th>
                        </tr>
                    </thead>
                    <tbody>
                        {draft.changes.map((change) => (
                            <tr key={change.tag}>
                                <td>
                                    <Link href={`/prove/${change.tag}`}>{change.tag}</Link>
                                </td>
                                <td>
                                    <Kind kind={change.from} />
                                </td>
                                <td>
                                    <Kind kind={change.to} />
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            )}
            <div style={{ display: 'flex', gap: 14, margin: '12px 0 4px' }}>
                <Button
                    isDisabled={!draft.isDone}
                    data-main=""
                    onPress={() => {
                        router.post(`/rules/judgement/${draft.id}/keep`, {}, { preserveScroll: true });
                    }}
                >
                    Keep these rules
                </Button>
                <Button
                    quiet
                    onPress={() => {
                        router.delete('/rules/judgement', { preserveScroll: true });
                    }}
                >
                    Leave all as it is
                </Button>
            </div>
        </>
    );
}

function says(changes: number): string {
    return changes === 0 ? 'no verdict would change' : changes === 1 ? '1 would change' : `${changes} would change`;
}

function Kind({ kind }: { kind: VerdictKind }) {
    return (
        <span style={{ color: verdictColour[kind], display: 'inline-flex', gap: 5, alignItems: 'center' }}>
            <VerdictShape kind={kind} size={11} /> {kind}
        </span>
    );
}
