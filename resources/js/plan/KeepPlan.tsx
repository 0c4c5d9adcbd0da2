import { Link, useForm } from '@inertiajs/react';
import { clock } from '../charts/Runbook';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { Nothing } from '../parts/Nothing';
import { Ruled, Sheet } from '../parts/Sheet';
import { ServerForm } from '../parts/ServerForm';
import type { SavedPlanProps } from '../types/generated/props';

/** Keeps the plan that is shown under a name, with the rates of today; and those that were kept. */
export function KeepPlan({
    planKey,
    person,
    saved,
}: {
    /** By which this very plan is kept. */
    planKey: string;
    person: string;
    saved: readonly SavedPlanProps[];
}) {
    const form = useForm({ name: '', by: person });
    const field = formField(form);
    return (
        <Sheet title="Saved plans" caption="kept with the rates of their day, to compare with what came of them">
            <ServerForm
                onSubmit={(event) => {
                    event.preventDefault();
                    form.transform((data) => ({ plan: planKey, ...data }));
                    form.post('/offload/plans', { preserveScroll: true });
                }}
            >
                <Fields>
                    <div className="half">
                        <TextField {...field('name')} label="Name of the plan" placeholder="Friday, harbour survey" />
                    </div>
                    <NameField {...field('by')} name="plan-by" label="Your name" />
                    <div style={{ alignSelf: 'end' }}>
                        <Button type="submit" quiet>
                            Save this plan
                        </Button>
                    </div>
                </Fields>
            </ServerForm>
            {saved.length === 0 ? (
                <Nothing>No plan is saved yet. Give this one a name to keep it.</Nothing>
            ) : (
                <Ruled aria-label="Saved plans">
                    <thead>
                        <tr>
                            <th>Plan</th>
                            <th>Made</th>
                            <th className="n">Planned</th>
                            <th className="n">Took</th>
                        </tr>
                    </thead>
                    <tbody>
                        {saved.map((one) => (
                            <tr key={one.id}>
                                <td>
                                    <Link href={`/offload/plans/${one.id}`}>{one.name}</Link>
                                </td>
                                <td>{one.on}</td>
                                <td className="n">{clock(one.done)}</td>
                                <td className="n">{one.took === null ? '' : clock(one.took)}</td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            )}
        </Sheet>
    );
}
