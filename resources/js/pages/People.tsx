import { Head, router, useForm } from '@inertiajs/react';
import styled from 'styled-components';
import { Caution, MarginLook } from '../frame/Margin';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { SelectField, TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import type { PeoplePage } from '../types/generated/props';

const Once = styled.p`
    border: 1.5px solid var(--rust);
    padding: 10px 14px;
    margin-top: 12px;
    font-size: 13.5px;
    b {
        font-family: var(--figures);
        font-stretch: 75%;
        user-select: all;
    }
`;

const Acts = styled.td`
    white-space: nowrap;
    button {
        border: 0;
        background: transparent;
        padding: 2px 0;
        margin-right: 14px;
        color: inherit;
        font-size: 12.5px;
        cursor: pointer;
        text-decoration: underline;
        text-underline-offset: 3px;
    }
`;

/** Who signs in here, as what, and when they did. */
export default function People({
    people,
    roles,
    signIns,
    once,
    errors,
}: PeoplePage & { errors: Record<string, string> }) {
    const form = useForm({ name: '', role: 'technician' });
    const field = formField(form);
    const choices = roles.map((role) => ({ key: role.role, label: role.role, detail: role.may }));
    const act = (path: string) => {
        router.post(path, {}, { preserveScroll: true });
    };
    return (
        <>
            <Head title="People" />
            <main>
                <Title>
                    <div>
                        <h1>People</h1>
                        <p>Everybody listed here can sign in, and what they do carries their name.</p>
                    </div>
                </Title>
                {once === null ? null : (
                    <Once role="status">
                        {once.name} signs in with <b>{once.password}</b> once, and chooses a password then. It is shown
                        only now.
                    </Once>
                )}
                {errors['person'] === undefined ? null : <Once role="alert">{errors['person']}</Once>}
                <Sheet title="In the books" caption={`${people.length} ${people.length === 1 ? 'person' : 'people'}`}>
                    <Ruled aria-label="People">
                        <thead>
                            <tr>
                                <th>Name</th>
                                <th>Role</th>
                                <th>Since</th>
                                <th>Actions</th>
                            </tr>
                        </thead>
                        <tbody>
                            {people.map((person) => (
                                <tr key={person.id}>
                                    <td>{person.name}</td>
                                    <td style={{ minWidth: 130 }}>
                                        <SelectField
                                            name={`role-${person.id}`}
                                            label={`Role of ${person.name}`}
                                            value={person.role}
                                            onChange={(role) => {
                                                router.put(
                                                    `/people/${person.id}/role`,
                                                    { role },
                                                    { preserveScroll: true },
                                                );
                                            }}
                                            choices={choices}
                                        />
                                    </td>
                                    <td>
                                        {person.since}
                                        {person.mustChange && !person.disabled ? ', has not signed in yet' : ''}
                                    </td>
                                    <Acts>
                                        <button
                                            type="button"
                                            onClick={() => {
                                                act(`/people/${person.id}/reset`);
                                            }}
                                        >
                                            new password
                                        </button>
                                        <button
                                            type="button"
                                            onClick={() => {
                                                act(`/people/${person.id}/${person.disabled ? 'enable' : 'disable'}`);
                                            }}
                                        >
                                            {person.disabled ? 'enable' : 'disable'}
                                        </button>
                                    </Acts>
                                </tr>
                            ))}
                        </tbody>
                    </Ruled>
                </Sheet>
                <form
                    noValidate
                    onSubmit={(event) => {
                        event.preventDefault();
                        form.post('/people', {
                            preserveScroll: true,
                            onSuccess: () => {
                                form.reset();
                            },
                        });
                    }}
                >
                    <Sheet title="Add a person" caption="a password for once is made and shown">
                        <Fields>
                            <TextField {...field('name')} label="Name" />
                            <SelectField {...field('role')} label="Role" choices={choices} />
                            <div style={{ alignSelf: 'end' }}>
                                <Button type="submit" quiet isDisabled={form.processing}>
                                    Add this person
                                </Button>
                            </div>
                        </Fields>
                    </Sheet>
                </form>
                <Sheet title="Sign-ins" caption="the newest first; lines are only ever added">
                    {signIns.length === 0 ? (
                        <p style={{ fontSize: 13.5 }}>Nobody has signed in yet.</p>
                    ) : (
                        <Ruled aria-label="Sign-ins">
                            <thead>
                                <tr>
                                    <th>On</th>
                                    <th>Name</th>
                                    <th>Result</th>
                                    <th>From</th>
                                </tr>
                            </thead>
                            <tbody>
                                {signIns.map((one) => (
                                    <tr key={one.id}>
                                        <td>{one.on}</td>
                                        <td>{one.name}</td>
                                        <td>{one.outcome}</td>
                                        <td>{one.from}</td>
                                    </tr>
                                ))}
                            </tbody>
                        </Ruled>
                    )}
                </Sheet>
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>Roles</h2>
                {roles.map((role) => (
                    <p key={role.role} style={{ fontSize: 13 }}>
                        <b>{role.role}</b>: {role.may}.
                    </p>
                ))}
                <Caution
                    caution={{
                        lead: 'Nobody is deleted.',
                        rest: 'What somebody did keeps their name, so they are disable instead.',
                    }}
                />
            </MarginLook>
        </>
    );
}
