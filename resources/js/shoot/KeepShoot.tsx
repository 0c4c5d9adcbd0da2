import { Link, useForm } from '@inertiajs/react';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { DayField } from '../parts/countAndDay';
import { TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { Nothing } from '../parts/Nothing';
import { ServerForm } from '../parts/ServerForm';
import { Ruled, Sheet } from '../parts/Sheet';
import type { KeptShootProps } from '../types/generated/props';

/** Keeps the shoot that is shown, with the cards that go along; and those that were kept. */
export function KeepShoot({
    asked,
    canKeep,
    kept,
    today,
    person,
}: {
    /** What the shoot was asked for, as its address says. */
    asked: object;
    canKeep: boolean;
    kept: readonly KeptShootProps[];
    today: string;
    person: string;
}) {
    const form = useForm({ name: '', begins: today, by: person });
    const field = formField(form);
    return (
        <Sheet title="Kept shoots" caption="with the cards that went along; they stand in the life of each card">
            {canKeep ? (
                <ServerForm
                    onSubmit={(event) => {
                        event.preventDefault();
                        form.transform((data) => ({ ...asked, ...data }));
                        form.post('/fit/shoots', { preserveScroll: true });
                    }}
                >
                    <Fields>
                        <TextField {...field('name')} label="Name of the shoot" placeholder="Sea wall, spring tide" />
                        <DayField {...field('begins')} label="First day" />
                        <NameField {...field('by')} name="shoot-by" label="Your name" />
                        <div style={{ alignSelf: 'end' }}>
                            <Button type="submit" quiet>
                                Keep this shoot
                            </Button>
                        </div>
                    </Fields>
                </ServerForm>
            ) : null}
            {kept.length === 0 ? (
                <Nothing>No shoot is kept yet.</Nothing>
            ) : (
                <Ruled aria-label="Kept shoots">
                    <thead>
                        <tr>
                            <th>Shoot</th>
                            <th>When</th>
                            <th className="n">Cards</th>
                        </tr>
                    </thead>
                    <tbody>
                        {kept.map((one) => (
                            <tr key={one.id}>
                                <td>
                                    <Link href={`/fit/shoots/${one.id}`}>{one.name}</Link>
                                </td>
                                <td>{one.on}</td>
                                <td className="n">{one.cards}</td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            )}
        </Sheet>
    );
}
