import { Head, Link, useForm } from '@inertiajs/react';
import { Caution, MarginLook } from '../frame/Margin';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { SelectField, TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { ServerForm } from '../parts/ServerForm';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import type { RulesPageProps } from '../types/generated/props';

const YES = [
    { key: '1', label: 'yes' },
    { key: '0', label: 'no' },
];

/** Every threshold that the house goes by: as it is, as it would be, where that is from, and who changed it. */
export default function Rules(props: RulesPageProps) {
    return <Surface key={JSON.stringify(props.due)} {...props} />;
}

function Surface({ rules, due, cards, person }: RulesPageProps) {
    const form = useForm({ ...due, why: '', by: person });
    const field = formField(form);
    return (
        <>
            <Head title="House rules" />
            <main>
                <Title>
                    <div>
                        <h1>House rules</h1>
                        <p>
                            What verdicts, fits and due days go by. {cards === 1 ? '1 card is' : `${cards} cards are`}{' '}
                            due today.
                        </p>
                    </div>
                </Title>
                <Sheet title="When cards are tested again" caption="all due days are reckoned anew">
                    <ServerForm
                        onSubmit={(event) => {
                            event.preventDefault();
                            form.put('/rules/due', { preserveScroll: true });
                        }}
                    >
                        <Fields>
                            <TextField {...field('proveMonths')} label="Proven again, months" figures />
                            <TextField {...field('measureMonths')} label="Measured again, months" figures />
                            <TextField {...field('fills')} label="Written, times over" figures />
                            <SelectField {...field('afterIncident')} label="After an incident" choices={YES} />
                            <TextField {...field('shootDays')} label="Days before a shoot" figures />
                            <TextField {...field('shootMonths')} label="where older than, months" figures />
                            <div className="half">
                                <TextField {...field('why')} label="Why it is changed" />
                            </div>
                            <NameField {...field('by')} name="rules-by" label="Your name" />
                            <div style={{ alignSelf: 'end' }}>
                                <Button type="submit" data-main="" isDisabled={form.processing}>
                                    Keep these rules
                                </Button>
                            </div>
                        </Fields>
                    </ServerForm>
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
                    School, margin and usable share at{' '}
                    <Link href="/fit" style={{ color: 'inherit' }}>
                        Fit
                    </Link>
                    ; when cards are tested again here. What stands in the program is the same in every house, so that a
                    verdict means the same wherever it was given.
                </p>
                <p style={{ fontSize: 13 }}>
                    <Link href="/activity" style={{ color: 'inherit' }}>
                        Every change of the books
                    </Link>
                </p>
                <Caution
                    caution={{
                        lead: 'A looser rule mends no card.',
                        rest: 'It only asks later. What is proven seldom is trusted long.',
                    }}
                />
            </MarginLook>
        </>
    );
}
